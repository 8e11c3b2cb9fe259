import type { ActionEntry, Entry } from '@/core/job-file';

export type ProverTried = NonNullable<ActionEntry['proverTried']>;

/** What is typed of a try to prove dead, before it is entered. */
export interface ProofDraft {
  /** When its last point was typed, by the device's clock; undefined where nothing is. */
  readonly at?: number;
  /** How often the logbook said then that it was switched on. */
  readonly timesOn?: number;
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
    const { at, timesOn, prover } = draft;
    return {
      at,
      timesOn,
      prover,
      texts: blank(count).texts.map((_, k) => String(draft.texts[k] ?? '')),
    };
  } catch {
    // Nothing, or what another version kept.
    return blank(count);
  }
}

/** The same as it is kept. */
export const keptProof = (
  draft: Omit<ProofDraft, 'at' | 'timesOn'>,
  by: string,
  at: number,
  timesOn: number,
): string => JSON.stringify({ ...draft, by, at, timesOn });

/** How often a logbook says that the power was on, by whomever. */
export const timesOnIn = (entries: readonly Entry[]): number =>
  entries.filter((each) =>
    each.kind === 'action'
      ? each.action === 'power-on'
      : 'state' in each && each.state?.power === 'on',
  ).length;

/** Too old to be entered, of a clock that was set back since, or of before somebody switched it on. */
export const isStale = (draft: ProofDraft, now: number, timesOn: number | undefined): boolean =>
  draft.at !== undefined &&
  !(now - draft.at >= 0 && now - draft.at < lastsMilliseconds && draft.timesOn === timesOn);
