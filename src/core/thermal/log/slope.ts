import type { LogSample } from './temperature-log';

/** How fast something warms, with how well that is known. */
export interface Slope {
  readonly kelvinPerSecond: number;
  /** One standard deviation. */
  readonly spread: number;
}

/** More than this many points are taken every so often: the slope is as good. */
const mostPoints = 90;

/**
 * The slope of a stretch: the median of the slopes between its points (Theil and Sen), which a few wild readings do not move.
 * @throws RangeError for fewer than three readings, or none apart in time.
 */
export function slopeOf(samples: readonly LogSample[]): Slope {
  const step = Math.max(1, Math.ceil(samples.length / mostPoints));
  const points = samples.filter((_, k) => k % step === 0);
  if (points.length < 3) throw new RangeError('a slope takes three readings');
  const slopes: number[] = [];
  for (let a = 0; a < points.length; a++) {
    for (let b = a + 1; b < points.length; b++) {
      const seconds = points[b]!.second - points[a]!.second;
      if (seconds > 0) slopes.push((points[b]!.celsius - points[a]!.celsius) / seconds);
    }
  }
  if (slopes.length === 0) throw new RangeError('readings of one moment have no slope');
  const kelvinPerSecond = median(slopes);
  const level = median(points.map(({ second, celsius }) => celsius - kelvinPerSecond * second));
  const residuals = points.map(({ second, celsius }) =>
    Math.abs(celsius - level - kelvinPerSecond * second),
  );
  const noise = Math.max(0.05, 1.4826 * median(residuals));
  const middle = points.reduce((sum, each) => sum + each.second, 0) / points.length;
  const across = Math.sqrt(points.reduce((sum, each) => sum + (each.second - middle) ** 2, 0));
  return { kelvinPerSecond, spread: (1.1 * noise) / across };
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
