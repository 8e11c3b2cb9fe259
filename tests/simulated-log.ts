import type { FamilyPlate } from '../src/core/appliances/all';
import type { Entry } from '../src/core/job-file';
import { watchUnit, type Watching } from '../src/core/practice';
import { seededRandom, simulatedFamilyOf, type UnitInTime } from '../src/core/simulation';
import { stamp } from './plates';

export const watchedUnit = (
  family: string,
  plate: FamilyPlate,
  faults: readonly string[],
  seed: number,
): UnitInTime => simulatedFamilyOf(family).inTime(plate, seededRandom(seed), faults);

/** The entries of a recorder on a simulated unit, with ids and a morning of their own. */
export const watch = (
  unit: UnitInTime,
  watching: Omit<Watching, 'newId' | 'startsAt'> & { readonly startsAt?: number },
): Entry[] =>
  watchUnit(unit, { startsAt: Date.UTC(2026, 2, 3, 8), newId: () => stamp().id, ...watching });
