import type { Plate } from '../../job-file/generated/job-types';
import { PlateError } from '../kit/plate-error';
import type { ChoiceField, NumberField } from '../kit/plate-field';
import { saidNumber } from '../kit/plate-number';

/** What plates of burners share: their input, their variants. */

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

/** Watts that the burner takes. */
export const inputField = (range: NumberField['range']): NumberField => ({
  kind: 'number',
  key: 'input',
  label: 'Input, watts',
  labelUs: 'Input, BTU/h',
  what: 'Watts of input',
  quantity: 'power',
  usUnit: 'BTU/h',
  pointer: '/unit/plate/input/watt',
  range,
});

/** Watts that it goes down to. */
export const leastInputField = (mostWatt: number): NumberField => ({
  kind: 'number',
  key: 'minimumInput',
  label: 'Least input, watts',
  labelUs: 'Least input, BTU/h',
  what: 'Watts of least input',
  quantity: 'power',
  usUnit: 'BTU/h',
  pointer: '/unit/plate/minimumInput/watt',
  range: [500, mostWatt],
  isOptional: true,
  isAside: true,
});

/** The flow at which a burner that warms a tap as it runs is asked to fire. */
export const leastFlowField: NumberField = {
  kind: 'number',
  key: 'minimumFlow',
  label: 'Flow to fire, L/min',
  labelUs: 'Flow to fire, gal/min',
  what: 'Litres a minute to fire',
  quantity: 'flow',
  pointer: '/unit/plate/minimumFlow/litrePerMinute',
  range: [0.5, 8],
  isOptional: true,
  isAside: true,
};

/** Least watts of a plate: never more than its most. @throws PlateError as `plateNumber` does. */
export const leastInputOf = (plate: Plate, inputWatt: number): number | undefined =>
  saidNumber(plate, leastInputField(inputWatt));
