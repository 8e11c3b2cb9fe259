import type { Observable, OutcomePrediction } from '../../../diagnosis/model';
import {
  featureReader,
  featuresOfLog,
  likelihoodOf,
  readIn,
  tellsOfTap,
  type TapCourse,
  type TapLog,
  type TapLogFeature,
} from '../../../water';
import type { FamilyPlate, TapWater } from '../../appliance-family';
import { told } from '../lived-water';
import { tapLogsOf } from '../logged-tap';
import type { UnitState } from '../unit-state';
import type { Running, SignalTap, Standing } from './declaration';
import { readingState } from './entry-state';
import type { SignalHypothesis } from './hypothesis';

/** A draw that was followed, as something that was seen. */
export interface TapLogObservable extends Observable {
  readonly kind: 'tap-log';
  readonly log: TapLog & { readonly fromSecond: number };
  readonly state: UnitState;
}

/** How far an element is moved to see what it does, natural logarithm; and the least chance that is told. */
const nudge = 0.04;
const least = 0.001;

interface Told {
  readonly logLikelihood: number;
}

/**
 * Chance of a followed draw under every hypothesis, beside the one that explains it best: only how they compare counts. What a
 * unit's own unknowns would make of all features together is in it, so that one race is not counted three times.
 */
export function tapLogPredictor<Plate extends FamilyPlate, S extends Standing>(
  tap: SignalTap<Plate, S>,
  hypotheses: readonly SignalHypothesis<S>[],
  plate: Plate,
  shared: readonly { readonly element: string; readonly spread: number }[],
  healthy: number,
  { log, state }: TapLogObservable,
): (index: number) => OutcomePrediction {
  const seen = featuresOfLog(log);
  const featuresOf = featureReader(log);
  const unitOf = (
    { elements, standing }: SignalHypothesis<S>,
    changed?: { readonly element: string; readonly log: number },
  ): Running<Plate, S> => ({
    plate,
    elements: changed
      ? { ...elements, [changed.element]: elements[changed.element]! * Math.exp(changed.log) }
      : elements,
    standing,
    state: stateAt(state, log),
  });
  const featuresAt = (unit: Running<Plate, S>): TapLogFeature[] =>
    featuresOf(readAt(tap, unit, log));
  const slopesOf = (
    hypothesis: SignalHypothesis<S>,
    base: readonly TapLogFeature[],
    only?: (element: string) => boolean,
  ) =>
    [
      ...shared.filter(({ element }) => !(element in hypothesis.changes)),
      ...Object.entries(hypothesis.spread).map(([element, spread]) => ({ element, spread })),
    ]
      // What is nought is not moved by a share of itself.
      .filter(
        ({ element, spread }) =>
          spread !== 0 &&
          hypothesis.elements[element] !== 0 &&
          tap.follows.includes(element) &&
          (only?.(element) ?? true),
      )
      .map(({ element, spread }) => {
        const moved = featuresAt(unitOf(hypothesis, { element, log: nudge }));
        return base.map(({ value }, k) => ((moved[k]!.value - value) / nudge) * spread);
      });
  const good = hypotheses[healthy]!;
  const goodSlopes = slopesOf(good, featuresAt(unitOf(good)));
  const made = new Map<string, Told>();
  const keys = hypotheses.map((hypothesis) => {
    const { elements, standing, grid, spread, changes } = hypothesis;
    const key = [
      ...tap.follows.map(
        (each) => `${elements[each]}/${each in changes ? (spread[each] ?? 0) : ''}`,
      ),
      tap.standingKey(standing),
    ].join(' ');
    if (!made.has(key)) {
      const expected = featuresAt(unitOf(hypothesis));
      // Of two faults, each one's own spread, and a good unit's for the rest.
      const slopes =
        grid === 'coarse'
          ? [...goodSlopes, ...slopesOf(hypothesis, expected, (element) => element in changes)]
          : slopesOf(hypothesis, expected);
      made.set(key, { logLikelihood: likelihoodOf(seen, expected, slopes) });
    }
    return key;
  });
  const most = Math.max(...[...made.values()].map(({ logLikelihood }) => logLikelihood));
  return (index) => {
    const { logLikelihood } = made.get(keys[index]!)!;
    const chance = Math.max(least, told(Math.exp(logLikelihood - most)));
    return {
      kind: 'outcomes',
      probabilities: { 'as-logged': chance, otherwise: 1 - chance },
    };
  };
}

/** As the tap was opened: on what was known of its flow temperature. */
const stateAt = (state: UnitState, { startCelsius }: TapLog): UnitState => ({
  ...state,
  known: startCelsius === undefined ? {} : { 'flow.start': startCelsius },
});

