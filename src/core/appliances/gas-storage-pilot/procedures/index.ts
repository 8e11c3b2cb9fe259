import lightPilot from './light-pilot.json' with { type: 'json' };
import makeGasSafe from './make-gas-safe.json' with { type: 'json' };
import leakCheck from './leak-check.json' with { type: 'json' };
import spillageCheck from './spillage-check.json' with { type: 'json' };
import changeThermocouple from './change-thermocouple.json' with { type: 'json' };
import cleanIntakeFilter from './clean-intake-filter.json' with { type: 'json' };

/** Work on gas heaters with a pilot, not yet read. Common practice; the label on the unit and local codes win. */
export const gasProcedures: readonly unknown[] = [
  lightPilot,
  makeGasSafe,
  leakCheck,
  spillageCheck,
  changeThermocouple,
  cleanIntakeFilter,
];
