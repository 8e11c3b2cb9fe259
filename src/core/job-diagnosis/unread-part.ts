import type { ApplianceFamily } from '../appliances';
import type { WalkedEntry } from './evidence';
import { rounded, type HeaterAppraisal } from './next-check';

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
  const isRead = ({ entry }: WalkedEntry): boolean => {
    if (entry.kind === 'observation') return reads(entry.check);
    if (entry.kind !== 'reading') return false;
    if (entry.check !== undefined) return reads(entry.check);
    const touched = (entry.between ?? []).map((each) =>
      typeof each === 'string' ? each : each.end,
    );
    return entry.quantity === 'resistance' && isReadBy(touched, part);
  };
  if (walked.some(isRead)) return undefined;
  const informationOf = (check: string) =>
    appraisals.find((each) => each.candidate.checkId === check)?.information ?? 0;
  const [best] = candidates
    .filter((each) => reads(each.checkId))
    .sort(
      (one, other) =>
        informationOf(other.checkId) - informationOf(one.checkId) ||
        one.checkId.localeCompare(other.checkId),
    );
  return best && { check: best.checkId, minutes: rounded(best.minutes + best.accessMinutes) };
}

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
