/** Share with its 95 % interval. */
export interface Share {
  readonly share: number;
  readonly from: number;
  readonly to: number;
  readonly of: number;
}

/** Wilson's score interval for a share (Wilson 1927). */
export function shareOf(successes: number, of: number): Share {
  if (of === 0) return { share: Number.NaN, from: 0, to: 1, of };
  const z = 1.96;
  const share = successes / of;
  const centre = (share + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const reach =
    (z * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of))) / (1 + (z * z) / of);
  return { share, from: Math.max(0, centre - reach), to: Math.min(1, centre + reach), of };
}

/** Mean with its 95 % interval. */
export interface Mean {
  readonly mean: number;
  readonly plusMinus: number;
}

export function meanOf(values: readonly number[]): Mean {
  const mean = values.reduce((sum, each) => sum + each, 0) / values.length;
  const variance =
    values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / Math.max(1, values.length - 1);
  return { mean, plusMinus: 1.96 * Math.sqrt(variance / values.length) };
}

/** A strategy's minutes against a rival's on the very same units: below nought is less. With its 95 % interval. */
export interface Saving {
  readonly saved: number;
  readonly from: number;
  readonly to: number;
}

interface Timed {
  readonly unit: string;
  readonly minutes: number;
}

/** Unit by unit: only those that both worked on, drawn again and again in pairs (bootstrap, Efron 1979). */
export function savingOf(
  own: readonly Timed[],
  rival: readonly Timed[],
  random: () => number,
  rounds = 400,
): Saving {
  const byUnit = new Map(rival.map((each) => [each.unit, each.minutes]));
  const pairs = own.flatMap(({ unit, minutes }) => {
    const other = byUnit.get(unit);
    return other === undefined ? [] : [[minutes, other] as const];
  });
  const ratio = (list: typeof pairs) =>
    list.reduce((sum, [minutes]) => sum + minutes, 0) /
      list.reduce((sum, [, other]) => sum + other, 0) -
    1;
  const drawn = Array.from({ length: rounds }, () =>
    ratio(pairs.map(() => pairs[Math.floor(random() * pairs.length)]!)),
  );
  return { saved: ratio(pairs), from: quantileOf(drawn, 0.025), to: quantileOf(drawn, 0.975) };
}

export function quantileOf(values: readonly number[], quantile: number): number {
  const sorted = [...values].sort((one, other) => one - other);
  return sorted[Math.min(sorted.length - 1, Math.floor(quantile * sorted.length))] ?? Number.NaN;
}

export interface Prediction {
  /** Predictions of one unit belong together: they are drawn together when the interval is worked out. */
  readonly unit: number;
  readonly probability: number;
  readonly isRight: boolean;
}

export interface Calibration {
  readonly expectedError: number;
  readonly from: number;
  readonly to: number;
  readonly bins: readonly {
    readonly predicted: number;
    readonly right: number;
    readonly of: number;
  }[];
}

const mostInBin = 2000;

/**
 * Expected calibration error over bins of equal count, with a 95 % interval from units drawn again and again
 * (bootstrap, Efron 1979).
 */
export function calibrationOf(
  predictions: readonly Prediction[],
  random: () => number,
  rounds = 200,
): Calibration {
  const binned = binsOf(predictions);
  const byUnit = new Map<number, Prediction[]>();
  for (const each of predictions) {
    const own = byUnit.get(each.unit);
    if (own) own.push(each);
    else byUnit.set(each.unit, [each]);
  }
  const units = [...byUnit.values()];
  const errors = Array.from({ length: rounds }, () =>
    errorOf(binsOf(units.flatMap(() => units[Math.floor(random() * units.length)]!))),
  );
  return {
    expectedError: errorOf(binned),
    from: quantileOf(errors, 0.025),
    to: quantileOf(errors, 0.975),
    bins: binned,
  };
}

function binsOf(predictions: readonly Prediction[]): Calibration['bins'] {
  const sorted = [...predictions].sort((one, other) => one.probability - other.probability);
  const count = Math.max(1, Math.round(sorted.length / mostInBin));
  return Array.from({ length: count }, (_, k) => {
    const own = sorted.slice(
      Math.round((k * sorted.length) / count),
      Math.round(((k + 1) * sorted.length) / count),
    );
    const sum = (value: (each: Prediction) => number) =>
      own.reduce((total, each) => total + value(each), 0);
    return {
      predicted: sum((each) => each.probability) / own.length,
      right: sum((each) => (each.isRight ? 1 : 0)) / own.length,
      of: own.length,
    };
  });
}

function errorOf(bins: Calibration['bins']): number {
  const total = bins.reduce((sum, each) => sum + each.of, 0);
  return bins.reduce(
    (sum, each) => sum + (Math.abs(each.predicted - each.right) * each.of) / total,
    0,
  );
}
