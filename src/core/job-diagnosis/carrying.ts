import type { VerdictEntry } from '../job-file';
import type { OpenDiagnosis } from './open-diagnosis';
import { isPartRead } from './unread-part';

export interface CarriedSuspect {
  readonly repair: string;
  readonly faults?: readonly { readonly id: string; readonly probability: number }[];
  readonly why?: readonly { readonly entry: string; readonly decibans: number }[];
}

/** Entries that speak less for a suspect than this, in decibans, carry no verdict. */
const leastDecibans = 1;

/**
 * The results that carry a verdict, for somebody who reads the report: what was read on the suspect part itself first, then
 * what speaks most for it. What a caller said is no reading, and is left out where there is one.
 */
export function carryingResults(
  { family, walked }: Pick<OpenDiagnosis, 'family' | 'walked'>,
  suspect: CarriedSuspect,
  most = 3,
): readonly string[] {
  const readers = family.readersOf(suspect.repair, suspect.faults?.[0]?.id);
  const entryOf = new Map(walked.map((each) => [each.entry.id, each]));
  const telling = (suspect.why ?? [])
    .filter((each) => each.decibans >= leastDecibans)
    .map((each) => {
      const found = entryOf.get(each.entry);
      const isOwn = found !== undefined && !!readers && isPartRead(readers, family, [found]);
      return { ...each, isResult: found !== undefined, isOwn };
    })
    .sort((one, other) => Number(other.isOwn) - Number(one.isOwn) || other.decibans - one.decibans);
  const results = telling.filter((each) => each.isResult);
  return (results.length > 0 ? results : telling).slice(0, most).map((each) => each.entry);
}

/** Whether the part of a verdict was condemned by what other parts read: nothing had been read on itself by then. */
export function isTakenUnread(
  { family, walked }: Pick<OpenDiagnosis, 'family' | 'walked'>,
  verdict: VerdictEntry,
): boolean {
  const suspect = verdict.suspects.find((each) => each.repair === verdict.repair);
  const readers =
    verdict.repair === undefined
      ? undefined
      : family.readersOf(verdict.repair, suspect?.faults?.[0]?.id);
  if (!readers) return false;
  const at = walked.findIndex(({ entry }) => entry.id === verdict.id);
  const rounds = walked[at]?.before.repairsDone.length ?? 0;
  const before = walked.slice(0, at).filter((each) => each.before.repairsDone.length === rounds);
  return !isPartRead(readers, family, before);
}
