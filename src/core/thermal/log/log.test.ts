import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../simulation';
import { simulatedTank } from '../../simulation/tank/simulated-tank';
import {
  cleanChannel,
  cyclesOf,
  heaterAtWork,
  powerFromRise,
  slopeOf,
  stillPart,
  unrecordedDraws,
  type LogSample,
} from '.';

const line = (perMinute: number, noise = 0): LogSample[] => {
  const random = seededRandom(3);
  return Array.from({ length: 41 }, (_, k) => ({
    second: k * 30,
    celsius: 20 + (perMinute * k) / 2 + noise * random.normal(),
  }));
};

describe('a slope', () => {
  it('is the middle of all slopes, whatever a few readings say', () => {
    const wild = line(0.4, 0.1).map((each, k) => (k % 9 === 0 ? { ...each, celsius: 71 } : each));
    expect(slopeOf(wild).kelvinPerSecond * 60).toBeCloseTo(0.4, 1);
    expect(slopeOf(line(0.4)).kelvinPerSecond * 60).toBeCloseTo(0.4, 9);
  });

  it('of two readings, or of one moment, is none', () => {
    expect(() => slopeOf(line(1).slice(0, 2))).toThrow(RangeError);
    expect(() => slopeOf([1, 2, 3].map((celsius) => ({ second: 5, celsius })))).toThrow(RangeError);
  });
});

describe('a channel as it comes', () => {
  it('leaves out a clock that went back, what is no temperature, and says so', () => {
    const samples = [
      { second: 0, celsius: 40 },
      { second: 60, celsius: 40.5 },
      { second: 30, celsius: 41 },
      { second: 120, celsius: 999 },
      { second: 180, celsius: 41.5 },
    ];
    const { channel, dropped } = cleanChannel({ place: 'tank-top', samples });
    expect(channel.samples.map(({ celsius }) => celsius)).toEqual([40, 40.5, 41.5]);
    expect(dropped.map(({ why }) => why)).toEqual(['clock went back', 'not a temperature']);
  });

  it('leaves out where a probe had slipped off the wall, and keeps a draw', () => {
    const slipped = line(0.2).map((each, k) =>
      k > 10 && k < 20
        ? { ...each, celsius: 19 + 0.1 * k }
        : { ...each, celsius: each.celsius + 20 },
    );
    const { channel, dropped } = cleanChannel({ place: 'tank-top', samples: slipped }, 19);
    expect(dropped.map(({ why }) => why)).toEqual(['probe slipped']);
    expect(channel.samples.length).toBe(41 - 9);
    const drawn = line(0).map((each, k) => ({ ...each, celsius: k < 10 ? 50 : 12 }));
    expect(cleanChannel({ place: 'tank-bottom', samples: drawn }, 19).channel.samples.length).toBe(
      41,
    );
  });
});

describe('the power that went in', () => {
  const known = {
    volumeSpread: 0.005,
    heaterHeights: [0.66, 0.105],
    lossWattPerKelvin: 1.7,
    roomCelsius: 19,
  };

  it('is 4500 W where 189 L warm by 0.385 K a minute above the lower element', () => {
    // By hand: 4500 W less 1.7 W/K × 0.895 × 8.7 K of loss, over 0.895 × 188.2 kg × 4179 J/(kg K).
    const { watt, warmed } = powerFromRise(
      { top: line(0.3822), bottom: line(0.3822) },
      { ...known, litre: 189 },
    );
    expect(warmed).toBe('all');
    expect(watt).toBeGreaterThan(4400);
    expect(watt).toBeLessThan(4600);
  });

  it('of what warms below hot water is told with all that it may be', () => {
    const hot = line(0).map(({ second }) => ({ second, celsius: 52 }));
    const found = powerFromRise({ top: hot, bottom: line(0.6) }, { ...known, litre: 189 });
    expect(found.warmed).toBe('bottom');
    expect(found.highWatt / found.lowWatt).toBeGreaterThan(2);
  });

  it('of a tank that stands is none', () => {
    const still = line(0, 0.1);
    expect(powerFromRise({ top: still, bottom: still }, { ...known, litre: 189 }).watt).toBe(0);
  });
});

