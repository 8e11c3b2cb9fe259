import type { ElectricalFamily } from './electrical';
import { electricStorageOneElement } from './electric-storage-one-element';
import { electricStorageTwoElement } from './electric-storage-two-element';

export * from './family';
export * from './electrical';

/** A family of appliances, whatever it burns. So far all of them are electric. */
export type ApplianceFamily = ElectricalFamily;

/** Every family that Ohmmeter knows. A new one is a folder beside these and a line here. */
export const families: readonly ApplianceFamily[] = [
  electricStorageTwoElement,
  electricStorageOneElement,
];

export const familyOf = (id: string): ApplianceFamily | undefined =>
  families.find((each) => each.id === id);

/** The family of a job that was read: its file would not have been accepted with another. */
export function familyOfJob({
  unit,
}: {
  readonly unit: { readonly family: string };
}): ApplianceFamily {
  const family = familyOf(unit.family);
  if (!family) throw new RangeError(`no family is named "${unit.family}"`);
  return family;
}
