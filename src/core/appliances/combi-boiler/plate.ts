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
  primaryHose,
  keepWarm,
];

/**
 * The plate of a job's unit.
 * @throws PlateError for a plate that no such boiler has.
 */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): CombiPlate {
  const inputWatt = inputWattOf(plate, 'input', inputRange)!;
  return {
    fuel: chosenText(plate, fuelField) as Fuel,
    inputWatt,
    leastInputWatt:
      inputWattOf(plate, 'minimumInput', [500, inputWatt], true) ?? inputWatt * usual.leastShare,
    efficiency: usual.efficiency,
    leastFlow: litrePerMinuteOf(plate, 'minimumFlow', [0.5, 8]) ?? usual.leastFlow,
    keepWarm: chosenText(plate, keepWarm) as CombiPlate['keepWarm'],
    primaryHose: chosenText(plate, primaryHose) as CombiPlate['primaryHose'],
    flowLimitCelsius: usual.flowLimitCelsius,
  };
}
