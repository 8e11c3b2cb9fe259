import type { Signals } from '../stages';

/** How far an element is moved to see what it does, natural logarithm. */
const nudge = 0.02;

/**
 * The slope of a value along an element's logarithm, from where it stands and a little further up. From both sides it would take
 * a run more for each element, and of 960 simulated units of four families as many were mended (docs/benchmarks/faults.md).
 */
export const differenceOf = (value: number, at: (log: number) => number): number =>
  (at(nudge) - value) / nudge;

/**
 * How all signals of units in one state follow their elements. A run gives every signal at once, in the order in which the
 * stages declare them, and several readings follow the same ones: so a slope is asked for by signal and worked out for all.
 * What is kept is numbers alone, a third of the memory of the runs.
 */
export class KnownSlopes {
  private readonly known: (Map<string, Float64Array> | undefined)[] = [];
  private places: ReadonlyMap<string, number> | undefined;

  /** The slope of a signal of the unit of that index along the logarithm of one of its elements; `run` gives it moved. */
  slope(
    index: number,
    element: string,
    signal: string,
    still: Signals,
    run: (log: number) => Signals,
  ): number {
    const ofUnit = (this.known[index] ??= new Map<string, Float64Array>());
    let slopes = ofUnit.get(element);
    if (!slopes) {
      const more = run(nudge);
      this.places ??= new Map(Object.keys(more).map((each, k) => [each, k]));
      slopes = new Float64Array(this.places.size);
      let k = 0;
      for (const each in more) slopes[k++] = (more[each]! - still[each]!) / nudge;
      ofUnit.set(element, slopes);
    }
    return slopes[this.places!.get(signal)!]!;
  }
}
