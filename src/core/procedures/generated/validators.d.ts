/* Made by `npm run generate:schemas` from schemas/procedure.schema.ts. Do not edit. */
import type { SchemaProblem } from '../../job-file/generated/validators';
import type { Procedure } from './procedure-types';

export const validateProcedure: {
  (data: unknown): data is Procedure;
  errors?: SchemaProblem[] | null;
};
