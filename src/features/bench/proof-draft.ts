import type { ActionEntry } from '@/core/job-file';

export type ProverTried = NonNullable<ActionEntry['proverTried']>;

/** What is typed of a try to prove dead, before it is entered. */
export interface ProofDraft {
  /** When its last point was typed, by the device's clock; undefined where nothing is. */
  readonly at?: number;
  readonly prover?: ProverTried;
  /** Volts as they were typed, point by point. */
  readonly texts: readonly string[];
}

/** Who was called away reads the points again: a unit may have been switched on behind them. */
const lastsMilliseconds = 10 * 60_000;

const blank = (count: number): ProofDraft => ({ texts: Array.from({ length: count }, () => '') });

/**
 * What this device has kept of a try, for as many points as there are.
 * @param by The technician who has the device now: what somebody else read is no reading of theirs.
 */
export function proofDraft(kept: string, by: string, count: number): ProofDraft {
  try {
    const draft = JSON.parse(kept) as ProofDraft & { readonly by?: string };
    if (draft.by !== by || typeof draft.at !== 'number') return blank(count);
    const { at, prover } = draft;
    return { at, prover, texts: blank(count).texts.map((_, k) => String(draft.texts[k] ?? '')) };
  } catch {
    // Nothing, or what another version kept.
    return blank(count);
  }
}

/** The same as it is kept. */
export const keptProof = (draft: Omit<ProofDraft, 'at'>, by: string, at: number): string =>
  JSON.stringify({ ...draft, by, at });

/** Too old to be entered, or of a clock that was set back since. */
export const isStale = ({ at }: ProofDraft, now: number): boolean =>
  at !== undefined && !(now - at >= 0 && now - at < lastsMilliseconds);
