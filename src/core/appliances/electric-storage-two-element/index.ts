import type { FamilyCatalogue } from '../../job-file/catalogue';
import { checkNames, isCheckId } from './checks';
import names from './names.json' with { type: 'json' };

export * from './access';
export * from './checks';
export * from './faults';
export * from './meters';
export * from './model';
export * from './observable';
export * from './plate';
export * from './questions';
export * from './repairs';
export * from './drawing';
export * from './hypothesis';
export { branches, buildNetlist, elementOhm, type Plate } from './topology';

export const familyId = names.family;

export const catalogue: FamilyCatalogue = {
  family: names.family,
  terminals: new Set(names.terminals),
  conductors: names.conductors as unknown as FamilyCatalogue['conductors'],
  check(id) {
    if (!isCheckId(id)) return undefined;
    const { kind, quantity, values, state } = checkNames[id];
    const raw: { changes?: { limit?: 'closed'; breaker?: 'cycled' } } = names.checks[id] as object;
    return {
      kind,
      quantity,
      values,
      power: state.power,
      lifted: state.lifted,
      changes: raw.changes,
    };
  },
};
