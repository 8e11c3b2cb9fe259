import type { ApplianceFamily } from './appliance-family';
import { familyOf, registerFamily } from './registry';

/** A family before it is loaded: what is offered of it, and how it comes. */
export interface FamilyEntry {
  readonly id: string;
  readonly title: string;
  load(): Promise<ApplianceFamily>;
}

/** Every family that Ohmmeter knows. A new one is a folder beside these, a line here and one in all.ts. */
export const familyList: readonly FamilyEntry[] = [
  {
    id: 'electric-storage-two-element',
    title: 'Electric, two elements',
    load: () =>
      import('./electric-storage-two-element').then((each) => each.electricStorageTwoElement),
  },
  {
    id: 'electric-storage-one-element',
    title: 'Electric, one element',
    load: () =>
      import('./electric-storage-one-element').then((each) => each.electricStorageOneElement),
  },
  {
    id: 'gas-storage-pilot',
    title: 'Gas, standing pilot',
    load: () => import('./gas-storage-pilot').then((each) => each.gasStoragePilot),
  },
  {
    id: 'tankless-gas',
    title: 'Gas, instantaneous',
    load: () => import('./tankless-gas').then((each) => each.tanklessGas),
  },
  {
    id: 'combi-boiler',
    title: 'Combination boiler',
    load: () => import('./combi-boiler').then((each) => each.combiBoiler),
  },
  {
    id: 'system-boiler',
    title: 'Boiler with zones',
    load: () => import('./system-boiler').then((each) => each.systemBoiler),
  },
  {
    id: 'wireless-cylinder-control',
    title: 'Wireless cylinder control',
    load: () => import('./wireless-cylinder-control').then((each) => each.wirelessCylinderControl),
  },
  {
    id: 'heat-pump-cylinder',
    title: 'Heat pump and cylinder',
    load: () => import('./heat-pump-cylinder').then((each) => each.heatPumpCylinder),
  },
];

const loading = new Map<string, Promise<ApplianceFamily | undefined>>();

/**
 * Loads a family with its code, once. Where the code could not be fetched it is asked for again the next time.
 * @returns the same promise for the same family; undefined in it for a family that there is not.
 */
export function loadFamily(id: string): Promise<ApplianceFamily | undefined> {
  let found = loading.get(id);
  if (!found) {
    const here = familyOf(id);
    const entry = familyList.find((each) => each.id === id);
    found = here
      ? Promise.resolve(here)
      : entry
        ? entry.load().then(registerFamily)
        : Promise.resolve(undefined);
    loading.set(id, found);
    found.catch(() => loading.delete(id));
  }
  return found;
}
