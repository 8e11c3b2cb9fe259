import type { SimulatedFamily } from './simulated-family';
import { simulatedOneElement } from './electric/one-element';
import { simulatedGas } from './gas/heater';
import { simulatedHeatPump } from './heat-pump/heat-pump';
import { simulatedCombi } from './running-water/combi-boiler';
import { simulatedTankless } from './running-water/tankless-heater';
import { simulatedTwoElement } from './electric/two-element';
import { simulatedWireless } from './wireless/cylinder-control';
import { simulatedZoned } from './zoned-boiler/system-boiler';

/** Every family that units are simulated of. */
const simulatedFamilies: readonly SimulatedFamily[] = [
  simulatedTwoElement,
  simulatedOneElement,
  simulatedGas,
  simulatedTankless,
  simulatedCombi,
  simulatedZoned,
  simulatedWireless,
  simulatedHeatPump,
];

/** @throws RangeError for a family without simulated units. */
export function simulatedFamilyOf(id: string): SimulatedFamily {
  const found = simulatedFamilies.find((each) => each.names.family === id);
  if (!found) throw new RangeError(`no units are simulated of "${id}"`);
  return found;
}
