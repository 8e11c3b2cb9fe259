import sensorPair from './sensor-pair.json' with { type: 'json' };
import sensorPush from './sensor-push.json' with { type: 'json' };
import pushWatch from './push-watch.json' with { type: 'json' };
import mixingSteps from './mixing-steps.json' with { type: 'json' };
import defrostWatch from './defrost-watch.json' with { type: 'json' };
import sensorCup from './sensor-cup.json' with { type: 'json' };

/** Work on a heat pump with its cylinder, not yet read. Common practice; the maker's words and local codes win. */
export const heatPumpProcedures: readonly unknown[] = [
  sensorPair,
  sensorPush,
  pushWatch,
  mixingSteps,
  defrostWatch,
  sensorCup,
];
