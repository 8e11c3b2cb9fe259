import burnerInspection from './burner-inspection.json' with { type: 'json' };
import commissioningSheet from './commissioning-sheet.json' with { type: 'json' };
import deadDisplayChase from './dead-display-chase.json' with { type: 'json' };
import panelChange from './panel-change.json' with { type: 'json' };
import sensorCheck from './sensor-check.json' with { type: 'json' };
import sequenceWatch from './sequence-watch.json' with { type: 'json' };

/** Work on a boiler with zones, not yet read. Common practice; the label on the unit and local codes win. */
export const systemProcedures: readonly unknown[] = [
  panelChange,
  deadDisplayChase,
  burnerInspection,
  sequenceWatch,
  sensorCheck,
  commissioningSheet,
];
