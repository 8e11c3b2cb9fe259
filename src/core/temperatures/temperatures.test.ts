import { describe, expect, it } from 'vitest';
import { emptyJob, plate4500, stamp } from '../../../tests/plates';
import { watch, watchedUnit } from '../../../tests/simulated-log';
import type { Entry } from '../job-file';
import { temperatureAnswer } from '.';

const tap = { from: 300, until: 1200, litrePerMinute: 9 };
const family = 'electric-storage-two-element';
const job = (entries: readonly Entry[]) =>
  emptyJob({ complaint: { kind: 'runs-out', answers: {} }, entries: [...entries] });

describe('would this explain it?', () => {
  const unit = watchedUnit(family, plate4500, ['lower-element.open'], 2);
  const answer = temperatureAnswer(job(watch(unit, { seconds: 3600, tap })))!;

  it('draws a shower of each leading suspect, and of a good unit', () => {
    const [first] = answer.explanations;
    expect(first!.faults).toEqual(['lower-element.open']);
    // Common practice: ten minutes of shower, then cold.
    expect(first!.hotMinutes).toBeGreaterThan(7);
    expect(first!.hotMinutes).toBeLessThan(16);
    const good = answer.explanations.at(-1)!;
    expect(good.faults).toEqual([]);
    expect(good.hotMinutes ?? 40).toBeGreaterThan(20);
  });

  it('holds the run of each against the log', () => {
    const [first] = answer.explanations;
    const good = answer.explanations.at(-1)!;
    expect(first!.log!.offKelvin).toBeLessThan(good.log!.offKelvin);
    expect(first!.log!.channels.map(({ place }) => place)).toEqual([
      'tank-top',
      'tank-bottom',
      'outlet',
    ]);
  });

  it('names what else is wrong by what cures that', () => {
    const both = watchedUnit(family, plate4500, ['lower-element.open', 'sediment'], 2);
    const { explanations } = temperatureAnswer(
      emptyJob({
        complaint: { kind: 'runs-out', answers: { rumble: 'true' } },
        entries: [
          ...watch(both, { seconds: 3600, tap }),
          {
            ...stamp(),
            kind: 'reading',
            check: 'lower-element-ohms',
            value: { overRange: true },
          },
        ],
      }),
    )!;
    for (const { faults, repair, also = [] } of explanations) {
      const own = faults.filter((each) => !also.some(({ fault }) => fault === each));
      expect(also.every((each) => each.repair !== repair)).toBe(true);
      expect(own.length).toBe(repair === undefined ? 0 : faults.length - also.length);
      if (repair !== undefined) expect(own.length).toBeGreaterThan(0);
    }
    const joint = explanations.find((each) => each.also !== undefined);
    expect(joint?.also).toBeDefined();
  });

  it('finds the power of the upper element in the stretch after the draw', () => {
    const { power } = answer.facts[0]!;
    expect(power!.warmed).toBe('top');
    expect(power!.heater!.label).toBe('Upper element');
    expect(power!.lowWatt).toBeLessThan(4500);
    expect(power!.highWatt).toBeGreaterThan(3900);
    // A log that goes on until the tank is hot tells the same power, and not half of it.
    const whole = watch(watchedUnit(family, plate4500, ['lower-element.open'], 3), {
      seconds: 5400,
      tap,
    });
    const long = temperatureAnswer(job(whole))!.facts[0]!.power!;
    expect(long.warmed).toBe('top');
    expect(long.highWatt).toBeGreaterThan(3900);
  });
});

it('tells the rise from one reading by hand to the next', () => {
  const log = stamp().id;
  const read = (second: number, celsius: number): Entry => ({
    ...stamp(),
    kind: 'log',
    log,
    phase: 'samples',
    place: 'tank-top',
    source: 'hand',
    track: { second: [second], celsius: [celsius] },
  });
  const { facts } = temperatureAnswer(job([read(0, 20), read(600, 23.4)]))!;
  expect(facts[0]!.rises[0]!.place).toBe('tank-top');
  expect(facts[0]!.rises[0]!.value).toBeCloseTo(0.34, 9);
});

describe('a proof run', () => {
  const unit = watchedUnit(family, plate4500, ['lower-element.open'], 3);
  const repair: Entry = {
    id: stamp().id,
    at: '2026-03-03T07:30:00Z',
    kind: 'action',
    action: 'replace',
    repair: 'replace-lower-element',
  };

  it('has nothing to say before a repair', () => {
    expect(temperatureAnswer(job([]))!.proof).toBeUndefined();
  });

  it('ticks what is seen as it is seen, and says how long the rest takes', () => {
    unit.act({ kind: 'repair', repair: 'replace-lower-element' });
    const all = watch(unit, { seconds: 3 * 3600, tap: { ...tap, from: 0 } });
    const until = (minutes: number) =>
      all.map((each) =>
        each.kind === 'log' && each.track
          ? {
              ...each,
              at: new Date(Date.UTC(2026, 2, 3, 8) + minutes * 60_000).toISOString(),
              track: {
                second: each.track.second.filter((second) => second <= minutes * 60),
                celsius: each.track.celsius.slice(0, minutes * 2 + 1),
              },
            }
          : each,
      );
    const at = (minutes: number) => temperatureAnswer(job([repair, ...until(minutes)]))!.proof!;
    const early = at(30);
    expect(early.levels.map(({ isSeen }) => isSeen)).toEqual([false, false, false]);
    expect(early.ahead!.shutOffMinutes).toBeGreaterThan(40);
    const midway = at(80);
    expect(midway.levels[1]!.isSeen).toBe(true);
    expect(midway.levels[2]!.isSeen).toBe(false);
    const end = at(180);
    expect(end.levels.slice(1).map(({ isSeen }) => isSeen)).toEqual([true, true]);
    expect(end.ahead).toBeUndefined();
    // What was said half an hour in was about right.
    const seen = end.levels[2]!.seenAtSecond! / 60;
    expect(Math.abs(30 + early.ahead!.shutOffMinutes - seen)).toBeLessThan(35);
  });

  it('of a unit that still runs away is wrong, and not seen', () => {
    const welded = watchedUnit(family, plate4500, ['lower-thermostat.welded'], 5);
    welded.act({ kind: 'press-reset' });
    const { proof } = temperatureAnswer(job([repair, ...watch(welded, { seconds: 4 * 3600 })]))!;
    expect(proof!.levels[2]!.isSeen).toBe(false);
  });
});
