import { describe, expect, it } from 'vitest';
import { explainerOf, explainLog, type TankCase, type WatchedLog } from '.';

/** A tank of 180 L that is found at 58 °C above and 25 °C below, and warms for an hour. */
const log: WatchedLog = {
  fromSecond: 0,
  channels: [
    {
      place: 'tank-top',
      samples: [0, 900, 1800, 2700, 3600].map((second, k) => ({ second, celsius: 58 + k / 10 })),
    },
    {
      place: 'tank-bottom',
      samples: [0, 900, 1800, 2700, 3600].map((second, k) => ({ second, celsius: 25 + 5 * k })),
    },
  ],
  seconds: 3600,
  taps: [],
  switches: [],
  dials: [],
  resets: [],
};

/** @param watts of the upper and the lower heater, by the thermostats that call: none, upper, lower, both. */
function tank(watts: readonly (readonly number[])[], asked?: Set<number>): TankCase {
  return {
    design: {
      volumeLitre: 180,
      heaters: [{ height: 0.68 }, { height: 0.14 }],
      thermostats: [0.68, 0.14].map((height) => ({
        height,
        cutOutCelsius: 52,
        differentialKelvin: 8,
      })),
      lossWattPerKelvin: 1.7,
      inlet: 'bottom',
    },
    power: (calling) => {
      asked?.add(calling);
      return watts[calling]!;
    },
    limitTripped: false,
    standing: Array.from({ length: 30 }, () => 50),
    coldCelsius: 12,
  };
}

const good = [
  [0, 0],
  [4500, 0],
  [0, 4500],
  [4500, 0],
] as const;
const upperOpen = [
  [0, 0],
  [0, 0],
  [0, 4500],
  [0, 0],
] as const;
const lowerOpen = [
  [0, 0],
  [4500, 0],
  [0, 0],
  [4500, 0],
] as const;

describe('tanks that are explained together', () => {
  it('come out as each does by itself, in whichever order', () => {
    const all = [good, lowerOpen, upperOpen];
    const alone = all.map((watts) => explainLog(log, tank(watts)));
    const explain = explainerOf(log);
    expect(all.map((watts) => explain(tank(watts)))).toEqual(alone);
    const again = explainerOf(log);
    expect([...all].reverse().map((watts) => again(tank(watts)))).toEqual([...alone].reverse());
  });

  it('are told apart by heat that is asked for, and share a run where it is not', () => {
    const explain = explainerOf(log);
    const asked = new Set<number>();
    const first = explain(tank(good, asked));
    // Hot above, the upper thermostat never calls: its heat is not asked for.
    expect([...asked].sort()).toEqual([0, 2]);
    expect(explain(tank(upperOpen)).run).toBe(first.run);
    const other = explain(tank(lowerOpen));
    expect(other.run).not.toBe(first.run);
    expect(other.logLikelihood).toBeLessThan(first.logLikelihood - 1);
  });

  it('do not share one where the tank itself is another', () => {
    const explain = explainerOf(log);
    const first = explain(tank(good));
    const { design, ...rest } = tank(good);
    const buried = { ...rest, design: { ...design, sedimentShare: 0.13 } };
    expect(explain(buried)).toEqual(explainLog(log, buried));
    expect(explain(buried).run).not.toBe(first.run);
  });
});
