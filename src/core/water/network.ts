/**
 * Flows and pressures in a net of pipes, pumps and valves, where everything stands still: Newton on the pressures of the free
 * nodes, the flow of each link carried along (Todini and Pilati's global gradient method).
 */

/** A way between two nodes. */
export interface Link {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  /** Pressure lost from end to end at a flow, in pascal, rising with it; a pump loses less than nothing. */
  loss(flow: number): number;
  /** Shut: it carries nothing. */
  readonly isShut?: boolean;
}

export interface Net {
  readonly links: readonly Link[];
  /** Nodes whose pressure is known, in pascal: mains, an open tap at nought, the filled side of a loop. */
  readonly fixed: Readonly<Record<string, number>>;
}

export interface SolvedNet {
  /** In m³/s, from `from` to `to`. */
  readonly flow: Readonly<Record<string, number>>;
  /** In pascal; a node that nothing open reaches is not there. */
  readonly pascal: Readonly<Record<string, number>>;
  readonly rounds: number;
}

/** Litres a minute, and back, of m³/s. */
export const litrePerMinute = (flow: number): number => flow * 60_000;
export const cubicMetrePerSecond = (litre: number): number => litre / 60_000;

const closeEnough = 1e-9;
const mostRounds = 60;
/** Flow at which the slope of a link is felt, in m³/s, and the least slope that it has, in Pa·s/m³: laminar near nought. */
const nudge = 1e-8;
const leastSlope = 1e5;

/**
 * @throws RangeError where a part of the net has no fixed pressure, or it does not come to rest: a link whose loss falls.
 */
export function solveNet({ links, fixed }: Net): SolvedNet {
  const open = links.filter((each) => !each.isShut);
  const free = [
    ...new Set(open.flatMap(({ from, to }) => [from, to]).filter((node) => !(node in fixed))),
  ];
  checkReach(open, fixed, free);
  const place = new Map(free.map((node, k) => [node, k]));
  const size = free.length;
  const pressure = new Float64Array(size);
  const flow = open.map(() => cubicMetrePerSecond(8));
  const at = (node: string) => fixed[node] ?? pressure[place.get(node)!]!;
  let rounds = 0;
  for (; rounds < mostRounds; rounds++) {
    const matrix = Array.from({ length: size }, () => new Float64Array(size + 1));
    const slopes = open.map((link, k) => {
      const q = flow[k]!;
      const slope = Math.max(
        leastSlope,
        (link.loss(q + nudge) - link.loss(q - nudge)) / (2 * nudge),
      );
      const carried = q - link.loss(q) / slope;
      const [a, b] = [place.get(link.from), place.get(link.to)];
      // q' = carried + (p_from − p_to) / slope; what flows into a free node flows out of it.
      if (a !== undefined) {
        matrix[a]![a]! += 1 / slope;
        if (b !== undefined) matrix[a]![b]! -= 1 / slope;
        matrix[a]![size]! += (b === undefined ? fixed[link.to]! / slope : 0) - carried;
      }
      if (b !== undefined) {
        matrix[b]![b]! += 1 / slope;
        if (a !== undefined) matrix[b]![a]! -= 1 / slope;
        matrix[b]![size]! += (a === undefined ? fixed[link.from]! / slope : 0) + carried;
      }
      return { slope, carried };
    });
    eliminate(matrix, pressure);
    let moved = 0;
    open.forEach((link, k) => {
      const { slope, carried } = slopes[k]!;
      const next = carried + (at(link.from) - at(link.to)) / slope;
      // A kink (a check valve, a limiter) may send Newton to and fro: half steps end that.
      const step = (next - flow[k]!) * (rounds > 30 ? 0.5 : 1);
      moved = Math.max(moved, Math.abs(step));
      flow[k]! += step;
    });
    if (moved < closeEnough) break;
  }
  if (rounds === mostRounds) throw new RangeError('the flows of this net do not come to rest');
  return {
    flow: {
      ...Object.fromEntries(links.map(({ id }) => [id, 0])),
      ...Object.fromEntries(open.map(({ id }, k) => [id, flow[k]!])),
    },
    pascal: { ...fixed, ...Object.fromEntries(free.map((node, k) => [node, pressure[k]!])) },
    rounds,
  };
}

function checkReach(open: readonly Link[], fixed: Net['fixed'], free: readonly string[]): void {
  const reached = new Set(Object.keys(fixed));
  for (let grew = true; grew;) {
    grew = false;
    for (const { from, to } of open) {
      if (reached.has(from) !== reached.has(to)) {
        reached.add(from).add(to);
        grew = true;
      }
    }
  }
  const adrift = free.find((node) => !reached.has(node));
  if (adrift !== undefined) throw new RangeError(`nothing fixes the pressure at "${adrift}"`);
}

/** Gauss with pivots, in place. */
function eliminate(matrix: Float64Array[], into: Float64Array): void {
  const size = into.length;
  for (let column = 0; column < size; column++) {
    let best = column;
    for (let row = column + 1; row < size; row++) {
      if (Math.abs(matrix[row]![column]!) > Math.abs(matrix[best]![column]!)) best = row;
    }
    [matrix[column], matrix[best]] = [matrix[best]!, matrix[column]!];
    const pivot = matrix[column]!;
    for (let row = column + 1; row < size; row++) {
      const factor = matrix[row]![column]! / pivot[column]!;
      if (factor === 0) continue;
      for (let k = column; k <= size; k++) matrix[row]![k]! -= factor * pivot[k]!;
    }
  }
  for (let row = size - 1; row >= 0; row--) {
    let sum = matrix[row]![size]!;
    for (let k = row + 1; k < size; k++) sum -= matrix[row]![k]! * into[k]!;
    into[row] = sum / matrix[row]![row]!;
  }
}
