import { describe, expect, it } from 'vitest';
import { runTank, type Power, type TankCourse, type TankDesign } from '.';

const tank: TankDesign = {
  volumeLitre: 189,
  heaters: [{ height: 0.66 }, { height: 0.12 }],
  thermostats: [
    { height: 0.7, cutOutCelsius: 52, differentialKelvin: 6 },
    { height: 0.17, cutOutCelsius: 50, differentialKelvin: 6 },
  ],
  limit: { height: 0.76, celsius: 77 },
  lossWattPerKelvin: 1.7,
  inlet: 'bottom',
};
const oneAtATime =
  (upperWatt: number, lowerWatt: number): Power =>
  (calling) =>
    calling & 1 ? [upperWatt, 0] : calling & 2 ? [0, lowerWatt] : [0, 0];
const course = (rest: Partial<TankCourse>): TankCourse => ({
  seconds: 3 * 3600,
  startCelsius: 15,
  coldCelsius: 15,
  roomCelsius: 20,
  draws: [],
  power: oneAtATime(4500, 4500),
  probes: [0.17, 0.7],
  ...rest,
});
const at = (result: ReturnType<typeof runTank>, minute: number) =>
  result.samples.find(({ second }) => second === minute * 60)!;
const shower = { atSecond: 0, durationSecond: 2400, litrePerMinute: 8, wantedCelsius: 40 };

describe('a tank with two elements', () => {
  it('heats its top third, hands over, and then the rest', () => {
    const result = runTank(tank, course({}));
    expect(at(result, 30).probeCelsius[0]).toBeLessThan(16);
    expect(at(result, 30).outletCelsius).toBeGreaterThan(40);
    expect(at(result, 60).watt).toEqual([0, 4500]);
    expect(result.calling).toBe(0);
    expect(result.endCelsius[8]).toBeGreaterThan(46);
  });

  it('with an open lower element stays cold below, and gives a short shower', () => {
    const power = oneAtATime(4500, 0);
    expect(runTank(tank, course({ power })).endCelsius[2]).toBeLessThan(16);
    const drawn = runTank(
      tank,
      course({ power, startCelsius: [15, 15, 52], draws: [shower], seconds: 2400 }),
    );
    const ranOut = drawn.samples.find(({ mixedCelsius = 40 }) => mixedCelsius < 38)!.second / 60;
    // Common practice: ten minutes of shower, then cold.
    expect(ranOut).toBeGreaterThan(7);
    expect(ranOut).toBeLessThan(15);
    const good = runTank(tank, course({ startCelsius: 52, draws: [shower], seconds: 2400 }));
    expect(at(good, 30).mixedCelsius).toBe(40);
  });

  it('with an open upper element heats as a whole from below', () => {
    const power: Power = (calling) => (calling & 2 ? [0, 4500] : [0, 0]);
    const { endCelsius } = runTank(tank, course({ power, seconds: 3600 }));
    expect(endCelsius.at(-1)! - endCelsius[6]!).toBeLessThan(0.5);
  });

  it('runs away where a contact is welded, until the limit opens and stays open', () => {
    const power: Power = () => [4500, 0];
    const result = runTank(tank, course({ power, startCelsius: 50 }));
    expect(result.limitTrippedAtSecond).toBeGreaterThan(600);
    expect(result.samples.at(-1)!.watt).toEqual([0, 0]);
  });

  it('does nothing while the breaker is off', () => {
    const switches = [
      { atSecond: 0, isOn: false },
      { atSecond: 3600, isOn: true },
    ];
    const result = runTank(tank, course({ switches, seconds: 7200 }));
    expect(at(result, 59).outletCelsius).toBeLessThan(15.3);
    expect(at(result, 100).outletCelsius).toBeGreaterThan(40);
  });

  it('without a dip tube turns lukewarm from the first minutes and hot nowhere', () => {
    const result = runTank(
      { ...tank, inlet: 'top' },
      course({ startCelsius: 52, draws: [shower], seconds: 2400 }),
    );
    expect(at(result, 12).outletCelsius).toBeLessThan(42);
    expect(at(result, 12).outletCelsius).toBeGreaterThan(32);
  });

  it('behind sediment heats late, and holds less', () => {
    const behind = {
      ...tank,
      sedimentShare: 0.15,
      heaters: [{ height: 0.66 }, { height: 0.12, lagSecond: 900 }],
    };
    const inTime = (design: TankDesign) =>
      runTank(design, course({ startCelsius: 52, draws: [shower], seconds: 2400 })).samples.find(
        ({ mixedCelsius = 40 }) => mixedCelsius < 38,
      )!.second;
    expect(inTime(behind)).toBeLessThan(inTime(tank) - 120);
  });
});

describe('energy', () => {
  const household = Array.from({ length: 30 }, (_, k) => ({
    atSecond: 6 * 3600 + k * 1800,
    durationSecond: k % 6 === 0 ? 480 : 60,
    litrePerMinute: 8,
    wantedCelsius: 40,
  }));

  it.each([
    ['sound', tank],
    ['without a dip tube', { ...tank, inlet: 'top' as const }],
    [
      'with sediment',
      {
        ...tank,
        sedimentShare: 0.2,
        heaters: [{ height: 0.66 }, { height: 0.1, lagSecond: 1200 }],
      },
    ],
    ['small', { ...tank, volumeLitre: 12 }],
    ['large', { ...tank, volumeLitre: 450 }],
  ])('is kept to 0.1 %% over a day of a household, %s', (_, design) => {
    const { energy } = runTank(
      design,
      course({ seconds: 86_400, startCelsius: 45, draws: household, sampleEverySecond: 600 }),
    );
    expect(energy.heated).toBeGreaterThan(1e6);
    expect(
      Math.abs(energy.heated - energy.drawn - energy.lost - energy.stored) / energy.heated,
    ).toBeLessThan(0.001);
  });

  it('of two layers by hand: half the tank drawn once is cold below and hot above', () => {
    // 100 L at 60 °C, 50 L drawn at once, cold of 10 °C: the lower half at 10, less what the inlet stirs.
    const { endCelsius } = runTank(
      { ...tank, volumeLitre: 100, lossWattPerKelvin: 0 },
      course({
        seconds: 300,
        startCelsius: 60,
        coldCelsius: 10,
        power: () => [0, 0],
        draws: [{ atSecond: 0, durationSecond: 300, litrePerMinute: 10 }],
      }),
    );
    const mean = endCelsius.reduce((sum, each) => sum + each, 0) / endCelsius.length;
    expect(mean).toBeGreaterThan(34);
    expect(mean).toBeLessThan(36);
    expect(endCelsius.at(-1)).toBeGreaterThan(59.5);
    expect(endCelsius[0]).toBeLessThan(20);
  });
});

it('refuses a course of no length', () => {
  expect(() => runTank(tank, course({ seconds: 0 }))).toThrow(RangeError);
});
