import { describe, expect, it } from 'vitest';
import {
  litresAtOutlet,
  mixedFrom,
  mixingAdvice,
  outletLimit,
  type MixingReading,
  type ValveState,
} from '.';
import { mixedCelsius } from '../thermal';

const stored = { hotCelsius: 50, coldCelsius: 10 };

describe('mixed water', () => {
  it('leaves the valve as the balance of energy has it', () => {
    const share = 0.6;
    const mixed = mixedFrom({ setCelsius: 99, mostHotShare: share }, 50, 10);
    const balance = mixedCelsius(
      { celsius: 50, litrePerMinute: 6 },
      { celsius: 10, litrePerMinute: 4 },
    );
    expect(mixed).toBeCloseTo(balance, 9);
    expect(mixedFrom({ setCelsius: 41, mostHotShare: 0.97 }, 50, 10)).toBe(41);
  });

  /** Worked example: 200 L, 50 °C at the hot port, 10 °C cold. Common practice takes nine tenths before the mixed layer. */
  it.each([
    [40, 240],
    [43, 218],
    [47, 195],
  ])('at %i °C lasts for about %i L', (celsius, litres) => {
    expect(litresAtOutlet(200, 50, 10, celsius)).toBeCloseTo(litres, -0.5);
  });

  it('loses 16 % of the showers from 41 to 47 °C', () => {
    const lost = 1 - litresAtOutlet(200, 50, 10, 47) / litresAtOutlet(200, 50, 10, 41);
    expect(lost).toBeCloseTo(0.16, 2);
  });
});

/** From memory: TMV2, and Approved Document G. */
describe('the limit of an outlet', () => {
  it('is the rule’s, and the strictest with anybody frail', () => {
    expect(outletLimit('bath', 'tmv2', { isFrail: false }).celsius).toBe(44);
    expect(outletLimit('shower', 'tmv2', { isFrail: false }).celsius).toBe(41);
    expect(outletLimit('bath', 'document-g', { isFrail: false }).celsius).toBe(48);
    expect(outletLimit('bath', 'document-g', { isFrail: true }).celsius).toBe(44);
    expect(outletLimit('kitchen', 'own', { ownCelsius: 50, isFrail: false }).celsius).toBe(50);
    expect(outletLimit('kitchen', 'own', { ownCelsius: 50, isFrail: true }).celsius).toBe(41);
  });
});

/** A valve that is turned: what is read of it, with errors of none. */
function turned(
  eighths: readonly number[],
  { setCelsius, mostHotShare }: ValveState,
  worth = 4,
  hot = 50,
): MixingReading[] {
  return eighths.map((each) => {
    const mixed = mixedFrom({ setCelsius: setCelsius + worth * each, mostHotShare }, hot, 10);
    return {
      eighths: each,
      hotCelsius: hot,
      coldCelsius: 10,
      mixedCelsius: mixed,
      tapCelsius: mixed - 0.7,
    };
  });
}

const advice = (readings: readonly MixingReading[], wantedCelsius = 46, limitCelsius = 48) =>
  mixingAdvice({ tankLitre: 200, wantedCelsius, limitCelsius, readings })!;

