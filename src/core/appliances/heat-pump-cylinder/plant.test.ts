import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../../tests/sample-unit';
import { diagnoseJob, jointVerdicts } from '../../job-diagnosis';
import { walkEntries, type Entry, type JobFile } from '../../job-file';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../simulation';
import { changed } from '../kit/change';
import type { UnitState } from '../kit/unit-state';
import { allElements, ends, goodElements, type Elements } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { joint } from './joint';
import { dashes, done, run, situations } from './model';
import { plateOf } from './plate';
import { heatPumpCylinder as family } from '.';

/** Of 8 kW. */
const eight = { heatPump: '8000' };
const plate = plateOf(sampleUnit(family, eight));
const stateOf = (check: string, ...cured: string[]): UnitState => ({
  controls: family.check(check).state?.controls ?? {},
  apart: [],
  done: cured,
  known: {},
});
const elementsOf = (fault: string | undefined, variant = 0) => {
  const mode = fault === undefined ? undefined : faults().find(({ id }) => id === fault)!;
  return changed(goodElements(plate), mode?.variants[variant]!.changes ?? {}, ends) as Elements;
};
const at = (check: string, fault?: string, cured: readonly string[] = [], variant = 0) => {
  const elements = elementsOf(fault, variant);
  const standing = situations(plate, elements).at(-1)!;
  return run({ plate, elements, standing, state: stateOf(check, ...cured) });
};

/** Common practice: figures of the family's contract. */
describe('the plant', () => {
  it('that is good stands at its setpoint, heats by its curve, and mixes to what its valve is set to', () => {
    const signals = at('display-power');
    expect(signals['cylinder.celsius']).toBeGreaterThan(48.5);
    expect(signals['cylinder.celsius']).toBeLessThan(51.5);
    expect(signals['buffer.celsius']).toBeCloseTo(38.6, 0);
    expect(signals['shown.buffer']).toBeCloseTo(38, 0);
    expect(signals['power.watt']).toBeGreaterThan(1000);
    expect(signals['power.watt']).toBeLessThan(1400);
    expect(signals['mixed-port.celsius']).toBeCloseTo(47.5, 6);
    expect(signals['rise.kelvin']).toBeCloseTo(14.5, 0);
    expect(at('immersion-amps-boost')['immersion.ampere']).toBeCloseTo(13.04, 1);
    expect(at('immersion-ohms')['immersion.ohm']).toBeCloseTo(17.6, 1);
  });

  it('with its buffer sensor out is driven to the limit at full power, and falls back once it is pushed', () => {
    const out = at('display-power', 'buffer-sensor.out-of-pocket', [], 1);
    expect(out['buffer.celsius']).toBeGreaterThan(54);
    expect(out['shown.buffer']).toBeLessThan(38);
    expect(out['at.limit']).toBe(1);
    expect(out['power.watt']).toBeGreaterThan(2700);
    expect(out['room.kelvin']).toBeGreaterThan(1);
    const home = at('display-power', 'buffer-sensor.out-of-pocket', [done.bufferSensorHome], 1);
    expect(home['buffer.celsius']).toBeCloseTo(38.6, 0);
    expect(out['power.watt']! / home['power.watt']!).toBeGreaterThan(2);
  });

  it('with its cylinder sensor out has a cylinder at the limit and rooms that starve, half of the time', () => {
    const elements = elementsOf('cylinder-sensor.out-of-pocket', 1);
    const ways = situations(plate, elements);
    expect(ways.map(({ isStarved }) => isStarved)).toEqual([true, false]);
    expect(ways[0]!.storedCelsius).toBeGreaterThan(53);
    const starved = run({ plate, elements, standing: ways[0]!, state: stateOf('display-power') });
    expect(starved['buffer.celsius']).toBeLessThan(28);
    expect(starved['flow.celsius']).toBeGreaterThan(55);
  });

  it.each([
    ['buffer-sensor.open-or-short', 'shown.buffer'],
    ['cylinder-sensor.open-or-short', 'shown.cylinder'],
    ['flow-sensor.open-or-short', 'shown.flow'],
  ])('with %s has no number at %s', (fault, signal) => {
    expect(at('display-code', fault)[signal]).toBe(dashes);
  });

  it('tells a valve that is set low from one whose hot side is blocked and one that passes hot', () => {
    const [low, blocked, passes] = [
      'mixing-valve.set-low',
      'mixing-valve.hot-side-blocked',
      'mixing-valve.passes-hot',
    ].map((fault) => at('mixer-step-open-rise', fault)) as [
      ReturnType<typeof run>,
      ReturnType<typeof run>,
      ReturnType<typeof run>,
    ];
    expect(low['step-open.kelvin']).toBeCloseTo(4, 6);
    expect(blocked['step-open.kelvin']).toBeCloseTo(0, 6);
    expect(passes['step-open.kelvin']).toBeCloseTo(0, 6);
    expect(passes['step-shut.kelvin']).toBeCloseTo(0, 6);
    expect(at('mixer-step-shut-fall')['step-shut.kelvin']).toBeGreaterThan(2);
    expect(blocked['mixed-port.celsius']!).toBeLessThan(low['hot-port.celsius']! - 4);
  });

  it('is cured by what is rinsed, reset and pressed, each its own', () => {
    expect(at('display-flow-rate', 'strainer.blocked')['flow.rate']).toBeLessThan(12);
    expect(at('display-flow-rate', 'strainer.blocked', [done.strainerRinsed])['flow.rate']).toBe(
      20,
    );
    expect(at('display-power', 'control.locked-out').runs).toBe(0);
    expect(at('display-power', 'control.locked-out', [done.lockoutReset]).runs).toBe(1);
    const limit = 'immersion.limit-tripped';
    expect(at('immersion-amps-boost', limit)['immersion.ampere']).toBe(0);
    expect(
      at('immersion-amps-boost', limit, [done.limitPressed])['immersion.ampere'],
    ).toBeGreaterThan(12);
  });
});