describe('a night of a simulated tank that nobody draws of', () => {
  const random = seededRandom(21);
  const tank = simulatedTank(
    {
      plateLitre: 189,
      heaters: [{ height: 0.66 }, { height: 0.11 }],
      hasDipTube: true,
      coldCelsius: 12,
      startCelsius: 45,
    },
    random,
  );
  let isOn = true;
  const top: LogSample[] = [];
  const bottom: LogSample[] = [];
  for (let second = 0; second < 14 * 3600; second += 60) {
    const wall = tank.celsiusAt(0.17);
    if (wall > 55) isOn = false;
    else if (wall < 49) isOn = true;
    tank.advance(60, [0, isOn ? 3000 : 0], 0);
    const read = (height: number) => tank.celsiusAt(height) + 0.15 * random.normal();
    top.push({ second, celsius: read(0.93) });
    bottom.push({ second, celsius: read(0.17) });
  }

  it('shows where its thermostat opens, and how fast it cools', () => {
    const cycles = cyclesOf(
      { place: 'tank-bottom', samples: bottom },
      { litre: tank.litre, roomCelsius: tank.roomCelsius },
    );
    expect(cycles.setCelsius).toBeGreaterThan(54);
    expect(cycles.setCelsius).toBeLessThan(56.5);
    // The wall at the top tells the loss: the bottom cools to the dead water under the element as well.
    const { lossWattPerKelvin } = cyclesOf(
      { place: 'tank-top', samples: top },
      { litre: tank.litre, roomCelsius: tank.roomCelsius },
    );
    expect(lossWattPerKelvin! / tank.lossWattPerKelvin).toBeGreaterThan(0.7);
    expect(lossWattPerKelvin! / tank.lossWattPerKelvin).toBeLessThan(1.4);
  });

  it('shows where it closes again, through gaps and a doubled clock', () => {
    const broken = bottom
      .filter(({ second }) => second < 9000 || second > 10_200)
      .flatMap((each, k) => (k % 50 === 0 ? [each, each] : [each]));
    const { cutInCelsius, differentialKelvin } = cyclesOf(
      { place: 'tank-bottom', samples: broken },
      { litre: tank.litre, roomCelsius: tank.roomCelsius },
    );
    if (cutInCelsius.length > 0) {
      expect(differentialKelvin).toBeGreaterThan(4.5);
      expect(differentialKelvin).toBeLessThan(7.5);
    }
    expect(broken.length).toBeGreaterThan(bottom.length - 30);
  });

  it('shows that the lower heater worked', () => {
    const until = (samples: readonly LogSample[]) => samples.filter(({ second }) => second < 1800);
    expect(heaterAtWork(until(top), until(bottom))).toBe('lower');
    expect(heaterAtWork(top.slice(0, 2), bottom)).toBe('unknown');
  });
});

describe('a draw that nobody wrote down', () => {
  const log = (taps: { second: number; litrePerMinute: number }[]) => ({
    fromSecond: 0,
    seconds: 5400,
    taps,
    switches: [],
    dials: [],
    resets: [],
    channels: [
      {
        place: 'tank-bottom',
        samples: Array.from({ length: 91 }, (_, k) => ({
          second: k * 60,
          celsius: k < 20 ? 48 : k < 30 ? 48 - 3 * (k - 19) : 18 + 0.2 * (k - 30),
        })),
      },
    ],
  });

  it('is seen in a wall that falls, and only the longest part without it counts', () => {
    expect(unrecordedDraws(log([])).length).toBe(1);
    const part = stillPart(log([]));
    expect(part.fromSecond).toBeGreaterThan(1600);
    expect(part.seconds).toBeGreaterThan(2700);
    expect(part.channels[0]!.samples[0]!.second).toBeLessThan(60);
  });

  it('that was written down is none', () => {
    const taps = [
      { second: 1140, litrePerMinute: 8 },
      { second: 1800, litrePerMinute: 0 },
    ];
    expect(unrecordedDraws(log(taps))).toEqual([]);
    expect(stillPart(log(taps)).seconds).toBe(5400);
  });
});
