import type { Prediction } from '../../diagnosis/model';
import type { StateObservation, UnitView } from './observation';
import { modeOfFault, partOfFault } from '../kit/list-hypotheses';
import type { UnitHypothesis } from './unit-hypothesis';
import { celsius, coldSpread, outcomes } from './model';
import { isDone, type UnitState } from '../kit/unit-state';
import { told, wordsForWater } from '../kit/lived-water';
import { beepBelow, electricStateKey, resetPressed, waterOf } from './state';

type UnitObservation = (hypothesis: UnitHypothesis) => Prediction;

/** Looks, presses, waits and taps that every electric heater knows. Tables are common practice. */

export const has = ({ faults }: UnitHypothesis, ...wanted: string[]): boolean =>
  wanted.some((each) => faults.includes(each));

/** What joints look like, from the modes of those that are looked at. */
export function jointLook(modes: readonly (string | undefined)[]): ReturnType<typeof outcomes> {
  if (modes.includes('open')) return outcomes({ sound: 0.25, loose: 0.5, scorched: 0.25 });
  if (modes.includes('resistive')) return outcomes({ sound: 0.2, loose: 0.25, scorched: 0.55 });
  return outcomes({ sound: 0.96, loose: 0.025, scorched: 0.015 });
}

/** The mode of a fault of a joint whose id matches, or undefined. */
export const jointModes = ({ faults }: UnitHypothesis, joint: RegExp): (string | undefined)[] =>
  faults.flatMap((each) => (joint.test(partOfFault(each)) ? [modeOfFault(each)] : []));

/** Meters beep below a threshold of their own; without it, most beep on an element. */
const usualBeepOhm = 30;

export const beeps = (element: string): StateObservation => ({
  keyOf: electricStateKey,
  predict(hypothesis, state, unit) {
    const seen = unit
      .solve(hypothesis, state)
      .probeResistance(`${element}.a`, `${element}.b`).value;
    const threshold = state.known[beepBelow] ?? usualBeepOhm;
    const near = seen > threshold / 1.5 && seen < threshold * 1.5;
    if (near) return outcomes({ beeps: 0.5, silent: 0.5 });
    return outcomes(
      seen < threshold ? { beeps: 0.95, silent: 0.05 } : { beeps: 0.04, silent: 0.96 },
    );
  },
});

/** Ways a thermostat's own contact fails, from what a fault is called. */
function contactFailure(
  { faults }: UnitHypothesis,
  thermostat: string,
): 'never-opens' | 'never-closes' | undefined {
  const modes = faults.filter((each) => partOfFault(each) === thermostat).map(modeOfFault);
  if (modes.some((each) => each === 'welded' || each === 'both-contacts-closed'))
    return 'never-opens';
  if (modes.some((each) => each === 'never-closes' || each === 'dead' || each === 'stuck-down')) {
    return 'never-closes';
  }
  return undefined;
}

export const warmTest =
  (thermostat: string): UnitObservation =>
  (hypothesis) => {
    switch (contactFailure(hypothesis, thermostat)) {
      case 'never-opens':
        return outcomes({ opens: 0.04, 'stays-closed': 0.95, 'never-closed': 0.01 });
      case 'never-closes':
        return outcomes({ opens: 0.04, 'stays-closed': 0.01, 'never-closed': 0.95 });
      default:
        return outcomes({ opens: 0.96, 'stays-closed': 0.03, 'never-closed': 0.01 });
    }
  };

/** A dial turned through the water temperature. Below its lowest mark nothing can be heard: a good contact stays closed. */
export const dialClick = (
  thermostat: string,
  id: string,
  water: 'topCelsius' | 'bottomCelsius',
): StateObservation => ({
  keyOf: ({ known }) => String(known[waterOf(id)] ?? ''),
  predict(hypothesis, { known }) {
    const failure = contactFailure(hypothesis, thermostat);
    if (failure === 'never-closes')
      return outcomes({ clicks: 0.03, 'stays-closed': 0.02, 'stays-open': 0.95 });
    const celsiusThere = known[waterOf(id)] ?? hypothesis.situation[water];
    if (failure === 'never-opens' || celsiusThere < 36) {
      return outcomes({ clicks: 0.04, 'stays-closed': 0.94, 'stays-open': 0.02 });
    }
    return outcomes({ clicks: 0.95, 'stays-closed': 0.03, 'stays-open': 0.02 });
  },
});

export const breakerRecycle: UnitObservation = ({ situation }) =>
  outcomes(situation.trips ? { holds: 0.05, trips: 0.95 } : { holds: 0.98, trips: 0.02 });

export const otherOutlet: UnitObservation = (hypothesis) => {
  if (has(hypothesis, 'demand')) return outcomes({ 'same-everywhere': 0.5, 'hot-elsewhere': 0.5 });
  return hypothesis.faults.length === 0
    ? outcomes({ 'same-everywhere': 0.4, 'hot-elsewhere': 0.6 })
    : outcomes({ 'same-everywhere': 0.96, 'hot-elsewhere': 0.04 });
};

export const useLook: UnitObservation = (hypothesis) =>
  has(hypothesis, 'demand')
    ? outcomes({ usual: 0.15, outsized: 0.85 })
    : outcomes({ usual: 0.94, outsized: 0.06 });

