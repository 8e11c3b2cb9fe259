import type { Hypothesis } from '../../diagnosis/model';
import type { FamilyParameters } from './parameters';

/** A part and a way it fails. Its weight is a parameter; each variant has a share of it. */
export interface Mode<Variant> {
  readonly id: string;
  readonly variants: readonly Variant[];
  /** Coarser variants for a unit with a second fault beside it; the same where absent. */
  readonly beside?: readonly Variant[];
}

export interface ChosenVariant<Variant> {
  readonly mode: Mode<Variant>;
  readonly variant: Variant;
  /** Equal for the same variant of the same mode. */
  readonly key: string;
}

export const noFault = 'no-fault';

/** A fault is named by its part and the way it fails: `lower-element.open`. Some, such as sediment, have no such way. */
export const partOfFault = (fault: string): string => fault.split('.')[0]!;

export const modeOfFault = (fault: string): string | undefined => fault.split('.')[1];

export interface Listing<Variant extends { readonly share: number }, Made> {
  readonly modes: readonly Mode<Variant>[];
  /** Modes that are in no list, each with this weight. */
  readonly unlisted?: { readonly modes: readonly Mode<Variant>[]; weight(total: number): number };
  readonly parameters: Pick<FamilyParameters, 'faultWeights' | 'twoFaults'>;
  /** Pairs are considered, the weightiest first, until this share of all units with two faults is covered. */
  readonly pairsCovered: number;
  /** Whether two modes change the same thing, so that both cannot be. */
  clash(one: Mode<Variant>, other: Mode<Variant>): boolean;
  make(
    chosen: readonly ChosenVariant<Variant>[],
    weight: number,
    grid: Hypothesis['grid'],
  ): readonly Made[];
}

/** Every way a unit may be, with prior weights: none, one or two faults, each with its variants and consequences. */
export function listHypotheses<Variant extends { readonly share: number }, Made>(
  listing: Listing<Variant, Made>,
): Made[] {
  const { modes, unlisted, parameters, pairsCovered, make } = listing;
  const weightOf = ({ id }: Mode<Variant>) => parameters.faultWeights[id]!;
  const total = modes.reduce((sum, mode) => sum + weightOf(mode), 0);
  const alone = (mode: Mode<Variant>, weight: number, grid: Hypothesis['grid']) =>
    mode.variants.flatMap((variant, v) =>
      make([{ mode, variant, key: `${mode.id}/${v}` }], weight * variant.share, grid),
    );
  const singles = [
    ...modes.flatMap((mode) => alone(mode, weightOf(mode), 'fine')),
    ...(unlisted?.modes ?? []).flatMap((mode) => alone(mode, unlisted!.weight(total), 'coarse')),
  ];
  const { share } = parameters.twoFaults;
  if (share <= 0) return singles;
  const pairs = pairsOf(listing);
  const pairTotal = pairs.reduce((sum, each) => sum + each.weight, 0);
  const scale = (total * share) / (1 - share) / pairTotal;
  return [
    ...singles,
    ...weightiest(pairs, pairTotal, pairsCovered).flatMap(({ one, other, weight }) =>
      variantsBeside(one).flatMap((first) =>
        variantsBeside(other).flatMap((second) =>
          make(
            [first, second],
            weight * scale * first.variant.share * second.variant.share,
            'coarse',
          ),
        ),
      ),
    ),
  ];
}

interface Pair<Variant> {
  readonly one: Mode<Variant>;
  readonly other: Mode<Variant>;
  readonly weight: number;
}

/** Two faults of different parts; what two modes do to the same part is a mode of its own. */
function pairsOf<Variant extends { readonly share: number }, Made>({
  modes,
  parameters: { faultWeights, twoFaults },
  clash,
}: Listing<Variant, Made>): Pair<Variant>[] {
  const real = modes.filter(({ id }) => id !== noFault);
  return real.flatMap((one, k) =>
    real.slice(k + 1).flatMap((other) => {
      if (partOfFault(one.id) === partOfFault(other.id) || clash(one, other)) return [];
      const factor = twoFaults.together.find(({ parts: [a, b] }) =>
        [a, b].every((part) => isNamed(one.id, part) || isNamed(other.id, part)),
      )?.factor;
      return [
        { one, other, weight: faultWeights[one.id]! * faultWeights[other.id]! * (factor ?? 1) },
      ];
    }),
  );
}

/** A pair is named by its parts, or by the faults themselves. */
const isNamed = (fault: string, name: string): boolean =>
  fault === name || partOfFault(fault) === name;

function weightiest<Variant>(
  pairs: readonly Pair<Variant>[],
  total: number,
  covered: number,
): Pair<Variant>[] {
  const sorted = [...pairs].sort((one, other) => other.weight - one.weight);
  let sum = 0;
  return sorted.filter((each) => {
    const wanted = sum < covered * total;
    sum += each.weight;
    return wanted;
  });
}

const variantsBeside = <Variant>(mode: Mode<Variant>): ChosenVariant<Variant>[] =>
  (mode.beside ?? mode.variants).map((variant, v) => ({
    mode,
    variant,
    key: mode.beside ? `${mode.id}/beside-${v}` : `${mode.id}/${v}`,
  }));
