import type { EvidenceResult, GoodReading } from '../diagnosis';

/** From here on a reading counts as open where a good one is over range, in the kept unit. Common practice for ohms. */
const asGoodAsOpen = 1e6;

/** Whether a result is what a good unit shows. */
export function isGoodResult(good: GoodReading, result: EvidenceResult): boolean {
  switch (result.kind) {
    case 'outcome':
      return good.kind === 'outcome' && result.outcome === good.outcome;
    case 'over-range':
      return good.kind === 'over-range';
    case 'number':
      if (good.kind === 'over-range') return result.value > asGoodAsOpen;
      return good.kind === 'range' && result.value >= good.from && result.value <= good.to;
  }
}
