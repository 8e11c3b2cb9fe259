import { runFitted, type FittedHouse, type ReadRound } from './fit';
import { returnCelsius } from './house';
import { kvAt } from './lockshield';

/** What readings say that no lockshield cures: each a question, and never a verdict. */
export type BalancingFinding =
  | { readonly kind: 'starved' | 'sludge' | 'air' | 'shut'; readonly radiator: number }
  | { readonly kind: 'flat-and-low'; readonly meanCelsius: number }
  | { readonly kind: 'flow-small' | 'flow-large'; readonly dropKelvin: number };

/** A branch that resists so much, and so many times what the others do. */
const starvedResistance = 14;
const starvedTimes = 4;
/** A bottom that reads so far below what its flow would make of it. */
const sludgeKelvin = 8;
/** A flow pipe that is hardly warmer than its room. */
const shutKelvin = 6;
/** Drops at the boiler with all open, at full load. Common practice: 20 to 23 K. */
const largeDropKelvin = 26;
const smallDropKelvin = 8;
/** A house that is even at so little over its rooms lacks heat, not balance. */
const lowExcess = 22;

/** What stands out in the last round, against the house as it was fitted. */
export function balancingFindings(
  house: FittedHouse,
  round: ReadRound,
  members: readonly number[],
): BalancingFinding[] {
  const running = runFitted(house, round);
  const { radiators } = house.values;
  const findings: BalancingFinding[] = [];
  for (const radiator of members) {
    const { resistance } = radiators[radiator]!;
    const others = members.filter((each) => each !== radiator);
    const usual = medianOf(others.map((each) => radiators[each]!.resistance));
    const [top, bottom] = [round.topCelsius[radiator], round.bottomCelsius[radiator]];
    const { roomCelsius } = house.listed[radiator]!;
    const shown = running[radiator]!;
    if (top !== undefined && bottom !== undefined && bottom > top + 3) {
      findings.push({ kind: 'air', radiator });
    } else if (
      top !== undefined &&
      top < roomCelsius + shutKelvin &&
      kvAt(round.turns[radiator]!) > 0.05
    ) {
      findings.push({ kind: 'shut', radiator });
    } else if (
      others.length > 1 &&
      resistance > starvedResistance &&
      resistance > starvedTimes * usual
    ) {
      findings.push({ kind: 'starved', radiator });
    } else if (
      bottom !== undefined &&
      top !== undefined &&
      bottom < shown.bottomCelsius - sludgeKelvin &&
      top > shown.topCelsius - sludgeKelvin
    ) {
      findings.push({ kind: 'sludge', radiator });
    }
  }
  const drop = round.flowCelsius - (round.returnCelsius ?? returnCelsius(running));
  const isOpen = members.every((each) => kvAt(round.turns[each]!) > 1);
  if (isOpen && drop > largeDropKelvin) findings.push({ kind: 'flow-small', dropKelvin: drop });
  if (isOpen && drop < smallDropKelvin) findings.push({ kind: 'flow-large', dropKelvin: drop });
  const means = members.map((each) => running[each]!.meanCelsius);
  const excess = means.map((each, k) => each - house.listed[members[k]!]!.roomCelsius);
  if (members.length > 1 && Math.max(...excess) < lowExcess) {
    findings.push({ kind: 'flat-and-low', meanCelsius: Math.max(...means) });
  }
  return findings;
}

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
