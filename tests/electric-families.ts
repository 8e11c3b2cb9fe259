import { electricStorageOneElement } from '../src/core/appliances/electric-storage-one-element';
import { electricStorageTwoElement } from '../src/core/appliances/electric-storage-two-element';
import type { ElectricalFamily } from '../src/core/appliances/electrical';

/** Families that are a circuit and nothing else. */
export const electricFamilies: readonly ElectricalFamily[] = [
  electricStorageTwoElement,
  electricStorageOneElement,
];
