import type { ElectricalDeclaration } from '../electrical/declaration';
import { saidOfWater } from '../electrical/looks';
import { hotForQuestion, hotForShares } from '../kit/hot-for';
import { besides } from '../kit/lived-water';
import type { UnitView } from '../electrical/observation';
import type { UnitHypothesis } from '../electrical/unit-hypothesis';
import type { Question } from '../family';
import names from './names.json' with { type: 'json' };

const yesNo = { true: 'yes', false: 'no' };

/** The questions that split the field before the cap comes off. */
export const questions: Readonly<Record<string, Question>> = {
  complaint: { ask: 'What is wrong?', values: names.complaints },
  onset: { ask: 'Sudden or gradual?', values: ['sudden', 'gradual'] },
  breaker: {
    ask: 'Has a breaker gone?',
    values: ['no', 'once', 'again'],
    words: { again: 'goes again' },
  },
  lamp: { ask: 'Is the lamp lit?', values: ['true', 'false'], words: yesNo },
  reset: {
    ask: 'Reset pressed before?',
    values: ['not-pressed', 'clicked', 'no-click'],
    words: { 'not-pressed': 'no', clicked: 'it clicked', 'no-click': 'no click' },
  },
  hotFor: hotForQuestion,
  afterWork: { ask: 'Right after other work?', values: ['true', 'false'], words: yesNo },
};

/** Kinds of complaint that the call offers, the commonest first. */
export const askedComplaints = [
  'no-hot-water',
  'lukewarm',
  'runs-out',
  'slow',
  'too-hot',
  'trips-rcd',
  'trips-breaker',
  'leak',
  'noise',
  'other',
];

const isLeak = (fault: string) => /\.(earthed|burst|leaky|damp)$/.test(fault);
const isWiring = (fault: string) => /^(cable-|w-|pin-|dial)/.test(fault);

/** What the user of the unit would say. Tables are common practice. */
export const answers: ElectricalDeclaration['answers'] = {
  complaint: (hypothesis, _, unit) => complaintKinds(hypothesis, unit),
  hotFor: (hypothesis, _, unit) => hotForShares(unit.water.shower(hypothesis)),
  onset: ({ faults }) => {
    if (faults.includes('scale')) return { sudden: 0.1, gradual: 0.9 };
    if (faults.includes('demand') || faults.includes('dial.low'))
      return { sudden: 0.45, gradual: 0.55 };
    return { sudden: 0.86, gradual: 0.14 };
  },
  breaker: ({ faults, situation }) => {
    if (situation.trips) return { no: 0.08, once: 0.22, again: 0.7 };
    if (faults.includes('supply.off')) return { no: 0.45, once: 0.5, again: 0.05 };
    return faults.some(isLeak)
      ? { no: 0.7, once: 0.2, again: 0.1 }
      : { no: 0.95, once: 0.04, again: 0.01 };
  },
  lamp: ({ faults, situation, supply }) => {
    const isDark =
      supply !== undefined ||
      situation.trips !== undefined ||
      situation.limitTripped ||
      faults.includes('lamp.open') ||
      faults.some((each) => /^(supply|cable|w-supply|thermostat\.(pole|both|never))/.test(each));
    if (isDark) return { true: 0.06, false: 0.94 };
    // A satisfied thermostat puts it out as well: nobody turns the knob up to look.
    return situation.topCelsius > 40 ? { true: 0.45, false: 0.55 } : { true: 0.94, false: 0.06 };
  },
  reset: ({ situation }) =>
    situation.limitTripped
      ? { 'not-pressed': 0.85, clicked: 0.12, 'no-click': 0.03 }
      : { 'not-pressed': 0.88, clicked: 0.02, 'no-click': 0.1 },
  afterWork: ({ faults }) => {
    if (faults.some(isWiring)) return { true: 0.25, false: 0.75 };
    if (faults.includes('supply.off')) return { true: 0.2, false: 0.8 };
    return { true: 0.07, false: 0.93 };
  },
};

function complaintKinds(
  hypothesis: UnitHypothesis,
  unit: UnitView,
): Readonly<Record<string, number>> {
  const { faults, situation } = hypothesis;
  const { topCelsius, limitTripped, trips } = situation;
  const has = (fault: string) => faults.includes(fault);
  if (trips === 'residual-current')
    return { 'trips-rcd': 0.6, 'trips-breaker': 0.06, 'no-hot-water': 0.3 };
  if (trips) return { 'trips-breaker': 0.55, 'trips-rcd': 0.06, 'no-hot-water': 0.36 };
  if (limitTripped) return { 'no-hot-water': 0.86, 'too-hot': 0.1, lukewarm: 0.01 };
  if (topCelsius > 70) return { 'too-hot': 0.85, noise: 0.05, 'no-hot-water': 0.02 };
  if (has('flange.damp'))
    return { leak: 0.3, 'trips-rcd': 0.15, 'no-hot-water': 0.3, lukewarm: 0.1 };
  if (has('lamp.open')) return { other: 0.7, 'no-hot-water': 0.1, lukewarm: 0.05 };
  const words = saidOfWater(hypothesis, unit);
  return has('scale') ? besides(words, { noise: 0.3, slow: 0.25 }) : words;
}
