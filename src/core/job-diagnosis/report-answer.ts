import type { PictureState, Stop } from '../appliances';
import { lastVerdict, type JobFile } from '../job-file';
import { carryingResults, isTakenUnread, type CarriedSuspect } from './carrying';
import { diagnoseJob, type DiagnosisOptions } from './diagnose';
import { judgeLogbook, type JudgedLogbook } from './judged';
import { pictureOf } from './picture';
import { proofOf, type RepairProof } from './proof';

export interface ReportedSuspect extends CarriedSuspect {
  readonly probability: number;
}

/** What a report says beyond the logbook itself: plain data, so that it can be worked out in a thread. */
export interface ReportAnswer {
  /** What ended the diagnosis, above everything else. */
  readonly stop?: Stop;
  readonly decided: boolean;
  /** Those of the verdict that was acted on, as it was then; without one, those of now. */
  readonly suspects: readonly ReportedSuspect[];
  /** The one that the report is about: the suspect of the verdict, else the likeliest. */
  readonly chosen?: ReportedSuspect;
  /** Entries that carry it. */
  readonly telling: readonly string[];
  /** True where the part was condemned by what other parts read. */
  readonly isTakenUnread: boolean;
  readonly proof: RepairProof;
  /** The unit, good and dead, as its terminals are now. */
  readonly picture: PictureState;
  /** Every result of the logbook beside what a good unit shows. */
  readonly judged: JudgedLogbook;
}

/**
 * The answer for the report of a job. It takes as long as that for the bench: not on a thread that others wait for.
 * @throws PlateError where the plate cannot be worked with.
 */
export function reportAnswer(job: JobFile, options: DiagnosisOptions = {}): ReportAnswer {
  const open = diagnoseJob(job, options);
  const { answer, state } = open;
  const verdict = lastVerdict(state);
  const suspects: readonly ReportedSuspect[] = verdict?.suspects ?? answer.suspects;
  const chosen = suspects.find((each) => each.repair === verdict?.repair) ?? suspects[0];
  return {
    stop: answer.stop,
    decided: answer.decided,
    suspects,
    chosen,
    telling: chosen ? carryingResults(open, chosen) : [],
    isTakenUnread: verdict !== undefined && isTakenUnread(open, verdict),
    proof: proofOf(open, job),
    picture: {
      ...pictureOf(open, { controls: { power: 'off' }, good: true, apart: [] }),
      suspected: [],
    },
    judged: judgeLogbook(open, job),
  };
}
