import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../../tests/sample-unit';
import { diagnoseJob } from '../../job-diagnosis';
import type { Entry, JobFile } from '../../job-file';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../simulation';
import { changed } from '../kit/change';
import type { UnitState } from '../kit/unit-state';
import { calls, callsBelow, callVerdict } from './call';
import { allElements, goodElements, type Elements } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { joint } from './joint';
import { done, run, situations } from './model';
import { plateOf } from './plate';
import { wirelessCylinderControl as family } from '.';

const plate = plateOf(sampleUnit(family, {}));
const immersion = plateOf(sampleUnit(family, { arrangement: 'immersion' }));
const stateOf = (check: string, ...cured: string[]): UnitState => ({
  controls: family.check(check).state?.controls ?? {},
  apart: [],
  done: cured,
  known: {},
});
const at = (
  check: string,
  fault: string | undefined,
  stored = 25,
  cured: readonly string[] = [],
) => {
  const mode = fault === undefined ? undefined : faults(plate).find(({ id }) => id === fault)!;
  const elements = changed(goodElements(plate), mode?.variants[0]!.changes ?? {}) as Elements;
  return run({
    plate,
    elements,
    standing: { share: 1, storedCelsius: stored },
    state: stateOf(check, ...cured),
  });
};

/** Common practice: 60 °C and 10 K, so that a call begins below 50 and goes on to 60. */
describe('the sum of a call', () => {
  it('is setpoint less differential, and a call goes on to the setpoint', () => {
    expect(callsBelow({ setpointCelsius: 60, differentialKelvin: 10 })).toBe(50);
    const of = (storedCelsius: number, was = false) =>
      calls({ storedCelsius, setpointCelsius: 60, differentialKelvin: 10, isAllowed: true }, was);
    expect([49, 52, 60].map((each) => of(each))).toEqual([true, false, false]);
    expect([49, 52, 60].map((each) => of(each, true))).toEqual([true, true, false]);
  });

  it('tells what is no fault from what is set too low', () => {
    const verdict = (storedCelsius: number, setpointCelsius: number) =>
      callVerdict({ storedCelsius, setpointCelsius, differentialKelvin: 10 });
    expect(verdict(52, 60)).toBe('right-not-to');
    expect(verdict(43, 50)).toBe('set-too-low');
    expect(verdict(38, 60)).toBe('calls');
  });

  it('is said with its numbers', () => {
    const { isGood, words } = joint[0]!.judge([52, 60, 10]);
    expect(isGood).toBe(true);
    expect(words).toContainEqual({ celsius: 50 });
    expect(String((words as readonly unknown[]).at(-1))).toContain('not a fault');
  });
});

describe('the chain', () => {
  it('carries a call from the sensor to the coil', () => {
    const signals = at('boiler-call-volts', undefined);
    expect(signals).toMatchObject({ told: 1, light: 1, driven: 1, fires: 1, flows: 1 });
    expect(signals['boiler-call.volt']).toBe(230);
  });

  it.each([
    ['receiver.relay-open', 'receiver-out.volt', 'receiver-supply.volt'],
    ['wiring.receiver-to-valve', 'motor.volt', 'receiver-out.volt'],
    ['cutout.tripped', 'motor.volt', 'receiver-out.volt'],
    ['valve.motor-dead', 'switch-out.volt', 'motor.volt'],
    ['valve.end-switch-open', 'switch-out.volt', 'motor.volt'],
    ['wiring.to-boiler', 'boiler-call.volt', 'switch-out.volt'],
  ])('with %s is dead at %s and alive ahead of it', (fault, dead, alive) => {
    const signals = at('boiler-call-volts', fault);
    expect(signals[dead]).toBe(0);
    expect(signals[alive]).toBe(230);
  });

  it('does not call above setpoint less differential, whatever is pressed', () => {
    const signals = at('boiler-call-volts', undefined, 56);
    expect(signals.call).toBeLessThan(0.1);
    expect(signals['receiver-out.volt']).toBe(0);
    expect(at('receiver-button', undefined, 56).fires).toBe(1);
  });

  it('is cured by what restarts and binds, each its own', () => {
    for (const [fault, cure, other] of [
      ['receiver.hung', done.receiversRestarted, done.sensorRestarted],
      ['receiver.unbound', done.receiverBound, done.receiversRestarted],
      ['sensor.hung', done.sensorRestarted, done.receiverBound],
      ['sensor.unbound', done.sensorBound, done.sensorRestarted],
    ] as const) {
      expect(at('boiler-look', fault).fires, fault).toBe(0);
      expect(at('boiler-look', fault, 25, [other]).fires, fault).toBe(0);
      expect(at('boiler-look', fault, 25, [cure]).fires, fault).toBe(1);
    }
  });

  it('keeps water too hot where a contact is welded or a valve passes, and warm where all is well', () => {
    const standing = (fault?: string) => {
      const mode = faults(plate).find(({ id }) => id === fault);
      const elements = changed(goodElements(plate), mode?.variants[0]!.changes ?? {}) as Elements;
      return situations(plate, elements, fault ? [fault] : [])[0]!.storedCelsius;
    };
    expect(standing()).toBeGreaterThan(50);
    expect(standing()).toBeLessThan(60);
    expect(standing('valve.passing')).toBeGreaterThan(65);
    expect(standing('sensor.off-cylinder')).toBeGreaterThan(65);
    expect(standing('valve.motor-dead')).toBeLessThan(40);
  });
});

