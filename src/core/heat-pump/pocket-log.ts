import { depthOfShare, shareOfPair } from './pocket';

interface Sample {
  readonly second: number;
  readonly celsius: number;
}

/** How a sensor felt its water over a log: all along, or up to a moment and from then on. */
export interface PocketCourse {
  readonly before: PocketStretch;
  /** Where it changed by a step: a sensor that was pushed, or one that slipped out. */
  readonly after?: PocketStretch & { readonly fromSecond: number };
}

export interface PocketStretch {
  /** Share of the water that it felt, and the depth that this stands for. */
  readonly share: number;
  readonly depthMillimetre: number;
  readonly pairs: number;
  /** What it showed and what was there, at the end of the stretch, °C. */
  readonly shownCelsius: number;
  readonly waterCelsius: number;
}

/** Readings of readout and water further apart than this are no pair, s. */
const pairWithinSecond = 90;
/** Pairs on either side of a step. */
const leastPairs = 2;
/** A step of less is none. */
const leastStep = 0.12;
/** Errors of a share beside what is seen of them: a probe that is a kelvin off. */
const shareError = 0.04;

/**
 * What a log of a readout beside its water says of the sensor: the share of the water that it feels, and when it changed. The
 * step is where two levels explain the shares best; none is told that is not well beyond what they scatter.
 * Undefined with fewer than two pairs, or where water and room were too near each other to tell.
 */
export function pocketCourse(
  readout: readonly Sample[],
  water: readonly Sample[],
  roomCelsius: number,
): PocketCourse | undefined {
  const pairs = readout.flatMap(({ second, celsius }) => {
    const contact = at(water, second);
    const share = contact === undefined ? undefined : shareOfPair(celsius, contact, roomCelsius);
    return share === undefined ? [] : [{ second, share, shown: celsius, water: contact! }];
  });
  if (pairs.length < leastPairs) return undefined;
  const stretch = (from: number, until: number): PocketStretch => {
    const own = pairs.slice(from, until);
    const share = medianOf(own.map((each) => each.share));
    const last = own.at(-1)!;
    return {
      share,
      depthMillimetre: depthOfShare(Math.max(0, share)),
      pairs: own.length,
      shownCelsius: last.shown,
      waterCelsius: last.water,
    };
  };
  const split = bestSplit(pairs.map(({ share }) => share));
  if (split === undefined) return { before: stretch(0, pairs.length) };
  return {
    before: stretch(0, split),
    after: { ...stretch(split, pairs.length), fromSecond: pairs[split]!.second },
  };
}

/** The first of the second level, where two levels are clearly better than one. */
function bestSplit(shares: readonly number[]): number | undefined {
  let best: { readonly at: number; readonly left: number } | undefined;
  for (let k = leastPairs; k <= shares.length - leastPairs; k++) {
    const left = scatterOf(shares.slice(0, k)) + scatterOf(shares.slice(k));
    if (!best || left < best.left) best = { at: k, left };
  }
  if (!best) return undefined;
  const [one, other] = [shares.slice(0, best.at), shares.slice(best.at)];
  const step = Math.abs(meanOf(other) - meanOf(one));
  const spread = Math.sqrt(best.left / Math.max(1, shares.length - 2) + shareError ** 2);
  const error = spread * Math.sqrt(1 / one.length + 1 / other.length);
  return step > Math.max(leastStep, 3 * error) ? best.at : undefined;
}

/** Between the readings about a moment; undefined where none is near. */
function at(samples: readonly Sample[], second: number): number | undefined {
  const after = samples.findIndex((each) => each.second >= second);
  const next = after < 0 ? undefined : samples[after];
  const before = after < 0 ? samples.at(-1) : samples[after - 1];
  if (next && before && next.second - before.second <= 2 * pairWithinSecond) {
    const share = (second - before.second) / Math.max(1e-9, next.second - before.second);
    return before.celsius + share * (next.celsius - before.celsius);
  }
  const near = [next, before].find(
    (each) => each && Math.abs(each.second - second) <= pairWithinSecond,
  );
  return near?.celsius;
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length;

const scatterOf = (values: readonly number[]): number => {
  const mean = meanOf(values);
  return values.reduce((sum, each) => sum + (each - mean) ** 2, 0);
};

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
