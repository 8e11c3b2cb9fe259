import { describe, expect, it } from 'vitest';
import { batteryLoss, messageChance, nearLoss, pathMargin, signalWords } from '.';

describe('a radio link', () => {
  it('loses in its first metre what free space takes', () => {
    // Friis 1946: 20·lg(4π·d·f/c) at a metre and 868 MHz.
    const friis = 20 * Math.log10((4 * Math.PI * 868e6) / 299_792_458);
    expect(115 - pathMargin({ metre: 1, walls: 0, floors: 0 })).toBeCloseTo(friis, 0);
    expect(
      pathMargin({ metre: 1, walls: 0, floors: 0 }) -
        pathMargin({ metre: 10, walls: 0, floors: 0 }),
    ).toBeCloseTo(30, 9);
  });

  it('suffers from what stands near as common practice has it: 300 mm is enough', () => {
    expect([0, 50, 120, 300].map((each) => Math.round(nearLoss(each) * 2) / 2)).toEqual([
      38, 24, 13, 2.5,
    ]);
  });

  it('gets through or not by its margin, and worse with tired cells', () => {
    expect(messageChance(-1)).toBeCloseTo(0.5, 9);
    expect(messageChance(8)).toBeGreaterThan(0.98);
    expect(messageChance(-10)).toBeLessThan(0.02);
    expect(batteryLoss(3)).toBe(0);
    expect(batteryLoss(2.3)).toBeCloseTo(6, 9);
    expect([12, 3, -6].map(signalWords)).toEqual(['good', 'poor', 'none']);
  });
});
