import type { Question } from '../family';
import type { ElectricalDeclaration } from '../electrical/declaration';
import { saidOfWater } from '../electrical/looks';
import { hotForQuestion, hotForShares } from '../kit/hot-for';
import { besides } from '../kit/lived-water';
import type { UnitView } from '../electrical/observation';
import type { UnitHypothesis } from '../electrical/unit-hypothesis';
import names from './names.json' with { type: 'json' };

const yesNo = { true: 'yes', false: 'no' };

/** The questions that split the field before any cover comes off, each with the values it may be answered with. */
export const questions: Readonly<Record<string, Question>> = {
  complaint: { ask: 'What is wrong?', values: names.complaints },
  onset: { ask: 'Sudden or gradual?', values: ['sudden', 'gradual'] },
  allOutlets: {
    ask: 'Every hot tap?',
    values: ['true', 'false'],
    words: { true: 'every tap', false: 'one tap' },
  },
  breaker: {
    ask: 'Has a breaker gone?',
    values: ['no', 'once', 'again'],
    words: { again: 'goes again' },
  },
  reset: {
    ask: 'Reset pressed before?',
    values: ['not-pressed', 'clicked', 'no-click'],
    words: { 'not-pressed': 'no', clicked: 'it clicked', 'no-click': 'no click' },
  },
  rumble: { ask: 'Rumbling or popping?', values: ['true', 'false'], words: yesNo },
  hotFor: hotForQuestion,
  afterWork: { ask: 'Right after other work?', values: ['true', 'false'], words: yesNo },
};

/** Kinds of complaint that the call offers, the commonest first. */
export const askedComplaints = [
  'no-hot-water',
  'runs-out',
  'lukewarm',
  'slow',
  'too-hot',
  'trips-breaker',
  'trips-rcd',
  'noise',
  'leak',
  'other',
];

const isLeak = (fault: string) => /\.(earthed|burst|leaky)$/.test(fault);
const isWiring = (fault: string) => /^(splice|w-|strap)/.test(fault) || fault.startsWith('dials');

/** What the user of the unit would say. Tables are common practice. */
export const answers: ElectricalDeclaration['answers'] = {
  complaint: (hypothesis, _, unit) => complaintKinds(hypothesis, unit),
  hotFor: (hypothesis, _, unit) => hotForShares(unit.water.shower(hypothesis)),
  onset: ({ faults }) => {
    if (faults.includes('sediment')) return { sudden: 0.1, gradual: 0.9 };
    if (faults.some((each) => each.startsWith('dials'))) return { sudden: 0.45, gradual: 0.55 };
    if (faults.includes('demand')) return { sudden: 0.35, gradual: 0.65 };
    if (faults.some((each) => /\.(resistive|leaky)$/.test(each)))
      return { sudden: 0.6, gradual: 0.4 };
    if (faults.some((each) => each.startsWith('lower-element')))
      return { sudden: 0.75, gradual: 0.25 };
    return { sudden: 0.88, gradual: 0.12 };
  },
  allOutlets: ({ faults }) =>
    faults.length === 0 || faults.includes('demand')
      ? { true: 0.55, false: 0.45 }
      : { true: 0.96, false: 0.04 },
  breaker: ({ faults, situation }) => {
    if (situation.trips) return { no: 0.08, once: 0.22, again: 0.7 };
    if (faults.includes('supply.off')) return { no: 0.45, once: 0.5, again: 0.05 };
    if (faults.some(isLeak)) return { no: 0.75, once: 0.17, again: 0.08 };
    return { no: 0.95, once: 0.04, again: 0.01 };
  },
  reset: ({ situation }) =>
    situation.limitTripped
      ? { 'not-pressed': 0.8, clicked: 0.17, 'no-click': 0.03 }
      : { 'not-pressed': 0.83, clicked: 0.03, 'no-click': 0.14 },
  rumble: ({ faults }) =>
    faults.includes('sediment') ? { true: 0.7, false: 0.3 } : { true: 0.07, false: 0.93 },
  afterWork: ({ faults }) => {
    if (faults.includes('wiring.crossed-2-4')) return { true: 0.9, false: 0.1 };
    if (faults.some(isWiring)) return { true: 0.25, false: 0.75 };
    if (faults.includes('supply.off')) return { true: 0.2, false: 0.8 };
    return { true: 0.08, false: 0.92 };
  },
};

function complaintKinds(
  hypothesis: UnitHypothesis,
  unit: UnitView,
): Readonly<Record<string, number>> {
  const { faults, situation } = hypothesis;
  const { topCelsius, limitTripped, trips } = situation;
  if (trips === 'residual-current')
    return { 'trips-rcd': 0.6, 'trips-breaker': 0.06, 'no-hot-water': 0.32 };
  if (trips) return { 'trips-breaker': 0.55, 'trips-rcd': 0.04, 'no-hot-water': 0.38 };
  if (limitTripped) return { 'no-hot-water': 0.86, 'too-hot': 0.09, lukewarm: 0.02 };
  if (topCelsius > 70) return { 'too-hot': 0.82, noise: 0.05, 'no-hot-water': 0.03 };
  if (topCelsius < 25 && faults.some(isLeak)) {
    return {
      'no-hot-water': 0.77,
      'trips-breaker': 0.08,
      'trips-rcd': 0.05,
      leak: 0.04,
      lukewarm: 0.02,
    };
  }
  const words = besides(
    saidOfWater(hypothesis, unit),
    // Where current finds water, water may be seen.
    faults.some(isLeak) ? { leak: 0.04 } : {},
  );
  return faults.includes('sediment') ? besides(words, { noise: 0.2 }) : words;
}
