import type { ApplianceFamily, UnitState } from '../src/core/appliances/all';
import type { Plate } from '../src/core/appliances/electrical';
import type { ActionEntry, JobFile } from '../src/core/job-file';

export const plate4500: Plate = {
  ratedVolt: 240,
  elementWatt: { upper: 4500, lower: 4500 },
  supply: 'split-phase',
  nominalVolt: 240,
  volumeLitre: 189,
  wiring: 'non-simultaneous',
  residualCurrentDevice: false,
};

/** As a unit stands when the technician comes. */
export const arrived: UnitState = {
  controls: { power: 'on', upperDial: 'found', lowerDial: 'found' },
  apart: [],
  done: [],
  known: {},
};

/** A job with nothing in its logbook yet, on a 240 V unit with the given watts in both elements. */
export function emptyJob(overrides: Partial<JobFile> = {}, watt = 4500): JobFile {
  return {
    format: 'ohmmeter-job',
    version: 1,
    minor: 0,
    job: { id: '018f0000-0000-7000-8000-000000000001', number: '1' },
    unit: {
      family: 'electric-storage-two-element',
      plate: { rated: { volt: 240 }, elements: { upper: { watt }, lower: { watt } } },
    },
    complaint: { kind: 'no-hot-water', answers: {} },
    entries: [],
    ...overrides,
  };
}

let made = 0;
/** A new id for every call, and times that go on by a minute. */
export function stamp(): { id: string; at: string } {
  made += 1;
  return {
    id: `018f0000-0000-7000-8000-${String(made + 100).padStart(12, '0')}`,
    at: new Date(Date.UTC(2026, 2, 2, 8, made)).toISOString(),
  };
}

/** A proof that is one: every point of the family at 0 V, with a prover tried before and after. */
export const provedDead = (
  { deadPoints }: Pick<ApplianceFamily, 'deadPoints'>,
  volt = 0,
): Pick<ActionEntry, 'kind' | 'action' | 'proverTried' | 'points'> => ({
  kind: 'action',
  action: 'proved-dead',
  proverTried: 'before-and-after',
  points: deadPoints.map(({ between }) => ({ between: [...between], value: { volt } })),
});