describe('the family', () => {
  it('follows no element that it does not say', () => {
    for (const [signal, { elements: follows, byStanding }] of Object.entries(followed.signals)) {
      for (const element of allElements) {
        if (follows.includes(element)) continue;
        const good = goodElements(plate) as Elements;
        const other = { ...good, [element]: good[element] === 0 ? 1 : good[element] * 0.4 };
        const read = (elements: Elements) =>
          run({
            plate,
            elements,
            standing: { share: 1, storedCelsius: 25 },
            state: stateOf('boiler-call-volts'),
          })[signal];
        expect(read(other), `${signal} by ${element}`).toBe(read(good));
      }
      expect(typeof byStanding).toBe('boolean');
    }
  });

  it('is fed with 120 or 230 V, and refuses a plate that says another', () => {
    const of = (volt: number) => {
      const { unit, site } = sampleUnit(family, {});
      return plateOf({
        unit: { ...unit, plate: { ...unit.plate, rated: { volt } } },
        site,
      } as JobFile);
    };
    expect(of(120).lineVolt).toBe(120);
    expect(() => of(400)).toThrow(/120 or 230 V/);
  });

  it('has no valve, boiler or pump where it switches an immersion heater', () => {
    const ids = faults(immersion).map(({ id }) => id);
    expect(ids.some((id) => /^(valve|boiler|pump|circuit)\./.test(id))).toBe(false);
    expect(family.appliesTo('valve-lever-feel', immersion)).toBe(false);
    expect(family.appliesTo('receiver-output-volts', immersion)).toBe(true);
  });

  it('runs every fault in every state of a check without a number that is none', () => {
    for (const { variants } of faults(plate)) {
      for (const { changes } of variants) {
        const elements = changed(goodElements(plate), changes) as Elements;
        for (const check of family.checkIds) {
          const signals = run({
            plate,
            elements,
            standing: { share: 1, storedCelsius: 30 },
            state: stateOf(check),
          });
          expect(Object.values(signals).every(Number.isFinite)).toBe(true);
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
const looked = (check: string, value: string) => entry({ kind: 'observation', check, value });
const shown = (check: string, value: object) => entry({ kind: 'reading', check, value });
const leading = (entries: readonly Entry[], kind = 'no-hot-water') =>
  diagnoseJob(
    {
      ...sampleUnit(family, {}),
      complaint: { kind, answers: { 'heating-works': 'yes' } },
      entries,
    } as unknown as JobFile,
    { depth: 'one-step' },
  ).answer.suspects[0]!;

describe('the diagnosis', () => {
  it('says nothing is wrong with a cylinder that is hot and does not call', () => {
    const { repair, probability } = leading([
      shown('display-stored-temperature', { celsius: 54 }),
      shown('display-setpoint', { celsius: 60 }),
      shown('display-differential', { kelvin: 10 }),
      looked('call-symbol', 'not-calling'),
      looked('raised-setpoint-test', 'symbol-and-light'),
      looked('receiver-button', 'relay-runs'),
    ]);
    expect(repair).toBe('none-in-unit');
    expect(probability).toBeGreaterThan(0.75);
  });

  it('finds a receiver that hung from its button and its restart', () => {
    const { repair, probability } = leading([
      shown('display-stored-temperature', { celsius: 22 }),
      looked('call-symbol', 'calling'),
      looked('receiver-light-after-override', 'flashes'),
      looked('receiver-button', 'relay-runs'),
      looked('receiver-power-off-2-min', 'then-works'),
    ]);
    expect(repair).toBe('restart-receivers');
    expect(probability).toBeGreaterThan(0.85);
  });

  it('finds a motor that is dead from its volts and its lever', () => {
    const { repair } = leading([
      looked('receiver-light-after-override', 'lights'),
      shown('valve-motor-volts', { volt: 230 }),
      looked('valve-lever-feel', 'springs-back'),
    ]);
    expect(repair).toBe('replace-valve-head');
  });

  it('knows every word that a simulated system answers with', () => {
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
