import {
  balancingAdvice,
  type BalancingAdvice,
  type BalancingSession,
  type BalancingWay,
} from '@/core/balancing';
import { temperatureAnswer, type TemperatureAnswer } from '@/core/temperatures';
import type { ShowerWish } from '@/core/thermal';
import { expose } from 'comlink';
import { loadFamily, type Target } from '../core/appliances';
import type { Entry, EntryState, JobFile } from '../core/job-file';
import {
  benchAnswer,
  diagnoseJob,
  expectCheck,
  judgedAtOnce,
  pictureOf,
  probePicture,
  reportAnswer,
  type BenchAnswer,
  type Expectation,
  type PictureSetting,
  type PictureState,
  type ProbeAnswer,
  type ReportAnswer,
} from '../core/job-diagnosis';
import { suspectChances } from '../core/diagnosis';
import { downloadTables } from './download-tables';

/** What the suspects would be after one more entry. */
export interface Preview {
  readonly probabilities: Readonly<Record<string, number>>;
  readonly fitsNothing: boolean;
}

/** The picture as it is set, and what a meter would show where it was touched. */
export interface PictureAnswer {
  readonly picture: PictureState;
  readonly probe?: ProbeAnswer;
}

/** A job as it comes here: the logbook continues what came before it, after its first so many entries. */
export interface SentJob {
  readonly head: JobFile;
  readonly base: number;
  readonly added: readonly Entry[];
}

let held: readonly Entry[] = [];

/** Called at once when a job comes, before anything is waited for. */
function whole({ head, base, added }: SentJob): JobFile {
  held = [...held.slice(0, base), ...added];
  return { ...head, entries: [...held] };
}

/** The whole job, once the code of its family is here. */
function taken(sent: SentJob): Promise<JobFile> {
  const job = whole(sent);
  return loadFamily(job.unit.family).then(() => job);
}

const shortWaitMilliseconds = 400;

const service = {
  /** What to do next in a house that is balanced. */
  balance(
    session: BalancingSession,
    bandKelvin: number,
    way: BalancingWay,
  ): BalancingAdvice | undefined {
    return balancingAdvice(session, bandKelvin, way);
  },

  /** Fills the tables that the next answers need; the answer itself came with the page. */
  async prepare(sent: SentJob): Promise<void> {
    const job = await taken(sent);
    await downloadTables(job);
    benchAnswer(job, undefined);
  },

  /** Looks one step ahead only: the first answer, while the tables of a plate are still empty. */
  async diagnoseQuickly(
    sent: SentJob,
    chosen: string | undefined,
    now: string,
    by: string,
  ): Promise<BenchAnswer> {
    const job = await taken(sent);
    // Tables that are here in a moment make the first look several times as quick.
    await Promise.race([
      downloadTables(job),
      new Promise((resolve) => setTimeout(resolve, shortWaitMilliseconds)),
    ]);
    return benchAnswer(job, chosen, { depth: 'one-step', now, by, judgeMost: judgedAtOnce });
  },

  async diagnose(
    sent: SentJob,
    chosen: string | undefined,
    now: string,
    by: string,
  ): Promise<BenchAnswer> {
    const job = await taken(sent);
    await downloadTables(job);
    return benchAnswer(job, chosen, { now, by, judgeMost: judgedAtOnce });
  },

  async preview(sent: SentJob, entry: Entry): Promise<Preview> {
    const job = await taken(sent);
    const { answer, tables, standing } = diagnoseJob(
      { ...job, entries: [...job.entries, entry] },
      { depth: 'one-step', brief: true },
    );
    return {
      probabilities: suspectChances(tables, standing),
      fitsNothing: answer.warnings.some((each) => each.entries.includes(entry.id)),
    };
  },

  /** What the job's report says: the same as the bench, and as the server's own report. */
  async report(sent: SentJob): Promise<ReportAnswer> {
    const job = await taken(sent);
    await downloadTables(job);
    return reportAnswer(job);
  },

  /** What a check would read if it is taken with this load. */
  async expect(sent: SentJob, check: string, load: EntryState['load']): Promise<Expectation> {
    return expectCheck(
      diagnoseJob(await taken(sent), { depth: 'one-step', brief: true }),
      check,
      load,
    );
  },

  /** What the job's temperatures tell; undefined for a unit that stores no water. */
  async temperatures(
    sent: SentJob,
    wish: ShowerWish | undefined,
  ): Promise<TemperatureAnswer | undefined> {
    return temperatureAnswer(await taken(sent), wish);
  },

  async picture(
    sent: SentJob,
    setting: PictureSetting,
    target: Target | undefined,
  ): Promise<PictureAnswer> {
    const open = diagnoseJob(await taken(sent), { depth: 'one-step', brief: true });
    return {
      picture: pictureOf(open, setting),
      probe: target && probePicture(open, target, setting),
    };
  },
};

export type DiagnosisService = typeof service;

expose(service);
