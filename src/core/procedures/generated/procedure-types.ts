/* eslint-disable -- generated */
/* Made by `npm run generate:schemas` from schemas/procedure.schema.ts. Do not edit. */

export interface Procedure {
  format: 'ohmmeter-procedure';
  version: 1;
  id: string;
  title: string;
  /**
   * @minItems 1
   * @maxItems 40
   */
  steps: ProcedureStep[];
  note?: string;
  /**
   * @maxItems 20
   */
  repairs?: string[];
  /**
   * @maxItems 20
   */
  checks?: string[];
  work?: 'gasWork';
  makesSafe?: boolean;
  keyStep?: string;
  school?: string;
}
export interface ProcedureStep {
  id: string;
  kind: 'do' | 'wait' | 'look' | 'measure' | 'confirm';
  text: string;
  note?: string;
  seconds?: {
    least: number;
    most: number;
  };
  timer?: {
    start?: 'enter' | 'tap' | 'done';
    end?: 'time' | 'tap';
    id?: string;
    background?: boolean;
    overdue?: string;
  };
  /**
   * @maxItems 4
   */
  caution?: (
    | 'gas'
    | 'flame'
    | 'hot-metal'
    | 'hot-water'
    | 'live'
    | 'carbon-monoxide'
    | 'sharp-edges'
    | 'scald'
    | 'full-before-power'
    | 'press-once'
    | 'never-plug'
    | 'licensed'
  )[];
  /**
   * @maxItems 6
   */
  records?: (
    | {
        entry: 'action';
        action: 'power-on' | 'power-off' | 'drain' | 'fill' | 'set-control' | 'make-so' | 'end-so';
        control?: string;
        position?: string;
        fact?: string;
      }
    | {
        entry: 'covers-closed';
      }
    | {
        entry: 'service';
        service: string;
      }
  )[];
  /**
   * @minItems 1
   * @maxItems 6
   */
  checks?: string[];
  setting?: {
    /**
     * @minItems 1
     * @maxItems 6
     */
    settings: string[];
    as: 'found' | 'left';
  };
  /**
   * @maxItems 6
   */
  results?: {
    is: string;
    words: string;
  }[];
  part?: string;
  wires?: 'lift' | 'put-back';
  skip?: false | string;
  needs?: string;
  runs?: string;
  repeat?: {
    from: string;
    /**
     * @minItems 2
     * @maxItems 2
     */
    times: number[];
    until: string;
  };
  /**
   * @maxItems 6
   */
  branch?: {
    goto: string;
    is?: string;
    after?: number;
    above?: {
      key: string;
      value?: number;
      by?: {
        field: string;
        values: {
          [k: string]: number;
        };
      };
    };
    check?: string;
    tries?: number;
  }[];
  way?: {
    school: string;
    is: string;
  };
  only?: 'mains' | 'gas';
}
