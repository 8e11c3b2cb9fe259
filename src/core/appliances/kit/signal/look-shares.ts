import { blurred } from './outcome-tables';
import type { NamedCheck } from '../names';
import type { Shares } from './declaration';

/** Shares over the values of a family's looks, for what is seen most of the time. */
export interface LookShares {
  /** One thing most of the time, and a little of all others. */
  mostly(check: string, value: string, sure?: number): Shares;
  either(check: string, yes: string, no: string, isYes: boolean, sure?: number): Shares;
  /** A row as it is said, and a little of every value. */
  row(check: string, shares: Shares): Shares;
}

export function lookShares(checks: unknown): LookShares {
  const named = checks as Readonly<Record<string, Pick<NamedCheck, 'values'> | undefined>>;
  const valuesOf = (check: string): readonly string[] => named[check]?.values ?? [];
  const mostly: LookShares['mostly'] = (check, value, sure = 0.95) => {
    const values = valuesOf(check);
    const rest = (1 - sure) / (values.length - 1);
    return Object.fromEntries(values.map((each) => [each, each === value ? sure : rest]));
  };
  return {
    mostly,
    either: (check, yes, no, isYes, sure = 0.96) => mostly(check, isYes ? yes : no, sure),
    row: (check, shares) => blurred(shares, valuesOf(check)),
  };
}
