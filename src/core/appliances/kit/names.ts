import type { LiftedEnd } from '../../job-file/generated/job-types';
import type { Quantity } from '../../quantities';

/** A family's names.json: ids that are part of the job-file format. */
export interface FamilyNames {
  readonly family: string;
  readonly terminals: readonly string[];
  readonly conductors: Readonly<Record<string, readonly [string, string]>>;
  readonly checks: Readonly<Record<string, NamedCheck>>;
  /** Points that something is read at by their name, each with what may be read there. */
  readonly points?: Readonly<Record<string, readonly Quantity[]>>;
  /** Controls by their key in an entry's state, each with its positions. */
  readonly controls?: Readonly<Record<string, readonly string[]>>;
  /** Repair by fault. */
  readonly faults: Readonly<Record<string, string>>;
  readonly repairs: readonly string[];
  readonly complaints: readonly string[];
}

export interface NamedCheck {
  readonly kind: 'reading' | 'observation' | 'series' | 'code';
  readonly quantity?: Quantity;
  /** The unit of a bare number, where it is not the reader's usual one. */
  readonly unit?: string;
  readonly between?: readonly [string, string];
  readonly around?: string;
  readonly point?: string;
  readonly values?: readonly string[];
  /** What several values come to, where it is of another quantity than each: a difference. */
  readonly gives?: Quantity;
  /** A reading of several values: the point of each, by its key. */
  readonly valuesAt?: Readonly<Record<string, string>>;
  /** And what each is of, where it is not the quantity of the check: carbon dioxide beside carbon monoxide. */
  readonly quantities?: Readonly<Record<string, Quantity>>;
  /** How each of several values is called, where its point does not tell it from the others. */
  readonly valueWords?: Readonly<Record<string, string>>;
  /** Of several values, those that may be left out. */
  readonly optional?: readonly string[];
  readonly state?: ImpliedState;
  readonly changes?: { readonly limit?: 'closed'; readonly breaker?: 'cycled' };
  /** Only where the plate says so, by its fields. */
  readonly onlyIf?: Readonly<Record<string, readonly string[]>>;
  /** A record of safety: no evidence on a fault, and never proposed for information. */
  readonly record?: boolean;
  readonly note?: string;
}

/** What the one number is of that a check comes to. */
export const resultQuantity = ({ gives, quantity }: NamedCheck): Quantity | undefined =>
  gives ?? quantity;

/** What one of several values is of. */
export const valueQuantity = (
  { quantity, quantities }: Pick<NamedCheck, 'quantity' | 'quantities'>,
  key: string,
): Quantity | undefined => quantities?.[key] ?? quantity;

/** The state a check is taken in. Dials stand under the state key of their thermostat, other controls under their own. */
export interface ImpliedState {
  readonly power?: 'on' | 'off';
  readonly upperDial?: 'high' | 'low' | 'found';
  readonly lowerDial?: 'high' | 'low' | 'found';
  readonly dial?: 'high' | 'low' | 'found';
  readonly controls?: Readonly<Record<string, string>>;
  readonly lifted?: readonly LiftedEnd[];
  readonly limit?: 'closed';
  readonly needs?: string;
}

/**
 * Takes a names.json as typed names.
 * @throws TypeError where a check or a fault names something that the file does not list: a mistake of the file's author.
 */
export function readNames(json: unknown): FamilyNames {
  const names = json as FamilyNames;
  const isPoint = (point: string) => names.terminals.includes(point);
  for (const [id, { between, around, state }] of Object.entries(names.checks)) {
    const points = between ?? [];
    const wires = [...(around ? [around] : []), ...(state?.lifted ?? []).map((each) => each.wire)];
    const unknown =
      points.find((each) => !isPoint(each)) ?? wires.find((each) => !names.conductors[each]);
    if (unknown) throw new TypeError(`check "${id}" of ${names.family} names "${unknown}"`);
  }
  for (const [fault, repair] of Object.entries(names.faults)) {
    if (!names.repairs.includes(repair)) {
      throw new TypeError(`fault "${fault}" of ${names.family} names the repair "${repair}"`);
    }
  }
  return names;
}
