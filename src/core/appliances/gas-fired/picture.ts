import type { SymbolState } from '../picture';
import { callStages } from './fire';

/** What symbols of a burner and its water say. */

export const valveSymbol = (isShut: boolean, position?: string): SymbolState => ({
  look: isShut ? 'off' : 'on',
  words: isShut ? 'shut' : 'open',
  ...(position === undefined ? {} : { position }),
});

/** By the signals of the fire. */
export function flameSymbol(signals: Readonly<Record<string, number>>): SymbolState {
  const likeliest = callStages.reduce((best, each) =>
    signals[`stage.${each}`]! > signals[`stage.${best}`]! ? each : best,
  );
  if (likeliest === 'burns') {
    return signals['output.share']! < 0.8
      ? { look: 'weak', words: 'burns low' }
      : { look: 'on', words: 'burns' };
  }
  if (likeliest === 'lights-and-drops') return { look: 'weak', words: 'lights and drops' };
  return { look: 'off', words: likeliest === 'sparks-no-flame' ? 'sparks, no flame' : 'out' };
}

export const fanSymbol = (percent: number): SymbolState =>
  percent >= 60
    ? { look: 'on', words: 'runs' }
    : percent > 0
      ? { look: 'weak', words: 'too slow' }
      : { look: 'off', words: 'stands still' };

export const displayWords: Readonly<Record<string, string>> = {
  dark: 'dark',
  standby: 'standby',
  nothing: 'no request shown',
  locked: 'locked out',
  'fan-fails': 'fan fails',
  'sparks-no-flame': 'no flame',
  'lights-and-drops': 'flame lost',
  burns: 'burning',
};

export function displaySymbol(
  signals: Readonly<Record<string, number>>,
  position?: string,
): SymbolState {
  const likeliest = callStages.reduce((best, each) =>
    signals[`stage.${each}`]! > signals[`stage.${best}`]! ? each : best,
  );
  return {
    look: likeliest === 'dark' ? 'off' : likeliest === 'burns' ? 'on' : 'weak',
    words: displayWords[likeliest]!,
    ...(position === undefined ? {} : { position }),
  };
}
