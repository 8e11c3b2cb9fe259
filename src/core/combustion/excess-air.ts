import { oxygenDemand, type Fuel } from './fuel';

/** Oxygen of fresh air as instruments take it, and of dry air, in percent. */
export const instrumentOxygen = 20.9;
const dryAirOxygen = 20.95;
/** Moles of dry air for a mole of oxygen. */
const airByOxygen = 100 / dryAirOxygen;

function assertOxygen(oxygenPercent: number): void {
  if (!(oxygenPercent >= 0 && oxygenPercent < instrumentOxygen)) {
    throw new RangeError('oxygen in flue gas stands between 0 and 20.9 %');
  }
}

/** Carbon dioxide that goes with so much oxygen, both in percent of dry flue gas. @throws RangeError outside 0 to 20.9 %. */
export function carbonDioxideOf({ carbonDioxideMost }: Fuel, oxygenPercent: number): number {
  assertOxygen(oxygenPercent);
  return (carbonDioxideMost * (instrumentOxygen - oxygenPercent)) / instrumentOxygen;
}

/** And the other way round. @throws RangeError for more carbon dioxide than the fuel can give. */
export function oxygenOf({ carbonDioxideMost }: Fuel, carbonDioxidePercent: number): number {
  if (!(carbonDioxidePercent > 0 && carbonDioxidePercent <= carbonDioxideMost)) {
    throw new RangeError(`this fuel gives up to ${carbonDioxideMost} % carbon dioxide`);
  }
  return instrumentOxygen * (1 - carbonDioxidePercent / carbonDioxideMost);
}

/** Excess air as instruments print it: O2 by what is left of fresh air, as a share. @throws RangeError outside 0 to 20.9 %. */
export function excessAirShown(oxygenPercent: number): number {
  assertOxygen(oxygenPercent);
  return oxygenPercent / (instrumentOxygen - oxygenPercent);
}

/**
 * True excess air as a share, by the reaction: what instruments print is 8 to 12 % of it above. For checks, not for screens.
 * @throws RangeError for oxygen that no flue gas has.
 */
export function excessAirTrue(fuel: Fuel, oxygenPercent: number): number {
  assertOxygen(oxygenPercent);
  const x = oxygenPercent / 100;
  const a = oxygenDemand(fuel);
  return (x * fuel.carbon - x * a + a) / (a - airByOxygen * x * a) - 1;
}

/** Dry flue gas and water of a mole of fuel, in moles. */
export function flueGasOf(fuel: Fuel, oxygenPercent: number): { dry: number; water: number } {
  const a = oxygenDemand(fuel);
  const lambda = 1 + excessAirTrue(fuel, oxygenPercent);
  return { dry: fuel.carbon + a * (airByOxygen * lambda - 1), water: fuel.hydrogen / 2 };
}
