import { describe, expect, it } from 'vitest';
import { featuresOf, runTap, tapCourse, tapFeatures, type TapDraw, type TapHeater } from '.';

const heater: TapHeater = {
  tapBodyJoulePerKelvin: 3000,
  burner: { mostWatt: 23_600, leastWatt: 5600 },
  startSecond: 6,
  limit: { celsius: 85, kind: 'cuts' },
  setCelsius: 48,
  tapOffsetKelvin: 0,
  flowOffsetKelvin: 0,
  inletOffsetKelvin: 0,
  flowGain: 1,
  wallKelvinPerWatt: 0.0005,
};
const draw: TapDraw = {
  litrePerMinute: 8,
  coldCelsius: 12,
  startFlowCelsius: 12,
  startTapCelsius: 12,
  seconds: 120,
  stepSecond: 0.5,
};

/** A heater and a draw, each time another thing of them a little otherwise. */
const alike: readonly (readonly [TapHeater, TapDraw])[] = [
  [heater, draw],
  [{ ...heater, tapBodyJoulePerKelvin: 3001 }, draw],
  [{ ...heater, burner: { mostWatt: 23_601, leastWatt: 5600 } }, draw],
  [
    { ...heater, burner: { mostWatt: 23_600, leastWatt: 5700 } },
    { ...draw, seconds: 90 },
  ],
  [{ ...heater, startSecond: 7 }, draw],
  [{ ...heater, limit: { celsius: 50, kind: 'cuts' } }, draw],
  [{ ...heater, limit: { celsius: 50, kind: 'eases' } }, draw],
  [
    { ...heater, wallKelvinPerWatt: undefined },
    { ...draw, seconds: 100 },
  ],
  [heater, { ...draw, stepSecond: undefined }],
  [{ ...heater, setCelsius: 48.1 }, draw],
  [{ ...heater, tapOffsetKelvin: 0.1 }, draw],
  [{ ...heater, inletOffsetKelvin: 0.1 }, draw],
  [{ ...heater, flowGain: 1.01 }, draw],
  [heater, { ...draw, litrePerMinute: 8.01 }],
  [heater, { ...draw, coldCelsius: 12.1 }],
  [heater, { ...draw, startTapCelsius: 30 }],
  [heater, { ...draw, seconds: 60 }],
];

describe('a tap that was run before', () => {
  it('is told as if it were run again, whatever was run between', () => {
    const again = [...alike, ...alike.toReversed(), ...alike];
    for (const [each, drawn] of again) {
      const course = runTap(each, drawn);
      expect(tapFeatures(each, drawn)).toEqual(featuresOf(course));
      expect(tapCourse(each, drawn)).toEqual(course);
    }
  });

  it('is not taken for another that differs a little', () => {
    const told = alike.map((each) => JSON.stringify(tapFeatures(...each)));
    expect(new Set(told).size).toBe(alike.length);
  });

  it('still refuses a draw without water', () => {
    expect(() => tapFeatures(heater, { ...draw, litrePerMinute: 0 })).toThrow(RangeError);
  });
});
