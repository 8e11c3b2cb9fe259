import type { JobFile } from '../../job-file/generated/job-types';
import {
  choiceField,
  chosenText,
  fuelField,
  type Fuel,
  inputField,
  leastFlowField,
  leastInputField,
  leastInputOf,
} from '../gas-fired/plate';
import type { PlateField } from '../kit/plate-field';
import { neededNumber, saidNumber } from '../kit/plate-number';

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

const input = inputField(inputRange);

export const plateFields: readonly PlateField[] = [
  fuelField,
  input,
  condensing,
  recirculation,
  leastInputField(40_000),
  leastFlowField,
];

/**
 * The plate of a job's unit.
 * @throws PlateError for a plate that no such heater has.
 */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): TanklessPlate {
  const inputWatt = neededNumber(plate, input);
  const isCondensing = chosenText(plate, condensing) as TanklessPlate['condensing'];
  return {
    fuel: chosenText(plate, fuelField) as Fuel,
    inputWatt,
    leastInputWatt: leastInputOf(plate, inputWatt) ?? inputWatt * usualLeastShare,
    condensing: isCondensing,
    efficiency: efficiencies[isCondensing],
    leastFlow: saidNumber(plate, leastFlowField) ?? usualLeastFlow,
    recirculation: chosenText(plate, recirculation) as TanklessPlate['recirculation'],
  };
}
