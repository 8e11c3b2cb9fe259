import type { Question } from '../family';
import { rowOf } from '../kit/signal/outcome-tables';
import { safetyAnswers, safetyQuestions } from '../gas-fired/questions';
import type { Shares } from '../kit/signal/declaration';
import { tables, type CombiSeen } from './looks';
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
      'heating-work': 'heating work',
      'plumbing-or-main': 'plumbing or main',
      none: 'no',
    },
  },
  frost: {
    ask: 'Hard frost these days?',
    values: tables.frost!.values,
    words: { true: 'yes', false: 'no' },
  },
};

export const askedComplaints = [
  'no-hot-water',
  'lukewarm',
  'swings',
  'too-hot',
  'heating-only',
  'hot-water-only',
  'slow',
  'late',
  'noise',
  'leak',
  'code',
  'dead-display',
  'other',
] as const;

const fromTable = (id: string) => (seen: CombiSeen) => rowOf(tables[id]!, seen, 'said');

/** What the user of the unit would say. Common practice (outcomes.json). */
export const answers: Readonly<Record<string, (seen: CombiSeen) => Shares>> = {
  ...safetyAnswers,
  complaint: fromTable('complaint'),
  allOutlets: fromTable('allOutlets'),
  onset: fromTable('onset'),
  afterWork: fromTable('afterWork'),
  frost: fromTable('frost'),
};
