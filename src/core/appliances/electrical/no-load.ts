import type { EntryState, LiftedEnd, ProbePoint } from '../../job-file/generated/job-types';
import type { UnitState } from '../kit/unit-state';
import type { ElectricalFamily } from './electrical-family';
import type { ElectricalObservable } from './observable';

/**
 * A voltage without load is taken with the elements off their wires: what they would draw pulls nothing down. At an
 * element it is read at the end of its wire that hangs free, for the screw itself is dead then.
 */

type Load = EntryState['load'];

export function underLoad(family: ElectricalFamily, state: UnitState, load: Load): UnitState {
  return load === 'open-circuit'
    ? { ...state, apart: [...state.apart, ...elementEnds(family)] }
    : state;
}

/** What a check reads in a state that has the load in it already. */
export function observableUnderLoad(
  family: ElectricalFamily,
  check: string,
  state: UnitState,
  load: Load,
): ElectricalObservable {
  const { between, quantity } = family.check(check);
  if (load !== 'open-circuit' || quantity !== 'voltage-ac' || !between) {
    return family.observableOfCheck(check, state);
  }
  const [from, to] = between.map((each) => pointUnderLoad(family, each, load));
  return family.probe('voltage-ac', from!, to!, state);
}

/** Where the probe is held: at the free end of the wire that came off the screw. */
export function pointUnderLoad(
  family: ElectricalFamily,
  point: ProbePoint,
  load: Load,
): ProbePoint {
  if (load !== 'open-circuit') return point;
  return elementEnds(family).find(({ end }) => end === point) ?? point;
}

/** The wire to the a end of each element. */
function elementEnds({ elements, names }: ElectricalFamily): LiftedEnd[] {
  return elements.flatMap(({ part }) => {
    const end = `${part}.a`;
    const wire = Object.keys(names.conductors).find((each) => names.conductors[each]![1] === end);
    return wire ? [{ wire, end }] : [];
  });
}
