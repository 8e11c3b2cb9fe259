import type { JobState } from '../../job-file/state';
import { isDone, stateKey, type UnitState } from '../kit/unit-state';
import type { NamedCheck } from '../kit/names';

/** Done once and for all: the reset was pressed, so that a limit that only tripped is closed again; the breaker was cycled. */
export const resetPressed = 'reset-pressed';
export const breakerCycled = 'breaker-cycled';

/** Keys of what was measured beside a reading. */
export const waterOf = (thermostat: string): string => `water.${thermostat}`;
export const readDialOf = (thermostat: string): string => `dial.${thermostat}`;
export const beepBelow = 'beepBelowOhm';

export const isPowered = ({ controls }: UnitState): boolean => controls.power === 'on';

/** The limit is known to stand open: tripped by hand or by heat. */
export const isLimitHeldOpen = ({ controls }: UnitState): boolean => controls.limit === 'tripped';

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

export const dialOf = ({ controls }: UnitState, { stateKey }: Pick<Thermostat, 'stateKey'>) =>
  dialPosition(controls[stateKey]);

const dialPosition = (to: string | undefined): DialPosition =>
  to === 'high' || to === 'low' ? to : 'found';

/** Equal for states in which every reading is the same: a breaker that was cycled says nothing of a dead unit. */
export const electricStateKey = (state: UnitState): string =>
  stateKey(
    isPowered(state) || !isDone(state, breakerCycled)
      ? state
      : { ...state, done: state.done.filter((each) => each !== breakerCycled) },
  );

/** The state that a check implies, over what is otherwise so. */
export function impliedState(
  check: NamedCheck | undefined,
  thermostats: readonly Thermostat[],
  present: UnitState,
): UnitState {
  const implied = check?.state;
  if (!implied) return present;
  return {
    ...present,
    controls: {
      ...present.controls,
      power: implied.power ?? present.controls.power ?? 'on',
      ...Object.fromEntries(
        thermostats.map(({ stateKey: key }) => [
          key,
          implied[key] ?? present.controls[key] ?? 'found',
        ]),
      ),
    },
    apart: implied.lifted ?? present.apart,
  };
}

/** How the unit stands for a reading taken now. */
export function readingState(thermostats: readonly Thermostat[], state: JobState): UnitState {
  return {
    controls: {
      power: state.power === 'off' ? 'off' : 'on',
      ...Object.fromEntries(
        thermostats.map((each) => [each.stateKey, dialPosition(state.controls[each.stateKey])]),
      ),
    },
    apart: state.lifted,
    done: state.done.filter((each) => each === resetPressed || each === breakerCycled),
    known: {},
  };
}
