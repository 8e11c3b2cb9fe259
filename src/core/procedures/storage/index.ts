import flush from './flush.json' with { type: 'json' };
import checkAnode from './check-anode.json' with { type: 'json' };
import changeDipTube from './change-dip-tube.json' with { type: 'json' };
import drainAndRefill from './drain-and-refill.json' with { type: 'json' };
import lookAtReliefValve from './look-at-relief-valve.json' with { type: 'json' };
import locateNoise from './locate-noise.json' with { type: 'json' };

/** Work on any heater with a tank, not yet read. Common practice; the label on the unit and local codes win. */
export const storageProcedures: readonly unknown[] = [
  flush,
  checkAnode,
  changeDipTube,
  drainAndRefill,
  lookAtReliefValve,
  locateNoise,
];
