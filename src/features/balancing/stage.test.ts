import { describe, expect, it } from 'vitest';
import type { BalancingAdvice, BalancingSession } from '@/core/balancing';
import { stageOf } from './stage';

const at = '2026-03-02T08:00:00Z';
const start = Date.parse(at);
const radiator = (id: string, turns = 4, aside?: 'sludge') =>
  ({ id, turns, ...(aside ? { aside } : {}) }) as BalancingSession['radiators'][number];
const two = [radiator('a'), radiator('b')];
const session = (given: Partial<BalancingSession>): BalancingSession => ({
  radiators: two,
  rounds: [],
  isRestored: false,
  unlisted: [],
  ...given,
});
const round = (turns: readonly number[], top: readonly (number | undefined)[], flow = 70) => ({
  at,
  flowCelsius: flow,
  turns,
  topCelsius: top,
  bottomCelsius: top,
});
const advice = (toTurns: number) =>
  ({ moves: [{ radiator: 0, fromTurns: 4, toTurns }] }) as unknown as BalancingAdvice;
const kindOf = (
  given: Partial<BalancingSession>,
  of?: BalancingAdvice,
  isWorking = false,
  now = start,
) => stageOf(session(given), of, isWorking, now).kind;

describe('what comes next in a house', () => {
  it('is the list, the valves, the wait, the boiler, the radiators, in this order', () => {
    expect(kindOf({ radiators: [radiator('a')] })).toBe('list');
    expect(kindOf({})).toBe('open');
    expect(kindOf({ warmingSince: at })).toBe('warm');
    expect(kindOf({ warmingSince: at }, undefined, false, start + 601_000)).toBe('boiler');
    expect(kindOf({ rounds: [round([4, 4], [66, undefined])] })).toBe('read');
    expect(kindOf({ rounds: [round([4, 4], [66, 60])] }, undefined, true)).toBe('wait');
    expect(kindOf({ rounds: [round([4, 4], [66, 60])] }, advice(1))).toBe('set');
  });

  it('is not settling while the list is worked out anew, and settles once every valve stands', () => {
    const set = {
      radiators: [radiator('a', 1), radiator('b')],
      rounds: [round([4, 4], [66, 60])],
      setSince: at,
    };
    expect(kindOf(set, advice(1), true)).toBe('wait');
    expect(kindOf(set, advice(0.5), true)).toBe('set');
    expect(kindOf(set, advice(1))).toBe('settle');
    expect(kindOf(set, advice(1), false, start + 361_000)).toBe('boiler');
  });

  it('asks nobody to read a radiator that is left out', () => {
    const rounds = [round([4, 4], [66, undefined])];
    expect(kindOf({ radiators: [radiator('a'), radiator('b', 4, 'sludge')], rounds })).toBe('wait');
  });

  it('ends where it was ended', () => {
    expect(kindOf({ ended: { why: 'even', at } })).toBe('ended');
  });
});
