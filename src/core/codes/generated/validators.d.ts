/* Made by `npm run generate:schemas` from schemas/code-pack.schema.ts. Do not edit. */
import type { SchemaProblem } from '../../job-file/generated/validators';
import type { CodePack } from './code-pack-types';

export const validateCodePack: {
  (data: unknown): data is CodePack;
  errors?: SchemaProblem[] | null;
};
