import type {
  FamilyModel,
  MeterModel,
  OutcomePrediction,
  Prediction,
  QuantityPrediction,
  SharedUnknown,
} from '../../../diagnosis/model';
import type { FamilyPlate } from '../../appliance-family';
import type { FamilyParameters } from '../parameters';
import { logPredictor } from '../logged-water';
import { unlistedRepairId } from '../unlisted-repair';
import { stateKey, type UnitState } from '../unit-state';
import type { Signals } from '../stages';
import { hasFault } from './has-fault';
import type { Follows, Seen, Shares, SignalDeclaration, Standing } from './declaration';
import { signalHypotheses, type SignalHypothesis } from './hypothesis';
import type { SignalObservable } from './observable';
import { readsAtPair } from './pairs';
import { differenceOf, KnownSlopes } from './slopes';
import { tapLogPredictor, type TapLogObservable } from './tap-log';

export interface SignalFamilyModel<S extends Standing> extends FamilyModel<SignalObservable> {
  readonly hypotheses: readonly SignalHypothesis<S>[];
}

/** One repair in sixty does not end its fault. Common practice. */
const repairFails = 1 / 60;
/** One unit in thirty has something that nobody foresaw. Common practice. */
const unlistedShare = 0.035;
/** States whose runs are kept. */
const mostRuns = 16;
/** And those whose slopes are. */
const mostSlopes = 8;

