import {
  buildNetlist,
  type BranchChange,
  type SwitchPositions,
} from '../../appliances/electrical/circuit-of';
import type { Plate } from '../../appliances/electrical/plate';
import { solveCircuit, type SolvedCircuit } from '../../circuit';
import type { Random } from '../random';
import { simulationNumbers as numbers } from './numbers';
import type { HeaterFault, SimulatedHeater } from './simulated-heater';

/** What a simulated heater truly is: its faults in values, its own ohms and volts, and the circuit that follows. */
export interface TrueHeater {
  readonly drawn: readonly HeaterFault[];
  /** Faults that are not mended yet. */
  readonly standing: readonly HeaterFault[];
  readonly plate: Plate;
  readonly leadOhm: number;
  readonly beepOhm: number;
  solve(positions: SwitchPositions): SolvedCircuit;
  /** Heat of an element, in watts. */
  watt(circuit: SolvedCircuit, element: string): number;
  /** Mends what the repairs mend; says whether anything was. */
  mend(repairs: readonly string[]): boolean;
}

export function trueHeater(
  family: SimulatedHeater,
  plate: Plate,
  faults: readonly string[],
  random: Random,
): TrueHeater {
  const drawn = faults.map((id): HeaterFault => {
    const repair = family.names.faults[id] ?? family.strangeFaults[id];
    if (repair === undefined) throw new RangeError(`no fault is named "${id}"`);
    return { id, repair, ...family.drawFault(id, random) };
  });
  const ratios = Object.fromEntries(
    family.elements.map(({ part }) => [part, 1 / (1 + random.between(numbers.elementPower))]),
  );
  const leadOhm = random.between(numbers.leadOhm);
  const beepOhm = random.between(numbers.beepOhm);
  const truePlate: Plate = {
    ...plate,
    nominalVolt: plate.nominalVolt * (1 + random.between(numbers.supplyVolt)),
  };
  let standing: readonly HeaterFault[] = drawn;
  return {
    drawn,
    get standing() {
      return standing;
    },
    plate: truePlate,
    leadOhm,
    beepOhm,
    solve: (positions) =>
      solveCircuit(
        buildNetlist(family.topology, truePlate, trueChanges(standing, ratios), positions),
      ),
    watt: (circuit, element) =>
      family.topology.branches
        .filter((each) => each.element === element)
        .reduce((sum, each) => sum + circuit.powerIn(each.id), 0),
    mend(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      const isMended = left.length < standing.length;
      standing = left;
      return isMended;
    },
  };
}

/** Every element at its own true ohms; what a fault changes on it, from there. */
function trueChanges(
  faults: readonly HeaterFault[],
  ratios: Readonly<Record<string, number>>,
): Record<string, BranchChange> {
  const changes: Record<string, BranchChange> = {};
  for (const [part, factor] of Object.entries(ratios)) {
    changes[`${part}.a-half`] = { factor };
    changes[`${part}.b-half`] = { factor };
  }
  for (const fault of faults) {
    for (const [branch, change] of Object.entries(fault.changes)) {
      const ratio = ratios[branch.split('.')[0]!] ?? 1;
      changes[branch] =
        typeof change === 'object' && 'factor' in change
          ? { factor: change.factor * ratio }
          : change;
    }
  }
  return changes;
}
