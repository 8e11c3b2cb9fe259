/**
 * Finds looks again: those that give the same answers the same chances, to four digits, are one. Names belong to it: two
 * looks with the same shares for different answers are not alike, whatever the order they are told in.
 */
export class OutcomeIndex {
  readonly #shapes: Shape[] = [];

  /** What was made for a look, made now if it is the first of its kind. @param make is given the chances to four digits. */
  found(probabilities: Shares, make: (rounded: Shares) => number): number {
    const { sorted, root } = this.#shapeOf(Object.keys(probabilities));
    let node = root;
    for (const name of sorted) {
      const share = toFourDigits(probabilities[name]!);
      let next = node.next.get(share);
      if (!next) {
        next = { next: new Map(), made: undefined };
        node.next.set(share, next);
      }
      node = next;
    }
    return (node.made ??= make(rounded(probabilities)));
  }

  /** Looks ask about the same answers in the same order again and again: the orders that came are known. */
  #shapeOf(names: readonly string[]): Shape {
    for (const shape of this.#shapes) if (areSame(shape.names, names)) return shape;
    const sorted = [...names].sort();
    const alike = this.#shapes.find((each) => areSame(each.sorted, sorted));
    const made = { names, sorted, root: alike?.root ?? { next: new Map(), made: undefined } };
    this.#shapes.push(made);
    return made;
  }
}

type Shares = Readonly<Record<string, number>>;

interface Shape {
  readonly names: readonly string[];
  readonly sorted: readonly string[];
  readonly root: Node;
}

/** A step for the chance of each answer, in the order of their names. */
interface Node {
  readonly next: Map<number, Node>;
  made: number | undefined;
}

function areSame(one: readonly string[], other: readonly string[]): boolean {
  if (one.length !== other.length) return false;
  for (let k = 0; k < one.length; k++) if (one[k] !== other[k]) return false;
  return true;
}

const rounded = (probabilities: Shares): Shares =>
  Object.fromEntries(
    Object.entries(probabilities).map(([name, share]) => [name, toFourDigits(share)]),
  );

/**
 * A chance to four digits: a rare answer keeps its digits. The same as writing it out so and reading it again, which takes ten
 * times as long: left to what lies where counting might round otherwise.
 */
export function toFourDigits(share: number): number {
  if (share === 1) return 1;
  for (const { from, below, parts } of sizes) {
    if (share < from || share >= below) continue;
    const counted = share * parts;
    const whole = Math.round(counted);
    if (Math.abs(counted - whole) < 0.4999) return whole / parts;
  }
  return Number(share.toPrecision(4));
}

const sizes = [
  { from: 0.1, below: 0.9999, parts: 1e4 },
  { from: 0.01, below: 0.09999, parts: 1e5 },
  { from: 0.001, below: 0.009999, parts: 1e6 },
] as const;
