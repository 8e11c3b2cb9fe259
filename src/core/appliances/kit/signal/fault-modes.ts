import type { Changes } from '../change';
import type { SignalMode, SignalVariant } from './declaration';

/** Ways a fault comes out, as lines of data. */

/** A fault that comes out one way. */
export const plain = (id: string, changes: Changes = {}): SignalMode => ({
  id,
  variants: [{ share: 1, changes }],
});

/** The least spread of what a fault has changed, natural logarithm: no two are alike. */
const leastSpread = 0.03;

/** Between two values: so many steps, each as likely, with the stretch between them as its spread. */
export function ladder(
  id: string,
  element: string,
  [least, most]: readonly [number, number],
  steps: number,
  beside: Changes = {},
): SignalMode {
  const low = Math.log(least);
  const width = (Math.log(most) - low) / steps;
  const at = (count: number, k: number, wide: number): SignalVariant => ({
    share: 1 / count,
    changes: { ...beside, [element]: { value: Math.exp(low + wide * (k + 0.5)) } },
    // A flat stretch has the spread of its width over the root of twelve.
    spread: { [element]: Math.max(leastSpread, wide / Math.sqrt(12)) },
  });
  return {
    id,
    variants: Array.from({ length: steps }, (_, k) => at(steps, k, width)),
    beside: [at(1, 0, width * steps)],
  };
}

/** The same to either side of nought: a reading that is off one way or the other. */
export function eitherSide(
  id: string,
  element: string,
  range: readonly [number, number],
  steps: number,
): SignalMode {
  const { variants } = ladder(id, element, range, steps);
  const turned = (sign: number) =>
    variants.map(({ changes, ...rest }): SignalVariant => {
      const change = changes[element] as { readonly value: number };
      return {
        ...rest,
        share: rest.share / 2,
        changes: { [element]: { value: sign * change.value } },
      };
    });
  return { id, variants: [...turned(1), ...turned(-1)] };
}
