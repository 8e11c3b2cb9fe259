import { CircuitError, type Netlist } from './netlist';

/**
 * The order in which the nodes of a circuit are eliminated, worked out once: it depends on who is connected to whom
 * alone, and circuits that differ in ohms and volts share it. Least connected first, which keeps the meshes small.
 *
 * Nodes of known voltage (ground and the sources) come last and are never eliminated. A slot holds the conductance
 * between an eliminated node and one of its later neighbours.
 */
export interface Numbering {
  readonly indexOf: ReadonlyMap<string, number>;
  readonly resistorIndexOf: ReadonlyMap<string, number>;
  readonly nodeCount: number;
  /** Nodes before this one are unknown and eliminated in order; those from it on are held. */
  readonly freeCount: number;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly slotCount: number;
  /** First slot of each eliminated node, and one past the last at the end. */
  readonly slotStart: Int32Array;
  /** The later node that a slot leads to. */
  readonly slotNode: Int32Array;
  /** Slot of each resistor; −1 for one between two held nodes or from a node to itself. */
  readonly resistorSlot: Int32Array;
  /** Slot to ground of each eliminated node. */
  readonly groundSlot: Int32Array;
  /** What eliminating a node adds: for each pair of its slots, the slot between their nodes. */
  readonly updateStart: Int32Array;
  readonly updates: Int32Array;
}

/** @throws CircuitError where two sources hold the same node, or one holds ground. */
export function numberNodes({ ground, resistors, sources }: Netlist): Numbering {
  const held = [ground, ...sources.map((each) => each.node)];
  if (new Set(held).size !== held.length) {
    throw new CircuitError('the circuit has no single solution: two sources hold the same node');
  }
  const { order, later } = eliminationOrder(
    connections({ ground, resistors, sources }, held),
    held,
  );
  const freeCount = order.length;
  const indexOf = new Map([...order, ...held].map((node, index) => [node, index]));

  const slotOf = new Map<string, number>();
  const slotStart = new Int32Array(freeCount + 1);
  const slotNode: number[] = [];
  later.forEach((around, k) => {
    slotStart[k] = slotNode.length;
    for (const node of around) {
      slotOf.set(`${k} ${indexOf.get(node)!}`, slotNode.length);
      slotNode.push(indexOf.get(node)!);
    }
  });
  slotStart[freeCount] = slotNode.length;
  const between = (one: number, other: number): number =>
    slotOf.get(`${Math.min(one, other)} ${Math.max(one, other)}`) ?? -1;

  const updateStart = new Int32Array(freeCount + 1);
  const updates: number[] = [];
  for (let k = 0; k < freeCount; k++) {
    updateStart[k] = updates.length;
    for (let a = slotStart[k]!; a < slotStart[k + 1]!; a++) {
      for (let b = a + 1; b < slotStart[k + 1]!; b++) {
        const target = between(slotNode[a]!, slotNode[b]!);
        if (target >= 0) updates.push(a, b, target);
      }
    }
  }
  updateStart[freeCount] = updates.length;
  const from = Int32Array.from(resistors, (each) => indexOf.get(each.from)!);
  const to = Int32Array.from(resistors, (each) => indexOf.get(each.to)!);
  return {
    indexOf,
    resistorIndexOf: new Map(resistors.map((each, index) => [each.id, index])),
    nodeCount: indexOf.size,
    freeCount,
    from,
    to,
    slotCount: slotNode.length,
    slotStart,
    slotNode: Int32Array.from(slotNode),
    resistorSlot: from.map((node, r) => between(node, to[r]!)),
    groundSlot: Int32Array.from(order, (_, k) => between(k, freeCount)),
    updateStart,
    updates: Int32Array.from(updates),
  };
}

/** Who is connected to whom; every free node also to ground. */
function connections({ ground, resistors }: Netlist, held: readonly string[]) {
  const connected = new Map<string, Set<string>>();
  const connect = (one: string, other: string) => {
    if (!connected.has(one)) connected.set(one, new Set());
    if (one !== other) connected.get(one)!.add(other);
  };
  for (const { from, to } of resistors) {
    connect(from, to);
    connect(to, from);
  }
  for (const node of held) connect(node, node);
  for (const node of [...connected.keys()].filter((each) => !held.includes(each))) {
    connect(node, ground);
    connect(ground, node);
  }
  return connected;
}

function eliminationOrder(connected: Map<string, Set<string>>, held: readonly string[]) {
  const order: string[] = [];
  const later: string[][] = [];
  const left = new Set([...connected.keys()].filter((node) => !held.includes(node)));
  while (left.size > 0) {
    const next = [...left].reduce((least, node) =>
      connected.get(node)!.size < connected.get(least)!.size ? node : least,
    );
    const around = [...connected.get(next)!];
    order.push(next);
    later.push(around);
    left.delete(next);
    for (const one of around) {
      connected.get(one)!.delete(next);
      for (const other of around) if (one !== other) connected.get(one)!.add(other);
    }
  }
  return { order, later };
}
