import { familyOfJob } from '../appliances';
import { stateFor, type JobFile } from '../job-file';
import type { BenchAnswer } from './bench-answer';

/**
 * An answer that was worked out for nobody in particular, as far as it holds for one person: the state and the steps to the
 * check are theirs, what is best next is still as it was. The same object where nothing that counts is another person's.
 * @param by id of who has come to the unit.
 */
export function answerFor(
  answer: BenchAnswer,
  job: Pick<JobFile, 'unit'>,
  by: string,
): BenchAnswer {
  const family = familyOfJob(job);
  const state = stateFor(answer.state, family.catalogue, by);
  if (state === answer.state) return answer;
  const { selected } = answer;
  if (!selected) return { ...answer, state };
  const { check } = selected.expectation;
  return {
    ...answer,
    state,
    selected: {
      ...selected,
      steps: family.accessSteps(check, state),
      minutes: family.minutesOf(check, state),
    },
  };
}
