import { judgeThreePoints, type ThreePointVerdict } from '../../water';
import type { JointReading, JointVerdict } from '../joint-reading';

const words: Readonly<Record<ThreePointVerdict['kind'], string>> = {
  right: 'Right at all three: exchanger, sensors and modulation do what they should',
  offset: 'Off by the same at all three: what the control reads at the tap is off by',
  short: 'The more is asked, the more is missing: output, flow or plates',
  'least-output':
    'Hot only at the lowest: the least output is too much for that draw. Draw more and take it again',
  uneven: 'Neither right, nor off by the same: take the odd one again at 5 L/min',
};

/** The three-point test at the tap as one finding. Common practice. */
export const joint: readonly JointReading[] = [
  {
    id: 'three-points',
    title: 'Three points together',
    checks: ['tap-test-low-difference', 'tap-test-middle-difference', 'tap-test-high-difference'],
    judge([low, middle, high]): JointVerdict {
      const verdict = judgeThreePoints({ low: low!, middle: middle!, high: high! });
      return {
        isGood: verdict.kind === 'right',
        words: words[verdict.kind],
        ...(verdict.kind === 'offset' ? { kelvin: verdict.kelvin } : {}),
      };
    },
  },
];
