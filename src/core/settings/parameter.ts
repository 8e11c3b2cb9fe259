import type { SettingKind } from '../job-file';
import type { Quantity } from '../quantities';
import storage from './storage-parameters.json' with { type: 'json' };
import system from './system-parameters.json' with { type: 'json' };
import tap from './tap-parameters.json' with { type: 'json' };

/** A parameter of a settings sheet, as data: a number in a range, or one of a few. */
export interface SheetParameter {
  readonly id: string;
  readonly words: string;
  readonly kind: 'number' | 'choice';
  /** Of a number, in its kept unit; what lies outside the range is refused, outside the usual it is shown. */
  readonly quantity?: Quantity;
  readonly range?: readonly [least: number, most: number];
  readonly usual?: readonly [from: number, to: number];
  /** Of a choice, by its name. */
  readonly values?: Readonly<Record<string, string>>;
  /** The families that have it; every storage heater where absent. */
  readonly families?: readonly string[];
  /** It is there only where another parameter stands so. */
  readonly onlyIf?: Readonly<Record<string, string>>;
  /** A time that is read in minutes; in hours otherwise. */
  readonly inMinutes?: boolean;
  /** Where it is read or turned. */
  readonly where?: string;
  readonly mark: 'practice' | 'from memory' | (string & {});
}

/** What every storage heater has on its sheet beside its own dials. */
export const storageParameters = storage as unknown as readonly SheetParameter[];

/** What units that warm their tap as they run have beside their setpoints: straight, and over a loop that heats too. */
export const directParameters = tap.direct as unknown as readonly SheetParameter[];
export const loopParameters = tap.loop as unknown as readonly SheetParameter[];

/** What a boiler with zones and a cylinder has. */
export const systemParameters = system as unknown as readonly SheetParameter[];

/** What a record needs to know of each: its quantity with its range, or its values. */
export const parameterKinds = (parameters: readonly SheetParameter[]): [string, SettingKind][] =>
  parameters.map(({ id, quantity, range, values = {} }) => [
    id,
    quantity === undefined ? { values: Object.keys(values) } : { quantity, range },
  ]);
