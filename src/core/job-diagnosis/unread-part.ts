import type { ApplianceFamily, PartReaders } from '../appliances';
import { quantityOf, type JobFile, type WalkedEntry } from '../job-file';
import { rounded, type CheckAppraisal } from './next-check';

/** A part about to be fitted that has been found by what others read: the check that would read it itself. */
export interface UnreadPart {
  readonly check: string;
  /** Minutes with the access it still needs. */
  readonly minutes: number;
}

/**
 * The school of reading a part itself before it is condemned: whether the reading is proposed, or only said.
 * On unless the firm or the job says otherwise.
 */
export const partReadingSchool = {
  id: 'part-reading',
  on: 'read-first',
  off: 'trust-elimination',
} as const;

/** A direct reading is proposed as the next check where it costs no more than this, with its access. */
export const mostDirectMinutes = 5;

export const readsPartsFirst = ({ constraints }: Pick<JobFile, 'constraints'>): boolean =>
  constraints?.schools?.[partReadingSchool.id] !== partReadingSchool.off;

/**
 * A verdict by elimination may be sure, and still nobody orders a part that no probe has touched. Undefined where the
 * repair fits no part, where the part has been read, or where nothing that is left would read it.
 */
export function unreadPart(
  family: ApplianceFamily,
  repair: string,
  fault: string | undefined,
  walked: readonly WalkedEntry[],
  candidates: readonly CheckAppraisal['candidate'][],
  appraisals: readonly CheckAppraisal[],
): UnreadPart | undefined {
  const reads = family.readersOf(repair, fault);
  if (!reads || isPartRead(reads, family, walked)) return undefined;
  const informationOf = (check: string) =>
    appraisals.find((each) => each.candidate.checkId === check)?.information ?? 0;
  const [best] = candidates
    .filter((each) => reads.check(each.checkId) && (each.dangers ?? []).length === 0)
    .sort(
      (one, other) =>
        informationOf(other.checkId) - informationOf(one.checkId) ||
        one.minutes + one.accessMinutes - other.minutes - other.accessMinutes ||
        one.checkId.localeCompare(other.checkId),
    );
  return best && { check: best.checkId, minutes: rounded(best.minutes + best.accessMinutes) };
}

/** Whether any entry has read the part on itself. */
export const isPartRead = (
  reads: PartReaders,
  family: ApplianceFamily,
  walked: readonly WalkedEntry[],
): boolean =>
  walked.some(({ entry }) => {
    if (entry.kind === 'observation') return reads.check(entry.check);
    if (entry.kind !== 'reading') return false;
    if (entry.check !== undefined) return reads.check(entry.check);
    const touched = (entry.between ?? []).map((each) =>
      typeof each === 'string' ? each : each.end,
    );
    return quantityOf(entry, family.catalogue) === 'resistance' && reads.points(touched);
  });
