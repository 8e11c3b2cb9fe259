import { createRequire } from 'node:module';

interface Odex {
  readonly Solver: new (dimension: number) => {
    solve(
      slopes: (x: number, y: readonly number[]) => number[],
      from: number,
      start: readonly number[],
      until: number,
    ): { readonly y: readonly number[] };
  };
}

// The package ships sources that the compiler would check under our rules: it is loaded by what it does.
const { Solver } = createRequire(import.meta.url)('odex') as Odex;

/** What a value comes to in so many seconds, by Hairer's extrapolation method (odex). */
export const integrate = (
  slope: (value: number) => number,
  from: number,
  seconds: number,
): number => new Solver(1).solve((_, [value]) => [slope(value!)], 0, [from], seconds).y[0]!;
