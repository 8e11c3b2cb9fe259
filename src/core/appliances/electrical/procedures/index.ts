import changeElement from './change-element.json' with { type: 'json' };
import changeThermostat from './change-thermostat.json' with { type: 'json' };
import changeRodThermostat from './change-rod-thermostat.json' with { type: 'json' };

/** Work on electric heaters, not yet read. Common practice; the label on the unit and local codes win. */
export const electricalProcedures: readonly { readonly repairs: readonly string[] }[] = [
  changeElement,
  changeThermostat,
  changeRodThermostat,
];
