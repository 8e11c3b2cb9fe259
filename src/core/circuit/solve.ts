import { CircuitError, strayOhm, type Netlist, type VoltageSource } from './netlist';
import { numberNodes, type Numbering } from './numbering';

/**
 * A factored circuit. One factorisation answers any number of probe pairs: only the injected current changes.
 *
 * Nodes are eliminated one by one, each star of conductances replaced by the mesh that is worth the same. Only sums,
 * products and quotients of positive numbers occur, so that 10 mΩ beside 1 GΩ loses no digit.
 */
export interface SolvedCircuit {
  /** Magnitude of the voltage of a node against ground, in volts, with the sources on. */
  voltageAt(node: string): number;
  /** Magnitude of the current through a resistor, in amperes. */
  currentThrough(resistorId: string): number;
  /** The same two as phasors: in phase and in quadrature. */
  phasorAt(node: string): Phasor;
  phasorThrough(resistorId: string): Phasor;
  /** Power turned to heat in a resistor, in watts. */
  powerIn(resistorId: string): number;
  /** Magnitude of the open-circuit voltage between two nodes, with its sensitivities. */
  probeVoltage(a: string, b: string): Probe;
  /** Resistance seen between two nodes with the sources at 0 V, with its sensitivities. */
  probeResistance(a: string, b: string): Probe;
  /** Magnitude of the current through a resistor, with its sensitivities. */
  probeCurrent(resistorId: string): Probe;
}

export interface Phasor {
  readonly inPhase: number;
  readonly quadrature: number;
}

export interface Probe {
  readonly value: number;
  /** ∂value/∂R of the resistor at that index of the netlist, by the adjoint solution. */
  sensitivity(resistorIndex: number): number;
}

/**
 * Sets up and factors a circuit.
 * @throws CircuitError for a resistor outside its range, an unknown node, or sources that fight.
 */
export function solveCircuit(
  netlist: Netlist,
  numbering: Numbering = numberNodes(netlist),
): SolvedCircuit {
  const { resistors, sources } = netlist;
  const ohms = Float64Array.from(resistors, ({ id, ohm }) => {
    if (!(ohm > 0 && ohm <= 1e10)) {
      throw new CircuitError(`resistor "${id}" has ${ohm} Ω; it must be above 0 and at most 1e10`);
    }
    return ohm;
  });
  return solveOhms(ohms, sources, numbering);
}

/** The same from the ohms alone, in the order of the netlist that was numbered. */
export function solveOhms(
  ohms: Float64Array,
  sources: readonly VoltageSource[],
  numbering: Numbering,
): SolvedCircuit {
  return circuitSolver(sources, numbering, () => new Float64Array(numbering.nodeCount))(ohms);
}

/**
 * Solves one circuit after another in the same memory: what it gave is good until it is called again, and a probe until
 * the next pair of nodes is probed. For loops over thousands of circuits.
 */
export function reusedSolver(
  sources: readonly VoltageSource[],
  numbering: Numbering,
): (ohms: Float64Array) => SolvedCircuit {
  const [solution, currents] = [0, 1].map(() => new Float64Array(numbering.nodeCount));
  let turn = 0;
  return circuitSolver(sources, numbering, () =>
    turn++ % 2 === 0 ? solution!.fill(0) : currents!.fill(0),
  );
}

