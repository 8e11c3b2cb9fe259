import { mixingReadingProblem } from '../mixing-valve/reading-problem';
import type { FamilyCatalogue } from './catalogue';
import type { MixingEntry } from './generated/job-types';
import { phaseProblems, type MeasuredField } from './phase-problems';
import type { JobFileProblem } from './problem';

type Field = Exclude<keyof MixingEntry, 'id' | 'at' | 'kind' | 'phase'>;

/** What an entry of each phase has to say. */
const needed: Readonly<Record<MixingEntry['phase'], readonly Field[]>> = {
  begun: ['outlet', 'rule', 'isFrail', 'wanted'],
  read: ['eighths', 'hot', 'mixed', 'cold', 'tap'],
  ended: ['ended', 'isLocked', 'isTold'],
};

const water = (words: string, least = 0, most = 95): MeasuredField => ({
  quantity: 'temperature',
  least,
  most,
  words: `${words}, ${least} to ${most} °C`,
});

const measured = {
  limit: water('that a firm sets an outlet', 35, 55),
  wanted: water('that anybody wants at a tap', 30, 65),
  hot: water('of stored water'),
  mixed: water('of mixed water'),
  cold: water('of a cold feed', 0, 40),
  tap: water('of a tap'),
  farthest: water('of a tap'),
} as const;

/** What an entry of a mixing valve lacks, or says that cannot be. */
export function mixingProblems(
  entry: MixingEntry,
  pointer: string,
  { mixesHotWater, family }: FamilyCatalogue,
): JobFileProblem[] {
  if (!mixesHotWater) {
    return [{ pointer: `${pointer}/kind`, message: `${family} has no mixing valve.` }];
  }
  const problems = phaseProblems(entry, pointer, needed[entry.phase], measured);
  if (problems.length > 0) return problems;
  if (entry.phase === 'begun' && entry.rule === 'own' && entry.limit === undefined) {
    return [{ pointer: `${pointer}/limit`, message: 'The firm’s own limit is missing.' }];
  }
  if (entry.phase !== 'read') return [];
  const problem = mixingReadingProblem({
    hotCelsius: celsiusOf(entry.hot),
    mixedCelsius: celsiusOf(entry.mixed),
    coldCelsius: celsiusOf(entry.cold),
    tapCelsius: celsiusOf(entry.tap),
  });
  return problem ? [{ pointer: `${pointer}/${problem.at}`, message: problem.message }] : [];
}

const celsiusOf = (value: MixingEntry['hot']): number => (value as { celsius: number }).celsius;