/** A family of signals as the engine sees it, for one plate and one set of parameters. */
export function signalFamilyModel<Plate extends FamilyPlate, S extends Standing>(
  declaration: SignalDeclaration<Plate, S>,
  plate: Plate,
  parameters: FamilyParameters,
): SignalFamilyModel<S> {
  const { names, questions, shared } = declaration;
  const tolerances: Readonly<Record<string, number | undefined>> = declaration.tolerances;
  const model = declaration.model(plate);
  const listed = signalHypotheses(declaration, model, plate, parameters);
  // Behind them stands how those are otherwise whose contact comes and goes.
  const hypotheses = [...listed, ...listed.flatMap(({ otherwise }) => otherwise?.as ?? [])];
  const otherwiseOf = new Map(
    listed
      .flatMap((each, index) => (each.otherwise ? [index] : []))
      .map((index, k) => [index, listed.length + k]),
  );
  const byFaults = new Map<string, number[]>();
  listed.forEach(({ faults }, index) => {
    const key = faults.join(' ');
    byFaults.set(key, [...(byFaults.get(key) ?? []), index]);
  });
  const healthy = byFaults.get('')!;
  const seen = (
    hypothesis: SignalHypothesis<S>,
    state: UnitState,
    standing: S,
    signals: Signals,
  ): Seen<Plate, S> => ({
    plate,
    elements: hypothesis.elements,
    standing,
    state,
    signals,
    has: hasFault(hypothesis.faults),
  });
  /** Signals of every hypothesis in a state: many looks are taken in the same one. */
  const runs = new Map<string, (Signals | undefined)[]>();
  const seenIn = (state: UnitState) => {
    const key = stateKey(state);
    const known = runs.get(key) ?? [];
    runs.delete(key);
    runs.set(key, known);
    const oldest = runs.keys().next().value;
    if (runs.size > mostRuns && oldest !== undefined) runs.delete(oldest);
    return (index: number, given: S | undefined): Seen<Plate, S> => {
      const hypothesis = hypotheses[index]!;
      const { elements, standing } = hypothesis;
      if (given) {
        return seen(
          hypothesis,
          state,
          given,
          model.run({ plate, elements, standing: given, state }),
        );
      }
      const signals = (known[index] ??= model.run({ plate, elements, standing, state }));
      return seen(hypothesis, state, standing, signals);
    };
  };

  /** How signals follow elements, in a state: several readings follow the same ones. */
  const slopes = new Map<string, KnownSlopes>();
  const slopesIn = (
    state: UnitState,
  ): ((index: number, element: string, signal: string, still: Signals) => number) => {
    const key = stateKey(state);
    const known = slopes.get(key) ?? new KnownSlopes();
    slopes.delete(key);
    slopes.set(key, known);
    const oldest = slopes.keys().next().value;
    if (slopes.size > mostSlopes && oldest !== undefined) slopes.delete(oldest);
    return (index, element, signal, still) =>
      known.slope(index, element, signal, still, (log) => {
        const hypothesis = hypotheses[index]!;
        const elements = nudgedBy(hypothesis, element, log);
        return model.run({ plate, elements, standing: hypothesis.standing, state });
      });
  };

  const quantity = (
    hypothesis: SignalHypothesis<S>,
    own: number,
    meter: MeterModel,
    { elements: followed }: Follows,
    value: number,
    slopeAlong: (element: string) => number,
    /** What all but its faults differs by, where that is known from another unit. */
    restVariance?: number,
  ): QuantityPrediction => {
    const isOut = value > (meter.overRangeAbove ?? Infinity) * 10;
    const slope = (element: string) => {
      // What is nought has no share of itself to be moved by.
      if (isOut || !followed.includes(element) || hypothesis.elements[element] === 0) return 0;
      return slopeAlong(element);
    };
    const gradients = shared.map(({ element }) =>
      element in hypothesis.changes ? 0 : slope(element),
    );
    const variance = Object.entries(hypothesis.spread)
      .filter(([element]) => restVariance === undefined || element in hypothesis.changes)
      .reduce(
        (sum, [element, spread]) => sum + (spread * slope(element)) ** 2,
        own ** 2 + (restVariance ?? 0),
      );
    return {
      kind: 'quantity',
      meter,
      value,
      gradients: gradients.map((each) => (Math.abs(each) < meter.floor * 1e-3 ? 0 : each)),
      variance,
      floats: false,
    };
  };

  /** Elements that are not as in a good unit, in value or in spread, of each hypothesis. */
  const changedElements = hypotheses.map(({ changes, spread }) => [
    ...new Set([
      ...Object.keys(changes),
      ...Object.keys(spread).filter((each) => spread[each] !== tolerances[each]),
    ]),
  ]);
  const isShared = new Set(shared.map(({ element }) => element));
  const keysOfFollows = new WeakMap<Follows, (string | undefined)[]>();
  /** What sets a hypothesis apart from a good unit among the elements that a reading follows: equal keys, equal readings. */
  const changesWithin = (follows: Follows): ((index: number) => string) => {
    const keys = keysOfFollows.get(follows) ?? [];
    keysOfFollows.set(follows, keys);
    const isFollowed = new Set(follows.elements);
    return (index) =>
      (keys[index] ??= changedElements[index]!.flatMap((each) => {
        const { elements, spread } = hypotheses[index]!;
        const own = isFollowed.has(each) ? `${each}=${elements[each]}/${spread[each] ?? 0}` : '';
        return own || (isShared.has(each) ? each : []);
      }).join(' '));
  };

  const predictReading = (
    observable: Exclude<SignalObservable, { kind: 'question' | 'log' | 'tap-log' }>,
  ): ((index: number) => Prediction) => {
    const { state } = observable;
    const check = observable.kind === 'target' ? undefined : observable.check;
    const named = check === undefined ? undefined : names.checks[check]!;
    const of = observable.kind === 'target' ? observable.quantity : named!.quantity!;
    const target = observable.kind === 'target' ? observable.target : undefined;
    const point = target && 'point' in target ? target.point : undefined;
    const pair =
      target && 'between' in target ? readsAtPair(declaration.readsBetween, target) : undefined;
    const signal =
      check !== undefined
        ? declaration.reads[check]
        : point === undefined
          ? pair?.[of]
          : declaration.readsAt[point]?.[of];
    const follows =
      signal === undefined ? declaration.follows.probe : declaration.follows.signals[signal];
    if (!follows) throw new TypeError(`it is not said what "${signal}" follows`);
    const meter = declaration.meterOf(check, of);
    const own = declaration.ownSpread[check ?? point ?? ''] ?? 0;
    const made = new Map<string, QuantityPrediction>();
    const keyOf = changesWithin(follows);
    const gates = follows.gates ?? [];
    const found = seenIn(state);
    const slopeOf = slopesIn(state);
    const good = healthy[0]!;
    /** What a good unit differs by in this reading; nothing where what it reads through stands otherwise here. */
    const restOf = (index: number): number => {
      const [here, there] = [index, good].map((each) =>
        gatesOf(found(each, undefined).signals, gates).join(' '),
      );
      return here === there ? predictions(good).variance - own ** 2 : 0;
    };
    const predictions = (index: number): QuantityPrediction => {
      const hypothesis = hypotheses[index]!;
      const given = observable.standing as S | undefined;
      const standing = given ?? hypothesis.standing;
      const isRough =
        declaration.pairsSpreadAsGood === true && hypothesis.grid === 'coarse' && index !== good;
      const standingKey = follows.byStanding ? declaration.standingKey(standing) : '';
      const gateKey = gates.length > 0 ? gatesOf(found(index, given).signals, gates).join(' ') : '';
      const madeKey = `${keyOf(index)}/${standingKey}/${gateKey}/${isRough}`;
      const known = made.get(madeKey);
      if (known) return known;
      const read = (elements: Readonly<Record<string, number>>): number => {
        const unit = { plate, elements, standing, state };
        if (signal !== undefined) return model.run(unit)[signal]!;
        return model.probe(unit, target ?? { between: named!.between! }, of) ?? 0;
      };
      const value =
        signal !== undefined ? found(index, given).signals[signal]! : read(hypothesis.elements);
      const slopeAlong = (element: string): number =>
        signal !== undefined && !given
          ? slopeOf(index, element, signal, found(index, undefined).signals)
          : differenceOf(value, (log) => read(nudgedBy(hypothesis, element, log)));
      const prediction = quantity(
        hypothesis,
        own,
        meter,
        follows,
        value,
        slopeAlong,
        isRough ? restOf(index) : undefined,
      );
      made.set(madeKey, prediction);
      return prediction;
    };
    return predictions;
  };

  const predictorOf = (observable: SignalObservable): ((index: number) => Prediction) => {
    if (observable.kind === 'question') {
      const answers = declaration.answers[observable.question]!;
      const { values } = questions[observable.question]!;
      const found = seenIn(arrival);
      const spread = spreadOnce(values);
      return (index) => spread(answers(found(index, undefined)));
    }
    if (observable.kind === 'log') {
      const { water } = declaration;
      if (!water) throw new TypeError('a family without a tank has no logs of one');
      const { log, state } = observable;
      return logPredictor(
        hypotheses.length,
        (index) => {
          const { elements, standing } = hypotheses[index]!;
          return water.logTank({ plate, elements, standing, state });
        },
        log,
      );
    }
    if (observable.kind === 'tap-log') {
      const { tap } = declaration;
      if (!tap) throw new TypeError('a family without a tap has no logs of one');
      return tapLogPredictor(
        tap,
        hypotheses,
        plate,
        shared.map(({ element, spread }) => ({
          element,
          spread: parameters.values[spread] ?? 0,
        })),
        healthy[0]!,
        observable as TapLogObservable,
      );
    }
    const look = observable.kind === 'check' ? declaration.looks[observable.check] : undefined;
    if (observable.kind !== 'check' || !look) return predictReading(observable);
    const values = names.checks[observable.check]!.values!;
    const found = seenIn(observable.state);
    const standing = observable.standing as S | undefined;
    const spread = spreadOnce(values);
    return (index) => spread(look.predict(found(index, standing)));
  };

  return {
    hypotheses: listed,
    unknowns: shared.map(({ element, spread }) => unknown(element, parameters.values[spread] ?? 0)),
    repairOf: names.faults,
    healthyIndex: healthy[0]!,
    unlisted: { share: parameters.unlistedShare ?? unlistedShare, repair: unlistedRepairId },
    repairFails: parameters.repairFails ?? repairFails,
    predictor(observable) {
      const steady = predictorOf(observable);
      if (otherwiseOf.size === 0 || !('state' in observable)) return steady;
      const { state } = observable;
      const mixed = new Map<Prediction, Map<Prediction, Prediction>>();
      return (index) => {
        const as = otherwiseOf.get(index);
        const share = as === undefined ? 0 : listed[index]!.otherwise!.shareIn(state);
        if (as === undefined || share === 0) return steady(index);
        const [own, other] = [steady(index), steady(as)];
        const known = mixed.get(own) ?? new Map<Prediction, Prediction>();
        mixed.set(own, known);
        const found = known.get(other) ?? mixedPrediction(own, other, share);
        known.set(other, found);
        return found;
      };
    },
    afterRepairs(index, repairs) {
      const { faults, standing } = hypotheses[index]!;
      const left = faults.filter((fault) => !repairs.includes(names.faults[fault]!));
      if (left.length === 0) return [healthy[0]!];
      if (left.length === faults.length) return [index];
      const candidates = byFaults.get(left.join(' ')) ?? healthy;
      const key = declaration.standingKey(standing);
      const same = candidates.filter(
        (each) => declaration.standingKey(hypotheses[each]!.standing) === key,
      );
      const pool = same.length > 0 ? same : candidates;
      return [
        pool.reduce((best, each) =>
          hypotheses[each]!.weight > hypotheses[best]!.weight ? each : best,
        ),
      ];
    },
  };
}

