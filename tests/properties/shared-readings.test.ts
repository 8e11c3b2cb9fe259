import { describe, expect, it } from 'vitest';
import { families } from '../../src/core/appliances/all';
import type { Observable, Prediction } from '../../src/core/diagnosis';
import { emptyState } from '../../src/core/job-file';
import { seededRandom } from '../../src/core/simulation';
import { emptyJob } from '../plates';
import { sampleUnit } from '../sample-unit';

/** Hypotheses of each check that are worked out alone. */
const sampled = 25;

/** What tells two predictions apart, with last digits left out. */
function told(prediction: Prediction): unknown {
  if (prediction.kind === 'outcomes') return prediction.probabilities;
  const { value, variance, gradients, otherwise } = prediction;
  return {
    numbers: [value, variance, ...gradients].map((each) => Number(each.toPrecision(9))),
    otherwise: otherwise && told(otherwise.as),
  };
}

describe('what a check shows of a unit', () => {
  it.each(families)('does not depend on what was asked before it: $id', (family) => {
    const job = emptyJob(sampleUnit(family));
    const model = family.model(family.plateOf(job));
    const may = { liveWork: true, gasWork: true };
    const { candidates } = family.planStart(emptyState, may, family.parameters);
    const random = seededRandom(20);
    const count = model.hypotheses.length;
    const differ: string[] = [];
    for (const { checkId, observableIn } of candidates) {
      const observable: Observable = observableIn(0);
      // Hypotheses that read alike are worked out once: whoever is asked first speaks for the others.
      const shared = model.predictor(observable);
      for (let h = 0; h < count; h++) shared(h);
      for (let k = 0; k < sampled; k++) {
        const index = Math.floor(random.next() * count);
        const [together, alone] = [shared(index), model.predictor(observable)(index)].map(told);
        if (JSON.stringify(together) !== JSON.stringify(alone)) {
          differ.push(`${checkId} of ${model.hypotheses[index]!.id}`);
        }
      }
    }
    expect(differ).toEqual([]);
  });
});
