import { v7 as newId } from 'uuid';
import { isWorkedDead } from '../../core/appliances';
import { familyOfJob } from '../../core/appliances/all';
import { engineVersion, openDiagnosis, proofOf } from '../../core/job-diagnosis';
import { foldEntries, type Entry, type JobFile } from '../../core/job-file';
import {
  doCheck,
  entriesOfStep,
  practiseJob,
  proveDead,
  watchUnit,
  type Clock,
} from '../../core/practice';
import { seededRandom, simulatedFamilyOf, type SimulatedUnit } from '../../core/simulation';
import { balancedEntries } from './balanced';
import type { DemoJob } from './firm';
import { mixedEntries } from './mixed';

/** A demo job as it is called in, with the simulated unit that it is about. */
export interface CalledJob {
  readonly demo: DemoJob;
  readonly start: JobFile;
  readonly unit: SimulatedUnit;
  readonly openedAt: Date;
  readonly now: Date;
}

/** The logbook of a demo job, worked out by doing what the engine asks of the simulated unit: some seconds each. */
export function practisedLogbook({ demo, start, unit, openedAt, now }: CalledJob): Entry[] {
  return practisedEntries(start, unit, demo, clockFrom(openedAt, now));
}

/** Time goes on by the minutes of work, never past now. */
function clockFrom(openedAt: Date, now: Date): Clock {
  let time = openedAt.getTime() + 8 * 60_000;
  return {
    newId,
    after(minutes) {
      time = Math.min(now.getTime() - 1000, time + minutes * 60_000);
      return new Date(time).toISOString();
    },
  };
}

function practisedEntries(
  start: JobFile,
  unit: SimulatedUnit,
  demo: DemoJob,
  clock: Clock,
): Entry[] {
  const { until } = demo;
  if (until.stage === 'call') return [];
  if (until.stage === 'watched') return watchedEntries(start, demo, until.minutes, clock);
  if (until.stage === 'mixed') return mixedEntries(unit, until.steps, clock);
  if (until.stage === 'balanced') return balancedEntries(until, clock);
  if (until.stage === 'diagnose') {
    let { job } = practiseJob(start, unit, clock, {}, until.checks);
    for (const check of until.also ?? []) {
      job = doCheck(familyOfJob(job), job, unit, check, clock);
    }
    return until.slip ? withSlip(job.entries, clock) : job.entries;
  }
  const practised = practiseJob(start, unit, clock);
  let { job } = practised;
  const add = (...entries: Entry[]) => {
    job = { ...job, entries: [...job.entries, ...entries] };
  };
  const stamp = (minutes: number) => ({ id: clock.newId(), at: clock.after(minutes) });
  const family = familyOfJob(job);
  if (until.stage === 'decided') {
    for (const check of until.also ?? []) job = doCheck(family, job, unit, check, clock);
    return job.entries;
  }

  const { suspects } = practised.answer;
  const { repair } = suspects[0]!;
  const { parts, wires } = family.repairs[repair]!;
  add({
    ...stamp(1),
    kind: 'verdict',
    engine: engineVersion,
    parameters: family.parameterHash,
    suspects: suspects.slice(0, 4).map((each) => ({
      repair: each.repair,
      repairs: [...each.repairs],
      probability: each.probability,
      faults: [...each.faults],
      why: [...each.why],
    })),
    repair,
    decided: practised.answer.decided,
  });
  const part = parts[0];
  if (until.stage === 'waiting') {
    if (part) add({ ...stamp(2), kind: 'part', part, action: 'ordered', repair });
    add({ ...stamp(1), kind: 'status', status: 'waiting-for-part', reason: until.reason });
    return job.entries;
  }

  const prove = () => proveDead(family, unit, foldEntries(job.entries, family.catalogue));
  add({ ...stamp(1), kind: 'status', status: 'repairing' });
  const isMains = isWorkedDead(family);
  if (isMains && foldEntries(job.entries, family.catalogue).provedDeadAt === undefined) {
    add(...entriesOfStep({ kind: 'power-off-and-prove' }, clock, prove));
  }
  const asFound = unit.settings();
  for (const lifted of wires) {
    add(...entriesOfStep({ kind: 'lift-wire', lifted }, clock, prove));
  }
  if (part) add({ ...stamp(25), kind: 'part', part, action: 'fitted', repair });
  const putBack = () => {
    for (const lifted of foldEntries(job.entries, family.catalogue).lifted) {
      add(...entriesOfStep({ kind: 'refit-wire', lifted }, clock, prove));
    }
  };
  putBack();
  add({ ...stamp(20), kind: 'action', action: 'replace', repair });
  unit.repair([repair]);
  for (const check of family.proofChecksFor(repair)) {
    job = doCheck(family, job, unit, check, clock);
    if (proofOf(openDiagnosis(job), job).verdict === 'proved') break;
  }
  putBack();
  for (const { id: setting, usual } of family.settings) {
    add(
      {
        ...stamp(1),
        kind: 'setting',
        setting,
        as: 'found',
        value: { celsius: Math.round(asFound[setting] ?? usual) },
      },
      { ...stamp(0), kind: 'setting', setting, as: 'left', value: { celsius: 50 } },
    );
  }
  add({
    ...stamp(2),
    kind: 'status',
    status: 'closed-repaired',
    next: 'Shut-off at the setpoint to be seen: about two hours from cold. Flush and anode are due.',
  });
  return job.entries;
}

/** Thermometers left on the tank over a long draw, and the dials read: no meter yet. */
function watchedEntries(
  start: JobFile,
  { fault, seed }: DemoJob,
  minutes: number,
  clock: Clock,
): Entry[] {
  const family = familyOfJob(start);
  const unit = simulatedFamilyOf(family.id).inTime(family.plateOf(start), seededRandom(seed), [
    fault,
  ]);
  const dials = family.settings.map(({ id: setting, usual }): Entry => ({
    id: clock.newId(),
    at: clock.after(1),
    kind: 'setting',
    setting,
    as: 'found',
    value: { celsius: family.tap ? usual : 50 },
  }));
  const begun = Date.parse(clock.after(2));
  if (family.tap) {
    return [
      ...dials,
      ...watchUnit(unit, {
        seconds: 148,
        everySecond: 4,
        places: unit.usualPlaces,
        tap: { from: 8, until: 132, litrePerMinute: 8 },
        startsAt: begun,
        newId: () => clock.newId(),
      }),
    ];
  }
  return [
    ...dials,
    ...watchUnit(unit, {
      seconds: minutes * 60,
      everySecond: 60,
      tap: { from: 300, until: 1200, litrePerMinute: 8 },
      startsAt: begun,
      newId: () => clock.newId(),
    }),
  ];
}

/** Takes the last ohms reading wrongly first, a probe slipped off its screw, and corrects it. */
function withSlip(entries: readonly Entry[], clock: Clock): Entry[] {
  const last = entries.findLastIndex(
    (each) => each.kind === 'reading' && each.value?.ohm !== undefined,
  );
  const reading = entries[last];
  if (reading?.kind !== 'reading' || !reading.check) return [...entries];
  const slipped = { ...reading, value: { overRange: true as const } };
  return [
    ...entries.slice(0, last),
    slipped,
    ...entries.slice(last + 1),
    {
      id: clock.newId(),
      at: clock.after(1),
      kind: 'correction',
      replaces: slipped.id,
      entry: { ...reading, id: clock.newId() },
      reason: 'probe slipped off the screw',
    },
  ];
}
