import type { JobFile } from '../../job-file/generated/job-types';
import { fuelField, type Fuel, inputField } from '../gas-fired/plate';
import { PlateError } from '../kit/plate-error';
import { chosenOf, type NumberField, type PlateField } from '../kit/plate-field';
import { neededNumber } from '../kit/plate-number';

/** What the rating plate of a gas storage heater says, and what its variant is. */
export interface GasPlate {
  readonly fuel: Fuel;
  /** Gross, in watts. */
  readonly inputWatt: number;
  readonly volumeLitre: number;
  /** Share of the input that warms the water while it fires; 0.76 where the plate is silent. Common practice. */
  readonly efficiency: number;
  readonly valve: 'thermocouple' | 'thermopile';
  /** Where the roll-out cutout sits: in the generator's lead, on two plugs of its own at the valve, or nowhere. */
  readonly rollOut: 'in-lead' | 'own-leads' | 'none';
  readonly combustion: 'sealed' | 'open-box';
  readonly arrangement: 'single' | 'parallel' | 'series';
}

const limits = { inputWatt: [3000, 60_000], volumeLitre: [40, 500] } as const;
const usualEfficiency = 0.76;

const choice = <Id extends string>(
  key: string,
  label: string,
  choices: Readonly<Record<Id, string>>,
  rest: { readonly isAside?: boolean } = {},
): PlateField => ({
  kind: 'choice',
  key,
  label,
  ...rest,
  choices: Object.entries<string>(choices).map(([id, text]) => ({
    id,
    label: text,
    sets: { [`/unit/plate/${key}`]: id },
  })),
});

const input = inputField(limits.inputWatt);

const volume: NumberField = {
  kind: 'number',
  key: 'volume',
  label: 'Litres',
  labelUs: 'Gallons',
  what: 'Litres',
  quantity: 'volume',
  pointer: '/unit/plate/volume/litre',
  range: limits.volumeLitre,
};

/** What is asked of the plate. The variant decides which faults, checks and codes there are. */
export const plateFields: readonly PlateField[] = [
  choice('valve', 'Control valve', {
    thermocouple: 'one thin lead, no light',
    thermopile: 'electronic, status light',
  }),
  fuelField,
  input,
  volume,
  choice('arrangement', 'How many together', {
    single: 'one',
    parallel: 'two side by side',
    series: 'one after the other',
  }),
  choice(
    'combustion',
    'Burner',
    { sealed: 'behind a sealed door', 'open-box': 'open box' },
    {
      isAside: true,
    },
  ),
  choice(
    'rollOut',
    'Roll-out cutout',
    { 'in-lead': 'in the pilot lead', 'own-leads': 'two plugs at the valve', none: 'none' },
    { isAside: true },
  ),
];

/**
 * The plate of a job's unit.
 * @throws PlateError for a plate that no such heater has.
 */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): GasPlate {
  const efficiency = plate.efficiency ?? usualEfficiency;
  if (typeof efficiency !== 'number' || !(efficiency >= 0.4 && efficiency <= 1)) {
    throw new PlateError('/unit/plate/efficiency', 'The recovery efficiency is a share: 0.76.');
  }
  return {
    fuel: chosen(plate, 'fuel'),
    inputWatt: neededNumber(plate, input),
    volumeLitre: neededNumber(plate, volume),
    efficiency,
    valve: chosen(plate, 'valve'),
    rollOut: chosen(plate, 'rollOut'),
    combustion: chosen(plate, 'combustion'),
    arrangement: chosen(plate, 'arrangement'),
  };
}

/** What the plate says of a variant, or the usual one where it is silent. */
function chosen<K extends keyof GasPlate & string>(
  plate: JobFile['unit']['plate'],
  key: K,
): GasPlate[K] {
  const field = plateFields.find((each) => each.key === key);
  if (field?.kind !== 'choice') throw new TypeError(`"${key}" is no choice`);
  const said = plate[key];
  if (said !== undefined && !field.choices.some(({ id }) => id === said)) {
    const known = field.choices.map(({ id }) => id).join(', ');
    throw new PlateError(`/unit/plate/${key}`, `"${key}" is one of ${known}.`);
  }
  return chosenOf(field, { [key]: said as string | undefined })!.id as GasPlate[K];
}

/** Gross heat of a cubic metre, in joules: natural gas 39.5 MJ, LPG vapour about 95 MJ (from memory; the supplier's bill says). */
export const grossJoulePerCubicMetre = { 'natural-gas': 39.5e6, lpg: 95e6 } as const;

/** Pressures of the gas at the valve, in pascal: 7 and 4 inches of water, LPG 11 and 10 (from memory; the plate wins). */
export const gasPressurePascal = {
  'natural-gas': { inlet: 1740, manifold: 1000 },
  lpg: { inlet: 2740, manifold: 2490 },
} as const;

/** Gas that the burner takes by its plate, in m³/h. */
export const ratedGasFlow = ({ inputWatt, fuel }: GasPlate): number =>
  (inputWatt * 3600) / grossJoulePerCubicMetre[fuel];
