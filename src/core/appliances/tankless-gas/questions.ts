import type { Question } from '../family';
import { safetyAnswers, safetyQuestions } from '../gas-fired/questions';
import { rowOf } from '../kit/signal/outcome-tables';
import type { Shares } from '../kit/signal/declaration';
import { tables, type TanklessSeen } from './looks';
import namesFile from './names.json' with { type: 'json' };

export const questions: Readonly<Record<string, Question>> = {
  complaint: { ask: 'What is wrong?', values: namesFile.complaints },
  ...safetyQuestions,
  allOutlets: {
    ask: 'One outlet, or all of them?',
    values: tables.allOutlets!.values,
    words: { true: 'all', false: 'one' },
  },
  onset: {
    ask: 'Sudden or gradual?',
    values: tables.onset!.values,
    words: { sudden: 'sudden', gradual: 'gradual' },
  },
  afterWork: {
    ask: 'Right after other work?',
    values: tables.afterWork!.values,
    words: {
      'new-unit': 'newly fitted',
      'plumbing-or-main': 'plumbing or main',
      'electrical-or-control': 'electrical',
      none: 'no',
    },
  },
};

export const askedComplaints = [
  'no-hot-water',
  'lukewarm',
  'swings',
  'late',
  'noise',
  'leak',
  'code',
  'dead-display',
  'other',
] as const;

const fromTable = (id: string) => (seen: TanklessSeen) => rowOf(tables[id]!, seen, 'said');

/** What the user of the unit would say. Common practice (outcomes.json). */
export const answers: Readonly<Record<string, (seen: TanklessSeen) => Shares>> = {
  ...safetyAnswers,
  complaint: fromTable('complaint'),
  allOutlets: fromTable('allOutlets'),
  onset: fromTable('onset'),
  afterWork: fromTable('afterWork'),
};
