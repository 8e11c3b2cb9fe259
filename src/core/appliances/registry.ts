import type { ApplianceFamily } from './appliance-family';

declare global {
  var ohmmeterFamilies: Map<string, ApplianceFamily> | undefined;
}

/**
 * Families that are here: all of them on a server, in a browser those of the jobs that were opened. Global, since a server
 * that renders pages has this module twice: in the graph that works, which loads every family, and in the one that renders.
 */
const known = (globalThis.ohmmeterFamilies ??= new Map<string, ApplianceFamily>());

export function registerFamily(family: ApplianceFamily): ApplianceFamily {
  known.set(family.id, family);
  return family;
}

/** A family that is here, by its id; undefined for one that there is not, or that was not loaded. */
export const familyOf = (id: string): ApplianceFamily | undefined => known.get(id);

/**
 * The family of a job that was read: its file would not have been accepted with another.
 * @throws RangeError where it was not loaded.
 */
export function familyOfJob({
  unit,
}: {
  readonly unit: { readonly family: string };
}): ApplianceFamily {
  const family = familyOf(unit.family);
  if (!family) throw new RangeError(`no family is named "${unit.family}", or it is not loaded`);
  return family;
}
