import type { WatchedLog } from './explain';

/** A wall that falls by so much in so long is being drawn: nothing else cools so fast. */
const draw = { kelvin: 4, seconds: 900 } as const;
/** Taps that were written down explain a fall from a little before to a while after. */
const settles = 900;

/**
 * The longest part of a log in which no tap ran that nobody wrote down. A model that knows of no draw would take its cold for a
 * fault: what lies on the other side of it is left out. The log itself where there is none.
 */
export function stillPart(log: WatchedLog): WatchedLog {
  const drawn = unrecordedDraws(log);
  if (drawn.length === 0) return log;
  const ends = [0, ...drawn.flatMap(({ from, to }) => [from, to]), log.seconds];
  let best = { from: 0, to: 0 };
  for (let k = 0; k < ends.length; k += 2) {
    const [from, to] = [ends[k]!, ends[k + 1]!];
    if (to - from > best.to - best.from) best = { from, to };
  }
  return partOf(log, best.from, best.to);
}

/** When walls fell as only a draw makes them fall, without a tap that was written down. */
export function unrecordedDraws({
  channels,
  taps,
}: Pick<WatchedLog, 'channels' | 'taps'>): { readonly from: number; readonly to: number }[] {
  const found: { from: number; to: number }[] = [];
  for (const { place, samples } of channels) {
    if (!/^tank-|-cover$/.test(place)) continue;
    let start = 0;
    for (let k = 1; k < samples.length; k++) {
      const now = samples[k]!;
      while (now.second - samples[start]!.second > draw.seconds) start += 1;
      const highest = samples
        .slice(start, k)
        .reduce((most, each) => (each.celsius > most.celsius ? each : most), samples[start]!);
      const falls = highest.celsius - now.celsius > draw.kelvin && start < k;
      if (!falls || isTold(taps, highest.second, now.second)) continue;
      const last = found.at(-1);
      if (last && highest.second <= last.to + 60) last.to = Math.max(last.to, now.second);
      else found.push({ from: highest.second, to: now.second });
    }
  }
  return found.sort((one, other) => one.from - other.from).reduce(joined, []);
}

const joined = (
  all: { from: number; to: number }[],
  each: { from: number; to: number },
): { from: number; to: number }[] => {
  const last = all.at(-1);
  if (last && each.from <= last.to) last.to = Math.max(last.to, each.to);
  else all.push({ ...each });
  return all;
};

/** Whether a tap ran in that time, or had just been shut. */
const isTold = (taps: WatchedLog['taps'], from: number, to: number): boolean =>
  taps.some(({ second, litrePerMinute }, k) => {
    if (!(litrePerMinute > 0)) return false;
    const until = (taps[k + 1]?.second ?? Infinity) + settles;
    return second <= to && until >= from;
  });

function partOf(log: WatchedLog, from: number, to: number): WatchedLog {
  const isIn = (second: number) => second >= from && second <= to;
  const since = (second: number) => second - from;
  const lastBefore = log.switches.findLast(({ atSecond }) => atSecond < from);
  return {
    ...log,
    fromSecond: log.fromSecond + from,
    seconds: to - from,
    channels: log.channels
      .map(({ place, samples }) => ({
        place,
        samples: samples
          .filter(({ second }) => isIn(second))
          .map(({ second, celsius }) => ({ second: since(second), celsius })),
      }))
      .filter(({ samples }) => samples.length > 0),
    taps: log.taps
      .filter(({ second }) => isIn(second))
      .map((each) => ({ ...each, second: since(each.second) })),
    switches: [
      ...(lastBefore ? [{ atSecond: 0, isOn: lastBefore.isOn }] : []),
      ...log.switches
        .filter(({ atSecond }) => isIn(atSecond))
        .map((each) => ({ ...each, atSecond: since(each.atSecond) })),
    ],
    dials: log.dials.map((each) => ({ ...each, atSecond: Math.max(0, since(each.atSecond)) })),
    resets: log.resets.filter((each) => each <= to).map((each) => Math.max(0, since(each))),
  };
}
