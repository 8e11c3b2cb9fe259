import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { familyOfJob } from '../appliances/all';
import { entryProblems, logsOf, readJobFile, walkEntries, type Entry, type LogEntry } from '.';

const { catalogue } = familyOfJob(emptyJob());
const log = '018f0000-0000-7000-8000-00000000f001';
const at = (second: number) => new Date(Date.UTC(2026, 2, 2, 8) + second * 1000).toISOString();
const entry = (second: number, rest: Omit<LogEntry, 'id' | 'at' | 'kind' | 'log'>): Entry => ({
  id: stamp().id,
  at: at(second),
  kind: 'log',
  log,
  ...rest,
});
const samples = (second: number[], celsius: number[], place = 'tank-top', live = false) =>
  entry(live ? 40 : 0, {
    phase: 'samples',
    place,
    source: live ? 'live' : 'hand',
    track: { second, celsius },
  });

describe('a log in a job file', () => {
  it.each([
    ['an unknown place', samples([0], [50], 'toString'), '/entries/0/place'],
    ['a place in capitals', samples([0], [50], 'Tank-Top'), '/entries/0/place'],
    ['more times than temperatures', samples([0, 1], [50]), '/entries/0/track'],
    ['a clock that goes back', samples([0, 60, 30], [50, 50, 50]), '/entries/0/track/second/2'],
    ['the same second twice', samples([0, 0], [50, 50]), '/entries/0/track/second/1'],
    ['no temperature of water', samples([0], [999]), '/entries/0/track/celsius/0'],
    ['a year of readings', samples([0, 4e7], [50, 50]), '/entries/0/track/second/1'],
    [
      'readings without a phase of readings',
      { ...samples([0], [50]), phase: 'started' } as Entry,
      '/entries/0/track',
    ],
    [
      'no readings in their phase',
      entry(0, { phase: 'samples', place: 'outlet' }),
      '/entries/0/track',
    ],
    ['a look without its time', entry(0, { phase: 'look-again' }), '/entries/0/due'],
    [
      'a rate of another quantity',
      entry(0, { phase: 'tap-opened', rate: { celsius: 8 } }),
      '/entries/0/rate',
    ],
  ])('with %s is refused with its place', (_, wrong, pointer) => {
    expect(entryProblems([wrong], catalogue).map((each) => each.pointer)).toContain(pointer);
  });

  it('goes through a file and back', () => {
    const entries = [
      samples([0, 30], [50, 50.2], 'readout-tank-sensor'),
      entry(60, { phase: 'stopped' }),
    ];
    const read = readJobFile(JSON.stringify(emptyJob({ minor: 4, entries })), () => catalogue);
    expect(read.ok && read.job.entries).toEqual(entries);
  });

  it('is one course of all that belongs to it, with what was done meanwhile on its own clock', () => {
    const entries: Entry[] = [
      entry(0, { phase: 'started', purpose: 'proof' }),
      { id: stamp().id, at: at(20), kind: 'action', action: 'power-off' },
      // Its instrument's clock went sixty times as fast.
      samples([0, 1200, 2400], [50, 49, 48], 'tank-top', true),
      samples([600, 1800], [20, 20], 'tank-bottom', true),
      entry(50, { phase: 'look-again', due: at(1800) }),
    ];
    const [course] = logsOf(walkEntries(entries, catalogue));
    expect(course!.purpose).toBe('proof');
    expect(course!.channels.map(({ place }) => place)).toEqual(['tank-top', 'tank-bottom']);
    expect(course!.dueAt).toBe(at(1800));
    const [off] = course!.events;
    expect(off!.kind).toBe('power');
    expect(off!.second).toBeGreaterThan(800);
    expect(off!.second).toBeLessThan(1250);
    expect(course!.stoppedAt).toBeUndefined();
  });

  it('leaves out what was struck', () => {
    const wrong = samples([0], [90]);
    const entries: Entry[] = [
      wrong,
      samples([60], [50]),
      {
        ...stamp(),
        kind: 'correction',
        replaces: wrong.id,
        entry: null,
        reason: 'the probe lay on the flue',
      },
    ];
    const [course] = logsOf(walkEntries(entries, catalogue));
    expect(course!.channels[0]!.samples).toEqual([{ second: 60, celsius: 50 }]);
  });
});
