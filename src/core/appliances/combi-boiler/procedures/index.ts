import threePointTapTest from './three-point-tap-test.json' with { type: 'json' };
import tapOpenWatch from './tap-open-watch.json' with { type: 'json' };
import plateExchanger from './plate-exchanger.json' with { type: 'json' };
import primaryHose from './primary-hose.json' with { type: 'json' };
import vessel from './vessel.json' with { type: 'json' };
import setAndSay from './set-and-say.json' with { type: 'json' };
import relightAfterGas from '../../gas-fired/procedures/relight-after-gas.json' with { type: 'json' };

/** Work on a combination boiler, not yet read. Common practice; the label on the unit and local codes win. */
export const combiProcedures: readonly unknown[] = [
  threePointTapTest,
  tapOpenWatch,
  plateExchanger,
  primaryHose,
  vessel,
  setAndSay,
  relightAfterGas,
];
