import type { Observable, OutcomePrediction } from '../../diagnosis/model';
import type { LoggedCourse, LoggedEvent } from '../../job-file/logs';
import {
  explainerOf,
  stillPart,
  tellsSomething,
  type Explained,
  type TankCase,
  type WatchedLog,
} from '../../thermal/log';
import { told } from './lived-water';
import type { UnitState } from './unit-state';

/** A log of temperatures as something that was seen: what each hypothesis' tank would have shown is held against it. */
export interface LogObservable extends Observable {
  readonly kind: 'log';
  readonly log: WatchedLog;
  readonly state: UnitState;
}

/** Hypotheses of one key have one tank, and are run once. */
export interface KeyedTank {
  readonly key: string;
  readonly tank: TankCase;
}

/** The result of every log: it was as it was, and a hypothesis says how likely that is. */
export const asLogged = { kind: 'outcome', outcome: 'as-logged' } as const;

/** A log as evidence; undefined where too little was read for a tank to tell anything. */
export function logObservable(whole: WatchedLog, state: UnitState): LogObservable | undefined {
  const log = stillPart(whole);
  return tellsSomething(log)
    ? { kind: 'log', key: `log ${fingerprint(log, state)}`, isOneOff: true, log, state }
    : undefined;
}

/**
 * Chance of a log under every hypothesis, beside the one that explains it best: only how they compare counts. Every distinct
 * tank is explained once.
 */
export function logPredictor(
  count: number,
  tankOf: (index: number) => KeyedTank,
  log: WatchedLog,
): (index: number) => OutcomePrediction {
  const explain = explainerOf(log);
  const byKey = new Map<string, Explained>();
  const keys = Array.from({ length: count }, (_, index) => {
    const { key, tank } = tankOf(index);
    if (!byKey.has(key)) byKey.set(key, explain(tank));
    return key;
  });
  const most = Math.max(...[...byKey.values()].map(({ logLikelihood }) => logLikelihood));
  const predictions = new Map<string, OutcomePrediction>();
  for (const [key, { logLikelihood }] of byKey) {
    const chance = Math.max(least, told(Math.exp(logLikelihood - most)));
    predictions.set(key, {
      kind: 'outcomes',
      probabilities: { 'as-logged': chance, otherwise: 1 - chance },
    });
  }
  return (index) => predictions.get(keys[index]!)!;
}

const least = 0.001;

/** What a log says of a tank, from a logbook's course: from one moment of it to another. */
export function watchedLog(
  { channels, events }: Pick<LoggedCourse, 'channels' | 'events'>,
  dialAt: (
    event: Extract<LoggedEvent, { kind: 'dial' }>,
  ) => WatchedLog['dials'][number] | undefined,
  fromSecond = -Infinity,
  untilSecond = Infinity,
): WatchedLog {
  const isIn = ({ second }: { readonly second: number }) =>
    second >= fromSecond && second <= untilSecond;
  const kept = channels
    .map(({ place, samples }) => ({ place, samples: samples.filter(isIn) }))
    .filter(({ samples }) => samples.length > 0);
  const first = Math.min(...kept.map(({ samples }) => samples[0]!.second));
  const last = Math.max(...kept.map(({ samples }) => samples.at(-1)!.second));
  const since = (second: number) => Math.max(0, second - first);
  const within = events.filter(isIn);
  const of = <K extends LoggedEvent['kind']>(kind: K) =>
    within.filter((each): each is Extract<LoggedEvent, { kind: K }> => each.kind === kind);
  return {
    fromSecond: kept.length > 0 ? first : 0,
    channels: kept.map(({ place, samples }) => ({
      place,
      samples: samples.map(({ second, celsius }) => ({ second: since(second), celsius })),
    })),
    seconds: kept.length > 0 ? last - first : 0,
    taps: of('tap').map(({ second, litrePerMinute }) => ({
      second: since(second),
      litrePerMinute,
    })),
    switches: of('power').map(({ second, isOn }) => ({ atSecond: since(second), isOn })),
    dials: of('dial').flatMap((event) => {
      const turned = dialAt({ ...event, second: since(event.second) });
      return turned ? [turned] : [];
    }),
    resets: of('reset').map(({ second }) => since(second)),
  };
}

/** Short, and the same for the same log in the same state: FNV-1a over its text. */
function fingerprint(log: WatchedLog, state: UnitState): string {
  let hash = 0x811c9dc5;
  const text = JSON.stringify([log, state]);
  for (let k = 0; k < text.length; k++) {
    hash = Math.imul(hash ^ text.charCodeAt(k), 0x01000193);
  }
  return (hash >>> 0).toString(36) + text.length.toString(36);
}
