import type { Observable } from '../../diagnosis/model';
import type { ProbePoint } from '../../job-file/generated/job-types';
import type { ElectricalDeclaration } from './declaration';
import type { LogObservable } from '../kit/logged-water';
import type { FamilyNames } from '../kit/names';
import { isOneOff, type UnitState } from '../kit/unit-state';
import { electricStateKey } from './state';

export type ElectricalObservable = Observable &
  (
    | {
        readonly kind: 'probe';
        readonly quantity: 'resistance' | 'voltage-ac';
        readonly from: string;
        readonly to: string;
        readonly state: UnitState;
      }
    | { readonly kind: 'clamp'; readonly wires: readonly string[]; readonly state: UnitState }
    | { readonly kind: 'check'; readonly check: string; readonly state: UnitState }
    | { readonly kind: 'question'; readonly question: string }
    | Pick<LogObservable, 'kind' | 'log' | 'state'>
  );

export type CircuitObservable = Extract<ElectricalObservable, { kind: 'probe' | 'clamp' }>;

/** What somebody who uses the unit says. */
export const observableOfQuestion = (question: string): ElectricalObservable => ({
  kind: 'question',
  key: `question ${question}`,
  question,
});

/** A named check as an observable, in the given state. Readings of the circuit become plain probes. */
export function observableOfCheck(
  { names, observations }: Pick<ElectricalDeclaration, 'names' | 'observations'>,
  check: string,
  state: UnitState,
): ElectricalObservable {
  const { quantity, between, around } = names.checks[check]!;
  if (between && (quantity === 'resistance' || quantity === 'voltage-ac')) {
    return probe(names, quantity, between[0], between[1], state);
  }
  if (around) return clamp([around], state);
  const observation = observations[check];
  const key = typeof observation === 'object' ? `${check} ${observation.keyOf(state)}` : check;
  return { kind: 'check', key, check, state, isOneOff: isOneOff(state) };
}

/** Any two terminals, in any state. A lifted wire's free end is named by the wire and the screw it came from. */
export function probe(
  { conductors }: FamilyNames,
  quantity: 'resistance' | 'voltage-ac',
  a: ProbePoint,
  b: ProbePoint,
  state: UnitState,
): ElectricalObservable {
  const [from, to] = [nodeOf(conductors, a, state), nodeOf(conductors, b, state)];
  return {
    kind: 'probe',
    quantity,
    from,
    to,
    state,
    key: `${quantity} ${from} ${to} ${electricStateKey(state)}`,
    isOneOff: isOneOff(state),
  };
}

/** A clamp closed round one conductor; round several, it sees their sum. */
export function clamp(wires: readonly string[], state: UnitState): ElectricalObservable {
  return {
    kind: 'clamp',
    wires,
    state,
    key: `amps ${wires.join('+')} ${electricStateKey(state)}`,
    isOneOff: isOneOff(state),
  };
}

function nodeOf(
  conductors: FamilyNames['conductors'],
  point: ProbePoint,
  { apart }: UnitState,
): string {
  if (typeof point === 'string') return point;
  const ends = conductors[point.wire];
  if (!ends) throw new RangeError(`no conductor is named "${point.wire}"`);
  const isLifted = apart.some((each) => each.wire === point.wire && each.end === point.end);
  if (!isLifted) return point.end;
  return ends[0] === point.end ? ends[1] : ends[0];
}