export const dipTubeLook: UnitObservation = (hypothesis) =>
  has(hypothesis, 'dip-tube.gone')
    ? outcomes({ sound: 0.03, gone: 0.97 })
    : outcomes({ sound: 0.98, gone: 0.02 });

/** After half an hour of power, by a hand under the tap: what the tank has come to. */
export const recovery: StateObservation = {
  // It is waited for with the power on and every wire in its place.
  keyOf: (state) => electricStateKey(withPower(state)),
  predict(hypothesis, state, unit) {
    const { samples } = unit.water.course(hypothesis, withPower(state), {
      seconds: 1800,
      draws: [],
      sampleEverySecond: 1800,
    });
    const { outletCelsius } = samples.at(-1)!;
    const hot = above(outletCelsius, 41.5, 2);
    const cold = 1 - above(outletCelsius, 28.5, 1.5);
    const shares = { hot: told(0.02 + 0.95 * hot), cold: told(0.01 + 0.95 * cold) };
    return outcomes({ ...shares, warm: 1 - shares.hot - shares.cold });
  },
};

const withPower = (state: UnitState): UnitState => ({
  ...state,
  controls: { ...state.controls, power: 'on' },
  apart: [],
});

/** An open kitchen tap or tub, in L/min, as it is met. Common practice. */
const openTap = [7.5, 9.5, 11.5];
/** Spread of the outlet of a tank that is said to stand at its dial: dials and people differ. In kelvin; common practice. */
const dialSpread = 3.5;

/** The outlet as the tap is opened. */
export const outletFirst: StateObservation = {
  keyOf: () => '',
  predict(hypothesis, _, unit) {
    const { samples } = drawOf(hypothesis, unit, 1, openTap[1]!);
    const { outletCelsius } = samples[0]!;
    return celsius(outletCelsius - 1, outletCelsius > 25 ? dialSpread : coldSpread);
  },
};

/** The outlet after five minutes of an open tap, whatever that tap gives. */
export const outletAfterFiveMinutes: StateObservation = {
  keyOf: () => '',
  predict(hypothesis, _, unit) {
    const ends = openTap.map(
      (flow) => drawOf(hypothesis, unit, 300, flow).samples.at(-1)!.outletCelsius,
    );
    const mean = ends.reduce((sum, each) => sum + each, 0) / ends.length;
    const byFlow = Math.sqrt(ends.reduce((sum, each) => sum + (each - mean) ** 2, 0) / ends.length);
    const isCold = hypothesis.situation.topCelsius < 25;
    return celsius(mean - 1, isCold ? coldSpread : Math.hypot(dialSpread, byFlow, 2));
  },
};

/** A tap that is watched for two minutes. */
export const drawWatched: StateObservation = {
  keyOf: () => '',
  predict(hypothesis, _, unit) {
    const { samples } = drawOf(hypothesis, unit, 120, openTap[1]!);
    const first = hypothesis.situation.topCelsius;
    const falls = Math.max(
      above(first - samples.at(-1)!.outletCelsius, 6, 1.5),
      1 - above(first, 28, 1.5),
    );
    const falling = told(0.05 + 0.9 * falls);
    return outcomes({ holds: 1 - falling, 'falls-at-once': falling });
  },
};

const drawOf = (hypothesis: UnitHypothesis, unit: UnitView, seconds: number, flow: number) =>
  unit.water.course(hypothesis, asArrived, {
    seconds,
    // Still running when it is looked at.
    draws: [{ atSecond: 0, durationSecond: seconds + 1, litrePerMinute: flow }],
    sampleEverySecond: seconds,
  });

const asArrived: UnitState = { controls: { power: 'on' }, apart: [], done: [], known: {} };

/** Chance that a value that scatters so lies above a limit. */
const above = (value: number, limit: number, spread: number): number =>
  1 / (1 + Math.exp((-1.7 * (value - limit)) / spread));

/** What the user of the unit would say of its water. */
export const saidOfWater = (hypothesis: UnitHypothesis, unit: UnitView) =>
  wordsForWater(unit.water.shower(hypothesis), unit.water.usualShower);

/** A reset button: it clicks where the limit had tripped, and seldom where the part is dead. */
export const resetPress = (isDead: (hypothesis: UnitHypothesis) => boolean): StateObservation => ({
  keyOf: (state) => (isDone(state, resetPressed) ? 'reset' : ''),
  predict(hypothesis, state) {
    if (isDead(hypothesis)) return outcomes({ clicked: 0.2, 'no-click': 0.8 });
    return outcomes(
      hypothesis.situation.limitTripped && !isDone(state, resetPressed)
        ? { clicked: 0.95, 'no-click': 0.05 }
        : { clicked: 0.04, 'no-click': 0.96 },
    );
  },
});

/** A non-contact tester at two terminals. It lights on about 50 V to earth, and now and then beside a live neighbour. */
export const presence = (one: string, other: string): StateObservation => ({
  keyOf: electricStateKey,
  predict(hypothesis, state, unit) {
    const solved = unit.solve(hypothesis, state);
    const chance = (terminal: string) => (solved.voltageAt(terminal) > 50 ? 0.96 : 0.08);
    const [first, second] = [chance(one), chance(other)];
    return outcomes({
      both: first * second,
      'leg-1-only': first * (1 - second),
      'leg-2-only': (1 - first) * second,
      neither: (1 - first) * (1 - second),
    });
  },
});
