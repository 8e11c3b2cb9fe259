import type { Quantity } from '../../quantities';

/**
 * A thing to be read off a rating plate or said of the site, as data: the call form, its check and what is sent to the
 * server follow from it. Pointers are into the job file: `/unit/plate/…`, or `/site/…` for what the house feeds it with.
 */
export type PlateField = NumberField | ChoiceField;

interface PlateFieldBase {
  /** What is typed is kept under it. */
  readonly key: string;
  readonly label: string;
  /** May stay empty. */
  readonly isOptional?: boolean;
  /** Tucked away with make, model and serial. */
  readonly isAside?: boolean;
  /** Asked only where another field was chosen so. */
  readonly onlyIf?: Readonly<Record<string, readonly string[]>>;
}

export interface NumberField extends PlateFieldBase {
  readonly kind: 'number';
  readonly quantity: Quantity;
  readonly pointer: string;
  /** In the kept unit; `what` begins the words of what is wrong: "Watts". */
  readonly range: readonly [least: number, most: number];
  readonly what: string;
  /** For readers of the other system, where the label names a unit. */
  readonly labelUs?: string;
  /** The unit of a bare number for readers of the other system, where it is not their usual one: BTU/h of an input. */
  readonly usUnit?: string;
  /** Another field whose value it has where it is empty. */
  readonly sameAs?: string;
}

export interface ChoiceField extends PlateFieldBase {
  readonly kind: 'choice';
  readonly choices: readonly PlateChoice[];
}

export interface PlateChoice {
  readonly id: string;
  readonly label: string;
  /** What choosing it writes, by pointer. */
  readonly sets: Readonly<Record<string, string | number | boolean>>;
  /** What other fields usually hold then, as it would be typed. */
  readonly usual?: Readonly<Record<string, string>>;
}

/** What was typed or chosen, by field. */
export type TypedPlate = Readonly<Record<string, string | undefined>>;

/** The choice that stands: what was chosen, or the first where one has to be. */
export function chosenOf(field: ChoiceField, typed: TypedPlate): PlateChoice | undefined {
  const found = field.choices.find((each) => each.id === typed[field.key]);
  return found ?? (field.isOptional ? undefined : field.choices[0]);
}

/** Fields that are asked, as far as the others have been filled in. */
export const askedFields = (fields: readonly PlateField[], typed: TypedPlate): PlateField[] =>
  fields.filter(({ onlyIf }) =>
    Object.entries(onlyIf ?? {}).every(([key, wanted]) => {
      const other = fields.find((each) => each.key === key);
      const chosen = other?.kind === 'choice' ? chosenOf(other, typed)?.id : undefined;
      return chosen !== undefined && wanted.includes(chosen);
    }),
  );

/** What a field holds: what was typed, else what the choices make usual, else what the field beside it holds. */
export function textOf(fields: readonly PlateField[], typed: TypedPlate, key: string): string {
  const own = typed[key]?.trim();
  if (own) return own;
  for (const field of fields) {
    const usual = field.kind === 'choice' ? chosenOf(field, typed)?.usual?.[key] : undefined;
    if (usual !== undefined) return usual;
  }
  const field = fields.find((each) => each.key === key);
  return field?.kind === 'number' && field.sameAs !== undefined
    ? textOf(fields, typed, field.sameAs)
    : '';
}

type Json = { [key: string]: Json | string | number | boolean };

/** Puts a value at a JSON pointer whose parts are plain names. */
function put(into: Json, pointer: string, value: string | number | boolean): void {
  const parts = pointer.split('/').slice(1);
  const last = parts.pop()!;
  let at = into;
  for (const part of parts) at = (at[part] ??= {}) as Json;
  at[last] = value;
}

/**
 * What the fields say, as the job file has it.
 * @param numberIn the number that a text gives for a field, in its kept unit; undefined where it gives none.
 */
export function plateSaid(
  fields: readonly PlateField[],
  typed: TypedPlate,
  numberIn: (text: string, field: NumberField) => number | undefined,
): { readonly plate: object; readonly services: object } {
  const said: Json = { unit: { plate: {} }, site: {} };
  for (const field of askedFields(fields, typed)) {
    if (field.kind === 'choice') {
      for (const [pointer, value] of Object.entries(chosenOf(field, typed)?.sets ?? {})) {
        put(said, pointer, value);
      }
      continue;
    }
    const number = numberIn(textOf(fields, typed, field.key), field);
    if (number !== undefined) put(said, field.pointer, number);
  }
  return { plate: (said.unit as Json).plate as object, services: said.site as object };
}

/** Keys of a plate that every family may have: those of the first version of the format. */
const commonKeys = ['rated', 'elements', 'volume', 'wiring'];

/** What a plate must say and may say, by its keys in the job file. */
export function plateKeys(fields: readonly PlateField[]): {
  readonly required: readonly string[];
  readonly known: ReadonlySet<string>;
} {
  const keyOf = (pointer: string): string[] => {
    const [, unit, plate, key] = pointer.split('/');
    return unit === 'unit' && plate === 'plate' && key !== undefined ? [key] : [];
  };
  const pointersOf = (field: PlateField) =>
    field.kind === 'number'
      ? [field.pointer]
      : field.choices.flatMap((each) => Object.keys(each.sets));
  const required = fields.filter(({ isOptional, onlyIf }) => !isOptional && !onlyIf);
  return {
    required: [...new Set(required.flatMap(pointersOf).flatMap(keyOf))],
    known: new Set([...commonKeys, ...fields.flatMap(pointersOf).flatMap(keyOf)]),
  };
}
