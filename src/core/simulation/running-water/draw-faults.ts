import type { Random } from '../random';

/** Faults drawn by weight: one, or two of different parts, with pairs that come together more often than chance. */
export function drawFaults(
  weights: readonly (readonly [string, number])[],
  together: readonly (readonly [string, string, number])[],
  twoFaults: number,
  random: Random,
): string[] {
  if (!random.chance(twoFaults)) return [random.pick(weights)];
  const real = weights.filter(([id]) => id !== 'no-fault');
  const part = (id: string) => id.split('.')[0]!;
  const pairs = real.flatMap(([one, weight], k) =>
    real
      .slice(k + 1)
      .filter(([other]) => part(other) !== part(one))
      .map(([other, otherWeight]) => {
        const factor = together.find(
          ([a, b]) =>
            (a === part(one) && b === part(other)) || (b === part(one) && a === part(other)),
        );
        return [[one, other], weight * otherWeight * (factor?.[2] ?? 1)] as const;
      }),
  );
  return [...random.pick(pairs)];
}
