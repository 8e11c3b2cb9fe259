import type { LiftedEnd } from '../../job-file/generated/job-types';

/** How a unit stands for a reading: everything that a technician sets or knows, and that decides what it shows. */
export interface UnitState {
  /** Where each control stands, by the key of an entry's state: power, upperDial, knob. */
  readonly controls: Readonly<Record<string, string>>;
  /** Wires, plugs and hoses that hang free. */
  readonly apart: readonly LiftedEnd[];
  /** What was done once and stays done: `reset-pressed`, `breaker-cycled`. */
  readonly done: readonly string[];
  /** What was measured or read beside it: `water.upper`, `dial.upper`, `beepBelowOhm`. It overrules what a suspect supposes. */
  readonly known: Readonly<Record<string, number>>;
}

export const isDone = ({ done }: UnitState, what: string): boolean => done.includes(what);

/** The state with more done. */
export const withDone = (state: UnitState, ...what: readonly string[]): UnitState => ({
  ...state,
  done: [...new Set([...state.done, ...what])],
});

export const sameEnd = (one: LiftedEnd, other: LiftedEnd): boolean =>
  one.wire === other.wire && one.end === other.end;

/** Each wire that has an end off, once. */
export const wiresOf = (apart: readonly LiftedEnd[]): string[] => [
  ...new Set(apart.map((each) => each.wire)),
];

/** Equal for states that are the same: whichever order their parts were written in. */
export const stateKey = ({ controls, apart, done, known }: UnitState): string =>
  [
    sorted(Object.entries(controls).map(([id, to]) => `${id}=${to}`)),
    sorted(wiresOf(apart)),
    sorted([...done]),
    sorted(Object.entries(known).map(([id, value]) => `${id}=${value}`)),
  ].join('|');

const sorted = (texts: string[]): string => texts.sort().join(' ');

/** Whether something was measured or set beside it that no plan foresees. */
export const isOneOff = ({ known }: UnitState): boolean => Object.keys(known).length > 0;
