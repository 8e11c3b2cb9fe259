import proveHeaterAlone from './prove-heater-alone.json' with { type: 'json' };
import rinseStrainer from './rinse-strainer.json' with { type: 'json' };
import blowFlowSensor from './blow-flow-sensor.json' with { type: 'json' };
import descale from './descale.json' with { type: 'json' };
import relightAfterGas from '../../gas-fired/procedures/relight-after-gas.json' with { type: 'json' };

/** Work on an instantaneous heater, not yet read. Common practice; the label on the unit and local codes win. */
export const tanklessProcedures: readonly unknown[] = [
  proveHeaterAlone,
  rinseStrainer,
  blowFlowSensor,
  descale,
  relightAfterGas,
];
