import type { MixingReading } from './steps';

/** Hot and cold nearer than this tell nothing of a valve, K. Common practice. */
const leastApart = 5;
/** How far two probes may differ at the same water, K. Common practice. */
const probeKelvin = 2;

/** What of four readings at an open tap cannot be, and which of them says so; undefined where they can. */
export function mixingReadingProblem({
  hotCelsius,
  mixedCelsius,
  coldCelsius,
  tapCelsius,
}: Omit<MixingReading, 'eighths'>):
  { readonly at: 'hot' | 'mixed' | 'tap'; readonly message: string } | undefined {
  const liesBetween = (celsius: number) =>
    celsius <= hotCelsius + probeKelvin && celsius >= coldCelsius - probeKelvin;
  if (hotCelsius - coldCelsius < leastApart) {
    return {
      at: 'hot',
      message: 'The hot port is hardly warmer than the cold: nothing is told of the valve.',
    };
  }
  if (!liesBetween(mixedCelsius)) {
    return {
      at: 'mixed',
      message: 'Mixed water lies between cold and hot: are two of them exchanged?',
    };
  }
  return liesBetween(tapCelsius)
    ? undefined
    : { at: 'tap', message: 'The tap gives what lies between cold and hot: read it once more.' };
}
