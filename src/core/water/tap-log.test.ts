import { describe, expect, it } from 'vitest';
import { featureReader, featuresOfLog, readIn, type TapLog } from './tap-log';
import type { TapCourse } from './tap-run';

const samplesOf = (from: number, ...celsius: readonly number[]) =>
  celsius.map((each, k) => ({ second: from + 10 * k, celsius: each }));

/** Two minutes, read every ten seconds but for the flow, which is read every five at first. All that is expected is added up by hand. */
const log: TapLog = {
  seconds: 120,
  startCelsius: 30,
  channels: [
    {
      place: 'flow',
      isReadout: true,
      samples: [
        ...[30, 34, 44, 50, 55].map((celsius, k) => ({ second: 5 * k, celsius })),
        ...samplesOf(40, 70, 90, 72, 66, 60, 62, 64, 66, 68),
      ],
    },
    { place: 'return', isReadout: false, samples: samplesOf(80, 41, 43, 45) },
    {
      place: 'tap',
      isReadout: false,
      samples: samplesOf(0, 12, 20, 30, 52, 49, 51, 44, 46, 48, 40, 42, 44, 46),
    },
  ],
};

describe('what a followed draw comes to', () => {
  const features = Object.fromEntries(featuresOfLog(log).map(({ id, value }) => [id, value]));

  it('rises by the steepest ten seconds that were read often enough', () => {
    // 34 to 50 in ten seconds; the 20 K from 40 s to 50 s lie too far apart to be a rise.
    expect(features.rise).toBeCloseTo(1.6, 12);
  });

  it('has a peak anywhere, settles in its last third and falls after its first', () => {
    expect(features.peak).toBe(90);
    expect(features.flow).toBeCloseTo((60 + 62 + 64 + 66 + 68) / 5, 12);
    expect(features.return).toBeCloseTo(43, 12);
    expect(features.tap).toBeCloseTo((48 + 40 + 42 + 44 + 46) / 5, 12);
    // From 51 at 50 s to 40 at 90 s: the 52 of 30 s came before.
    expect(features.swing).toBe(11);
  });

  it('is told of other temperatures at the same moments, and not of what has too few', () => {
    const others = log.channels.map(({ samples }) => samples.map(() => 40));
    const told = Object.fromEntries(
      featureReader(log)(others).map((each) => [each.id, each.value]),
    );
    expect(told).toEqual({ rise: 0, peak: 40, flow: 40, return: 40, tap: 40, swing: 0 });
    const short: TapLog = { ...log, seconds: 80, channels: [log.channels[2]!] };
    expect(featuresOfLog(short).map(({ id }) => id)).toEqual(['tap']);
    const one = { ...log.channels[0]!, samples: samplesOf(0, 30) };
    expect(featuresOfLog({ ...log, channels: [one] })).toEqual([]);
  });
});

describe('a course as it would have been read', () => {
  const row = (base: number) => Float64Array.from({ length: 240 }, (_, k) => base + k);
  const course: TapCourse = {
    stepSecond: 0.5,
    flowCelsius: row(100),
    returnCelsius: row(200),
    tapCelsius: row(300),
    watt: row(0),
    cuts: 0,
    boils: false,
  };
  const seen = {
    course,
    still: { flowCelsius: 31, tapCelsius: 9 },
    tapShare: (celsius: number) => celsius / 2,
    readoutKelvin: { flow: 7, tap: 5 },
  };

  it('takes the step that ended at the moment of a sample, and what stood there before the first', () => {
    const [flow, back, tap] = readIn(log, seen);
    expect([flow![0], flow![1]]).toEqual([31 + 7, 100 + 9 + 7]);
    expect(flow!.at(-1)).toBe(100 + 239 + 7);
    expect(back![0]).toBe(200 + 159);
    // Out of the tap comes half of it; a display would show all of it, and its own error.
    expect([tap![0], tap![1]]).toEqual([9 / 2, (300 + 19) / 2]);
    const shown = { ...log, channels: [{ ...log.channels[2]!, isReadout: true }] };
    expect(readIn(shown, seen)[0]![1]).toBe(300 + 19 + 5);
  });

  it('stands still where it does not burn', () => {
    const [flow, back, tap] = readIn(log, { ...seen, course: undefined });
    expect(new Set([...flow!])).toEqual(new Set([38]));
    expect(new Set([...back!])).toEqual(new Set([31]));
    expect(new Set([...tap!])).toEqual(new Set([4.5]));
  });
});
