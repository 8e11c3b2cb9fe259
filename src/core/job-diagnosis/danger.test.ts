import { describe, expect, it } from 'vitest';
import { emptyJob, provedDead, stamp } from '../../../tests/plates';
import { electricStorageOneElement } from '../appliances/electric-storage-one-element';
import { electricStorageTwoElement } from '../appliances/electric-storage-two-element';
import type { ApplianceFamily } from '../appliances/all';
import type { Entry, JobFile } from '../job-file';
import { doCheck } from '../practice/run-job';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../simulation';
import { benchAnswer, diagnoseJob } from '.';

/**
 * Nothing is switched on to look: after a breaker or an RCD tripped, or with water at the heater, a dead check comes first
 * until the readings to the tank have ruled out a path to earth. Common practice of electrical safety: prove insulation
 * before re-energising (EN 50110-1).
 */
const oneElementPlate: Partial<JobFile> = {
  unit: {
    family: electricStorageOneElement.id,
    plate: { rated: { volt: 230 }, elements: { only: { watt: 2000 } } },
  },
  site: { supply: { system: 'single-phase', nominal: { volt: 230 } } },
};
const families: [ApplianceFamily, Partial<JobFile>][] = [
  [electricStorageTwoElement, {}],
  [electricStorageOneElement, oneElementPlate],
];

const isDead = (family: ApplianceFamily, check: string) =>
  family.check(check).state?.power !== 'on' &&
  !['live', 'reclose'].includes(family.checks[check]!.caution ?? '');

const over = { overRange: true, above: { ohm: 2e7 } };

describe.each(families)('after a trip, $id', (family, unit) => {
  const complaints = ['trips-breaker', 'trips-rcd', 'leak'] as const;

  it.each(
    complaints.flatMap((kind) =>
      (['computed', 'usual'] as const).map((order) => [kind, order] as const),
    ),
  )('%s, in the %s order, begins with dead checks', (kind, order) => {
    const entries: Entry[] = [];
    const job = () =>
      emptyJob({ ...unit, complaint: { kind, answers: {} }, constraints: { order }, entries });
    for (let taken = 0; taken < 3; taken++) {
      const { next } = diagnoseJob(job(), { brief: true }).answer;
      expect(next, kind).not.toBeNull();
      expect(isDead(family, next!.check), next!.check).toBe(true);
      entries.push({ ...stamp(), kind: 'skip', check: next!.check, reason: 'cannot' });
    }
  });

  it.each(complaints)('%s: no live check before a reading to the tank', (kind) => {
    for (const order of ['computed', 'usual'] as const) {
      let job: JobFile = emptyJob({
        ...unit,
        complaint: { kind, answers: {} },
        constraints: { order },
      });
      const good = simulateUnit(
        simulatedFamilyOf(family.id),
        family.plateOf(job),
        seededRandom(3),
        {
          faults: ['no-fault'],
          wrongReadings: 0,
        },
      );
      const clock = { newId: () => stamp().id, after: () => stamp().at };
      let hasReadToTank = false;
      for (let taken = 0; taken < 8; taken++) {
        const { next } = diagnoseJob(job, { brief: true }).answer;
        if (!next) break;
        if (!isDead(family, next.check)) expect(hasReadToTank, `${order} ${next.check}`).toBe(true);
        hasReadToTank ||= next.check.endsWith('to-tank-ohms');
        job = doCheck(family, job, good, next.check, clock);
      }
      expect(hasReadToTank || family.id === electricStorageOneElement.id).toBe(true);
    }
  });

  it('says what a live check may do, and no more once every reading to the tank is open', () => {
    const kind = 'trips-breaker';
    const live = family.checkIds.find((each) => family.checks[each]!.caution === 'live')!;
    const toTank = family.checkIds.filter((each) => /to-tank-ohms$|to-earth-ohms$/.test(each));
    const read = toTank.map(
      (check) => ({ ...stamp(), kind: 'reading', check, value: over }) as Entry,
    );
    const dangerOf = (entries: Entry[]) =>
      benchAnswer(
        emptyJob({ ...unit, complaint: { kind, answers: {} }, entries }),
        live,
      ).selected!.dangers.reduce((sum, each) => sum + each.probability, 0);
    const before = dangerOf([]);
    expect(before).toBeGreaterThan(0.1);
    expect(toTank.length).toBeGreaterThan(0);
    expect(dangerOf([{ ...stamp(), ...provedDead(family) } as Entry, ...read])).toBeLessThan(
      before / 2,
    );
  });
});
