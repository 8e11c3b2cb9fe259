import type { PartEntry } from '../job-file';
import { numberOf, type Quantity } from '../quantities';

/** What has to match between a new part and the unit that it goes into. */
export type PartRequirement =
  | {
      readonly kind: 'number';
      /** Its name in a job file. */
      readonly says: string;
      readonly label: string;
      readonly quantity: Quantity;
      readonly rule: 'equal' | 'at-least' | 'at-most';
      /** In the kept unit; undefined where only the old part tells. */
      readonly wanted: number | undefined;
      /** What may differ, as a share. */
      readonly tolerance?: number;
      /** Why it matters, for whoever is about to take one that differs. */
      readonly why: string;
    }
  | {
      readonly kind: 'choice';
      readonly says: string;
      readonly label: string;
      readonly choices: Readonly<Record<string, string>>;
      readonly wanted: string;
      readonly why: string;
    }
  /** Only the old part tells: looked at side by side. */
  | { readonly kind: 'same'; readonly says: string; readonly label: string; readonly why: string };

/** What stands on a new part, as an entry has it. */
export type PartSays = NonNullable<PartEntry['says']>;

export interface PartMismatch {
  readonly says: string;
  readonly label: string;
  readonly why: string;
}

/** Share by which two rated values may differ and still be the same. */
const sameRating = 0.03;

/** What does not match, or was not said. A part that differs may still be taken, with a note. */
export function mismatches(
  requirements: readonly PartRequirement[],
  says: PartSays,
): PartMismatch[] {
  return requirements
    .filter((each) => !fits(each, Object.hasOwn(says, each.says) ? says[each.says] : undefined))
    .map(({ says: key, label, why }) => ({ says: key, label, why }));
}

function fits(required: PartRequirement, said: PartSays[string] | undefined): boolean {
  if (said === undefined) return false;
  switch (required.kind) {
    case 'same':
      return said === true || said === 'same';
    case 'choice':
      return said === required.wanted;
    case 'number': {
      if (required.wanted === undefined) return true;
      const value = typeof said === 'object' ? numberOf(said, required.quantity) : undefined;
      if (value === undefined || !Number.isFinite(value)) return false;
      const slack = Math.abs(required.wanted) * (required.tolerance ?? sameRating);
      if (required.rule === 'at-least') return value >= required.wanted - slack;
      if (required.rule === 'at-most') return value <= required.wanted + slack;
      return Math.abs(value - required.wanted) <= slack;
    }
  }
}
