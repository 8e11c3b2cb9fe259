import bindZones from './bind-zones.json' with { type: 'json' };
import callChain from './call-chain.json' with { type: 'json' };
import callSum from './call-sum.json' with { type: 'json' };
import coilHeats from './coil-heats.json' with { type: 'json' };
import overrideLight from './override-light.json' with { type: 'json' };
import radioSpacing from './radio-spacing.json' with { type: 'json' };
import receiverRestart from './receiver-restart.json' with { type: 'json' };
import sensorWake from './sensor-wake.json' with { type: 'json' };
import settingsAsLeft from './settings-as-left.json' with { type: 'json' };

/** Work on a wireless control, not yet read. Common practice; the maker’s words and local codes win. */
export const wirelessProcedures: readonly unknown[] = [
  sensorWake,
  receiverRestart,
  bindZones,
  callSum,
  overrideLight,
  radioSpacing,
  callChain,
  coilHeats,
  settingsAsLeft,
];
