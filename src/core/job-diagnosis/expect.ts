import {
  expectBands,
  type CompiledFamily,
  type ExpectedBand,
  type GoodReading,
  type Observable,
  type SharedUnknown,
} from '../diagnosis';
import type { EntryState } from '../job-file';
import type { OpenDiagnosis } from './open-diagnosis';

/** What a check shows on a good unit of this plate, and what each suspect would show. */
export interface Expectation {
  readonly check: string;
  readonly good: GoodReading;
  readonly bands: readonly ExpectedBand[];
}

/** What the check would show now, in the state it is taken in; a voltage without load, where that is said. */
export function expectCheck(
  open: OpenDiagnosis,
  check: string,
  load?: EntryState['load'],
): Expectation {
  const { family, state } = open;
  return { check, ...expectObservable(open, family.observableNow(check, state, load)) };
}

/** What anything that can be looked at would show: on a good unit, and under each suspect. */
export function expectObservable(
  { tables, standing }: Pick<OpenDiagnosis, 'tables' | 'standing'>,
  observable: Observable,
): Omit<Expectation, 'check'> {
  return {
    good: goodReading(tables, observable),
    bands: expectBands(tables, standing, observable),
  };
}

/** Two standard deviations to either side of what the plate says, with tolerances and the meter's own error. */
export function goodReading(
  { model }: Pick<CompiledFamily, 'model'>,
  observable: Observable,
): GoodReading {
  const prediction = model.predictor(observable)(model.healthyIndex);
  if (prediction.kind === 'outcomes') {
    const [likeliest] = Object.entries(prediction.probabilities).sort(
      (one, other) => other[1] - one[1],
    );
    return { kind: 'outcome', outcome: likeliest![0] };
  }
  const { meter, value, gradients, variance } = prediction;
  if (meter.overRangeAbove !== undefined && value > meter.overRangeAbove) {
    return { kind: 'over-range' };
  }
  const moments = model.unknowns.map(momentsOf);
  const mean = gradients.reduce((sum, each, k) => sum + each * moments[k]!.mean, value);
  const total = gradients.reduce(
    (sum, each, k) => sum + (each * moments[k]!.spread) ** 2,
    variance + (meter.relativeError * value) ** 2 + (meter.floor / 2) ** 2,
  );
  const reach = 2 * Math.sqrt(total);
  return {
    kind: 'range',
    nominal: Math.max(meter.least ?? 0, value - (meter.ofLeads ?? 0)),
    from: Math.max(meter.least ?? 0, mean - reach),
    to: mean + reach,
  };
}

function momentsOf({ fine: { points } }: SharedUnknown): { mean: number; spread: number } {
  const mean = points.reduce((sum, each) => sum + each.share * each.logRatio, 0);
  const square = points.reduce((sum, each) => sum + each.share * (each.logRatio - mean) ** 2, 0);
  return { mean, spread: Math.sqrt(square) };
}
