import { CircuitError, strayOhm, type Netlist, type Resistor } from './netlist';

/**
 * A factored circuit. One factorisation answers any number of probe pairs: only the right-hand side changes.
 * Modified nodal analysis: unknowns are the node voltages and the currents of the voltage sources.
 */
export interface SolvedCircuit {
  /** Voltage of a node against ground, in volts, with the sources on. */
  voltageAt(node: string): number;
  /** Current through a resistor from its `from` to its `to` end, in amperes. */
  currentThrough(resistorId: string): number;
  /** Power turned to heat in a resistor, in watts. */
  powerIn(resistorId: string): number;
  /** Open-circuit voltage from `a` to `b` with its sensitivities. */
  probeVoltage(a: string, b: string): Probe;
  /** Resistance seen between two nodes with the sources at 0 V, with its sensitivities. */
  probeResistance(a: string, b: string): Probe;
  /** Current through a resistor, with its sensitivities. */
  probeCurrent(resistorId: string): Probe;
}

export interface Probe {
  readonly value: number;
  /** ∂value/∂R of the resistor at that index of the netlist, by the adjoint solution. */
  sensitivity(resistorIndex: number): number;
}

/**
 * Sets up and factors a circuit.
 * @throws CircuitError for a resistor outside its range, an unknown node, or a system without a solution.
 */
export function solveCircuit(
  netlist: Netlist,
  numbering: Numbering = numberNodes(netlist),
): SolvedCircuit {
  const { resistors, sources, ground } = netlist;
  const { indexOf, from, to } = numbering;
  const nodeCount = indexOf.size - 1;
  const size = nodeCount + sources.length;
  const matrix = new Float64Array(size * size);
  const rightSide = new Float64Array(size);

  for (let node = 0; node < nodeCount; node++) matrix[node * size + node] = 1 / strayOhm;
  resistors.forEach((each, k) => stampResistor(matrix, size, from[k]!, to[k]!, each));
  sources.forEach((source, position) => {
    const row = nodeCount + position;
    for (const [node, sign] of [
      [indexOf.get(source.positive)!, 1],
      [indexOf.get(source.negative)!, -1],
    ] as const) {
      if (node < 0) continue;
      matrix[row * size + node] = sign;
      matrix[node * size + row] = sign;
    }
    rightSide[row] = source.volt;
  });

  const pivots = factorInPlace(matrix, size);
  const operating = substitute(matrix, pivots, size, rightSide);

  const node = (name: string): number => {
    const index = indexOf.get(name);
    if (index === undefined) throw new CircuitError(`no node is named "${name}"`);
    return index;
  };
  const indexOfResistor = (id: string): number => {
    const index = resistors.findIndex((each) => each.id === id);
    if (index < 0) throw new CircuitError(`no resistor is named "${id}"`);
    return index;
  };
  const current = (solution: Float64Array, index: number): number =>
    (voltage(solution, from[index]!) - voltage(solution, to[index]!)) / resistors[index]!.ohm;
  const inject = (into: number, outOf: number, ampere: number): Float64Array => {
    const injected = new Float64Array(size);
    if (into >= 0) injected[into] = ampere;
    if (outOf >= 0) injected[outOf] = (injected[outOf] ?? 0) - ampere;
    return substitute(matrix, pivots, size, injected);
  };

  return {
    voltageAt: (name) => (name === ground ? 0 : voltage(operating, node(name))),
    currentThrough: (id) => current(operating, indexOfResistor(id)),
    powerIn(id) {
      const index = indexOfResistor(id);
      return current(operating, index) ** 2 * resistors[index]!.ohm;
    },
    probeVoltage(a, b) {
      const adjoint = inject(node(a), node(b), 1);
      return {
        value: voltage(operating, node(a)) - voltage(operating, node(b)),
        sensitivity: (index) => current(operating, index) * current(adjoint, index),
      };
    },
    probeResistance(a, b) {
      const adjoint = inject(node(a), node(b), 1);
      return {
        value: voltage(adjoint, node(a)) - voltage(adjoint, node(b)),
        sensitivity: (index) => current(adjoint, index) ** 2,
      };
    },
    probeCurrent(id) {
      const probed = indexOfResistor(id);
      const { ohm } = resistors[probed]!;
      const adjoint = inject(from[probed]!, to[probed]!, 1 / ohm);
      const value = current(operating, probed);
      return {
        value,
        sensitivity(index) {
          const through = current(operating, index) * current(adjoint, index);
          return index === probed ? through - value / ohm : through;
        },
      };
    },
  };
}

