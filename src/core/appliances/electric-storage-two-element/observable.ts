import type { Observable } from '../../diagnosis/model';
import type { LiftedEnd, ProbePoint } from '../../job-file/generated/job-types';
import { checkNames, isCheckId, type CheckId } from './checks';
import type { QuestionId } from './questions';
import names from './names.json' with { type: 'json' };
import type { SwitchPositions } from './topology';

/** Everything about the unit's state that a technician sets, and that decides what a reading shows. */
export interface ReadingState {
  readonly power: 'on' | 'off';
  readonly upperDial: DialPosition;
  readonly lowerDial: DialPosition;
  readonly lifted: readonly LiftedEnd[];
  /** The reset has been pressed since the call: a limit that only tripped is closed again. */
  readonly limitReset: boolean;
  /** The breaker has been switched off and on: one that only tripped is on again. */
  readonly breakerCycled: boolean;
}

export type DialPosition = 'high' | 'low' | 'found';

export type HeaterObservable = Observable &
  (
    | {
        readonly kind: 'probe';
        readonly quantity: 'resistance' | 'voltage-ac';
        readonly from: string;
        readonly to: string;
        readonly state: ReadingState;
      }
    | { readonly kind: 'clamp'; readonly wire: string; readonly state: ReadingState }
    | { readonly kind: 'check'; readonly check: CheckId; readonly state: ReadingState }
    | { readonly kind: 'question'; readonly question: QuestionId }
  );

export type CircuitObservable = Extract<HeaterObservable, { kind: 'probe' | 'clamp' }>;

/** A named check as an observable, in the given state. Readings of the circuit become plain probes. */
export function observableOfCheck(check: CheckId, state: ReadingState): HeaterObservable {
  const { quantity, between, around } = checkNames[check];
  if (between && (quantity === 'resistance' || quantity === 'voltage-ac')) {
    return probe(quantity, between[0]!, between[1]!, state);
  }
  if (around) return clamp(around, state);
  const key = `${check} ${state.limitReset ? 'reset' : ''} ${state.breakerCycled ? 'cycled' : ''} ${state.power}`;
  return { kind: 'check', key, check, state };
}

/** Any two terminals, in any state. A lifted wire's free end is named by the wire and the screw it came from. */
export function probe(
  quantity: 'resistance' | 'voltage-ac',
  a: ProbePoint,
  b: ProbePoint,
  state: ReadingState,
): HeaterObservable {
  const [from, to] = [nodeOf(a, state), nodeOf(b, state)];
  return {
    kind: 'probe',
    quantity,
    from,
    to,
    state,
    key: `${quantity} ${from} ${to} ${stateKey(state)}`,
  };
}

export function clamp(wire: string, state: ReadingState): HeaterObservable {
  return { kind: 'clamp', wire, state, key: `amps ${wire} ${stateKey(state)}` };
}

function nodeOf(point: ProbePoint, { lifted }: ReadingState): string {
  if (typeof point === 'string') return point;
  const isLifted = lifted.some((each) => each.wire === point.wire && each.end === point.end);
  if (!isLifted) return point.end;
  const conductor = conductorEnds(point.wire);
  return conductor[0] === point.end ? conductor[1] : conductor[0];
}

export function stateKey(state: ReadingState): string {
  const lifted = [...new Set(state.lifted.map((each) => each.wire))].sort().join('+');
  return [
    state.power,
    state.upperDial,
    state.lowerDial,
    lifted,
    state.limitReset ? 'reset' : '',
    state.power === 'on' && state.breakerCycled ? 'cycled' : '',
  ].join('|');
}

export type ConductorId = keyof typeof names.conductors;

export const isConductor = (id: string): id is ConductorId => id in names.conductors;

export function conductorEnds(wire: string): [string, string] {
  if (!isConductor(wire)) throw new RangeError(`the heater has no conductor "${wire}"`);
  return names.conductors[wire] as [string, string];
}

/** The state that a check implies, over what is otherwise so. Keys of `state` win, then the check, then the fold. */
export function impliedState(check: string | undefined, present: ReadingState): ReadingState {
  if (check === undefined || !isCheckId(check)) return present;
  const implied = checkNames[check].state;
  return {
    ...present,
    power: implied.power ?? present.power,
    upperDial: implied.upperDial ?? present.upperDial,
    lowerDial: implied.lowerDial ?? present.lowerDial,
    lifted: implied.lifted ?? present.lifted,
  };
}

export function wiresOf(lifted: readonly LiftedEnd[]): SwitchPositions['lifted'] {
  return [...new Set(lifted.map((each) => each.wire))];
}
