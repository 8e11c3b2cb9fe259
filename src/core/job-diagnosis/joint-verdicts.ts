import type { ApplianceFamily, JointVerdict } from '../appliances';
import type { WalkedEntry } from '../job-file/fold';
import { quantityOf } from '../job-file/quantity';
import { numberOf } from '../quantities';

export interface JointFinding {
  readonly id: string;
  readonly title: string;
  readonly verdict: JointVerdict;
  /** Taken once something had been repaired. */
  readonly isAfterRepair: boolean;
}

/**
 * What readings say that are judged together, the earliest first. Only readings between the same two repairs belong together,
 * of each check the last; nothing is said before all are there.
 */
export function jointVerdicts(
  family: ApplianceFamily,
  walked: readonly WalkedEntry[],
): JointFinding[] {
  const { joint = [] } = family;
  if (joint.length === 0) return [];
  const wanted = new Set(joint.flatMap(({ checks }) => checks));
  const sittings = new Map<number, Map<string, number>>();
  for (const { entry, before } of walked) {
    if (entry.kind !== 'reading' || entry.check === undefined || !wanted.has(entry.check)) continue;
    const quantity = quantityOf(entry, family.catalogue);
    const value = entry.value && quantity ? numberOf(entry.value, quantity) : undefined;
    if (value === undefined) continue;
    const repairs = before.repairsDone.length;
    const sitting = sittings.get(repairs) ?? new Map<string, number>();
    sittings.set(repairs, sitting.set(entry.check, value));
  }
  return [...sittings].flatMap(([repairs, values]) =>
    joint.flatMap(({ id, title, checks, judge }) => {
      const found = checks.map((check) => values.get(check));
      return found.every((each) => each !== undefined)
        ? [{ id, title, verdict: judge(found), isAfterRepair: repairs > 0 }]
        : [];
    }),
  );
}
