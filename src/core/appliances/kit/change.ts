/**
 * What a fault does to a named element of a unit, be it a wire, a pipe or a step: a value of its own, a factor on its good
 * value, open (a broken wire, a blocked hose, a step that fails), or closed for good.
 */
export type Change = { readonly value: number } | { readonly factor: number } | 'open' | 'closed';

export type Changes = Readonly<Record<string, Change>>;

/** What `open` and `closed` stand for, by element: an element that is not named is a share, nought when open and one when closed. */
export type Ends = Readonly<Record<string, { readonly open: number; readonly closed: number }>>;

/**
 * The true values of all elements: the good ones, with what the faults change.
 * @throws RangeError for a change of an element that there is not.
 */
export function changed(
  good: Readonly<Record<string, number>>,
  changes: Changes,
  ends: Ends = {},
): Record<string, number> {
  const values = { ...good };
  for (const [element, change] of Object.entries(changes)) {
    const value = values[element];
    if (value === undefined) throw new RangeError(`no element is named "${element}"`);
    if (change === 'open') values[element] = ends[element]?.open ?? 0;
    else if (change === 'closed') values[element] = ends[element]?.closed ?? 1;
    else values[element] = 'value' in change ? change.value : value * change.factor;
  }
  return values;
}