/** What shows as one thing, and in so many of all readings as another. */
function mixedPrediction(own: Prediction, other: Prediction, share: number): Prediction {
  if (own === other) return own;
  if (own.kind === 'quantity' && other.kind === 'quantity') {
    return { ...own, otherwise: { share, as: other } };
  }
  if (own.kind === 'quantity' || other.kind === 'quantity') return own;
  const { probabilities } = other;
  return {
    kind: 'outcomes',
    probabilities: Object.fromEntries(
      Object.entries(own.probabilities).map(([value, each]) => [
        value,
        (1 - share) * each + share * (probabilities[value] ?? 0),
      ]),
    ),
  };
}

const nudgedBy = (
  { elements }: { readonly elements: Readonly<Record<string, number>> },
  element: string,
  log: number,
): Record<string, number> => ({ ...elements, [element]: elements[element]! * Math.exp(log) });

const gatesOf = (signals: Readonly<Signals>, gates: readonly string[]): number[] =>
  gates.map((each) => signals[each]!);

/** As somebody finds it: nothing set, nothing touched. */
const arrival: UnitState = { controls: {}, apart: [], done: [], known: {} };

/** Shares that are one and the same have one prediction, and with it one class. */
function spreadOnce(values: readonly string[]): (named: Shares) => OutcomePrediction {
  const known = new WeakMap<Shares, OutcomePrediction>();
  return (named) => {
    const found = known.get(named) ?? spreadOver(values, named);
    known.set(named, found);
    return found;
  };
}

/** What the table names keeps its share; the rest is spread evenly over what it does not name. */
function spreadOver(values: readonly string[], named: Shares): OutcomePrediction {
  let sum = 0;
  for (const value in named) sum += named[value]!;
  let unnamed = 0;
  for (const value of values) if (named[value] === undefined) unnamed += 1;
  const rest = unnamed > 0 ? Math.max(0, 1 - sum) / unnamed : 0;
  let total = 0;
  for (const value of values) total += named[value] ?? rest;
  const probabilities: Record<string, number> = {};
  for (const value of values) probabilities[value] = (named[value] ?? rest) / total;
  return { kind: 'outcomes', probabilities };
}

/** Standard normal points with shares in proportion to the density; `within` is the spread left inside a cell. */
const threePoints = { at: [-1.22, 0, 1.22], shares: [0.29, 0.42, 0.29], within: 0.35 };
const onePoint = { at: [0], shares: [1], within: 1 };

function unknown(id: string, spread: number): SharedUnknown {
  const grid = ({ at, shares, within }: typeof onePoint) => ({
    points: at.map((z, index) => ({ logRatio: spread * z, share: shares[index]! })),
    within: spread * within,
  });
  return { id, fine: grid(threePoints), coarse: grid(onePoint) };
}
