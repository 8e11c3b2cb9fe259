import { expose } from 'comlink';
import {
  accessSteps,
  plateOf,
  type AccessStep,
  type CheckId,
} from '../core/appliances/electric-storage-two-element';
import {
  compiledFor,
  diagnoseJob,
  expectCheck,
  pictureOf,
  type Diagnosis,
  type Expectation,
  type PictureState,
} from '../core/job-diagnosis';
import type { Entry, JobFile, JobState } from '../core/job-file';

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
}

/** What the suspects would be after one more entry. */
export interface Preview {
  readonly probabilities: Readonly<Record<string, number>>;
  readonly fitsNothing: boolean;
}

const service = {
  /** Makes the tables of a plate, so that the first answer does not wait for them. */
  warm(job: JobFile): void {
    compiledFor(plateOf(job));
  },

  diagnose(job: JobFile, chosen: CheckId | undefined): BenchAnswer {
    const open = diagnoseJob(job);
    const check = chosen ?? open.answer.next?.check;
    return {
      answer: open.answer,
      state: open.state,
      picture: pictureOf(open),
      selected: check && {
        expectation: expectCheck(open, check),
        steps: accessSteps(check, open.state),
      },
    };
  },

  preview(job: JobFile, entry: Entry): Preview {
    const { answer } = diagnoseJob({ ...job, entries: [...job.entries, entry] });
    return {
      probabilities: Object.fromEntries(
        answer.suspects.map((each) => [each.repair, each.probability]),
      ),
      fitsNothing: answer.warnings.some((each) => each.entries.includes(entry.id)),
    };
  },
};

export type DiagnosisService = typeof service;

expose(service);
