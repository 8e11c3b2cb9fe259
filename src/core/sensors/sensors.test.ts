import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  celsiusAt,
  driftOfTwo,
  expectedOhm,
  judgeSensor,
  ohmAt,
  sensorType,
  sensorTypes,
  type SensorCurve,
} from '.';

const { curve: ntc } = sensorType('ntc-10k-3977');
const { curve: platinum } = sensorType('pt1000');

describe('curves', () => {
  /** IEC 60751. */
  it.each([
    [-20, 921.6],
    [0, 1000],
    [50, 1194],
    [60, 1232.4],
    [80, 1309],
    [100, 1385.1],
  ])('Pt1000 at %d °C', (celsius, ohm) => {
    expect(Math.abs(ohmAt(platinum, celsius) - ohm)).toBeLessThan(0.1);
  });

  /** R25·exp(B(1/T − 1/298.15)), worked out apart. */
  it.each([
    ['ntc-10k-3977', 0, 33_900],
    ['ntc-10k-3977', 50, 3563],
    ['ntc-10k-3977', 60, 2463],
    ['ntc-10k-3977', 80, 1252],
    ['ntc-10k-3435', 50, 4101],
    ['ntc-10k-3435', 60, 2981],
  ])('%s at %d °C', (id, celsius, ohm) => {
    expect(Math.abs(ohmAt(sensorType(id).curve, celsius) / ohm - 1)).toBeLessThan(0.002);
  });

  it('goes back the way it came', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...sensorTypes),
        fc.double({ min: 0, max: 1, noNaN: true }),
        ({ curve, range: [least, most] }, share) => {
          const celsius = least + share * (most - least);
          expect(celsiusAt(curve, ohmAt(curve, celsius))).toBeCloseTo(celsius, 4);
        },
      ),
      { numRuns: 400, seed: 3 },
    );
  });

  it('goes through every point of a table', () => {
    const { curve } = sensorType('table');
    if (curve.kind !== 'table') throw new Error('a table');
    for (const [celsius, ohm] of curve.points) expect(ohmAt(curve, celsius)).toBeCloseTo(ohm, 6);
  });

  it('refuses what no sensor shows', () => {
    expect(() => celsiusAt(ntc, 0)).toThrow(RangeError);
    expect(() => celsiusAt(ntc, -5)).toThrow(RangeError);
    expect(() => celsiusAt(platinum, 1e5)).toThrow(RangeError);
    expect(() => ohmAt(ntc, -300)).toThrow(RangeError);
    expect(() => sensorType('toString')).toThrow(RangeError);
    expect(() => ohmAt({ kind: 'table', points: [[0, 1]] } as SensorCurve, 0)).toThrow(RangeError);
  });
});

describe('a sensor by its ohms', () => {
  const type = sensorType('ntc-10k-3977');

  it('is right within the band of a thermometer, and off by so many kelvin outside', () => {
    const { ohm, from, to } = expectedOhm(ntc, 55);
    expect(from).toBeLessThan(ohm);
    expect(to).toBeGreaterThan(ohm);
    expect(judgeSensor(type, ohm, 55)).toMatchObject({ kind: 'right' });
    expect(judgeSensor(type, from * 0.97, 55).kind).toBe('drifted');
    // At 55 °C a unit of ln R is 27 K (arithmetic, B 3977).
    const low = judgeSensor(type, ohm * Math.E ** 0.5, 55);
    expect(low.kind === 'drifted' && low.kelvin).toBeCloseTo(-12.6, 0);
  });

  it('is open or short where no temperature has such ohms', () => {
    expect(judgeSensor(type, Infinity, 20).kind).toBe('open');
    expect(judgeSensor(type, 250_000, 20).kind).toBe('open');
    expect(judgeSensor(type, 12, 20).kind).toBe('short');
    expect(judgeSensor(sensorType('pt1000'), 4000, 20).kind).toBe('open');
    expect(judgeSensor(sensorType('pt1000'), 3, 20).kind).toBe('short');
    expect(() => judgeSensor(type, -1, 20)).toThrow(RangeError);
  });

  it('is known where it is a sensor of another curve', () => {
    const verdict = judgeSensor(type, ohmAt(sensorType('ntc-12k-3740').curve, 50), 50);
    // 12 kΩ read as 10 kΩ: about 5 K low at 50 °C by common practice, 6.3 by the two curves.
    expect(verdict.kind === 'drifted' && verdict.kelvin).toBeCloseTo(-6.3, 1);
    expect(verdict.kind === 'drifted' && verdict.fits?.id).toBe('ntc-12k-3740');
  });

  it('drifts the same at two temperatures, or has another curve', () => {
    const shifted = (celsius: number) => ({ celsius, ohm: ohmAt(ntc, celsius + 12) });
    const drift = driftOfTwo(ntc, shifted(20), shifted(65));
    expect(drift.kelvin).toBeCloseTo(12, 6);
    expect(drift.isConstant).toBe(true);
    const other = sensorType('ntc-10k-3435').curve;
    const curved = driftOfTwo(
      ntc,
      { celsius: 25, ohm: ohmAt(other, 25) },
      { celsius: 80, ohm: ohmAt(other, 80) },
    );
    expect(curved.isConstant).toBe(false);
    expect(() => driftOfTwo(ntc, shifted(20), shifted(30))).toThrow(RangeError);
  });
});
