import type { ApplianceFamily, JointReading, JointVerdict } from '../appliances';
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
 * What readings say that are judged together, the earliest first. Only readings between the same two repairs belong together, and
 * between the same two of what changes them; of each check the last. Nothing is said before all are there.
 */
export function jointVerdicts(
  family: ApplianceFamily,
  walked: readonly WalkedEntry[],
): JointFinding[] {
  const { joint = [] } = family;
  if (joint.length === 0) return [];
  const sittings = new Map<string, Sitting>();
  for (const { entry, before } of walked) {
    if (entry.kind !== 'reading' || entry.check === undefined) continue;
    const { check } = entry;
    const judged = joint.filter(({ checks }) => checks.includes(check));
    const quantity = judged.length > 0 ? quantityOf(entry, family.catalogue) : undefined;
    const value = entry.value && quantity ? numberOf(entry.value, quantity) : undefined;
    if (value === undefined) continue;
    const repairs = before.repairsDone.length;
    for (const reading of judged) {
      const changed = reading.changedBy?.filter((each) => before.done.includes(each)) ?? [];
      const key = `${reading.id} ${repairs} ${changed.join(' ')}`;
      const sitting = sittings.get(key) ?? { reading, repairs, values: new Map() };
      sitting.values.set(check, value);
      sittings.set(key, sitting);
    }
  }
  return [...sittings.values()].flatMap(({ reading, repairs, values }) => {
    const found = reading.checks.map((check) => values.get(check));
    return found.every((each) => each !== undefined)
      ? [
          {
            id: reading.id,
            title: reading.title,
            verdict: reading.judge(found),
            isAfterRepair: repairs > 0,
          },
        ]
      : [];
  });
}

interface Sitting {
  readonly reading: JointReading;
  readonly repairs: number;
  readonly values: Map<string, number>;
}
