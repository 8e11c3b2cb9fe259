import { describe, expect, it } from 'vitest';
import type { ElectricalFamily } from '../../src/core/appliances/electrical';
import { electricFamilies as families } from '../electric-families';
import {
  compileFamily,
  setProbabilities,
  updateBelief,
  type Evidence,
} from '../../src/core/diagnosis';
import {
  fromScale,
  quantityClass,
  rightDensity,
  spreadOnScale,
  toScale,
  wrongDensity,
  type OutcomeClass,
} from '../../src/core/diagnosis/meter';
import type { Prediction } from '../../src/core/diagnosis/model';
import { emptyState } from '../../src/core/job-file/state';
import { seededRandom } from '../../src/core/simulation';

/**
 * Judge: enumeration by brute force. Every hypothesis at every point of the shared unknowns, one at a time, without
 * classes, tables or caches. The likelihood is the same: this checks algebra and bookkeeping, not the likelihood.
 */
function byEnumeration(
  family: ElectricalFamily,
  model: Model,
  evidence: readonly HeaterEvidence[],
) {
  const predictors = evidence.map((each) => model.predictor(each.observable));
  const sums = new Map<string, number>();
  let total = 0;
  model.hypotheses.forEach((hypothesis, index) => {
    const grids = model.unknowns.map((each) => each[hypothesis.grid]);
    for (const point of everyPoint(grids)) {
      let weight = hypothesis.weight * point.share;
      evidence.forEach(({ result, errorRate }, k) => {
        const outcome = outcomeAt(predictors[k]!(index), point.logRatios, grids);
        const right = rightDensity(result, outcome);
        weight *= (1 - errorRate) * right + errorRate * wrongDensity(result, outcome);
      });
      const key = [...hypothesis.repairs].sort().join(' ');
      sums.set(key, (sums.get(key) ?? 0) + weight);
      total += weight;
    }
  });
  return new Map([...sums].map(([key, sum]) => [key, sum / total]));
}

type Model = ReturnType<ElectricalFamily['model']>;
type HeaterEvidence = Evidence<Parameters<Model['predictor']>[0]>;
type UnknownGrid = Model['unknowns'][number]['fine'];

function everyPoint(grids: readonly UnknownGrid[]): { logRatios: number[]; share: number }[] {
  return grids.reduce<{ logRatios: number[]; share: number }[]>(
    (points, { points: own }) =>
      points.flatMap((each) =>
        own.map(({ logRatio, share }) => ({
          logRatios: [...each.logRatios, logRatio],
          share: each.share * share,
        })),
      ),
    [{ logRatios: [], share: 1 }],
  );
}

function outcomeAt(
  prediction: Prediction,
  logRatios: readonly number[],
  grids: readonly UnknownGrid[],
): OutcomeClass {
  if (prediction.kind === 'outcomes') return prediction;
  const { meter, floats } = prediction;
  if (floats && meter.phantomUpTo !== undefined) {
    const centre = toScale(meter.phantomUpTo, meter) / 2;
    return quantityClass(meter, centre, centre * 0.8);
  }
  const value = prediction.gradients.reduce(
    (sum, gradient, u) => sum + gradient * logRatios[u]!,
    prediction.value,
  );
  const variance = prediction.gradients.reduce(
    (sum, gradient, u) => sum + (gradient * grids[u]!.within) ** 2,
    prediction.variance,
  );
  return quantityClass(meter, toScale(value, meter), spreadOnScale(value, variance, meter));
}

/** Results of a unit with a fault drawn at random: what that hypothesis predicts, a little off. */
function evidenceFor(family: ElectricalFamily, model: Model, seed: number): HeaterEvidence[] {
  const random = seededRandom(seed);
  const truth = Math.floor(random.next() * model.hypotheses.length);
  const { candidates } = family.planStart(emptyState, { liveWork: true });
  return Array.from({ length: 4 }, (_, k): HeaterEvidence => {
    const candidate = candidates[Math.floor(random.next() * candidates.length)]!;
    const observable = candidate.observableIn(0);
    const prediction = model.predictor(observable)(truth);
    return {
      entryId: String(k),
      checkId: candidate.checkId,
      observable,
      result: resultOf(prediction, random.normal()),
      repairsBefore: [],
      errorRate: candidate.errorRate,
    };
  }).filter(
    (each, k, all) => all.findIndex((other) => other.observable.key === each.observable.key) === k,
  );
}

function resultOf(prediction: Prediction, noise: number): HeaterEvidence['result'] {
  if (prediction.kind === 'outcomes') {
    const [outcome] = Object.entries(prediction.probabilities).sort((a, b) => b[1] - a[1])[0]!;
    return { kind: 'outcome', outcome };
  }
  const { meter, value, variance } = prediction;
  const spread = spreadOnScale(value, variance, meter);
  const outcome = quantityClass(meter, toScale(value, meter), spread);
  if (outcome.overRange > 0.5) {
    return { kind: 'over-range' };
  }
  return {
    kind: 'number',
    value: Math.max(0, fromScale(outcome.centre + 0.5 * noise * spread, meter)),
  };
}

describe.each(families)('the posterior of $id', (family) => {
  const supply = family.supplies[0]!;
  const model = family.model(
    family.plateOf({
      unit: {
        family: family.id,
        plate: {
          rated: { volt: supply.plateVolt },
          elements: Object.fromEntries(family.elements.map(({ id }) => [id, { watt: 3000 }])),
        },
      },
      site: { supply: { system: supply.system, nominal: { volt: supply.nominalVolt } } },
    }),
  );
  const tables = compileFamily(model);

  it.each([1, 2, 3, 4, 5, 6, 7, 8])('is what brute force gives, set %i', (seed) => {
    const evidence = evidenceFor(family, model, seed);
    const judged = byEnumeration(family, model, evidence);
    const ours = setProbabilities(tables, updateBelief(tables, evidence));
    tables.repairSets.forEach((set, k) => {
      // Classes are four tenths of a spread wide: likelihoods, and with them chances, are off by a little.
      expect(Math.abs(ours[k]! - (judged.get(set.join(' ')) ?? 0)), set.join(' ')).toBeLessThan(
        0.03,
      );
    });
  });
});
