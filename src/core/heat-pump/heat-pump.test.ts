import { describe, expect, it } from 'vitest';
import {
  depthOfShare,
  drivenWater,
  performanceRatio,
  pocketShare,
  riseIn,
  roomOvershoot,
  sensorReading,
  shareOfPair,
} from '.';
import { heatingMinutes, waterDensity, waterSpecificHeat } from '../thermal';

/** Common practice, for a pocket of 100 mm. */
describe('a sensor in its pocket', () => {
  it.each([
    [100, 0.97],
    [60, 0.88],
    [30, 0.68],
    [20, 0.55],
    [10, 0.37],
    [0, 0.12],
  ])('%i mm in feels %f of its water', (millimetre, share) => {
    expect(pocketShare(millimetre)).toBeCloseTo(share, 1);
    expect(depthOfShare(pocketShare(millimetre))).toBeCloseTo(millimetre, 6);
  });

  it('is told by one pair of readings, unless water and room are alike', () => {
    const reading = sensorReading(57, 20, { share: 0.4 });
    expect(reading).toBeCloseTo(34.8, 6);
    expect(shareOfPair(reading, 57, 20)).toBeCloseTo(0.4, 6);
    expect(shareOfPair(22, 23, 20)).toBeUndefined();
  });
});

describe('water that a reading drives', () => {
  it('never gets there at 45 °C and a share of 0.60, and gets to the limit', () => {
    const driven = drivenWater(45, 20, { share: 0.6, offsetKelvin: 0 }, 60);
    expect(driven).toEqual({ waterCelsius: 57, isAtLimit: true });
    expect(drivenWater(45, 20, { share: 0.6, offsetKelvin: 0 }, 70).waterCelsius).toBeCloseTo(
      61.7,
      1,
    );
  });

  it('stands at 57.5 °C for a target of 35, and falls to it once the sensor is home', () => {
    const of = (share: number) => drivenWater(35, 20, { share, offsetKelvin: 0 }, 70).waterCelsius;
    expect(of(0.4)).toBeCloseTo(57.5, 6);
    expect(of(1)).toBeCloseTo(35, 6);
  });

  it('costs about three times the power: 3.1 kW at the limit, 1.1 kW after', () => {
    const full = 8000 / performanceRatio(57, 4);
    const after = (8000 * 0.5) / performanceRatio(38, 4);
    expect(full).toBeGreaterThan(2900);
    expect(full).toBeLessThan(3300);
    expect(after).toBeGreaterThan(1050);
    expect(after).toBeLessThan(1250);
  });

  it('is never better than a reversed cycle without losses (Carnot 1824)', () => {
    for (let flow = 25; flow <= 75; flow += 5) {
      for (let outdoor = -20; outdoor <= 20; outdoor += 5) {
        const best = (flow + 273.15) / Math.max(1, flow - outdoor);
        expect(performanceRatio(flow, outdoor)).toBeLessThan(best);
      }
    }
    expect(performanceRatio(38, 4)).toBeCloseTo(3.5, 6);
  });

  it('leaves 1.4 K for rooms from 55 °C, 0.5 K from 32 °C: the common end of two bodies without loss', () => {
    expect(Math.abs(roomOvershoot(55, 20) - 1.4)).toBeLessThan(0.1);
    expect(Math.abs(roomOvershoot(32, 20) - 0.5)).toBeLessThan(0.1);
    // Two bodies stepped until they are alike, hand in hand.
    let [emitter, room] = [55, 20];
    for (let k = 0; k < 200_000; k++) {
      const moved = 40 * (emitter - room);
      emitter -= moved / 0.32e6;
      room += moved / 8e6;
    }
    expect(room - 20).toBeCloseTo(roomOvershoot(55, 20), 3);
  });

  it('rises 15 K in half an hour at 7 kW and 200 L, as its density and specific heat have it', () => {
    const rise = riseIn(30, 7000, 200);
    expect(rise).toBeCloseTo(15, 0);
    const kilogram = 0.2 * waterDensity(45);
    expect(rise).toBeCloseTo((7000 * 1800) / (kilogram * waterSpecificHeat(45)), 0);
    expect(
      heatingMinutes({ litre: 200, fromCelsius: 40, toCelsius: 40 + rise, watt: 7000 }),
    ).toBeCloseTo(30, 0);
  });
});
