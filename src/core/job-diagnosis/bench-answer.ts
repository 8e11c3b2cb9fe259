import type { AccessStep } from '../appliances';
import type { JobFile, JobState } from '../job-file';
import { diagnoseJob, type Diagnosis, type DiagnosisOptions } from './diagnose';
import { expectCheck, type Expectation } from './expect';
import { pictureOf, type PictureState } from './picture';

/** What the bench shows of a job: the answer, the state of the unit, and what the check at hand would read. */
export interface BenchAnswer {
  readonly answer: Diagnosis;
  readonly state: JobState;
  readonly picture: PictureState;
  readonly selected?: SelectedCheck;
}

export interface SelectedCheck {
  readonly expectation: Expectation;
  readonly steps: readonly AccessStep[];
  readonly minutes: number;
}

/** The same in the browser's worker and on the server, which sends the first one with the page. */
export function benchAnswer(
  job: JobFile,
  chosen: string | undefined,
  options: DiagnosisOptions = {},
): BenchAnswer {
  const open = diagnoseJob(job, options);
  const { answer, state, family } = open;
  const check = chosen ?? answer.next?.check;
  return {
    answer,
    state,
    picture: pictureOf(open),
    selected:
      check === undefined
        ? undefined
        : {
            expectation: expectCheck(open, check),
            steps: family.accessSteps(check, state),
            minutes: family.minutesOf(check, state),
          },
  };
}
