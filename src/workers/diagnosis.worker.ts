import { expose } from 'comlink';
import type { ProbePoint, Entry, EntryState, JobFile } from '../core/job-file';
import {
  benchAnswer,
  diagnoseJob,
  expectCheck,
  pictureOf,
  probeTerminals,
  type BenchAnswer,
  type Expectation,
  type PictureSetting,
  type PictureState,
  type ProbeAnswer,
} from '../core/job-diagnosis';
import { suspectChances } from '../core/diagnosis';
import { downloadTables } from './download-tables';

/** What the suspects would be after one more entry. */
export interface Preview {
  readonly probabilities: Readonly<Record<string, number>>;
  readonly fitsNothing: boolean;
}

/** The wiring picture as it is set, and what a meter on the touched terminals would show. */
export interface PictureAnswer {
  readonly picture: PictureState;
  readonly probe?: ProbeAnswer;
}

const service = {
  /** Fills the tables that the next answers need; the answer itself came with the page. */
  async prepare(job: JobFile): Promise<void> {
    await downloadTables(job);
    benchAnswer(job, undefined);
  },

  /** Looks one step ahead only: the first answer, while the tables of a plate are still empty. */
  diagnoseQuickly(job: JobFile, chosen: string | undefined, now: string): BenchAnswer {
    return benchAnswer(job, chosen, { depth: 'one-step', now });
  },

  async diagnose(job: JobFile, chosen: string | undefined, now: string): Promise<BenchAnswer> {
    await downloadTables(job);
    return benchAnswer(job, chosen, { now });
  },

  preview(job: JobFile, entry: Entry): Preview {
    const { answer, tables, standing } = diagnoseJob(
      { ...job, entries: [...job.entries, entry] },
      { depth: 'one-step', brief: true },
    );
    return {
      probabilities: suspectChances(tables, standing),
      fitsNothing: answer.warnings.some((each) => each.entries.includes(entry.id)),
    };
  },

  /** What a check would read if it is taken with this load. */
  expect(job: JobFile, check: string, load: EntryState['load']): Expectation {
    return expectCheck(diagnoseJob(job, { depth: 'one-step', brief: true }), check, load);
  },

  picture(
    job: JobFile,
    setting: PictureSetting,
    between: readonly [ProbePoint, ProbePoint] | undefined,
  ): PictureAnswer {
    const open = diagnoseJob(job, { depth: 'one-step', brief: true });
    return {
      picture: pictureOf(open, setting),
      probe: between && probeTerminals(open, between, setting),
    };
  },
};

export type DiagnosisService = typeof service;

expose(service);