describe('what pairs of readings say', () => {
  const pair = joint.find(({ id }) => id === 'buffer-pair')!;

  it('is the share of its water that a sensor feels, and how deep that is', () => {
    const { isGood, words } = pair.judge([34, 57]);
    expect(isGood).toBe(false);
    expect(String(words)).toContain('0.38');
    expect(String(words)).toContain('10 mm in of 100');
    expect(pair.judge([38, 38.5]).isGood).toBe(true);
    expect(pair.judge([50, 38]).isGood).toBe(false);
    expect(pair.judge([21, 22]).isGood).toBe(true);
  });

  it('is never of one reading before a push and one after it', () => {
    const entries = [
      shown('display-buffer-temperature', { celsius: 34 }),
      looked('buffer-sensor-push', 'goes-in-and-reading-rises'),
      shown('contact-buffer-temperature', { celsius: 40 }),
    ];
    const of = (list: readonly Entry[]) =>
      jointVerdicts(family, walkEntries(list, family.catalogue));
    expect(of(entries)).toEqual([]);
    const again = [...entries, shown('display-buffer-temperature', { celsius: 39 })];
    expect(of(again).map(({ verdict }) => verdict.isGood)).toEqual([true]);
  });
});

describe('the family', () => {
  it('follows no element that it does not say', () => {
    for (const standing of [
      { share: 1, storedCelsius: 45, isStarved: false },
      { share: 1, storedCelsius: 55, isStarved: true },
    ]) {
      for (const [signal, { elements: follows }] of Object.entries(followed.signals)) {
        for (const element of allElements) {
          if (follows.includes(element)) continue;
          const good = goodElements(plate) as Elements;
          const other = { ...good, [element]: good[element] === 0 ? 1 : good[element] * 0.4 };
          for (const check of ['display-power', 'tap-temperature', 'immersion-amps-boost']) {
            const read = (elements: Elements) =>
              run({ plate, elements, standing, state: stateOf(check) })[signal];
            expect(read(other), `${signal} by ${element}`).toBe(read(good));
          }
        }
      }
    }
  });

  it('refuses a plate that no such unit has', () => {
    const of = (fields: object) => {
      const { unit, site } = sampleUnit(family, eight);
      return plateOf({ unit: { ...unit, plate: { ...unit.plate, ...fields } }, site } as JobFile);
    };
    expect(of({ flowLimit: { celsius: 70 } }).flowLimitCelsius).toBe(70);
    expect(() => of({ flowLimit: { celsius: 200 } })).toThrow(/50 to 80/);
    expect(of({ flowLimit: { litre: 70 } }).flowLimitCelsius).toBe(60);
    expect(() => of({ rated: { volt: 400 } })).toThrow(/120 or 230 V/);
    expect(() => of({ heatPump: undefined })).toThrow();
    expect(() => of({ volume: { litre: 2 } })).toThrow(/50 to 1000/);
  });

  it('runs every fault in every state of a check without a number that is none', () => {
    for (const { variants } of faults()) {
      for (const { changes } of variants) {
        const elements = changed(goodElements(plate), changes, ends) as Elements;
        for (const standing of situations(plate, elements)) {
          for (const check of family.checkIds) {
            const signals = run({ plate, elements, standing, state: stateOf(check) });
            expect(Object.values(signals).every(Number.isFinite)).toBe(true);
          }
        }
      }
    }
  });
});

