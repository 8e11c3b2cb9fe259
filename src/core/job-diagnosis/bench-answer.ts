import type { AccessStep, PictureState } from '../appliances';
import { dangerChances, type DangerChance } from '../diagnosis';
import type { JobFile, JobState } from '../job-file';
import { diagnoseJob, type Diagnosis, type DiagnosisOptions } from './diagnose';
import { expectCheck, type Expectation } from './expect';
import { judgeLogbook, type JudgedLogbook } from './judged';
import { pictureOf } from './picture';
import { proofOf, type RepairProof } from './proof';
import { recheckOf, type Recheck } from './recheck';

/** What the bench shows of a job: the answer, the state of the unit, and what the check at hand would read. */
export interface BenchAnswer {
  readonly answer: Diagnosis;
  readonly state: JobState;
  readonly picture: PictureState;
  /** Every result of the logbook beside what a good unit shows. */
  readonly judged: JudgedLogbook;
  readonly proof: RepairProof;
  /** Why somebody has to look again even if all is proved. */
  readonly recheck?: Recheck;
  /** The check that was asked for; the one that is proposed where none was. */
  readonly chosen?: string;
  readonly selected?: SelectedCheck;
}

export interface SelectedCheck {
  readonly expectation: Expectation;
  readonly steps: readonly AccessStep[];
  readonly minutes: number;
  /** What may happen when it is done, as far as is known now. */
  readonly dangers: readonly DangerChance[];
}

/** Of a long logbook so many of the last results are judged: nobody sees more of it at once. */
export const judgedAtOnce = 300;

/** The same in the browser's worker and on the server, which sends the first one with the page. */
export function benchAnswer(
  job: JobFile,
  chosen: string | undefined,
  options: DiagnosisOptions = {},
): BenchAnswer {
  const open = diagnoseJob(job, options);
  const { answer, state, family, tables, standing } = open;
  const check = chosen ?? answer.next?.check;
  return {
    answer,
    state,
    picture: pictureOf(open),
    judged: judgeLogbook(open, job, options.judgeMost),
    proof: proofOf(open, job),
    recheck: recheckOf(open),
    chosen,
    selected:
      check === undefined
        ? undefined
        : {
            expectation: expectCheck(open, check),
            steps: family.accessSteps(check, state),
            minutes: family.minutesOf(check, state),
            dangers: dangerChances(tables, standing, family.dangersOf(check)),
          },
  };
}
