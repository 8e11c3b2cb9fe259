import type { ObservationEntry, ReadingEntry } from '../../../job-file/generated/job-types';
import type { JobState } from '../../../job-file/state';
import type { UnitState } from '../unit-state';

/** How the unit stands for a reading taken now. */
export const readingState = ({ controls, lifted, done }: JobState): UnitState => ({
  controls,
  apart: lifted,
  done,
  known: {},
});

/** What the entry says wins key by key, then what its check implies, then what the entries before it made of the unit. */
export function stateOfEntry(
  { check, state = {} }: ReadingEntry | ObservationEntry,
  present: UnitState,
  impliedState: (check: string, present: UnitState) => UnitState,
): UnitState {
  const implied = check === undefined ? present : impliedState(check, present);
  const stated = Object.fromEntries(
    Object.entries(state.controls ?? {}).flatMap(([id, to]) =>
      typeof to === 'string' ? [[id, to]] : [],
    ),
  );
  return {
    ...implied,
    controls: { ...implied.controls, ...stated },
    apart: state.lifted ?? implied.apart,
  };
}
