import type { JobFile } from '../../job-file/generated/job-types';
import {
  choiceField,
  chosenText,
  fuelField,
  inputWattOf,
  litrePerMinuteOf,
  type Fuel,
} from '../gas-fired/plate';
import type { PlateField } from '../kit/plate-field';

/** What the rating plate of an instantaneous heater says, and what its variant is. */
export interface TanklessPlate {
  readonly fuel: Fuel;
  /** Gross, in watts: the most, and the least that it burns with. */
  readonly inputWatt: number;
  readonly leastInputWatt: number;
  readonly condensing: 'true' | 'false';
  /** Of gross, at full fire. Common practice where the plate is silent. */
  readonly efficiency: number;
  /** That starts the burner, in L/min. */
  readonly leastFlow: number;
  readonly recirculation: 'true' | 'false';
}

const inputRange = [5000, 80_000] as const;
/** A tenth to an eighth of the most, where the plate is silent; and the flow to fire. Common practice. */
const usualLeastShare = 0.11;
const usualLeastFlow = 2.2;
/** Condensing, and not. Common practice. */
const efficiencies = { true: 0.93, false: 0.85 } as const;

const condensing = choiceField(
  'condensing',
  'Condensing',
  { false: 'no', true: 'yes, with a condensate pipe' },
  { values: { false: false, true: true } },
);
const recirculation = choiceField(
  'recirculation',
  'Recirculation line',
  { false: 'none', true: 'yes' },
  { values: { false: false, true: true }, isAside: true },
);

export const plateFields: readonly PlateField[] = [
  fuelField,
  {
    kind: 'number',
    key: 'input',
    label: 'Input, watts',
    labelUs: 'Input, BTU/h',
    what: 'Watts of input',
    quantity: 'power',
    usUnit: 'BTU/h',
    pointer: '/unit/plate/input/watt',
    range: inputRange,
  },
  condensing,
  recirculation,
  {
    kind: 'number',
    key: 'minimumInput',
    label: 'Least input, watts',
    labelUs: 'Least input, BTU/h',
    what: 'Watts of least input',
    quantity: 'power',
    usUnit: 'BTU/h',
    pointer: '/unit/plate/minimumInput/watt',
    range: [500, 40_000],
    isOptional: true,
    isAside: true,
  },
  {
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
  },
];

/**
 * The plate of a job's unit.
 * @throws PlateError for a plate that no such heater has.
 */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): TanklessPlate {
  const inputWatt = inputWattOf(plate, 'input', inputRange)!;
  const isCondensing = chosenText(plate, condensing) as TanklessPlate['condensing'];
  return {
    fuel: chosenText(plate, fuelField) as Fuel,
    inputWatt,
    leastInputWatt:
      inputWattOf(plate, 'minimumInput', [500, inputWatt], true) ?? inputWatt * usualLeastShare,
    condensing: isCondensing,
    efficiency: efficiencies[isCondensing],
    leastFlow: litrePerMinuteOf(plate, 'minimumFlow', [0.5, 8]) ?? usualLeastFlow,
    recirculation: chosenText(plate, recirculation) as TanklessPlate['recirculation'],
  };
}
