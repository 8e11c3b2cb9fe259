import type { Random } from './random';
import type { LookedAt } from './simulated-family';

/** What eyes, ears and fingers find on a simulated heater: apart from what the diagnosis believes they would. */

export function pressReset(unit: LookedAt, isDead: boolean, random: Random): string {
  const isSet = unit.water.limitTripped && !unit.state.limitReset;
  return random.chance(isDead ? 0.2 : isSet ? 0.95 : 0.04) ? 'clicked' : 'no-click';
}

/** A look and a tug at joints whose fault ids match; `isCrossed` where a wire sits on the wrong screw. */
export function tugJoints(
  { faults }: LookedAt,
  joint: RegExp,
  random: Random,
  isCrossed = false,
): string {
  const modes = [...faults].flatMap((each) => {
    const [part, mode] = each.split('.') as [string, string?];
    return joint.test(part) ? [mode] : [];
  });
  if ((modes.length === 0 && !isCrossed) || !random.chance(0.75)) {
    return random.chance(0.96) ? 'sound' : 'loose';
  }
  return modes[0] === 'resistive' && random.chance(0.7) ? 'scorched' : 'loose';
}

export const beep = ({ circuit }: LookedAt, part: string): string =>
  circuit.probeResistance(`${part}.a`, `${part}.b`).value < 30 ? 'beeps' : 'silent';

/** A thermostat turned through the water's temperature, or warmed by hand. */
export function tryThermostat(
  { faults }: LookedAt,
  part: string,
  how: 'click' | 'warm-test',
  waterCelsius: number,
  random: Random,
): string {
  const isClick = how === 'click';
  const modes = [...faults]
    .filter((each) => each.startsWith(`${part}.`))
    .map((each) => each.split('.')[1]!);
  const tells = random.chance(0.96);
  if (modes.some((each) => ['never-closes', 'dead', 'stuck-down'].includes(each)) && tells) {
    return isClick ? 'stays-open' : 'never-closed';
  }
  if (modes.some((each) => ['welded', 'both-contacts-closed'].includes(each)) && tells) {
    return 'stays-closed';
  }
  if (isClick) return waterCelsius > 36 && random.chance(0.97) ? 'clicks' : 'stays-closed';
  return random.chance(0.97) ? 'opens' : 'stays-closed';
}

export function holdTester(
  { circuit }: LookedAt,
  terminals: readonly [string, string],
  random: Random,
): string {
  const [one, other] = terminals.map((each) => circuit.voltageAt(each) > 50 && random.chance(0.97));
  return one ? (other ? 'both' : 'leg-1-only') : other ? 'leg-2-only' : 'neither';
}

export const recycleBreaker = ({ water }: LookedAt, random: Random): string =>
  random.chance(0.97) === water.breakerTrips ? 'trips' : 'holds';

export const waitForHeat = ({ heatingWatt, water }: LookedAt, fullWatt: number): string =>
  heatingWatt > fullWatt || water.topCelsius > 45 ? 'hot' : heatingWatt > 300 ? 'warm' : 'cold';

export const tryOtherTap = ({ faults }: LookedAt, random: Random): string =>
  (faults.has('demand') || faults.has('no-fault')) && random.chance(0.5)
    ? 'hot-elsewhere'
    : 'same-everywhere';

export const askUse = ({ faults }: LookedAt, random: Random): string =>
  random.chance(faults.has('demand') ? 0.88 : 0.05) ? 'outsized' : 'usual';

/** Whether the breaker goes as soon as it is switched on. */
export function goesAgain(ampere: number, ratedAmpere: number, random: Random): boolean {
  const load = ampere / ratedAmpere;
  const chance = load > 2 ? 0.95 : load > 4 / 3 ? 0.6 : load > 1.1 ? 0.3 : 0;
  return random.chance(chance);
}
