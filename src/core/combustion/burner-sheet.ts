/** A burner of a set, out and looked at. */
export interface BurnerLook {
  /** Counted from 1. */
  readonly burner: number;
  readonly ports: 'open' | 'some-closed' | 'grown-together';
  readonly crack: 'none' | 'hairline' | 'open';
  readonly rust: 'none' | 'surface' | 'through';
  readonly gasket?: 'new' | 'reused';
  readonly isLoose?: boolean;
  /** Where the crack is, by the clock and from which end. */
  readonly where?: string;
}

export type BurnerFinding = 'sound' | 'dirty' | 'cracked-or-closed';

/** What a sheet of burners comes to: the worst of them counts for the set. Common practice. */
export function findingOf(burners: readonly BurnerLook[]): BurnerFinding {
  const is = (test: (each: BurnerLook) => boolean) => burners.some(test);
  if (
    is(
      ({ crack, ports, rust }) =>
        crack !== 'none' || ports === 'grown-together' || rust === 'through',
    )
  ) {
    return 'cracked-or-closed';
  }
  return is(({ ports, rust }) => ports === 'some-closed' || rust === 'surface') ? 'dirty' : 'sound';
}

/** What is wrong with a sheet itself; undefined for one that can be. */
export function burnerProblem(burners: readonly BurnerLook[], finding: string): string | undefined {
  const numbers = burners.map(({ burner }) => burner);
  if (new Set(numbers).size < numbers.length) return 'One burner stands in two rows.';
  const own = findingOf(burners);
  return own === finding ? undefined : `The rows come to "${own}"; not to "${finding}".`;
}
