import type { ApplianceFamily } from './appliance-family';
import { electricStorageOneElement } from './electric-storage-one-element';
import { electricStorageTwoElement } from './electric-storage-two-element';
import { gasStoragePilot } from './gas-storage-pilot';

export type * from './appliance-family';
export type * from './picture';
export * from './drawing';
export * from './family';
export * from './kit/access-step';
export * from './kit/limits';
export * from './kit/meters';
export * from './kit/names';
export * from './kit/parameters';
export * from './kit/plate-field';
export type * from './kit/setting';
export * from './kit/unit-state';
export { PlateError } from './kit/plate-error';

/** Every family that Ohmmeter knows. A new one is a folder beside these and a line here. */
export const families: readonly ApplianceFamily[] = [
  electricStorageTwoElement,
  electricStorageOneElement,
  gasStoragePilot,
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
