import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { families, type ApplianceFamily } from '../../src/core/appliances/all';
import { walkEntries, type Entry } from '../../src/core/job-file';
import { logbook } from './logbooks';

const runs = { numRuns: Number(process.env.RUNS ?? 20), seed: 11 };

/** After whatever was done or seen each of these checks, whose results say nothing of how the unit stood. */
const plainAfterEach = (
  family: ApplianceFamily,
  changes: readonly Entry[],
  checks: readonly string[],
): Entry[] =>
  changes.flatMap((change, place) => [
    change,
    ...checks.map((check, k): Entry => {
      const stamp = { ...change, id: `${change.id.slice(0, -4)}${1000 + place * 10 + k}` };
      const { id, at } = stamp;
      const { kind, values, quantity } = family.check(check);
      if (kind === 'observation') return { id, at, kind, check, value: values![0]! };
      const value = quantity === 'voltage-ac' ? { volt: 0 } : { ohm: 12.8 };
      return { id, at, kind: 'reading', check, value };
    }),
  ]);

/** Most results say no more than their check does: what such a one looked at is remembered for the next like it. */
describe.each(families.map((family) => [family.id, family] as const))(
  'any result on %s',
  (_, family) => {
    it('looks at the same where it says nothing of its state as where it says so with nothing in it', () => {
      fc.assert(
        fc.property(
          logbook(family, 30),
          fc.subarray([...family.checkIds], { minLength: 3, maxLength: 5 }),
          (changes, checks) => {
            const entries = plainAfterEach(family, changes, checks);
            for (const { entry, before } of walkEntries(entries, family.catalogue)) {
              if (entry.kind !== 'reading' && entry.kind !== 'observation') continue;
              if (entry.state !== undefined) continue;
              const said = { ...entry, state: {} };
              expect(family.observableOf(entry, before)).toEqual(family.observableOf(said, before));
              expect(family.plannedKeyOf(entry, before)).toBe(family.plannedKeyOf(said, before));
            }
          },
        ),
        runs,
      );
    });
  },
);
