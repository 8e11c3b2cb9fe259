import type { Plate } from '../../job-file/generated/job-types';
import { PlateError } from '../kit/plate-error';
import type { ChoiceField } from '../kit/plate-field';

/** What plates of burners share: their input in watts, their variants. */

/** A choice that is kept under its own key of the plate. The first is the usual one. */
export const choiceField = (
  key: string,
  label: string,
  choices: Readonly<Record<string, string>>,
  given: {
    /** What is kept for each, where it is not its id. */
    readonly values?: Readonly<Record<string, boolean>>;
    readonly isAside?: boolean;
  } = {},
): ChoiceField => ({
  kind: 'choice',
  key,
  label,
  ...(given.isAside ? { isAside: true } : {}),
  choices: Object.entries(choices).map(([id, text]) => ({
    id,
    label: text,
    sets: { [`/unit/plate/${key}`]: given.values?.[id] ?? id },
  })),
});

export type Fuel = 'natural-gas' | 'lpg';

/** Which gas it burns: the plate says it, and with it what comes into the house. */
export const fuelField: ChoiceField = {
  kind: 'choice',
  key: 'fuel',
  label: 'Gas',
  choices: [
    {
      id: 'natural-gas',
      label: 'natural gas',
      sets: { '/unit/plate/fuel': 'natural-gas', '/site/gas/kind': 'natural-gas' },
    },
    { id: 'lpg', label: 'LPG', sets: { '/unit/plate/fuel': 'lpg', '/site/gas/kind': 'lpg' } },
  ],
};

/** What a plate says of a choice, as the id of it; the usual one where it is silent. @throws PlateError for what is none. */
export function chosenText(plate: Plate, { key, choices }: ChoiceField): string {
  const said = plate[key];
  if (said === undefined) return choices[0]!.id;
  const found = choices.find(({ sets }) => sets[`/unit/plate/${key}`] === said);
  if (!found) {
    const known = choices.map(({ sets }) => String(sets[`/unit/plate/${key}`])).join(', ');
    throw new PlateError(`/unit/plate/${key}`, `"${key}" is one of ${known}.`);
  }
  return found.id;
}

/** Watts of a key such as `input`. @throws PlateError where it is missing and has to be there, or is out of range. */
export function inputWattOf(
  plate: Plate,
  key: string,
  range: readonly [number, number],
  isOptional = false,
): number | undefined {
  const said = plate[key];
  const watt =
    typeof said === 'object' && said !== null
      ? (said as { readonly watt?: unknown }).watt
      : undefined;
  if (watt === undefined) {
    if (isOptional) return undefined;
    throw new PlateError(
      `/unit/plate/${key}`,
      `The plate does not say its ${key}: {"watt": 24000}.`,
    );
  }
  return within(`/unit/plate/${key}/watt`, watt, range, 'watt');
}

/** Litres a minute of a key such as `minimumFlow`, where the plate says it. @throws PlateError where it is out of range. */
export function litrePerMinuteOf(
  plate: Plate,
  key: string,
  range: readonly [number, number],
): number | undefined {
  const said = plate[key];
  const litre =
    typeof said === 'object' && said !== null
      ? (said as { readonly litrePerMinute?: unknown }).litrePerMinute
      : undefined;
  return litre === undefined
    ? undefined
    : within(`/unit/plate/${key}/litrePerMinute`, litre, range, 'litre a minute');
}

function within(
  pointer: string,
  value: unknown,
  [least, most]: readonly [number, number],
  unit: string,
): number {
  if (typeof value === 'number' && value >= least && value <= most) return value;
  throw new PlateError(
    pointer,
    `${String(value)} ${unit} is outside what such a unit has, ${least} to ${most}. Read the plate again.`,
  );
}
