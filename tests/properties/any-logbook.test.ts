import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { families, familyOfJob, PlateError } from '../../src/core/appliances/all';
import { benchAnswer, catalogueOf, diagnoseJob, probePicture } from '../../src/core/job-diagnosis';
import { readJobValue, type Constraints, type JobFile } from '../../src/core/job-file';
import { anyEntries, jobOf, logbook, results } from './logbooks';

/** By eight families this many of each are thousands; more are had by RUNS. */
const runs = { numRuns: Number(process.env.RUNS ?? 16), seed: 7 };

describe.each(families.map((family) => [family.id, family] as const))(
  'any logbook of %s',
  (_, family) => {
    it('is either refused with a place in the file, or answered with probabilities and a check that may be taken', () => {
      let answered = 0;
      fc.assert(
        fc.property(
          logbook(family, 14),
          fc.record({ liveWork: fc.boolean(), order: fc.constantFrom('computed', 'usual') }),
          (entries, constraints) => {
            const job = jobOf(family, entries, { constraints: constraints as Constraints });
            const read = readJobValue(JSON.parse(JSON.stringify(job)), catalogueOf);
            if (!read.ok) {
              expect(read.problems.every((each) => each.pointer.startsWith('/entries/'))).toBe(
                true,
              );
              return;
            }
            answered += 1;
            const { answer, selected, state } = benchAnswer(read.job, undefined);
            const chances = answer.suspects.map((each) => each.probability);
            expect(chances.every((each) => each >= 0 && each <= 1 + 1e-9)).toBe(true);
            expect(chances.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 6);
            const held = answer.afterRepair?.heldProbability ?? 0;
            expect(held).toBeGreaterThanOrEqual(0);
            expect(held).toBeLessThanOrEqual(1 + 1e-9);
            const { courses } = diagnoseJob(read.job, { depth: 'one-step', brief: true });
            expect(courses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
            // Every entry was weighed in every course, in the same place.
            const ids = courses.map(({ belief }) =>
              belief.contributions.map((each) => each.entryIds.join()).join(' '),
            );
            expect(new Set(ids).size).toBe(1);
            if (!answer.next) return;
            expect(family.checkIds).toContain(answer.next.check);
            expect(state.refused.has(answer.next.check)).toBe(false);
            expect(family.isAllowed(answer.next.check, constraints)).toBe(true);
            expect(selected!.minutes).toBeGreaterThan(0);
            expect(answer.next.toVerdict?.minutes ?? 1).toBeGreaterThan(0);
          },
        ),
        runs,
      );
      expect(answered).toBeGreaterThan(runs.numRuns / 4);
    });

    it('is refused, not crashed on, where any word or number in it is another', () => {
      const { terminals, conductors } = family.names;
      const word = fc.constantFrom(
        ...['nonsense', '', 'toString', '__proto__', 'high', 'off', 'skipped'],
        ...terminals.slice(0, 4),
        ...Object.keys(conductors).slice(0, 4),
        ...family.checkIds.slice(0, 8),
      );
      const number = fc.constantFrom(0, -1, 1e-9, 3, 75, 1000, 1e300);
      const constraints = {
        liveWork: true,
        wrongVerdict: { second: 3600 },
        order: 'usual',
      } as const;
      const site = { supply: { system: 'split-phase', nominal: { volt: 240 } } } as const;
      let [refused, answered] = [0, 0];
      fc.assert(
        fc.property(
          logbook(family, 5),
          fc.noBias(fc.nat()),
          fc.record({ word, number }),
          (entries, place, other) => {
            const job = jobOf(family, entries, { constraints, site });
            fc.pre(readJobValue(job, catalogueOf).ok);
            const read = readJobValue(withOther(job, place, other), catalogueOf);
            if (!read.ok || !isWorkable(read.job)) {
              refused += 1;
              return;
            }
            answered += 1;
            const { answer } = benchAnswer(read.job, undefined, { depth: 'one-step' });
            expect(answer.suspects.every((each) => Number.isFinite(each.probability))).toBe(true);
          },
        ),
        { ...runs, numRuns: runs.numRuns * 4 },
      );
      // Neither the one nor the other is all that was seen.

      expect(Math.min(refused, answered)).toBeGreaterThan(runs.numRuns / 4);
    });

    it('believes a proof of dead only where every point was read harmless, whatever stands beside it', () => {
      let [refused, proved] = [0, 0];
      fc.assert(
        fc.property(anyEntries(family, 4), (entries) => {
          const read = readJobValue(
            JSON.parse(JSON.stringify(jobOf(family, entries))),
            catalogueOf,
          );
          if (!read.ok) {
            refused += 1;
            expect(read.problems.every((each) => each.pointer.startsWith('/entries/'))).toBe(true);
            return;
          }
          const { answer, state } = benchAnswer(read.job, undefined, { depth: 'one-step' });
          expect(answer.suspects.every((each) => Number.isFinite(each.probability))).toBe(true);
          if (state.provedDeadAt === undefined) return;
          proved += 1;
          const proof = read.job.entries.find((each) => each.at === state.provedDeadAt);
          expect(proof).toMatchObject({ action: 'proved-dead', proverTried: 'before-and-after' });
          const points = proof?.kind === 'action' ? (proof.points ?? []) : [];
          expect(points.length).toBeGreaterThanOrEqual(family.deadPoints.length);
          expect(points.every((each) => (each.value.volt ?? 999) < 50)).toBe(true);
        }),
        { ...runs, numRuns: runs.numRuns * 20 },
      );
      // What has no mains is never proved dead.
      if (family.deadPoints.length === 0) expect(proved).toBe(0);
      else expect(Math.min(refused, proved)).toBeGreaterThan(runs.numRuns / 4);
    });

    it('says the same in whatever order its results were taken', () => {
      fc.assert(
        fc.property(
          results(family, 7).chain((entries) =>
            fc.tuple(
              fc.constant(entries),
              fc.shuffledSubarray(entries, { minLength: entries.length }),
            ),
          ),
          ([entries, shuffled]) => {
            const renamed = shuffled.map((each, k) => ({ ...each, at: entries[k]!.at }));
            const [one, other] = [entries, renamed].map(
              (each) =>
                new Map(
                  diagnoseJob(jobOf(family, each), { depth: 'one-step' }).answer.suspects.map(
                    ({ repair, probability }) => [repair, probability] as const,
                  ),
                ),
            );
            for (const [repair, probability] of one!) {
              expect(other!.get(repair) ?? 0).toBeCloseTo(probability, 9);
            }
          },
        ),
        runs,
      );
    });

    it('lets any two terminals be touched, in any setting', () => {
      const { terminals, conductors } = family.names;
      let touched = 0;
      fc.assert(
        fc.property(
          logbook(family, 6),
          fc.tuple(fc.constantFrom(...terminals), fc.constantFrom(...terminals)),
          fc.record(
            {
              power: fc.constantFrom('on', 'off'),
              limit: fc.constantFrom('closed', 'tripped'),
              good: fc.boolean(),
              lifted: fc
                .subarray(Object.keys(conductors), { maxLength: 3 })
                .map((chosen) => chosen.map((wire) => ({ wire, end: conductors[wire]![0] }))),
            },
            { requiredKeys: [] },
          ),
          (entries, between, setting) => {
            const read = readJobValue(jobOf(family, entries), catalogueOf);
            if (!read.ok) return;
            touched += 1;
            const open = diagnoseJob(read.job, { depth: 'one-step', brief: true });
            const answer = probePicture(open, { between }, setting);
            // Where a family's model has nothing between two terminals, nothing is told of them.
            if (!answer) {
              const state = family.readingState(open.state);
              expect(family.quantityAt({ between }, state)).toBe(undefined);
              return;
            }
            expect(answer.bands.length).toBeGreaterThan(0);
            expect(answer.good).toBeDefined();
          },
        ),
        runs,
      );
      expect(touched).toBeGreaterThan(runs.numRuns / 4);
    });
  },
);

/** The job with one of its words put for another, or one of its numbers. */
function withOther(
  job: JobFile,
  place: number,
  { word, number }: { word: string; number: number },
): unknown {
  const text = JSON.stringify(job);
  // Values, not keys: another key is refused by the schema, whatever it is.
  const leaves = [...text.matchAll(/"(?:[^"\\]|\\.)*"|-?\d[\d.e+-]*/g)].filter(
    (each) => text[each.index + each[0].length] !== ':',
  );
  const chosen = leaves[place % leaves.length]!;
  const after = text.slice(chosen.index + chosen[0].length);
  const other = chosen[0].startsWith('"') ? word : number;
  return JSON.parse(text.slice(0, chosen.index) + JSON.stringify(other) + after);
}

/** False where the plate is refused, with the place in the file. */
function isWorkable(job: JobFile): boolean {
  try {
    familyOfJob(job).plateOf(job);
    return true;
  } catch (error) {
    if (error instanceof PlateError) return false;
    throw error;
  }
}
