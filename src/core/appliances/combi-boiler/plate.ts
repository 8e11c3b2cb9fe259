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

/** What the rating plate of a combination boiler says, and what its variant is. */
export interface CombiPlate {
  readonly fuel: Fuel;
  /** Gross, in watts: the most, and the least that it burns with. */
  readonly inputWatt: number;
  readonly leastInputWatt: number;
  /** Of gross, at full fire. Common practice. */
  readonly efficiency: number;
  readonly leastFlow: number;
  readonly keepWarm: 'none' | 'fixed' | 'learned';
  /** A section of rubber hose in its primary pipework. */
  readonly primaryHose: 'true' | 'false';
  /** Whether it eases off ahead of its flow limit, or cuts hard; both are built. */
  readonly flowLimitCelsius: number;
}

const inputRange = [8000, 60_000] as const;
/** Where the plate is silent. Common practice. */
const usual = { leastShare: 0.24, leastFlow: 2, efficiency: 0.89, flowLimitCelsius: 85 } as const;

const keepWarm = choiceField(
  'keepWarm',
  'Keeps its plates warm',
  { fixed: 'by a switch', learned: 'by habit', none: 'not fitted' },
  { isAside: true },
);
const primaryHose = choiceField(
  'primaryHose',
  'Rubber hose in the primary',
  { true: 'yes, or not known', false: 'none' },
  { values: { true: true, false: false }, isAside: true },
);

const input = inputField(inputRange);

export const plateFields: readonly PlateField[] = [
  fuelField,
  input,
  leastInputField(40_000),
  leastFlowField,
  primaryHose,
  keepWarm,
];

/**
 * The plate of a job's unit.
 * @throws PlateError for a plate that no such boiler has.
 */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): CombiPlate {
  const inputWatt = neededNumber(plate, input);
  return {
    fuel: chosenText(plate, fuelField) as Fuel,
    inputWatt,
    leastInputWatt: leastInputOf(plate, inputWatt) ?? inputWatt * usual.leastShare,
    efficiency: usual.efficiency,
    leastFlow: saidNumber(plate, leastFlowField) ?? usual.leastFlow,
    keepWarm: chosenText(plate, keepWarm) as CombiPlate['keepWarm'],
    primaryHose: chosenText(plate, primaryHose) as CombiPlate['primaryHose'],
    flowLimitCelsius: usual.flowLimitCelsius,
  };
}
