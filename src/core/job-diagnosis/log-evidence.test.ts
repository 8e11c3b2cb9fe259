import { describe, expect, it } from 'vitest';
import { watch, watchedUnit } from '../../../tests/simulated-log';
import { emptyJob, plate4500, stamp } from '../../../tests/plates';
import { familyOf } from '../appliances/all';
import type { Entry, JobFile } from '../job-file';
import { diagnoseJob } from '.';

const tap = { from: 300, until: 1200, litrePerMinute: 9 };
const twoElement = 'electric-storage-two-element';
const gasUnit = {
  family: 'gas-storage-pilot',
  plate: {
    fuel: 'natural-gas',
    input: { watt: 11_700 },
    volume: { litre: 151 },
    rollOut: 'in-lead',
    valve: 'thermocouple',
  },
} as unknown as JobFile['unit'];

/** Simulated units (numbers and physics of their own) watched for an hour and a half, with a long draw. */
function watched(fault: string, seed: number, kind: string, unit?: JobFile['unit']) {
  const start = emptyJob({
    ...(unit ? { unit } : {}),
    complaint: { kind: kind as 'runs-out', answers: {} },
  });
  const family = familyOf(start.unit.family)!;
  const simulated = watchedUnit(family.id, family.plateOf(start), [fault], seed);
  const entries = watch(simulated, { seconds: 5400, tap });
  return { start, entries, answer: diagnoseJob({ ...start, entries }).answer };
}

describe('a log of temperatures, and no meter', () => {
  it.each([1, 2, 3])('finds an open lower element, %d', (seed) => {
    const { answer, entries } = watched('lower-element.open', seed, 'runs-out');
    const [first] = answer.suspects;
    expect(first!.repair).toBe('replace-lower-element');
    expect(first!.probability).toBeGreaterThan(0.5);
    // What it weighs is told at the log's first entry.
    const why = first!.why!.find(({ entry }) => entry === entries[0]!.id);
    expect(why!.decibans).toBeGreaterThan(1);
  });

  it.each([1, 2])('finds a broken dip tube, %d', (seed) => {
    expect(watched('dip-tube.gone', seed, 'runs-out').answer.suspects[0]!.repair).toBe(
      'replace-dip-tube',
    );
  });

  it('clears a good heater that runs out of what is asked of it', () => {
    const { answer } = watched('no-fault', 1, 'runs-out');
    expect(answer.suspects[0]!.repair).toBe('none-in-unit');
  });

  it('tells a weak burner under a gas heater', () => {
    const { answer } = watched('burner.orifice-blocked', 1, 'slow', gasUnit);
    expect(answer.suspects[0]!.repair).toBe('clean-burner');
  });

  it('of a few minutes, or of a room, says nothing', () => {
    const start = emptyJob();
    const before = diagnoseJob(start).answer;
    const short = watch(watchedUnit(twoElement, plate4500, ['lower-element.open'], 1), {
      seconds: 240,
      places: ['tank-top'],
    });
    const answer = diagnoseJob({ ...start, entries: short }).answer;
    expect(answer.suspects[0]!.probability).toBeCloseTo(before.suspects[0]!.probability, 9);
  });
});

it('after a repair counts for what was fitted, and no more for what was wrong', () => {
  const start = emptyJob({ complaint: { kind: 'runs-out', answers: {} } });
  const unit = watchedUnit(twoElement, plate4500, ['lower-element.open'], 2);
  const before = watch(unit, { seconds: 3600, tap });
  const repair: Entry = {
    id: stamp().id,
    at: '2026-03-03T09:30:00Z',
    kind: 'action',
    action: 'replace',
    repair: 'replace-lower-element',
  };
  unit.act({ kind: 'repair', repair: 'replace-lower-element' });
  const after = watch(unit, { seconds: 5400, startsAt: Date.UTC(2026, 2, 3, 10) });
  const left = (entries: readonly Entry[]) =>
    diagnoseJob({ ...start, entries: [...entries] })
      .answer.suspects.filter(({ repair: id }) => id !== 'none-in-unit')
      .reduce((sum, { probability }) => sum + probability, 0);
  const unproved = left([...before, repair]);
  const proved = left([...before, repair, ...after]);
  expect(proved).toBeLessThan(unproved);
});
