import type { LiftedEnd } from '../../job-file/generated/job-types';
import type { JobState } from '../../job-file/state';
import type { NamedCheck } from './names';

/** Everything about the unit's state that a technician sets or knows, and that decides what a reading shows. */
export interface ReadingState {
  readonly power: 'on' | 'off';
  /** By thermostat. */
  readonly dials: Readonly<Record<string, DialPosition>>;
  readonly lifted: readonly LiftedEnd[];
  /** The reset has been pressed since the call: a limit that only tripped is closed again. */
  readonly limitReset: boolean;
  /** The limit is known to stand open: tripped by hand or by heat. */
  readonly limitHeldOpen?: boolean;
  /** The breaker has been switched off and on: one that only tripped is on again. */
  readonly breakerCycled: boolean;
  /** Water at a thermostat, where it was measured; it overrules what a suspect would have made of it. */
  readonly waterCelsius?: Readonly<Record<string, number>>;
  /** Dials as found, where they were read. */
  readonly dialCelsius?: Readonly<Record<string, number>>;
  /** A meter beeps below this; undefined where nobody said. */
  readonly beepBelowOhm?: number;
}

export type DialPosition = 'high' | 'low' | 'found';

export interface Thermostat {
  readonly id: string;
  /** Key of its dial in a job file's state. */
  readonly stateKey: 'upperDial' | 'lowerDial' | 'dial';
  /** Name of its setting in a job file. */
  readonly setting: string;
  readonly label: string;
  /** Which water it feels. */
  readonly water: 'top' | 'bottom';
}

/** Equal for states in which every reading is the same. */
export function stateKey(state: ReadingState): string {
  const lifted = [...new Set(state.lifted.map((each) => each.wire))].sort().join('+');
  return [
    state.power,
    ...Object.values(state.dials),
    lifted,
    state.limitReset ? 'reset' : '',
    state.limitHeldOpen ? 'tripped' : '',
    state.power === 'on' && state.breakerCycled ? 'cycled' : '',
    ...valuesOf(state.waterCelsius),
    ...valuesOf(state.dialCelsius),
    state.beepBelowOhm ?? '',
  ].join('|');
}

const valuesOf = (record: Readonly<Record<string, number>> | undefined) =>
  record ? Object.entries(record).map(([id, value]) => `${id}=${value}`) : [];

/** The state that a check implies, over what is otherwise so. */
export function impliedState(
  check: NamedCheck | undefined,
  thermostats: readonly Thermostat[],
  present: ReadingState,
): ReadingState {
  const implied = check?.state;
  if (!implied) return present;
  return {
    ...present,
    power: implied.power ?? present.power,
    dials: Object.fromEntries(
      thermostats.map(({ id, stateKey }) => [
        id,
        implied[stateKey] ?? present.dials[id] ?? 'found',
      ]),
    ),
    lifted: implied.lifted ?? present.lifted,
  };
}

export const wiresOf = (lifted: readonly LiftedEnd[]): string[] => [
  ...new Set(lifted.map((each) => each.wire)),
];

/** How the unit stands for a reading taken now. */
export function readingState(thermostats: readonly Thermostat[], state: JobState): ReadingState {
  return {
    power: state.power === 'off' ? 'off' : 'on',
    dials: Object.fromEntries(thermostats.map(({ id }) => [id, dial(state.dials[id])])),
    lifted: state.lifted,
    limitReset: state.limitReset,
    breakerCycled: state.breakerCycled,
  };
}

const dial = (to: string | undefined) => (to === 'high' || to === 'low' ? to : 'found');

/** Whether something was measured or set beside it that no plan foresees. */
export const isOneOff = ({ waterCelsius, dialCelsius, beepBelowOhm }: ReadingState): boolean =>
  waterCelsius !== undefined || dialCelsius !== undefined || beepBelowOhm !== undefined;
