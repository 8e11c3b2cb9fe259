/** Temperatures at one place over time. */
export interface LogChannel {
  readonly place: string;
  readonly samples: readonly LogSample[];
}

export interface LogSample {
  readonly second: number;
  readonly celsius: number;
}

/** A place whose temperature is a tank's wall: it cannot jump as an outlet can. */
const isWall = (place: string): boolean => /^tank-|-cover$/.test(place);

/** What was left out of a channel, and why. */
export interface Dropped {
  readonly place: string;
  readonly fromSecond: number;
  readonly toSecond: number;
  readonly why: 'clock went back' | 'not a temperature' | 'probe slipped';
}

/** Water that somebody can touch, as no probe of ours reads outside of it. */
const possible = { least: -20, most: 130 } as const;
/** A wall that falls so far at once, to where nothing in the tank is, has lost its probe. */
const slip = { kelvin: 7, withinSeconds: 150 } as const;

/**
 * A channel in the order of time, without what cannot be: the same second twice, a clock that went back, values that are no
 * temperature of water, and stretches in which a probe on a wall had slipped off (it falls at once towards the room, and comes
 * back at once). What is left out is told.
 */
export function cleanChannel(
  { place, samples }: LogChannel,
  roomCelsius?: number,
): { readonly channel: LogChannel; readonly dropped: readonly Dropped[] } {
  const dropped: Dropped[] = [];
  const drop = (from: number, to: number, why: Dropped['why']) => {
    const last = dropped.at(-1);
    if (last?.why === why && from - last.toSecond < 600) {
      dropped[dropped.length - 1] = { ...last, toSecond: to };
    } else dropped.push({ place, fromSecond: from, toSecond: to, why });
  };
  const kept: LogSample[] = [];
  for (const each of samples) {
    const { second, celsius } = each;
    if (!(celsius >= possible.least && celsius <= possible.most)) {
      drop(second, second, 'not a temperature');
    } else if (kept.length > 0 && second <= kept.at(-1)!.second) {
      if (second < kept.at(-1)!.second) drop(second, second, 'clock went back');
    } else kept.push(each);
  }
  if (!isWall(place)) return { channel: { place, samples: kept }, dropped };
  const room = roomCelsius ?? Math.min(...kept.map(({ celsius }) => celsius));
  const held: LogSample[] = [];
  let before: LogSample | undefined;
  for (const each of kept) {
    const last = held.at(-1);
    if (before) {
      // It is back where it was, or near it: what lay between was not the tank.
      if (each.celsius > before.celsius - slip.kelvin / 2) {
        drop(before.second, each.second, 'probe slipped');
        before = undefined;
        held.push(each);
      }
      continue;
    }
    const fell =
      last !== undefined &&
      each.second - last.second <= slip.withinSeconds &&
      last.celsius - each.celsius > slip.kelvin;
    // Towards the room, and not to the cold that a draw lets in: that goes on falling below it.
    if (
      fell &&
      each.celsius > room - 2 &&
      last.celsius - room > slip.kelvin &&
      returns(kept, each, last)
    ) {
      before = last;
    } else held.push(each);
  }
  return { channel: { place, samples: held }, dropped };
}

/** Whether it jumps back up as it fell: heat never comes so fast. */
function returns(all: readonly LogSample[], from: LogSample, to: LogSample): boolean {
  let last = from;
  for (const each of all) {
    if (each.second <= from.second) continue;
    if (
      each.celsius - last.celsius > slip.kelvin &&
      each.second - last.second <= slip.withinSeconds &&
      each.celsius > to.celsius - slip.kelvin
    ) {
      return true;
    }
    last = each;
  }
  return false;
}

/** Its temperature at a second, along the line between its neighbours; undefined outside, and in a gap of more than so long. */
export function celsiusAt(
  samples: readonly LogSample[],
  second: number,
  longestGapSecond = 900,
): number | undefined {
  let [low, high] = [0, samples.length - 1];
  if (high < 0 || second < samples[0]!.second || second > samples[high]!.second) return undefined;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (samples[middle]!.second <= second) low = middle;
    else high = middle;
  }
  const [before, after] = [samples[low]!, samples[high]!];
  const span = after.second - before.second;
  if (span > longestGapSecond) {
    if (second - before.second < 30) return before.celsius;
    return after.second - second < 30 ? after.celsius : undefined;
  }
  const share = span === 0 ? 0 : (second - before.second) / span;
  return before.celsius * (1 - share) + after.celsius * share;
}
