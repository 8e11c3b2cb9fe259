import { describe, expect, it } from 'vitest';
import { expansionLitre } from './expansion';
import { flowHeat, heatOfWater } from './flow-heat';
import { hotShare, mixedCelsius, throughMixingValve } from './mixing';
import { plateRecoveryGallonPerHour, plateRecoveryLitrePerHour } from './recovery';
import { cooledCelsius, lossFromCooling, standingLossWatt } from './standing-loss';
import { mixedLitre } from './usable-volume';

describe('flowing water', () => {
  it('takes 24 kW for 9.8 L/min and 35 K', () => {
    // Heat balance: kW = L/min × K × 0.0697.
    const { litrePerMinute } = flowHeat({ watt: 24_000, fromCelsius: 10, toCelsius: 45 });
    expect(litrePerMinute).toBeGreaterThan(9.75);
    expect(litrePerMinute).toBeLessThan(9.97);
  });

  it.each(['watt', 'litrePerMinute', 'fromCelsius', 'toCelsius'] as const)(
    'gives back %s from the other three',
    (left) => {
      const whole = flowHeat({ litrePerMinute: 7.5, fromCelsius: 12, toCelsius: 47 });
      const { [left]: expected, ...rest } = whole;
      expect(flowHeat(rest)[left]).toBeCloseTo(expected, 6);
    },
  );

  it('refuses what cannot be', () => {
    expect(() => flowHeat({ watt: 1000, litrePerMinute: 5 })).toThrow(RangeError);
    expect(() => flowHeat({ watt: 1000, fromCelsius: 40, toCelsius: 40 })).toThrow(RangeError);
    expect(() => flowHeat({ watt: 90_000, litrePerMinute: 1, fromCelsius: 10 })).toThrow(
      RangeError,
    );
    expect(() => flowHeat({ watt: 0, litrePerMinute: 0, fromCelsius: 10 })).toThrow(RangeError);
  });

  it('takes a kilowatt-hour and a sixth for 20 L and 50 K', () => {
    // 4.18 kJ/(kg·K) × 20 kg × 50 K = 4.18 MJ = 1.161 kWh, by hand.
    expect(heatOfWater(20, 10, 60) / 3.6e6).toBeCloseTo(1.162, 2);
  });
});

describe('recovery on a plate', () => {
  it('is 40.94 gal/h for 40,000 BTU/h at 76 % and 90 °F, with 8.25 lb/gal', () => {
    // Plate arithmetic, common practice.
    const inputWatt = (40_000 * 1055.06) / 3600;
    const plate = { inputWatt, efficiency: 0.76, riseKelvin: 50 };
    expect(plateRecoveryGallonPerHour(plate)).toBeCloseTo(40.94, 2);
    // The same plate rounded with the heavier gallon.
    expect(plateRecoveryGallonPerHour({ ...plate, poundPerGallon: 8.33 })).toBeCloseTo(40.55, 2);
    expect(plateRecoveryLitrePerHour(plate)).toBeCloseTo(154.98, 1);
  });

  it('is 20.7 gal/h for 4500 W and 90 °F', () => {
    expect(
      plateRecoveryGallonPerHour({ inputWatt: 4500, efficiency: 1, riseKelvin: 50 }),
    ).toBeCloseTo(20.68, 1);
  });

  it('refuses a rise of nothing', () => {
    expect(() =>
      plateRecoveryGallonPerHour({ inputWatt: 4500, efficiency: 1, riseKelvin: 0 }),
    ).toThrow(RangeError);
  });
});

describe('hot and cold together', () => {
  // Worked by hand: 5 L of 60 and 5 L of 10 are 35 °C; 40 °C of 60 and 10 is three fifths hot.
  it('meet by flow', () => {
    const mixed = mixedCelsius(
      { celsius: 60, litrePerMinute: 5 },
      { celsius: 10, litrePerMinute: 5 },
    );
    expect(mixed).toBe(35);
    expect(hotShare(60, 10, 40)).toBeCloseTo(0.6, 12);
    expect(hotShare(38, 10, 40)).toBe(1);
  });

  it('pass a mixing valve at its setting while the hot is hot enough', () => {
    expect(throughMixingValve({ setCelsius: 48 }, 60, 10)).toEqual({
      outletCelsius: 48,
      hotShare: 0.76,
      holds: true,
    });
    expect(throughMixingValve({ setCelsius: 48 }, 52, 10).holds).toBe(false);
    expect(throughMixingValve({ setCelsius: 48 }, 41, 10).outletCelsius).toBe(41);
  });

  it('come to 212 L at 40 °C from 189 L at 60', () => {
    // 0.7 × 189 ÷ 0.625, by hand.
    const tank = { litre: 189, storedCelsius: 60, coldCelsius: 60 - 50 };
    expect(mixedLitre(tank, 40)).toBeCloseTo((0.7 * 189) / 0.6, 9);
    expect(mixedLitre({ ...tank, storedCelsius: 35 }, 40)).toBe(0);
  });
});

describe('a tank that stands', () => {
  it('grows by 3.1 L as 190 L go from 10 to 60 °C', () => {
    // IAPWS-IF97: 999.70 and 983.21 kg/m³.
    expect(expansionLitre(190, 10, 60)).toBeCloseTo(190 * (999.7 / 983.2 - 1), 1);
  });

  it('loses what it cools by', () => {
    const tank = { litre: 189, lossWattPerKelvin: 1.7 };
    const after = cooledCelsius(tank, 60, 20, 10);
    expect(after).toBeGreaterThan(56.5);
    expect(after).toBeLessThan(57.3);
    expect(
      lossFromCooling(189, { fromCelsius: 60, toCelsius: after, roomCelsius: 20, hours: 10 }),
    ).toBeCloseTo(1.7, 9);
    expect(standingLossWatt(tank, 60, 20)).toBe(68);
    expect(() =>
      lossFromCooling(189, { fromCelsius: 50, toCelsius: 55, roomCelsius: 20, hours: 1 }),
    ).toThrow(RangeError);
  });
});
