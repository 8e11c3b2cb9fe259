import { partOfFault, type ApplianceFamily } from '../appliances';
import { quantityOf, type JobFile, type WalkedEntry } from '../job-file';
import { rounded, type HeaterAppraisal } from './next-check';

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
  candidates: readonly HeaterAppraisal['candidate'][],
  appraisals: readonly HeaterAppraisal[],
): UnreadPart | undefined {
  const reads = readersOf(family, repair, fault);
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

/** What reads the part that a repair fits; undefined where it fits none, or none that anything reads. */
export interface PartReaders {
  check(id: string): boolean;
  points(touched: readonly string[]): boolean;
}

export function readersOf(
  family: ApplianceFamily,
  repair: string,
  fault: string | undefined,
): PartReaders | undefined {
  const found = family.repairs[repair];
  if (!found || found.parts.length === 0) return undefined;
  const { shownBy, drawnPart } = found;
  if (shownBy) return { check: (id) => shownBy.includes(id), points: () => false };
  const failed = fault === undefined ? undefined : partOfFault(fault);
  const hasTerminals = family.names.terminals.some((each) => each.startsWith(`${failed}.`));
  const part = hasTerminals ? failed : drawnPart;
  return part === undefined
    ? undefined
    : {
        check: (id) => readsPart(family, id, part),
        points: (touched) => isReadBy(touched, part),
      };
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

/** Ohms on the part alone or from it to the tank, amperes in it, or a look at it; volts on it tell of what feeds it. */
function readsPart(family: ApplianceFamily, check: string, part: string): boolean {
  if (!family.isCheckId(check)) return false;
  const { quantity, between } = family.check(check);
  if (quantity === 'voltage-ac') return false;
  return isReadBy(between ?? [], part) || check.startsWith(`${part}-`);
}

/** Both probes on the part, or one of them on the tank. */
function isReadBy(probes: readonly string[], part: string): boolean {
  const isOn = (terminal: string) => terminal.startsWith(`${part}.`);
  return probes.some(isOn) && probes.every((each) => isOn(each) || each === 'tank');
}
