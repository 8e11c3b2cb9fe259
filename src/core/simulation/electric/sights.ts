import { resetPressed } from '../../appliances/electrical/state';
import { isDone } from '../../appliances/kit/unit-state';
import { simulationNumbers } from './numbers';
import type { Random } from '../random';
import type { LookedAt, SettlingUnit, Water } from './simulated-heater';

const { looks, answers, breaker, residualAmpere } = simulationNumbers;

/** What eyes, ears and fingers find on a simulated heater: apart from what the diagnosis believes they would. */

export function pressReset(unit: LookedAt, isDead: boolean, random: Random): string {
  const isSet = unit.water.limitTripped && !isDone(unit.state, resetPressed);
  const { set, notSet, dead } = looks.resetClicks;
  return random.chance(isDead ? dead : isSet ? set : notSet) ? 'clicked' : 'no-click';
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
  const isResistive = modes[0] === 'resistive';
  const seen = looks.jointSeen[isResistive ? 'resistive' : 'open'];
  if ((modes.length === 0 && !isCrossed) || !random.chance(seen)) {
    return random.chance(looks.jointFalse) ? 'loose' : 'sound';
  }
  return isResistive && random.chance(looks.scorchedIfResistive) ? 'scorched' : 'loose';
}

export const beep = ({ circuit, beepOhm }: LookedAt, part: string): string =>
  circuit.probeResistance(`${part}.a`, `${part}.b`).value < beepOhm ? 'beeps' : 'silent';

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
  const tells = random.chance(looks.thermostatTold);
  if (modes.some((each) => ['never-closes', 'dead', 'stuck-down'].includes(each)) && tells) {
    return isClick ? 'stays-open' : 'never-closed';
  }
  if (modes.some((each) => ['welded', 'both-contacts-closed'].includes(each)) && tells) {
    return 'stays-closed';
  }
  const isFine = random.chance(looks.thermostatFine);
  if (!isClick) return isFine ? 'opens' : 'stays-closed';
  return waterCelsius > random.between(looks.lowestMarkCelsius) && isFine
    ? 'clicks'
    : 'stays-closed';
}

export function holdTester(
  { circuit }: LookedAt,
  terminals: readonly [string, string],
  random: Random,
): string {
  const { live, dead } = looks.testerLights;
  const [one, other] = terminals.map((each) =>
    random.chance(circuit.voltageAt(each) > 50 ? live : dead),
  );
  return one ? (other ? 'both' : 'leg-1-only') : other ? 'leg-2-only' : 'neither';
}

export const recycleBreaker = ({ water }: LookedAt, random: Random): string =>
  random.chance(looks.breakerTold) === (water.trips !== undefined) ? 'trips' : 'holds';

/** Half an hour of waiting, and a hand under the tap. */
export function waitForHeat({ drawn }: LookedAt, random: Random): string {
  const { tank, advance } = drawn();
  advance(1800, 0);
  const celsius = tank.outletCelsius(5);
  return celsius > random.between(looks.feltCelsius.hot)
    ? 'hot'
    : celsius > random.between(looks.feltCelsius.warm)
      ? 'warm'
      : 'cold';
}

/** Five minutes of an open tap, with a thermometer in the stream at the end. */
export function drawFiveMinutes({ drawn }: LookedAt, random: Random): number {
  const { tank, advance } = drawn();
  const litrePerMinute = random.between(looks.openTap);
  advance(300, litrePerMinute);
  return tank.outletCelsius(litrePerMinute);
}

/** A tap opened and watched for two minutes. */
export function watchDraw({ drawn }: LookedAt, random: Random): string {
  const { tank, advance } = drawn();
  const litrePerMinute = random.between(looks.openTap);
  const first = tank.outletCelsius(0);
  advance(120, litrePerMinute);
  const fell = first - tank.outletCelsius(litrePerMinute) > random.between(looks.fellKelvin);
  // Water that was cold from the start falls, as people say it, all the same.
  const isFalling = fell || first < random.between(looks.feltCelsius.warm);
  return random.chance(looks.fallTold) === isFalling ? 'falls-at-once' : 'holds';
}

export function tryOtherTap({ faults }: LookedAt, random: Random): string {
  const { demand, fine, fault } = looks.otherTapHot;
  const chance = faults.has('demand') ? demand : faults.has('no-fault') ? fine : fault;
  return random.chance(chance) ? 'hot-elsewhere' : 'same-everywhere';
}

export const askUse = ({ faults }: LookedAt, random: Random): string =>
  random.chance(looks.outsized[faults.has('demand') ? 'demand' : 'else']) ? 'outsized' : 'usual';

/** What goes as soon as the power is on, if anything does: the breaker by its load, the other device by what goes to earth. */
export function protectionActs(
  unit: SettlingUnit,
  circuit: Parameters<SettlingUnit['legAmpere']>[0],
  ratedAmpere: number,
  random: Random,
): Water['trips'] {
  if (
    unit.plate.residualCurrentDevice &&
    unit.earthAmpere(circuit) > random.between(residualAmpere)
  ) {
    return 'residual-current';
  }
  const load = unit.legAmpere(circuit) / ratedAmpere;
  const chance = (load - breaker.holds) / (breaker.goes - breaker.holds);
  return random.chance(Math.min(1, Math.max(0, chance))) ? 'breaker' : undefined;
}

/** Water comes out, or current goes to earth, at an element. */
export const leaks = (faults: ReadonlySet<string>): boolean =>
  [...faults].some((each) => /\.(earthed|burst|leaky|damp)$/.test(each));

/** Whether a breaker has gone, as the house tells it. */
export function breakerAnswer(
  faults: ReadonlySet<string>,
  { trips }: Water,
  random: Random,
): string {
  const { breakerAgain, breakerOnce } = answers;
  if (trips) {
    return random.chance(breakerAgain) ? 'again' : random.chance(0.7) ? 'once' : 'no';
  }
  const once = faults.has('supply.off') ? 'supplyOff' : leaks(faults) ? 'leak' : 'else';
  return random.chance(breakerOnce[once]) ? 'once' : 'no';
}
