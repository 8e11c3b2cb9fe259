import type { SolvedCircuit } from '../../circuit';
import {
  branchOhms,
  ohmsWith,
  openBranches,
  type BranchChanges,
  type Topology,
} from './circuit-of';
import { breakerAmpere, type Plate } from './plate';

/** How the unit stands when the technician arrives, worked out from what the faulty circuit did to the water. */
export interface Situation {
  readonly share: number;
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  readonly limitTripped: boolean;
  /** The breaker, or the device that guards against current to earth, goes again as soon as it is switched on. */
  readonly trips?: 'breaker' | 'residual-current';
}

/** A faulty unit on trial: what its circuit does while its thermostats stand one way or the other. */
export interface Trial {
  readonly plate: Plate;
  readonly changes: BranchChanges;
  /** Dials as the fault leaves them. */
  readonly dialCelsius: Readonly<Record<string, number>>;
  readonly limitWorks: boolean;
  readonly run: (thermostats: Readonly<Record<string, 'calling' | 'satisfied'>>) => RunningUnit;
}

export interface RunningUnit {
  /** Power that each element turns to heat, by element. */
  readonly watt: Readonly<Record<string, number>>;
  /** The larger of the two leg currents. */
  readonly legAmpere: number;
  /** What goes to earth and not back through the other leg. */
  readonly earthAmpere: number;
  /** Of the tank to earth: near nought as long as it is bonded. */
  readonly shellVolt: number;
}

/** Runs a faulty circuit; `solve` may use the same memory again, as each run is read before the next. */
export function trialRunner(
  topology: Topology,
  plate: Plate,
  changes: BranchChanges,
  solve: (ohms: Float64Array) => SolvedCircuit,
): Trial['run'] {
  const ohms = branchOhms(topology, plate, changes);
  const halves = topology.branches.filter((each) => each.element !== undefined);
  return (thermostats) => {
    const open = openBranches(topology, plate, {
      breaker: 'on',
      limit: 'closed',
      thermostats,
      lifted: [],
    });
    const solved = solve(ohmsWith(ohms, open));
    const watt: Record<string, number> = {};
    for (const { id, element } of halves)
      watt[element!] = (watt[element!] ?? 0) + solved.powerIn(id);
    const poles = topology.branches
      .filter((each) => each.openedBy === 'breaker')
      .map((each) => each.id);
    const phasors = poles.map((pole) => solved.phasorThrough(pole));
    return {
      watt,
      legAmpere: Math.max(...poles.map((pole) => solved.currentThrough(pole))),
      earthAmpere: Math.hypot(
        phasors.reduce((sum, each) => sum + each.inPhase, 0),
        phasors.reduce((sum, each) => sum + each.quadrature, 0),
      ),
      shellVolt: solved.voltageAt('tank'),
    };
  };
}

/**
 * Chance that the circuit's protection does not hold, and which acted. A 30 A breaker holds at 33 A and goes sooner or
 * later above: common practice, scaled to the breaker. A 30 mA device goes between half its rating and its rating (IEC 61008, from memory).
 */
export function tripChance(
  plate: Plate,
  { legAmpere, earthAmpere }: RunningUnit,
): {
  readonly chance: number;
  readonly trips: NonNullable<Situation['trips']>;
} {
  const load = legAmpere / breakerAmpere(plate);
  const breaker = load > 2 ? 0.95 : load > 4 / 3 ? 0.6 : load > 1.1 ? 0.3 : 0;
  const residual = !plate.residualCurrentDevice
    ? 0
    : earthAmpere > 0.03
      ? 0.97
      : earthAmpere > 0.015
        ? 0.5
        : 0;
  return breaker >= residual
    ? { chance: breaker, trips: 'breaker' }
    : { chance: residual, trips: 'residual-current' };
}
