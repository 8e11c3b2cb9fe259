import type { ApplianceFamily } from '../appliances';
import type { Consistency, Doubt } from '../diagnosis';

export interface Warning {
  readonly kind: 'fits-nothing' | 'contradiction' | 'still-fits-nothing';
  readonly entries: readonly string[];
  readonly text: string;
}

export interface DoubtToSettle {
  readonly warning: Warning;
  /** The check that would settle it, if there is one that has not been refused. */
  readonly follow?: { readonly check: string; readonly repeat: boolean };
}

/** A reading that fits nothing is taken again; if it repeats, the one that would explain it is taken. */
export function doubtToSettle(
  family: ApplianceFamily,
  { doubts: all }: Consistency,
  repairsDone: number,
  /** Whether the check has been taken as the unit stands now, and whether that is what the doubt is about. */
  present: (
    check: string,
    doubt: Doubt,
  ) => { readonly isTaken: boolean; readonly isSame: boolean } | undefined,
  mistakeOf: (entryId: string) => string | undefined,
): DoubtToSettle | undefined {
  // Before a repair it was another unit: that reading cannot be taken again.
  const doubts = all.filter((each) => each.repairsBefore === repairsDone);
  // What a caller said may well be wrong: that makes no reading doubtful.
  const taken = doubts.filter((each) => !each.checkId.startsWith('call:'));
  const worst = taken[0];
  if (!worst) return undefined;
  const check = family.isCheckId(worst.checkId) ? worst.checkId : undefined;
  const label = check ? family.checks[check]!.label : 'The reading between two terminals';
  const now = check === undefined ? undefined : present(check, worst);
  // A unit that has changed since gives another reading, not the same one again: that one is asked for once.
  const canRepeat = now !== undefined && (now.isSame || !now.isTaken);
  const repeat = check !== undefined && canRepeat ? { check, repeat: true } : undefined;
  if (worst.contradicted) {
    const rivals = doubts.filter((each) => each.checkId === worst.checkId);
    if (rivals.some((each) => each.taken > 1) || worst.probabilityWrong > 0.9) return undefined;
    return {
      warning: {
        kind: 'contradiction',
        entries: rivals.flatMap((each) => each.entryIds),
        text: `${label}: two results that cannot both be true. Take it once more.`,
      },
      follow: repeat,
    };
  }
  const isDoubtful =
    worst.probabilityWrong > 0.5 || (worst.probabilityWrong > leastDoubt && allTrueOf(taken) < 0.5);
  if (!isDoubtful) return undefined;
  if (worst.taken === 1) {
    const mistake = mistakeOf(worst.entryIds[0]!);
    return {
      warning: {
        kind: 'fits-nothing',
        entries: worst.entryIds,
        text: `${label}: this fits nothing together with the other readings. ${mistake ? `${mistake} ` : ''}Take it again.`,
      },
      follow: repeat,
    };
  }
  const explaining = (check ? (family.checks[check]!.explainedBy ?? []) : []).find(
    (each) => present(each, worst)?.isTaken === false,
  );
  return {
    warning: {
      kind: 'still-fits-nothing',
      entries: worst.entryIds,
      text: explaining
        ? `${label}: the same again, and it still fits nothing else. Next the reading that would explain it.`
        : `${label}: the same again, and it still fits nothing else. ${family.words.lookCloser}`,
    },
    follow: explaining ? { check: explaining, repeat: false } : undefined,
  };
}

/** Of several readings of which one is wrong, the likeliest is asked for again if it is likely enough to be the one. */
const leastDoubt = 0.2;

const allTrueOf = (doubts: readonly Doubt[]) =>
  doubts
    .filter((each) => !each.contradicted)
    .reduce((product, each) => product * (1 - each.probabilityWrong), 1);
