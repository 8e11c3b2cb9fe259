import type { Quantity } from '../quantities';
import type { JobFileProblem } from './problem';
import { unitProblems } from './value-problems';

/** What a measured field may be, in its kept unit: what lies beyond is a slip of the keys or of the unit. */
export interface MeasuredField {
  readonly quantity: Quantity;
  readonly least: number;
  readonly most: number;
  /** Of what it is: "This is none of a room, −10 to 45 °C." */
  readonly words: string;
}

/** What an entry whose phase says what it needs lacks, and which of its measured fields cannot be. */
export function phaseProblems<Entry extends { readonly phase: string }>(
  entry: Entry,
  pointer: string,
  needed: readonly (keyof Entry & string)[],
  measured: Readonly<Partial<Record<keyof Entry, MeasuredField>>>,
): JobFileProblem[] {
  return [
    ...needed
      .filter((field) => entry[field] === undefined)
      .map((field) => ({
        pointer: `${pointer}/${field}`,
        message: `"${field}" is missing: an entry "${entry.phase}" says it.`,
      })),
    ...(Object.entries(measured) as [keyof Entry & string, MeasuredField][]).flatMap(
      ([field, { quantity, least, most, words }]) => {
        const value = entry[field] as Parameters<typeof unitProblems>[0] | undefined;
        if (value === undefined) return [];
        const at = `${pointer}/${field}`;
        const problems = unitProblems(value, quantity, at);
        const [number] = Object.values(value) as number[];
        return problems.length > 0 || (number! >= least && number! <= most)
          ? problems
          : [{ pointer: at, message: `This is none ${words}.` }];
      },
    ),
  ];
}
