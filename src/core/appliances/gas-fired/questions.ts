import type { Question } from '../family';

const yesNo = { yes: 'yes', no: 'no' };

/** Asked first of anything that burns: they end the diagnosis, and tell nothing of what is wrong. */
export const safetyQuestions: Readonly<Record<string, Question>> = {
  gasSmell: { ask: 'Gas smelled?', values: ['no', 'yes'], words: yesNo },
  coAlarm: { ask: 'Carbon-monoxide alarm, headache, soot?', values: ['no', 'yes'], words: yesNo },
};

export const safetyAnswers = {
  gasSmell: () => ({ no: 0.97, yes: 0.03 }),
  coAlarm: () => ({ no: 0.98, yes: 0.02 }),
} as const;
