import type { JobFile } from './generated/job-types';

/** What a house feeds its units with: electricity, gas, water. */
export type Services = Pick<NonNullable<JobFile['site']>, 'supply' | 'gas' | 'water'>;
