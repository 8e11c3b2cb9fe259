import type { Shower } from '../../thermal/tank';
import type { Question } from '../family';
import { told } from './lived-water';

/** Ten minutes of shower, then cold: how long it lasts tells how much of the tank is heated. */
export const hotForQuestion: Question = {
  ask: 'How long does a shower stay hot?',
  values: ['never-hot', 'under-8', '8-to-20', 'over-20'],
  words: {
    'never-hot': 'it is never hot',
    'under-8': 'under 8 min',
    '8-to-20': '8 to 20 min',
    'over-20': 'over 20 min',
  },
};

/** People guess minutes to within so much, natural logarithm; and showers differ by more. Common practice. */
const spread = 0.45;

/** What somebody says of it whose tank gives such a shower. */
export function hotForShares({ firstCelsius, hotMinutes }: Shower): Record<string, number> {
  if (firstCelsius < 34) {
    return { 'never-hot': 0.9, 'under-8': 0.06, '8-to-20': 0.02, 'over-20': 0.02 };
  }
  const below = (minutes: number) =>
    1 / (1 + Math.exp((-1.7 * (Math.log(minutes) - Math.log(Math.max(0.7, hotMinutes)))) / spread));
  const [short, middle] = [below(8), below(20)];
  const never = firstCelsius < 40 ? 0.3 : 0.04;
  const rest = 1 - never;
  const under = told(rest * (0.03 + 0.91 * short));
  const over = told(rest * (0.03 + 0.91 * (1 - middle)));
  return {
    'never-hot': never,
    'under-8': under,
    '8-to-20': rest - under - over,
    'over-20': over,
  };
}
