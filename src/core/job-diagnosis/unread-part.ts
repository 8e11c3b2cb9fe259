import type { ApplianceFamily } from '../appliances';
import type { HeaterAppraisal } from './next-check';
import type { WalkedEntry } from './evidence';

/** A part about to be fitted that has been found by what others read: the check that would read it itself. */
export interface UnreadPart {
  readonly check: string;
  /** Minutes with the access it still needs. */
  readonly minutes: number;
}

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
  const { parts, drawnPart } = family.repairs[repair]!;
  const failed = fault?.split('.')[0];
  const hasTerminals = family.names.terminals.some((each) => each.startsWith(`${failed}.`));
  const part = hasTerminals ? failed! : drawnPart;
  if (parts.length === 0 || part === undefined) return undefined;
  const reads = (check: string) => readsPart(family, check, part);
  const isRead = walked.some(
    ({ entry }) =>
      (entry.kind === 'reading' || entry.kind === 'observation') &&
      entry.check !== undefined &&
      reads(entry.check),
  );
  if (isRead) return undefined;
  const informationOf = (check: string) =>
    appraisals.find((each) => each.candidate.checkId === check)?.information ?? 0;
  const [best] = candidates
    .filter((each) => reads(each.checkId))
    .sort(
      (one, other) =>
        informationOf(other.checkId) - informationOf(one.checkId) ||
        one.checkId.localeCompare(other.checkId),
    );
  return best && { check: best.checkId, minutes: best.minutes + best.accessMinutes };
}

/** Ohms on the part alone or from it to the tank, amperes in it, or a look at it; volts on it tell of what feeds it. */
function readsPart(family: ApplianceFamily, check: string, part: string): boolean {
  if (!family.isCheckId(check)) return false;
  const { quantity, between } = family.check(check);
  if (quantity === 'voltage-ac') return false;
  const isOn = (terminal: string) => terminal.startsWith(`${part}.`);
  if (between?.some(isOn)) return between.every((each) => isOn(each) || each === 'tank');
  return check.startsWith(`${part}-`);
}
