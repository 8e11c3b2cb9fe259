import type { Complaint } from '../../core/simulation';

/** What a caller says, made of what the simulated unit's own complaint and answers are: one story from call to report. */

const complaints: Readonly<Record<string, readonly string[]>> = {
  'no-hot-water': ['No hot water at all.', 'The water stays cold.', 'Nothing hot comes.'],
  'runs-out': ['It starts hot and runs out soon.', 'One bath, then it runs cold.'],
  lukewarm: ['Only ever lukewarm.', 'It gets warm, never hot.'],
  slow: ['It takes half a day to come back.', 'Slow to heat up again.'],
  'too-hot': ['Far too hot: it steams at the tap.'],
  noise: ['It rumbles and pops.'],
  swings: ['It swings between hot and cold.'],
  code: ['A light on it blinks.'],
  leak: ['There is a damp patch at the heater.'],
  late: ['It takes minutes until it comes hot.'],
  'dead-display': ['The display is dark.'],
  'heating-only': ['The heating is fine, the tap stays cold.'],
  'hot-water-only': ['Hot water is fine, the radiators stay cold.'],
  'trips-breaker': ['It throws the breaker.'],
  'trips-rcd': ['It throws the earth-leakage switch.'],
};

const onsets: Readonly<Record<string, string>> = {
  sudden: 'From one day to the next.',
  gradual: 'It crept in over some weeks.',
};

const breakers: Readonly<Record<string, string>> = {
  once: 'The breaker had gone once.',
  again: 'The breaker goes again as soon as it is on.',
};

/** @param nth which of several ways to say it. */
export function wordsOf({ kind, answers }: Complaint, nth: number): string {
  const ways = complaints[kind] ?? ['Something is wrong with the hot water.'];
  return [
    ways[nth % ways.length],
    answers.allOutlets === 'false' ? 'At one tap only.' : undefined,
    onsets[answers.onset ?? ''],
    breakers[answers.breaker ?? ''],
    answers.rumble === 'true' && kind !== 'noise' ? 'And it rumbles.' : undefined,
    answers.afterWork === 'true' ? 'Somebody had been at it before.' : undefined,
  ]
    .filter(Boolean)
    .join(' ');
}
