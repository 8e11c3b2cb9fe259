import { valueQuantity, type NamedCheck } from '@/core/appliances';
import type { Quantity } from '@/core/quantities';
import type { FamilyWords } from '@/features/record/family-words';

/** What each value of a check that gives several is called: two values of one place are told by what they are of. */
export const valueName = (check: NamedCheck, words: FamilyWords, key: string): string => {
  const point = words.pointName(check.valuesAt?.[key] ?? key);
  return check.valueWords?.[key] ?? (check.quantities ? `${point}, ${key.toUpperCase()}` : point);
};

/** What it is measured in. */
export const quantityOfValue = (check: NamedCheck, key: string, quantity: Quantity): Quantity =>
  valueQuantity(check, key) ?? quantity;
