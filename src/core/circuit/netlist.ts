/** A circuit of resistors and voltage sources against one ground. RMS phasors: in a resistive circuit every volt is one. */
export interface Netlist {
  /** The node that counts as 0 V. */
  readonly ground: string;
  readonly resistors: readonly Resistor[];
  readonly sources: readonly VoltageSource[];
}

export interface Resistor {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  /** Above 0 and at most 1e10; an open path is a large resistance, see `openOhm`. */
  readonly ohm: number;
}

/** Holds a node at a voltage against ground. */
export interface VoltageSource {
  readonly id: string;
  readonly node: string;
  /** RMS, in phase with the reference. */
  readonly volt: number;
  /** RMS, a quarter period ahead of the reference; 0 where absent. */
  readonly quadratureVolt?: number;
}

/** What an open path is worth. Far above the 20 MΩ at which a hand meter shows over range. */
export const openOhm = 1e9;

/** Every node leaks this little to ground, so that a part cut off from everything still has a solution. */
export const strayOhm = 1e10;

export class CircuitError extends Error {
  override name = 'CircuitError';
}