let minute = 0;
const entry = (fields: object): Entry =>
  ({
    id: `e-${++minute}`,
    at: new Date(Date.UTC(2026, 2, 2, 8, minute)).toISOString(),
    by: 't',
    ...fields,
  }) as Entry;
function looked(check: string, value: string): Entry {
  return entry({ kind: 'observation', check, value });
}
function shown(check: string, value: object): Entry {
  return entry({ kind: 'reading', check, value });
}
const leading = (entries: readonly Entry[], kind = 'lukewarm', answers: object = {}) =>
  diagnoseJob(
    { ...sampleUnit(family, eight), complaint: { kind, answers }, entries } as unknown as JobFile,
    { depth: 'one-step' },
  ).answer.suspects[0]!;

describe('the diagnosis', () => {
  const driven = [
    shown('display-buffer-target', { celsius: 38 }),
    shown('display-buffer-temperature', { celsius: 33 }),
    shown('contact-buffer-temperature', { celsius: 57 }),
  ];

  it('finds a buffer sensor out of its pocket from its pair and its push', () => {
    const { repair, probability } = leading(
      [...driven, looked('buffer-sensor-push', 'goes-in-and-reading-rises')],
      'other',
      { rooms: 'overshoot', consumption: 'high' },
    );
    expect(repair).toBe('push-buffer-sensor-home');
    expect(probability).toBeGreaterThan(0.9);
  });

  it('leaves a drifted sensor open until something tells the two apart', () => {
    const either = [
      shown('display-buffer-target', { celsius: 38 }),
      shown('display-buffer-temperature', { celsius: 38 }),
      shown('contact-buffer-temperature', { celsius: 49 }),
    ];
    expect(leading(either, 'other').probability).toBeLessThan(0.95);
    const cup = leading([
      ...either,
      looked('buffer-sensor-push', 'was-home'),
      shown('buffer-sensor-cup-difference', { kelvin: -11 }),
    ]);
    expect(cup.repair).toBe('replace-buffer-sensor');
  });

  it('blames the curve where readout and water agree', () => {
    const { repair } = leading(
      [
        shown('display-buffer-target', { celsius: 50 }),
        shown('display-buffer-temperature', { celsius: 50 }),
        shown('contact-buffer-temperature', { celsius: 50.5 }),
        shown('room-temperature-minus-setpoint', { kelvin: 1 }),
      ],
      'other',
      { rooms: 'overshoot' },
    );
    expect(repair).toBe('set-heating-curve');
  });

  it('sets a valve whose tap follows a step, and serves one whose tap does not', () => {
    const three = (mixed: number) => [
      shown('mixer-hot-port-temperature', { celsius: 49 }),
      shown('mixer-mixed-port-temperature', { celsius: mixed }),
      shown('tap-temperature', { celsius: mixed - 0.6 }),
    ];
    const step = (kelvin: number) => shown('mixer-step-open-rise', { kelvin });
    expect(leading([...three(41), step(3.8)]).repair).toBe('set-mixing-valve');
    expect(leading([...three(38), step(0.1)]).repair).toBe('service-mixing-valve');
  });

  it('says nothing is wrong in cold damp weather that only makes it slow', () => {
    const { repair } = leading(
      [
        looked('display-code', 'none'),
        looked('outdoor-look', 'light-frost'),
        shown('defrosts-per-2-h', { count: 3 }),
        shown('display-flow-rate', { litrePerMinute: 20 }),
        shown('display-cylinder-temperature', { celsius: 49 }),
        shown('cylinder-rise-per-30-min', { kelvin: 11.5 }),
        shown('coil-approach', { kelvin: 6 }),
      ],
      'slow',
      { onset: 'cold-weather' },
    );
    expect(repair).toBe('none-in-unit');
  });

  it('knows every word that a simulated plant answers with', () => {
    const simulated = simulatedFamilyOf(family.id);
    for (const [fault] of simulated.weights) {
      const unit = simulateUnit(simulated, plate, seededRandom(3), { faults: [fault] });
      for (const check of family.checkIds) {
        const answer = unit.answer(check, stateOf(check));
        if (answer.kind === 'outcome') {
          expect(family.check(check).values, check).toContain(answer.outcome);
        }
      }
    }
  });
});
