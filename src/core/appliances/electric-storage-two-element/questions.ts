import names from './names.json' with { type: 'json' };

/** The questions that split the field before any cover comes off, each with the values it may be answered with. */
export const questions = {
  complaint: { ask: 'What is wrong?', values: names.complaints },
  onset: { ask: 'Sudden or gradual?', values: ['sudden', 'gradual'] },
  allOutlets: { ask: 'Every hot tap?', values: ['true', 'false'] },
  breaker: { ask: 'Has a breaker gone?', values: ['no', 'once', 'again'] },
  reset: { ask: 'Reset pressed before?', values: ['not-pressed', 'clicked', 'no-click'] },
  rumble: { ask: 'Rumbling or popping?', values: ['true', 'false'] },
  afterWork: { ask: 'Right after other work?', values: ['true', 'false'] },
} as const;

export type QuestionId = keyof typeof questions;

export const questionIds = Object.keys(questions) as QuestionId[];
