import { runFitted, type FittedHouse } from './fit';
import { houseSlopes, type HouseSetting, type RunningRadiator } from './house';
import { solveLower } from '../linear/symmetric';

/** What a radiator does when lockshields are moved. */
export interface PredictedChange {
  readonly fromCelsius: number;
  readonly toCelsius: number;
  /** One standard deviation of the change, K. */
  readonly spread: number;
}

/**
 * What the form leaves out, in K and as a share of the change: real trunks are shared by some radiators; a spindle that is set
 * is not set to the hair, and not two valves open alike. Measured on simulated houses (docs/benchmarks/balancing.md).
 */
const leftOut = { alone: { share: 0.4, kelvin: 0.3 }, set: { share: 0.4, kelvin: 2 } };

/** Change of every radiator's mean temperature, with how far that may be wrong by what is not known of the house. */
export function predictChanges(
  house: FittedHouse,
  from: HouseSetting,
  to: HouseSetting,
): PredictedChange[] {
  const [before, after] = [from, to].map((setting) => runFitted(house, setting));
  const [slopesBefore, slopesAfter] = [from, to].map((setting) =>
    houseSlopes(house.listed, house.values, setting),
  );
  return before!.map(({ meanCelsius: fromCelsius }, k) => {
    const toCelsius = after![k]!.meanCelsius;
    const { byIn, byOut } = slopesBefore![k]!;
    const there = slopesAfter![k]!;
    const slopes = house.spreads.map(
      (spread, v) => (spread * (there.byIn[v]! + there.byOut[v]! - byIn[v]! - byOut[v]!)) / 2,
    );
    const known = solveLower(house.known, slopes).reduce((sum, y) => sum + y * y, 0);
    const change = toCelsius - fromCelsius;
    const { share, kelvin } = from.turns[k] === to.turns[k] ? leftOut.alone : leftOut.set;
    return {
      fromCelsius,
      toCelsius,
      spread: Math.sqrt(known + kelvin ** 2 + (share * change) ** 2),
    };
  });
}

/** How far these radiators lie apart, K: between the warmest and the coldest, by their means where nothing else is asked for. */
export function apartKelvin(
  house: FittedHouse,
  setting: HouseSetting,
  members: readonly number[],
  valueOf: (running: RunningRadiator) => number = ({ meanCelsius }) => meanCelsius,
): number {
  const running = runFitted(house, setting);
  const means = members.map((k) => valueOf(running[k]!));
  return means.length === 0 ? 0 : Math.max(...means) - Math.min(...means);
}
