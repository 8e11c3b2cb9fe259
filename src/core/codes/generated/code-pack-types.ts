/* eslint-disable -- generated */
/* Made by `npm run generate:schemas` from schemas/code-pack.schema.ts. Do not edit. */

export interface CodePack {
  format: 'ohmmeter-code-pack';
  version: 1;
  id: string;
  title: string;
  family: string;
  shownBy: 'light' | 'display';
  /**
   * @minItems 1
   * @maxItems 200
   */
  codes: {
    code: string;
    shows?: string;
    saw?: string;
    pattern?: string;
    lockout?: boolean;
    note?: string;
  }[];
  /**
   * @maxItems 50
   */
  makes?: string[];
}
