/* Made by `npm run generate:schemas` from schemas/job.schema.ts. Do not edit. */
import type { Services } from '../services';
import type { Constraints, Entry, JobFile, Plate } from './job-types';

export interface SchemaProblem {
  instancePath: string;
  keyword: string;
  message?: string;
  params: Record<string, unknown>;
}
interface Validator<T> {
  (data: unknown): data is T;
  errors?: SchemaProblem[] | null;
}
export const validateJobFile: Validator<JobFile>;
export const validateEntry: Validator<Entry>;
export const validatePlate: Validator<Plate>;
export const validateServices: Validator<Services>;
export const validateConstraints: Validator<Constraints>;