/** Rows of the nodes, and of both ends of every resistor. Ground is −1. */
export interface Numbering {
  readonly indexOf: ReadonlyMap<string, number>;
  readonly from: Int32Array;
  readonly to: Int32Array;
}

/** Numbers the nodes of a circuit. Circuits that differ in ohms and volts alone share their numbering. */
export function numberNodes({ ground, resistors, sources }: Netlist): Numbering {
  const indexOf = new Map<string, number>([[ground, -1]]);
  const add = (name: string) => {
    if (!indexOf.has(name)) indexOf.set(name, indexOf.size - 1);
  };
  for (const each of resistors) {
    add(each.from);
    add(each.to);
  }
  for (const each of sources) {
    add(each.positive);
    add(each.negative);
  }
  return {
    indexOf,
    from: Int32Array.from(resistors, (each) => indexOf.get(each.from)!),
    to: Int32Array.from(resistors, (each) => indexOf.get(each.to)!),
  };
}

function stampResistor(
  matrix: Float64Array,
  size: number,
  from: number,
  to: number,
  { id, ohm }: Resistor,
) {
  if (!(ohm > 0 && ohm <= 1e10)) {
    throw new CircuitError(`resistor "${id}" has ${ohm} Ω; it must be above 0 and at most 1e10`);
  }
  const siemens = 1 / ohm;
  if (from >= 0) matrix[from * size + from]! += siemens;
  if (to >= 0) matrix[to * size + to]! += siemens;
  if (from >= 0 && to >= 0) {
    matrix[from * size + to]! -= siemens;
    matrix[to * size + from]! -= siemens;
  }
}

function voltage(solution: Float64Array, index: number): number {
  return index < 0 ? 0 : solution[index]!;
}

/** LU with partial pivoting, in place. Returns the row swapped into each place. */
function factorInPlace(matrix: Float64Array, size: number): Int32Array {
  const pivots = new Int32Array(size);
  for (let column = 0; column < size; column++) {
    let best = column;
    for (let row = column + 1; row < size; row++) {
      if (Math.abs(matrix[row * size + column]!) > Math.abs(matrix[best * size + column]!))
        best = row;
    }
    pivots[column] = best;
    if (best !== column) swapRows(matrix, size, best, column);
    const pivot = matrix[column * size + column]!;
    if (!(Math.abs(pivot) > 1e-14)) {
      throw new CircuitError(
        'the circuit has no single solution: two voltage sources fight, or a part hangs free',
      );
    }
    for (let row = column + 1; row < size; row++) {
      const factor = matrix[row * size + column]! / pivot;
      if (factor === 0) continue;
      matrix[row * size + column] = factor;
      for (let k = column + 1; k < size; k++)
        matrix[row * size + k]! -= factor * matrix[column * size + k]!;
    }
  }
  return pivots;
}

function swapRows(matrix: Float64Array, size: number, one: number, other: number) {
  for (let k = 0; k < size; k++) {
    const kept = matrix[one * size + k]!;
    matrix[one * size + k] = matrix[other * size + k]!;
    matrix[other * size + k] = kept;
  }
}

function substitute(
  matrix: Float64Array,
  pivots: Int32Array,
  size: number,
  rightSide: Float64Array,
): Float64Array {
  const solution = Float64Array.from(rightSide);
  for (let row = 0; row < size; row++) {
    const pivot = pivots[row]!;
    const kept = solution[pivot]!;
    solution[pivot] = solution[row]!;
    solution[row] = kept;
  }
  for (let row = 0; row < size; row++) {
    let sum = solution[row]!;
    for (let k = 0; k < row; k++) sum -= matrix[row * size + k]! * solution[k]!;
    solution[row] = sum;
  }
  for (let row = size - 1; row >= 0; row--) {
    let sum = solution[row]!;
    for (let k = row + 1; k < size; k++) sum -= matrix[row * size + k]! * solution[k]!;
    solution[row] = sum / matrix[row * size + row]!;
  }
  return solution;
}
