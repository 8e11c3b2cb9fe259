import type { AnalysisResult } from './analysis';
import { limitsOf, type BurnerKind } from './limits';

/** What figures of a kind point to, each with its odds against all being right. Common practice; only where the unit fires. */
export interface Pattern {
  readonly id: string;
  readonly words: string;
  readonly suspects: readonly { readonly words: string; readonly odds: number }[];
}

const of = (words: string, odds: number) => ({ words, odds });

export const patterns: Readonly<Record<string, Pattern>> = {
  'oxygen-low-monoxide-high': {
    id: 'oxygen-low-monoxide-high',
    words: 'little oxygen, much carbon monoxide',
    suspects: [
      of('mixture rich', 6),
      of('intake or flue choked', 4),
      of('exchanger fouled', 3),
      of('wrong fuel or orifice', 2),
      of('flue gas drawn in again', 2),
    ],
  },
  'oxygen-low-monoxide-low': {
    id: 'oxygen-low-monoxide-low',
    words: 'little oxygen, little carbon monoxide',
    suspects: [of('mixture rich, not burning badly yet', 5), of('gas pressure high', 2)],
  },
  'oxygen-high-monoxide-high': {
    id: 'oxygen-high-monoxide-high',
    words: 'much oxygen, much carbon monoxide',
    suspects: [
      of('flame lifts or is cold: burner cracked, or its ports closed', 6),
      of('mixture far lean', 4),
      of('gasket leaks air in', 2),
    ],
  },
  'oxygen-high-monoxide-low': {
    id: 'oxygen-high-monoxide-low',
    words: 'much oxygen, little carbon monoxide',
    suspects: [
      of('mixture lean', 5),
      of('air leaks in at the probe or a joint', 4),
      of('working gas pressure low', 4),
      of('burner turned down', 1),
    ],
  },
  'oxygen-right-monoxide-high': {
    id: 'oxygen-right-monoxide-high',
    words: 'oxygen right, much carbon monoxide',
    suspects: [of('burner ports or crack', 6), of('exchanger', 3), of('flame touches metal', 2)],
  },
  'oxygen-right-flue-hot': {
    id: 'oxygen-right-flue-hot',
    words: 'oxygen right, flue hot',
    suspects: [of('exchanger fouled or scaled', 8), of('flow low', 3), of('overfired', 2)],
  },
  'high-right-low-off': {
    id: 'high-right-low-off',
    words: 'right at high fire, off at low fire',
    suspects: [of('offset of the gas valve', 6), of('air leaks in', 2)],
  },
  'room-monoxide': {
    id: 'room-monoxide',
    words: 'carbon monoxide in the room',
    suspects: [of('flue joint', 4), of('trap dry', 3), of('spillage', 3)],
  },
};

/** Low fire stands within this of high fire, in percent of oxygen, and above it rather than below. Common practice. */
const lowFirePercent = 1;

export function patternOf(
  kind: BurnerKind,
  high: AnalysisResult,
  beside: {
    readonly isFlueHot: boolean;
    readonly low?: AnalysisResult;
    readonly ambientPpm?: number;
  },
): Pattern | undefined {
  const limits = limitsOf(kind);
  if ((beside.ambientPpm ?? 0) > limits.ambient.right[1]) return patterns['room-monoxide'];
  const [least, most] = limits.oxygen.right;
  const isCoHigh =
    high.carbonMonoxideAirFreePpm > limits['air-free'].right[1] ||
    high.ratio > limits.ratio.right[1];
  const monoxide = isCoHigh ? 'high' : 'low';
  if (high.oxygenPercent < least) return patterns[`oxygen-low-monoxide-${monoxide}`];
  if (high.oxygenPercent > most) return patterns[`oxygen-high-monoxide-${monoxide}`];
  if (isCoHigh) return patterns['oxygen-right-monoxide-high'];
  if (beside.isFlueHot) return patterns['oxygen-right-flue-hot'];
  if (beside.low && Math.abs(beside.low.oxygenPercent - high.oxygenPercent) > lowFirePercent) {
    return patterns['high-right-low-off'];
  }
  return undefined;
}