/** Temperatures that would have been read of a unit, of each channel of a log. */
function readAt<Plate extends FamilyPlate, S extends Standing>(
  tap: SignalTap<Plate, S>,
  unit: Running<Plate, S>,
  log: TapLog,
): Float64Array[] {
  const seen = tap.watch(unit);
  const { startCelsius } = log;
  const still =
    startCelsius === undefined ? seen.still : { ...seen.still, flowCelsius: startCelsius };
  return readIn(log, { ...seen, still });
}

/** A family that warms its tap as it runs, as the rest of the house sees it. */
export function signalTap<Plate extends FamilyPlate, S extends Standing>(
  tap: SignalTap<Plate, S>,
): TapWater {
  const unitOf = (plate: FamilyPlate, hypothesis: object, state: UnitState): Running<Plate, S> => {
    const { elements, standing } = hypothesis as SignalHypothesis<S>;
    return { plate: plate as Plate, elements, standing, state };
  };
  return {
    hasFlow: tap.hasFlow,
    ratings: (plate) => tap.ratings(plate as Plate),
    observablesOfLog: (course, before, { fromSecond, untilSecond } = {}) =>
      tapLogsOf(course, fromSecond, untilSecond)
        .filter(tellsOfTap)
        .map((log) => observableOf(log, tap.opened(readingState(before)))),
    twoMinutes(plate, hypothesis) {
      const unit = unitOf(plate, hypothesis, tap.opened(noState));
      const { course, litrePerMinute, still, tapShare } = tap.watch(unit);
      return { ...shownOf(course, still, tapShare), litrePerMinute };
    },
    explain(plate, hypothesis, observable) {
      const { log, state } = observable as TapLogObservable;
      const read = readAt(tap, unitOf(plate, hypothesis, stateAt(state, log)), log);
      const off = log.channels.flatMap(({ samples }, k) =>
        samples.map(({ celsius }, j) => (celsius - read[k]![j]!) ** 2),
      );
      return {
        offKelvin: Math.sqrt(off.reduce((sum, each) => sum + each, 0) / Math.max(1, off.length)),
        channels: log.channels.map(({ place, isReadout, samples }, k) => ({
          place: placeOf(place, isReadout),
          samples: samples.map(({ second }, j) => ({
            second: second + log.fromSecond,
            celsius: read[k]![j]!,
          })),
        })),
      };
    },
  };
}

/** The place of a log that a channel is of. */
const placeOf = (place: 'flow' | 'return' | 'tap', isReadout: boolean): string =>
  place === 'tap'
    ? isReadout
      ? 'readout-outlet'
      : 'outlet'
    : isReadout
      ? 'readout-flow'
      : `${place}-pipe`;

const noState: UnitState = { controls: {}, apart: [], done: [], known: {} };

function observableOf(log: TapLogObservable['log'], state: UnitState): TapLogObservable {
  return { kind: 'tap-log', key: `tap-log ${fingerprint(log, state)}`, isOneOff: true, log, state };
}

/** Short, and the same for the same log in the same state: FNV-1a over its text. */
function fingerprint(log: TapLog, state: UnitState): string {
  let hash = 0x811c9dc5;
  const text = JSON.stringify([log, state.controls, state.done]);
  for (let k = 0; k < text.length; k++) hash = Math.imul(hash ^ text.charCodeAt(k), 0x01000193);
  return (hash >>> 0).toString(36) + text.length.toString(36);
}

/** Moments that are drawn, in seconds. */
const drawnEvery = 2;
const drawnSeconds = 120;

function shownOf(
  course: TapCourse | undefined,
  still: { readonly flowCelsius: number; readonly tapCelsius: number },
  tapShare: (celsius: number) => number,
): Omit<ReturnType<TapWater['twoMinutes']>, 'litrePerMinute'> {
  const seconds = Array.from({ length: drawnSeconds / drawnEvery + 1 }, (_, k) => k * drawnEvery);
  const at = (row: Float64Array | undefined, second: number, other: number) =>
    row && course && second > 0
      ? row[Math.min(row.length - 1, Math.round(second / course.stepSecond) - 1)]!
      : other;
  return {
    burns: course !== undefined,
    cuts: course?.cuts ?? 0,
    samples: seconds.map((second) => ({
      second,
      tapCelsius: tapShare(at(course?.tapCelsius, second, still.tapCelsius)),
      flowCelsius: at(course?.flowCelsius, second, still.flowCelsius),
    })),
  };
}