describe('a valve that is opened step by step', () => {
  const set = { setCelsius: 40, mostHotShare: 0.97 };

  it('tells tap, margin and litres of the next turn before it is made, and hits it', () => {
    const { next } = advice(turned([0], set));
    expect(next!.tapCelsius).toBeCloseTo(43.3, 6);
    expect(next!.marginKelvin).toBeCloseTo(4.7, 6);
    const [, after] = turned([0, 1], set);
    expect(next!.tapCelsius).toBeCloseTo(after!.tapCelsius, 6);
    expect(next!.litres).toBeCloseTo(litresAtOutlet(200, 50, 10, after!.tapCelsius), 6);
    expect(next!.litres).toBeLessThan(advice(turned([0], set)).now.litres);
    // And says so again beside what was read.
    expect(advice(turned([0, 1], set)).lastTold).toEqual(next);
    expect(advice(turned([0, 2], set)).lastTold).toBeUndefined();
  });

  it('learns what an eighth of this valve is worth', () => {
    const before = advice(turned([0], set, 2.8));
    const after = advice(turned([0, 1], set, 2.8));
    expect(before.eighthKelvin).toBe(4);
    expect(after.eighthKelvin).toBeLessThan(3.2);
    expect(after.next!.spreadKelvin).toBeLessThan(before.next!.spreadKelvin);
  });

  it('stops at the wanted tap, at the limit, and where the stored water is all there is', () => {
    expect(advice(turned([0, 1, 2], set), 46).end).toBe('wanted');
    expect(advice(turned([0, 1], set), 50, 45).end).toBe('at-limit');
    expect(advice(turned([0, 1, 2, 3], set), 55, 62).end).toBe('stored-limits');
    expect(advice(turned([0], set)).end).toBeUndefined();
  });

  it('turns back what stands over the limit', () => {
    const told = advice(turned([0, 1, 2], set), 46, 44);
    expect(told.end).toBe('over-limit');
    expect(told.next!.eighths).toBe(-1);
    expect(told.next!.tapCelsius).toBeLessThan(44);
  });

  it('does not call a hot side blocked whose tap rose, whatever a probe on a pipe says', () => {
    const [found, opened] = turned([0, 1], set) as [MixingReading, MixingReading];
    const told = advice([found, { ...opened, mixedCelsius: found.mixedCelsius + 0.2 }], 50, 60);
    expect(told.finding).toBeUndefined();
    expect(told.now.disinfectionMarginKelvin).toBeCloseTo(told.now.marginKelvin, 6);
  });

  it('judges the margin with the tank at its hottest: what a step opened unseen comes out then', () => {
    // At a hot port of 46 °C the valve stands open beyond what it can show.
    const readings = turned([0, 1, 2, 3], { setCelsius: 40, mostHotShare: 0.97 }, 4, 46);
    const { now, end, next } = advice(readings, 50, 48);
    expect(end).toBe('over-at-hottest');
    expect(next!.eighths).toBe(-1);
    expect(now.marginKelvin).toBeGreaterThan(3);
    const hottest = mixedFrom({ setCelsius: 52, mostHotShare: 0.97 }, 60, 10);
    expect(now.disinfectionMarginKelvin).toBeLessThanOrEqual(48 - (hottest - 0.7) + 0.5);
    expect(now.isInsideFailSafe).toBe(true);
  });

  it('never counts shut steps that move nothing: what passes hot comes out at its hottest', () => {
    const hot: MixingReading = { ...stored, eighths: 0, mixedCelsius: 49.6, tapCelsius: 49 };
    const shut = [0, -1, -2, -3, -4].map((eighths) => ({ ...hot, eighths }));
    const { now, end } = advice(shut, 49, 55);
    expect(end).toBe('over-at-hottest');
    expect(now.disinfectionMarginKelvin).toBeLessThan(-3);
  });

  it('names a hot side that is blocked, one that passes hot, and cold that gets in', () => {
    const blocked = { setCelsius: 47, mostHotShare: 0.65 };
    expect(advice(turned([0, 1], blocked), 46).finding).toBe('hot-side-blocked');
    expect(advice(turned([0, 1], blocked), 46).end).toBe('no-gain');
    const hot: MixingReading = { ...stored, eighths: 0, mixedCelsius: 49.7, tapCelsius: 49 };
    expect(advice([hot, { ...hot, eighths: -1 }], 46, 60).finding).toBe('passes-hot');
    // Found at its hot side, nobody knows how far it stands open: it is tried shut.
    expect(advice([hot], 49, 55)).toMatchObject({ end: 'over-at-hottest', next: { eighths: -1 } });
    const cold: MixingReading = { ...stored, eighths: 0, mixedCelsius: 46, tapCelsius: 39 };
    expect(advice([cold], 46, 60).finding).toBe('cross-flow');
    const held: MixingReading = { ...stored, eighths: 1, mixedCelsius: 49, tapCelsius: 39 };
    expect(advice([cold, held], 46, 60).finding).toBe('outlet-limits');
  });

  it('says nothing of water that is not hot, or that nobody read', () => {
    expect(
      mixingAdvice({ tankLitre: 200, wantedCelsius: 46, limitCelsius: 48, readings: [] }),
    ).toBeUndefined();
    const cold = { ...stored, hotCelsius: 12, eighths: 0, mixedCelsius: 11, tapCelsius: 11 };
    expect(
      mixingAdvice({ tankLitre: 200, wantedCelsius: 46, limitCelsius: 48, readings: [cold] }),
    ).toBeUndefined();
  });
});
