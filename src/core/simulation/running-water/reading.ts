import type { Quantity } from '../../quantities';
import type { Random } from '../random';
import type { SimulatedAnswer } from '../simulated-family';

export type Answered = Readonly<Record<string, () => SimulatedAnswer>>;

export const number = (value: number): SimulatedAnswer => ({ kind: 'number', value });
export const overRange: SimulatedAnswer = { kind: 'over-range' };

/** The most that a slipped reading shows. */
const slipMost: Readonly<Partial<Record<Quantity | string, number>>> = {
  temperature: 80,
  'temperature-difference': 40,
  'temperature-rate': 120,
  flow: 16,
  'volume-flow': 4,
  pressure: 4e5,
  'pressure-difference': 2500,
  'current-dc': 9e-6,
  'voltage-ac': 240,
  'voltage-dc': 26,
  percent: 15,
  ppm: 0.01,
  resistance: 60,
  time: 60,
  length: 22,
  power: 60,
};

/** Over range, near zero, or a value from somewhere else. */
export function slipOf(quantity: string | undefined, random: Random): SimulatedAnswer {
  if (quantity === 'resistance' && random.chance(0.35)) return overRange;
  return number(random.chance(0.3) ? 0 : (slipMost[quantity ?? ''] ?? 1) * random.next());
}
