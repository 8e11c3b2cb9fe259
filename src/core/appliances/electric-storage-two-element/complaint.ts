import type { Prediction } from '../../diagnosis/model';
import type { FaultId } from './faults';
import type { HeaterHypothesis } from './hypothesis';
import type { QuestionId } from './questions';
import { questions } from './questions';

/** What the user of the unit would say under a hypothesis. Tables are common practice. */
export function predictAnswer(question: QuestionId, hypothesis: HeaterHypothesis): Prediction {
  return {
    kind: 'outcomes',
    probabilities: spreadOver(questions[question].values, answers[question](hypothesis)),
  };
}

/** What the table names keeps its share; the rest is spread evenly over what it does not name. */
function spreadOver(
  values: readonly string[],
  named: Readonly<Record<string, number>>,
): Record<string, number> {
  const sum = Object.values(named).reduce((total, each) => total + each, 0);
  const unnamed = values.filter((value) => named[value] === undefined);
  const rest = unnamed.length > 0 ? Math.max(0, 1 - sum) / unnamed.length : 0;
  return Object.fromEntries(values.map((value) => [value, named[value] ?? rest]));
}

type Answer = (hypothesis: HeaterHypothesis) => Record<string, number>;

const answers: Record<QuestionId, Answer> = {
  complaint: complaintKinds,
  onset: ({ fault }) => {
    if (fault === 'sediment') return { sudden: 0.1, gradual: 0.9 };
    if (fault === 'dials.low' || fault === 'dials.unequal') return { sudden: 0.45, gradual: 0.55 };
    if (fault === 'demand') return { sudden: 0.35, gradual: 0.65 };
    if (fault.endsWith('resistive') || fault.endsWith('leaky'))
      return { sudden: 0.6, gradual: 0.4 };
    if (fault.startsWith('lower-element')) return { sudden: 0.75, gradual: 0.25 };
    return { sudden: 0.88, gradual: 0.12 };
  },
  allOutlets: ({ fault }) =>
    fault === 'demand' || fault === 'no-fault'
      ? { true: 0.55, false: 0.45 }
      : { true: 0.96, false: 0.04 },
  breaker: ({ fault, situation }) => {
    if (situation.breakerTrips) return { no: 0.08, once: 0.22, again: 0.7 };
    if (fault === 'supply.off') return { no: 0.45, once: 0.5, again: 0.05 };
    if (isLeaking(fault)) return { no: 0.75, once: 0.17, again: 0.08 };
    return { no: 0.95, once: 0.04, again: 0.01 };
  },
  reset: ({ situation }) =>
    situation.limitTripped
      ? { 'not-pressed': 0.8, clicked: 0.17, 'no-click': 0.03 }
      : { 'not-pressed': 0.83, clicked: 0.03, 'no-click': 0.14 },
  rumble: ({ fault }) =>
    fault === 'sediment' ? { true: 0.7, false: 0.3 } : { true: 0.07, false: 0.93 },
  afterWork: ({ fault }) => {
    if (fault === 'wiring.crossed-2-4') return { true: 0.9, false: 0.1 };
    if (/^(splice|w-|strap)/.test(fault) || fault.startsWith('dials'))
      return { true: 0.25, false: 0.75 };
    if (fault === 'supply.off') return { true: 0.2, false: 0.8 };
    return { true: 0.08, false: 0.92 };
  },
};

const isLeaking = (fault: FaultId) => /\.(earthed|burst|leaky)$/.test(fault);

function complaintKinds({ fault, situation }: HeaterHypothesis): Record<string, number> {
  const { topCelsius, bottomCelsius, limitTripped, breakerTrips } = situation;
  if (fault === 'sediment')
    return { slow: 0.35, 'runs-out': 0.3, noise: 0.2, lukewarm: 0.08, 'no-hot-water': 0.03 };
  if (fault === 'dip-tube.gone')
    return { lukewarm: 0.4, 'runs-out': 0.45, 'no-hot-water': 0.05, swings: 0.03 };
  if (fault === 'demand')
    return { 'runs-out': 0.7, slow: 0.12, lukewarm: 0.1, 'no-hot-water': 0.03 };
  if (fault === 'dials.low')
    return { lukewarm: 0.75, 'runs-out': 0.12, 'no-hot-water': 0.05, slow: 0.04 };
  if (fault === 'dials.unequal')
    return { lukewarm: 0.4, 'runs-out': 0.45, slow: 0.06, 'no-hot-water': 0.03 };
  if (fault === 'no-fault')
    return {
      'no-hot-water': 0.15,
      'runs-out': 0.25,
      lukewarm: 0.25,
      slow: 0.1,
      'too-hot': 0.05,
      other: 0.1,
    };
  if (breakerTrips) return { 'trips-breaker': 0.55, 'trips-rcd': 0.04, 'no-hot-water': 0.38 };
  if (limitTripped) return { 'no-hot-water': 0.86, 'too-hot': 0.09, lukewarm: 0.02 };
  if (topCelsius > 70) return { 'too-hot': 0.82, noise: 0.05, 'no-hot-water': 0.03 };
  if (topCelsius < 25) {
    return isLeaking(fault)
      ? { 'no-hot-water': 0.8, 'trips-breaker': 0.08, 'trips-rcd': 0.05, lukewarm: 0.02 }
      : { 'no-hot-water': 0.9, lukewarm: 0.03, 'runs-out': 0.02, slow: 0.02 };
  }
  if (bottomCelsius < 25) {
    return { 'runs-out': 0.55, slow: 0.14, lukewarm: 0.15, 'no-hot-water': 0.1 };
  }
  return { 'runs-out': 0.25, slow: 0.3, lukewarm: 0.2, 'no-hot-water': 0.08 };
}
