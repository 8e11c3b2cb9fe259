import type { Standing } from '@/core/job-diagnosis/standing';
import { minutesText } from '@/features/bench/step-words';
import { dateWords } from '@/features/record/date-words';
import type { FamilyWords } from '@/features/record/family-words';
import { capital } from '@/features/record/words';

/** What is to be done next on a job, as the list of jobs says it. */
export function nextWords(
  words: FamilyWords,
  { stage, next, reason, decided, suspects, recheckBy, isSettled }: Standing,
  timeZone: string,
): string {
  if (recheckBy) return `Look again by ${dateWords('short', recheckBy, timeZone)}`;
  if (stage === 'closed') return reason ?? 'Report ready';
  if (stage === 'waiting') return reason ?? 'Waiting for a part';
  if (stage === 'proof') return 'Prove the repair';
  const suspect = words.suspect(suspects[0]?.repair ?? '').toLowerCase();
  if (stage === 'repair') return `Repair it: ${suspect}`;
  if (decided) return `Act on it: ${suspect}`;
  // What nobody has worked out yet says nothing about the unit.
  if (!next) return isSettled === false ? 'Next check' : 'Nothing left that would tell more';
  return `${capital(words.check(next.check))}, about ${minutesText(next.minutes)}`;
}
