import type { Quantity } from '../../../quantities';
import type { Target } from '../../appliance-family';

/** Two terminals and the signals that a meter finds between them. */
interface ReadPair {
  readonly between: readonly [string, string];
  readonly reads: Readonly<Partial<Record<Quantity, string>>>;
}

/** What is read between two terminals, whichever way round; undefined where nothing is, or a wire's free end is touched. */
export function readsAtPair(
  pairs: readonly ReadPair[] | undefined,
  { between: [from, to] }: Extract<Target, { between: unknown }>,
): ReadPair['reads'] | undefined {
  return pairs?.find(
    ({ between: [one, other] }) => (one === from && other === to) || (one === to && other === from),
  )?.reads;
}

export const quantitiesOf = (pairs: readonly ReadPair[]): Quantity[] => [
  ...new Set(pairs.flatMap(({ reads }) => Object.keys(reads) as Quantity[])),
];
