import { describe, expect, it } from 'vitest';
import { families } from '../../core/appliances/all';
import { emptyJob } from '../../../tests/plates';
import { catalogueOf } from '../../core/job-diagnosis';
import { emptyState, readJobFile } from '../../core/job-file';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../core/simulation';
import { demoJobs } from './firm';
import { wordsOf } from './words';

describe('what a caller of the demo says', () => {
  it('is in words for every complaint that a family is asked about', () => {
    for (const { askedComplaints } of families) {
      for (const kind of askedComplaints) {
        const words = wordsOf({ kind, answers: {} }, 0);
        expect(words, kind).toMatch(/^[A-Z].*\.$/);
        if (kind !== 'other')
          expect(words, kind).not.toBe('Something is wrong with the hot water.');
      }
    }
  });

  it('takes every way to say it, however many jobs there are', () => {
    const ways = new Set(
      Array.from({ length: 30 }, (_, nth) => wordsOf({ kind: 'no-hot-water', answers: {} }, nth)),
    );
    expect(ways.size).toBe(3);
  });

  it('says what the answers of the same unit say, and nothing that they do not', () => {
    const kind = 'slow';
    expect(wordsOf({ kind, answers: { onset: 'gradual', rumble: 'true' } }, 0)).toMatch(
      /crept in.*rumbles/,
    );
    expect(wordsOf({ kind, answers: { onset: 'sudden', rumble: 'false' } }, 0)).toMatch(
      /one day to the next\.$/,
    );
    expect(wordsOf({ kind, answers: {} }, 0)).not.toMatch(/rumble|breaker|tap|Somebody/);
    // Who calls because it rumbles need not say so twice.
    expect(wordsOf({ kind: 'noise', answers: { rumble: 'true' } }, 0)).not.toMatch(
      /And it rumbles/,
    );
  });
});

describe('the units of the demo', () => {
  it.each(demoJobs.map((each) => [each.fault, each.unit.customer, each] as const))(
    '%s at %s complains of what its own water does',
    (fault, _, demo) => {
      const family = families.find((each) => each.id === demo.unit.family)!;
      const described = { unit: { family: family.id, plate: demo.unit.plate } };
      const unit = simulateUnit(
        simulatedFamilyOf(family.id),
        family.plateOf(described as Parameters<typeof family.plateOf>[0]),
        seededRandom(demo.seed),
        { faults: [fault] },
      );
      const arrived = family.readingState(emptyState);
      // Of what is warmed as it runs, the tap two minutes on; of a tank, what comes first.
      const tap = family.tap
        ? unit.answer('tap-temperature', family.impliedState('tap-temperature', arrived))
        : unit.answer(
            ['outlet-first', 'outlet-temperature', 'tap-temperature'].find(family.isCheckId)!,
            arrived,
          );
      const words = wordsOf(unit.complaint, demo.seed);
      // A tap that is hot at once belongs to a unit of which nobody says that it stays cold.
      if (/stays cold|No hot water at all|Nothing hot/.test(words) && tap.kind === 'number')
        expect(tap.value).toBeLessThan(42);
      if (/too hot/.test(words) && tap.kind === 'number') expect(tap.value).toBeGreaterThan(55);
    },
  );

  it.each(demoJobs.map((each) => [each.unit.customer, each] as const))(
    'of %s makes a file that is read again',
    (_, { unit }) => {
      const { customer: _customer, address: _address, services, ...own } = unit;
      const file = { ...emptyJob(), unit: own, site: services };
      expect(readJobFile(JSON.stringify(file), catalogueOf)).toHaveProperty('ok', true);
    },
  );

  it('have a customer, a street and a serial of their own', () => {
    const serials = demoJobs.map((each) => each.unit.serial);
    expect(new Set(serials).size).toBe(demoJobs.length);
    for (const { unit } of demoJobs) {
      expect(unit.address).toMatch(/, Pennick Falls$/);
      expect(unit.customer!.length).toBeGreaterThan(3);
    }
  });
});
