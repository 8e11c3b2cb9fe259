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
  const firstAt = Math.min(
    ...entries.map(({ at, track }) => Date.parse(at) + 1000 * Math.min(0, track?.second[0] ?? 0)),
  );
  const lastAt = Math.max(
    ...entries.map(
      ({ at, track }) => Date.parse(at) + 1000 * Math.max(0, track?.second.at(-1) ?? 0),
    ),
  );
  const secondOf = (at: string) => (Date.parse(at) - firstAt) / 1000;
  const channels = new Map<
    string,
    LoggedCourse['channels'][number] & { samples: { second: number; celsius: number }[] }
  >();
  for (const { at, place, track, source = 'hand', instrument } of entries) {
    if (place === undefined || track === undefined) continue;
    let channel = channels.get(place);
    if (!channel) channels.set(place, (channel = { place, source, instrument, samples: [] }));
    track.second.forEach((second, k) =>
      channel.samples.push({ second: secondOf(at) + second, celsius: track.celsius[k]! }),
    );
  }
  for (const { samples } of channels.values())
    samples.sort((one, other) => one.second - other.second);
  const started = entries.find(({ phase }) => phase === 'started');
  const stopped = entries.findLast(({ phase }) => phase === 'stopped');
  const again = entries.findLast(({ phase }) => phase === 'look-again');
  const looked = entries.findLast(({ phase }) => phase === 'looked');
  const isDue = again !== undefined && (looked === undefined || looked.at < again.at);
  return {
    log,
    purpose: started?.purpose ?? 'watch',
    startedAt: new Date(firstAt).toISOString(),
    stoppedAt: stopped?.at,
    everySecond: (started?.every as { second?: number } | undefined)?.second,
    channels: [...channels.values()],
    events: eventsIn(walked, log, firstAt, lastAt),
    ...(isDue ? { dueAt: again.due } : {}),
    entryIds: entries.map(({ id }) => id),
    repairsBefore: own[0]!.before.repairsDone,
  };
}

/** What was done from a little before its first reading to its last. */
function eventsIn(
  walked: readonly WalkedEntry[],
  log: string,
  firstAt: number,
  lastAt: number,
): LoggedEvent[] {
  return walked.flatMap(({ entry }): LoggedEvent[] => {
    const second = (Date.parse(entry.at) - firstAt) / 1000;
    if (second < -1 || Date.parse(entry.at) > lastAt + 1000) return [];
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
