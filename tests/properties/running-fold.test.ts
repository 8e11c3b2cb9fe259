import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { families } from '../../src/core/appliances/all';
import {
  beginFold,
  entryProblems,
  extendFold,
  foldEntries,
  readEntry,
  stateOfFold,
  type Entry,
} from '../../src/core/job-file';
import { anyEntries } from './logbooks';

const runs = { numRuns: Number(process.env.RUNS ?? 150), seed: 11 };

describe.each(families.map((family) => [family.id, family.catalogue] as const))(
  'a logbook of %s that is folded entry by entry',
  (id, catalogue) => {
    const family = families.find((each) => each.id === id)!;

    it('says what the same logbook says that is folded whole', () => {
      let extended = 0;
      fc.assert(
        fc.property(anyEntries(family, 20), fc.nat(), fc.boolean(), (any, at, inTurn) => {
          const all = any.filter((each) => readEntry(each).ok);
          const entries = inTurn ? stampedInTurn(all) : all;
          const cut = at % (entries.length + 1);
          const [first, fresh] = [entries.slice(0, cut), entries.slice(cut)];
          const next = extendFold(beginFold(first, catalogue), fresh, catalogue);
          if (!next) return;
          extended += 1;
          expect(stateOfFold(next.fold)).toEqual(foldEntries(entries, catalogue));
          const whole = entryProblems(entries, catalogue);
          const before = entryProblems(first, catalogue);
          const places = (problems: readonly { pointer: string; message: string }[]) =>
            problems.map(({ pointer, message }) => `${pointer} ${message}`).sort();
          expect(
            places([
              ...before,
              ...next.problems.map(({ pointer, message }) => ({
                message,
                pointer: pointer.replace(
                  /^\/entries\/(\d+)/,
                  (_, k) => `/entries/${Number(k) + cut}`,
                ),
              })),
            ]),
          ).toEqual(places(whole));
          expect(next.fold).toEqual(beginFold(entries, catalogue));
        }),
        runs,
      );
      expect(extended).toBeGreaterThan(runs.numRuns / 5);
    });
  },
);

/** The same entries, each later than the one before it. */
const stampedInTurn = (entries: readonly Entry[]): Entry[] =>
  entries.map((each, k) => ({
    ...each,
    at: new Date(Date.UTC(2026, 0, 1) + k * 60_000).toISOString(),
  }));
