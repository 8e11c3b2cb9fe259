import type { OpenDiagnosis } from './open-diagnosis';

/** A repair that ends the trouble and leaves its cause unknown: somebody has to look again. */
export interface Recheck {
  readonly repair: string;
  readonly days: number;
  readonly why: string;
  /** Checks that would have told, and have not been taken with a good result since. */
  readonly unseen: readonly string[];
}

/**
 * Whether a job that ends with its last repair needs another look by a date. A limit that tripped and was only reset may
 * have a welded contact behind it, which cold water hides; shown to open, there is no need.
 */
export function recheckOf({ family, state, walked }: OpenDiagnosis): Recheck | undefined {
  const repair = state.repairsDone.at(-1) ?? state.verdict?.repair;
  const recheck = repair === undefined ? undefined : family.repairs[repair]?.recheck;
  if (repair === undefined || !recheck) return undefined;
  const unseen = recheck.unless.filter(
    (results) =>
      !walked.some(
        ({ entry }) => entry.kind === 'observation' && results[entry.check] === entry.value,
      ),
  );
  return unseen.length === 0
    ? undefined
    : {
        repair,
        days: recheck.days,
        why: recheck.why,
        unseen: unseen.map((results) => Object.keys(results)[0]!),
      };
}
