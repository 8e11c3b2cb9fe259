import type { FamilyNames } from '../appliances/kit/names';
import type { Random } from './random';

/** Two faults, or two parts by what stands ahead of the dot, that come together so many times as often as chance. */
export type Together = readonly [string, string, number];

const part = (id: string) => id.split('.')[0]!;
const isNamed = (id: string, name: string) => id === name || part(id) === name;

/** Faults drawn by weight: one, or two of different parts, with pairs that come together more often than chance. */
export function drawFaults(
  weights: readonly (readonly [string, number])[],
  together: readonly Together[],
  twoFaults: number,
  random: Random,
): string[] {
  if (!random.chance(twoFaults)) return [random.pick(weights)];
  const real = weights.filter(([id]) => id !== 'no-fault');
  const pairs = real.flatMap(([one, weight], k) =>
    real
      .slice(k + 1)
      .filter(([other]) => part(other) !== part(one))
      .map(([other, otherWeight]) => {
        const factor = together.find(
          ([a, b]) =>
            (isNamed(one, a) && isNamed(other, b)) || (isNamed(other, a) && isNamed(one, b)),
        );
        return [[one, other], weight * otherWeight * (factor?.[2] ?? 1)] as const;
      }),
  );
  return [...random.pick(pairs)];
}

/** A fault of a family with the repair that mends it. Throws a `RangeError` for one that the family does not have. */
export const knownFault =
  ({ faults }: FamilyNames) =>
  (id: string) => {
    const repair = faults[id];
    if (repair === undefined) throw new RangeError(`no fault is named "${id}"`);
    return { id, repair };
  };
