import type { ApplianceFamily } from '@/core/appliances';

/** Places that most logs of a family are of; the others are one tap away. */
export function placesOf({ tap, follows }: ApplianceFamily): {
  readonly usual: readonly string[];
  readonly others: readonly string[];
} {
  if (follows) return follows;
  if (tap?.hasFlow) {
    return {
      usual: ['flow-pipe', 'return-pipe', 'outlet', 'readout-flow'],
      others: ['cold-inlet', 'hot-pipe', 'readout-outlet', 'room'],
    };
  }
  if (tap) {
    return {
      usual: ['outlet', 'readout-outlet', 'cold-inlet', 'hot-pipe'],
      others: ['room'],
    };
  }
  return {
    usual: ['tank-top', 'tank-bottom', 'outlet', 'cold-inlet'],
    others: [
      'upper-cover',
      'lower-cover',
      'hot-pipe',
      'flow-pipe',
      'return-pipe',
      'room',
      'readout-water',
    ],
  };
}

/** Where the inputs of instruments are held: two of a thermometer, and what an infrared one is aimed at. */
export const liveOf = ({ tap, follows }: ApplianceFamily): readonly [string, string, string] =>
  follows?.live ??
  (tap?.hasFlow
    ? ['flow-pipe', 'return-pipe', 'outlet']
    : tap
      ? ['outlet', 'cold-inlet', 'hot-pipe']
      : ['tank-top', 'tank-bottom', 'outlet']);
