import type { Stop } from '../appliances';
import { lastVerdict, type JobState } from '../job-file';
import type { ServiceTold } from '../service';

/** What a job stands at, as a list shows it. */
export interface Standing {
  readonly stage: Stage;
  readonly entryCount: number;
  readonly suspects: readonly { readonly repair: string; readonly probability: number }[];
  readonly decided: boolean;
  readonly next?: { readonly check: string; readonly minutes: number };
  /** Reason of a job that waits, or was closed without a repair. */
  readonly reason?: string;
  /** When somebody has to look again, although the job is closed. */
  readonly recheckBy?: string;
  readonly warning?: string;
  /** What ended the diagnosis, above everything else: smelled gas. */
  readonly stop?: string;
  readonly liftedWires: number;
  /** Parts that are needed or ordered and not in yet. */
  readonly parts?: readonly string[];
  /** What it tells of services on its unit. */
  readonly service?: ServiceTold;
  /** False while suspects and next check are those from before the last entries, or not worked out yet. */
  readonly isSettled?: false;
}

export const stages = [
  'call',
  'diagnose',
  'verdict',
  'repair',
  'waiting',
  'proof',
  'closed',
] as const;

export type Stage = (typeof stages)[number];

export const isOpenAt = ({ stage }: Standing): boolean => stage !== 'closed';

/**
 * What a job stands at from its folded logbook alone, with the suspects of before, until it is worked out.
 * @param stopTold what ends the diagnosis by what has just come.
 */
export function standingFromRecord(
  state: JobState,
  entryCount: number,
  before: Standing | undefined,
  stopTold: Stop | undefined,
): Standing {
  const verdict = lastVerdict(state);
  const decided = verdict !== undefined || (before?.decided ?? false);
  return {
    ...recorded(entryCount, state, decided),
    suspects: before?.suspects ?? [],
    decided,
    next: before?.next,
    service: before?.service,
    // It stands until it is worked out that it does not.
    stop: stopTold?.title ?? before?.stop,
    isSettled: false,
  };
}

/** What the record says of itself. */
export const recorded = (entryCount: number, state: JobState, decided: boolean) => ({
  stage: stageOf(entryCount, state, decided),
  entryCount,
  reason: state.status?.reason,
  recheckBy: state.status?.recheckBy,
  liftedWires: state.lifted.length,
  parts: [...state.parts]
    .filter(([, action]) => action === 'needed' || action === 'ordered')
    .map(([part, action]) => `${part} (${action})`)
    .slice(0, 6),
});

function stageOf(entryCount: number, state: JobState, decided: boolean): Stage {
  const status = state.status?.status;
  if (status === 'closed-repaired' || status === 'closed-not-repaired') return 'closed';
  if (status === 'waiting-for-part') return 'waiting';
  // A second verdict after a first repair is a verdict again.
  if (state.repairsDone.length > 0 && !state.verdict) return 'proof';
  if (status === 'repairing' || state.verdict) return 'repair';
  if (decided) return 'verdict';
  return entryCount === 0 ? 'call' : 'diagnose';
}