function circuitSolver(
  sources: readonly VoltageSource[],
  numbering: Numbering,
  room: () => Float64Array,
): (ohms: Float64Array) => SolvedCircuit {
  const { indexOf, resistorIndexOf, from, to, nodeCount } = numbering;
  const siemens = new Float64Array(numbering.slotCount);
  const total = new Float64Array(numbering.freeCount);
  const network: Eliminated = { siemens, total };
  const inPhase = new Float64Array(nodeCount);
  const quadrature = new Float64Array(nodeCount);
  const hasQuadrature = sources.some((source) => (source.quadratureVolt ?? 0) !== 0);
  let ohms: Float64Array = new Float64Array(0);
  /** The solution with the sources on is worked out when first asked for: an ohmmeter never asks. */
  let isHeld = false;

  const node = (name: string): number => {
    const index = indexOf.get(name);
    if (index === undefined) throw new CircuitError(`no node is named "${name}"`);
    return index;
  };
  const resistor = (id: string): number => {
    const index = resistorIndexOf.get(id);
    if (index === undefined) throw new CircuitError(`no resistor is named "${id}"`);
    return index;
  };
  const current = (solution: Float64Array, k: number): number =>
    (solution[from[k]!]! - solution[to[k]!]!) / ohms[k]!;
  /** Voltages with the sources at 0 V and a current fed into one node and out of another. */
  const inject = (into: number, outOf: number, ampere: number): Float64Array => {
    const solution = room();
    const currents = room();
    currents[into]! += ampere;
    currents[outOf]! -= ampere;
    return substituteBack(network, numbering, solution, currents);
  };
  let lastPair = -1;
  let lastAdjoint: Float64Array = inPhase;
  const injectUnit = (one: number, other: number): Float64Array => {
    const pair = one * nodeCount + other;
    if (pair !== lastPair) {
      lastAdjoint = inject(one, other, 1);
      lastPair = pair;
    }
    return lastAdjoint;
  };
  const probed = (real: number, imaginary: number, slope: PhasorSlope): Probe => {
    const value = hasQuadrature ? Math.hypot(real, imaginary) : Math.abs(real);
    const sign = real < 0 ? -1 : 1;
    return {
      value,
      sensitivity: (k) =>
        hasQuadrature
          ? value > 0
            ? (real * slope(inPhase, k) + imaginary * slope(quadrature, k)) / value
            : 0
          : sign * slope(inPhase, k),
    };
  };

  const solved: SolvedCircuit = {
    voltageAt(name) {
      hold();
      return Math.hypot(inPhase[node(name)]!, quadrature[node(name)]!);
    },
    currentThrough(id) {
      hold();
      const k = resistor(id);
      return Math.hypot(current(inPhase, k), current(quadrature, k));
    },
    phasorAt(name) {
      hold();
      return { inPhase: inPhase[node(name)]!, quadrature: quadrature[node(name)]! };
    },
    phasorThrough(id) {
      hold();
      const k = resistor(id);
      return { inPhase: current(inPhase, k), quadrature: current(quadrature, k) };
    },
    powerIn(id) {
      hold();
      const k = resistor(id);
      return (current(inPhase, k) ** 2 + current(quadrature, k) ** 2) * ohms[k]!;
    },
    probeVoltage(a, b) {
      hold();
      const [one, other] = [node(a), node(b)];
      const adjoint = injectUnit(one, other);
      return probed(
        inPhase[one]! - inPhase[other]!,
        quadrature[one]! - quadrature[other]!,
        (operating, k) => current(operating, k) * current(adjoint, k),
      );
    },
    probeResistance(a, b) {
      const [one, other] = [node(a), node(b)];
      const adjoint = injectUnit(one, other);
      return {
        value: adjoint[one]! - adjoint[other]!,
        sensitivity: (k) => current(adjoint, k) ** 2,
      };
    },
    probeCurrent(id) {
      hold();
      const at = resistor(id);
      const ohm = ohms[at]!;
      const adjoint = inject(from[at]!, to[at]!, 1 / ohm);
      lastPair = -1;
      return probed(current(inPhase, at), current(quadrature, at), (operating, k) => {
        const through = current(operating, k) * current(adjoint, k);
        return k === at ? through - current(operating, at) / ohm : through;
      });
    },
  };

  const solveHeld = (solution: Float64Array, volt: (source: VoltageSource) => number) => {
    for (const source of sources) solution[indexOf.get(source.node)!] = volt(source);
    substituteBack(network, numbering, solution, undefined);
  };
  const hold = () => {
    if (isHeld) return;
    isHeld = true;
    solveHeld(inPhase, (source) => source.volt);
    if (hasQuadrature) solveHeld(quadrature, (source) => source.quadratureVolt ?? 0);
  };
  return (given) => {
    ohms = given;
    lastPair = -1;
    isHeld = false;
    eliminate(ohms, numbering, network);
    return solved;
  };
}

type PhasorSlope = (operating: Float64Array, resistorIndex: number) => number;

interface Eliminated {
  /** Conductance in each slot at the moment its node was eliminated. */
  readonly siemens: Float64Array;
  /** Sum of them, by node. */
  readonly total: Float64Array;
}

function eliminate(ohms: Float64Array, numbering: Numbering, { siemens, total }: Eliminated): void {
  const { freeCount, slotStart, resistorSlot, groundSlot } = numbering;
  const { updateStart, updates } = numbering;
  siemens.fill(0);
  for (let r = 0; r < ohms.length; r++) {
    const slot = resistorSlot[r]!;
    if (slot >= 0) siemens[slot]! += 1 / ohms[r]!;
  }
  for (let k = 0; k < freeCount; k++) siemens[groundSlot[k]!]! += 1 / strayOhm;
  for (let k = 0; k < freeCount; k++) {
    let sum = 0;
    for (let slot = slotStart[k]!; slot < slotStart[k + 1]!; slot++) sum += siemens[slot]!;
    total[k] = sum;
    for (let u = updateStart[k]!; u < updateStart[k + 1]!; u += 3) {
      siemens[updates[u + 2]!]! += (siemens[updates[u]!]! * siemens[updates[u + 1]!]!) / sum;
    }
  }
}

/** Fills in the free nodes. `solution` holds the voltages of the held nodes; `currents` what is fed into each node. */
function substituteBack(
  { siemens, total }: Eliminated,
  { freeCount, slotStart, slotNode }: Numbering,
  solution: Float64Array,
  currents: Float64Array | undefined,
): Float64Array {
  if (currents) {
    for (let k = 0; k < freeCount; k++) {
      const fed = currents[k]! / total[k]!;
      if (fed === 0) continue;
      for (let slot = slotStart[k]!; slot < slotStart[k + 1]!; slot++) {
        currents[slotNode[slot]!]! += fed * siemens[slot]!;
      }
    }
  }
  for (let k = freeCount - 1; k >= 0; k--) {
    let sum = currents ? currents[k]! : 0;
    for (let slot = slotStart[k]!; slot < slotStart[k + 1]!; slot++) {
      sum += siemens[slot]! * solution[slotNode[slot]!]!;
    }
    solution[k] = sum / total[k]!;
  }
  return solution;
}
