import type { SequenceEnd } from './sequence';

/** Where a sequence stops, as somebody sees it who watches. */
export const sequenceWords: Readonly<Record<SequenceEnd, string>> = {
  dark: 'dark',
  'no-response': 'does not respond',
  blocked: 'blocked, a code',
  waits: 'waits',
  'fan-silent': 'fan silent',
  'fan-no-spark': 'fan, then no spark',
  'no-spark': 'no spark or glow',
  'spark-no-flame': 'spark, no flame',
  'flame-drops': 'flame drops',
  'thump-or-late': 'late, or a thump',
  starves: 'lights, starves at high fire',
  'races-and-stops': 'races and stops',
  'runs-short': 'runs short',
  runs: 'runs',
};
