import type { LogEntry } from './generated/job-types';
import type { WalkedEntry } from './fold';

/** Temperatures followed over time, as its entries tell them. Seconds count from its first moment. */
export interface LoggedCourse {
  readonly log: string;
  readonly purpose: 'watch' | 'proof';
  readonly startedAt: string;
  readonly stoppedAt?: string;
  /** How often somebody means to read it, in seconds. */
  readonly everySecond?: number;
  readonly channels: readonly {
    readonly place: string;
    readonly source: NonNullable<LogEntry['source']>;
    readonly instrument?: string;
    readonly samples: readonly { readonly second: number; readonly celsius: number }[];
  }[];
  /** What was done meanwhile, at the unit or to it. */
  readonly events: readonly LoggedEvent[];
  /** When somebody means to look again, and has not yet. */
  readonly dueAt?: string;
  readonly entryIds: readonly string[];
  /** Repairs that were done before it began. */
  readonly repairsBefore: readonly string[];
}

export type LoggedEvent =
  | { readonly second: number; readonly kind: 'tap'; readonly litrePerMinute: number }
  | { readonly second: number; readonly kind: 'power'; readonly isOn: boolean }
  | { readonly second: number; readonly kind: 'dial'; readonly dial: string; readonly to: string }
  | { readonly second: number; readonly kind: 'reset' }
  | { readonly second: number; readonly kind: 'repair'; readonly repair: string };

/** A tap of which nobody said how much it gives, in L/min. Common practice. */
export const usualTapLitrePerMinute = 8;

/** The courses of a logbook, in the order in which they began; what was done at the unit meanwhile stands in each. */
export function logsOf(walked: readonly WalkedEntry[]): LoggedCourse[] {
  const byLog = new Map<string, WalkedEntry[]>();
  for (const each of walked) {
    if (each.entry.kind !== 'log') continue;
    const { log } = each.entry;
    const same = byLog.get(log);
    if (same) same.push(each);
    else byLog.set(log, [each]);
  }
  return [...byLog].map(([log, own]) => courseOf(log, own, walked));
}

function courseOf(
  log: string,
  own: readonly WalkedEntry[],
  walked: readonly WalkedEntry[],
): LoggedCourse {
  const entries = own.map(({ entry }) => entry as LogEntry);
  const clock = clockOf(entries);
  const channels = new Map<
    string,
    LoggedCourse['channels'][number] & { samples: { second: number; celsius: number }[] }
  >();
  for (const { place, track, source = 'hand', instrument } of entries) {
    if (place === undefined || track === undefined) continue;
    let channel = channels.get(place);
    if (!channel) channels.set(place, (channel = { place, source, instrument, samples: [] }));
    track.second.forEach((second, k) =>
      channel.samples.push({ second, celsius: track.celsius[k]! }),
    );
  }
  for (const { samples } of channels.values())
    samples.sort((one, other) => one.second - other.second);
  const started = entries.find(({ phase }) => phase === 'started');
  const stopped = entries.findLast(({ phase }) => phase === 'stopped');
  const again = entries.findLast(({ phase }) => phase === 'look-again');
  const looked = entries.findLast(({ phase }) => phase === 'looked');
  const isDue =
    again !== undefined && (looked === undefined || Date.parse(looked.at) < Date.parse(again.at));
  return {
    log,
    purpose: started?.purpose ?? 'watch',
    startedAt: clock.beganAt,
    stoppedAt: stopped?.at,
    everySecond: (started?.every as { second?: number } | undefined)?.second,
    channels: [...channels.values()],
    events: eventsIn(walked, log, clock.secondOf, lastOf(channels.values())),
    ...(isDue ? { dueAt: again.due } : {}),
    entryIds: entries.map(({ id }) => id),
    repairsBefore: own[0]!.before.repairsDone,
  };
}

/**
 * The log's own clock against the clock on the wall. A log that is read live or by hand goes with the wall, unless its
 * instrument has a clock of its own: then every batch of readings tells both.
 */
function clockOf(entries: readonly LogEntry[]) {
  const started = entries.find(({ phase }) => phase === 'started') ?? entries[0]!;
  const beganAt = started.began ?? started.at;
  const began = Date.parse(beganAt);
  const told = entries
    .flatMap(({ at, phase, source, track, second }) => {
      if (phase === 'samples' && source === 'live')
        return [[Date.parse(at), track!.second.at(-1)!]];
      return second === undefined ? [] : [[Date.parse(at), second]];
    })
    .filter(([at]) => at! > began)
    .sort(([one], [other]) => one! - other!) as [number, number][];
  const anchors: [number, number][] = [[began, 0], ...told];
  return {
    beganAt,
    secondOf(at: string): number {
      const time = Date.parse(at);
      const after = anchors.findIndex(([each]) => each > time);
      if (after === 0) return (time - began) / 1000;
      const [from, second] = anchors[(after < 0 ? anchors.length : after) - 1]!;
      if (after < 0) return second + (time - from) / 1000;
      const [until, next] = anchors[after]!;
      return second + ((time - from) / (until - from)) * (next - second);
    },
  };
}

const lastOf = (channels: Iterable<LoggedCourse['channels'][number]>): number =>
  Math.max(0, ...[...channels].map(({ samples }) => samples.at(-1)?.second ?? 0));

/** What was done from a little before its first reading to its last. */
function eventsIn(
  walked: readonly WalkedEntry[],
  log: string,
  secondOf: (at: string) => number,
  last: number,
): LoggedEvent[] {
  return walked.flatMap(({ entry }): LoggedEvent[] => {
    const own = entry.kind === 'log' && entry.log === log ? entry.second : undefined;
    const second = own ?? secondOf(entry.at);
    if (second < -1 || second > last + 1) return [];
    if (entry.kind === 'log' && entry.log === log) {
      const rate = (entry.rate as { litrePerMinute?: number } | undefined)?.litrePerMinute;
      if (entry.phase === 'tap-opened') {
        return [{ second, kind: 'tap', litrePerMinute: rate ?? usualTapLitrePerMinute }];
      }
      return entry.phase === 'tap-closed' ? [{ second, kind: 'tap', litrePerMinute: 0 }] : [];
    }
    if (entry.kind !== 'action') return [];
    const { action, dial, to, repair } = entry;
    const done: LoggedEvent[] = repair === undefined ? [] : [{ second, kind: 'repair', repair }];
    switch (action) {
      case 'power-off':
        return [{ second, kind: 'power', isOn: false }];
      case 'power-on':
        return [...done, { second, kind: 'power', isOn: true }];
      case 'press-reset':
        return [{ second, kind: 'reset' }];
      case 'set-dial':
        return [{ second, kind: 'dial', dial: dial ?? '', to: to ?? '' }];
      default:
        return done;
    }
  });
}
