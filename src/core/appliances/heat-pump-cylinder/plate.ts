import type { JobFile } from '../../job-file/generated/job-types';
import { lineVoltOf } from '../kit/line-volt';
import type { NumberField, PlateField } from '../kit/plate-field';
import { neededNumber, saidNumber } from '../kit/plate-number';

/** What the plates of outdoor unit, buffer and cylinder say. */
export interface HeatPumpPlate {
  readonly lineVolt: 120 | 230;
  /** Heat at 2 °C outdoors and 35 °C flow, in watts. */
  readonly heatWatt: number;
  /** The hottest flow that it makes, by its refrigerant. */
  readonly flowLimitCelsius: number;
  readonly immersionWatt: number;
  readonly cylinderLitre: number;
  readonly bufferLitre: number;
}

const ranges = {
  heatWatt: [2000, 40_000],
  immersionWatt: [500, 12_000],
  flowLimit: [50, 80],
  volume: [50, 1000],
  buffer: [10, 1000],
} as const;

/** Where the plate is silent. Common practice. */
const usual = { flowLimit: 60, immersionWatt: 3000, cylinderLitre: 200, bufferLitre: 50 } as const;

/** What its plates say in numbers. */
const numbers = {
  heatPump: {
    kind: 'number',
    key: 'heatPump',
    label: 'Heat, watts',
    labelUs: 'Heat, BTU/h',
    what: 'Watts of heat at 2 °C outdoors',
    quantity: 'power',
    usUnit: 'BTU/h',
    pointer: '/unit/plate/heatPump/watt',
    range: ranges.heatWatt,
  },
  flowLimit: {
    kind: 'number',
    key: 'flowLimit',
    label: 'Hottest flow',
    what: 'Hottest flow',
    quantity: 'temperature',
    pointer: '/unit/plate/flowLimit/celsius',
    range: ranges.flowLimit,
    isOptional: true,
    isAside: true,
  },
  immersion: {
    kind: 'number',
    key: 'immersion',
    label: 'Immersion heater, watts',
    what: 'Watts of the immersion heater',
    quantity: 'power',
    pointer: '/unit/plate/immersion/watt',
    range: ranges.immersionWatt,
    isOptional: true,
    isAside: true,
  },
  volume: {
    kind: 'number',
    key: 'volume',
    label: 'Cylinder, litres',
    labelUs: 'Cylinder, gallons',
    what: 'Litres of the cylinder',
    quantity: 'volume',
    pointer: '/unit/plate/volume/litre',
    range: ranges.volume,
    isOptional: true,
    isAside: true,
  },
  buffer: {
    kind: 'number',
    key: 'buffer',
    label: 'Buffer, litres',
    labelUs: 'Buffer, gallons',
    what: 'Litres of the buffer',
    quantity: 'volume',
    pointer: '/unit/plate/buffer/litre',
    range: ranges.buffer,
    isOptional: true,
    isAside: true,
  },
} as const satisfies Readonly<Record<string, NumberField>>;

export const plateFields: readonly PlateField[] = [
  numbers.heatPump,
  {
    kind: 'choice',
    key: 'rated',
    label: 'Supply',
    choices: [230, 120].map((volt) => ({
      id: String(volt),
      label: `${volt} V`,
      sets: { '/unit/plate/rated/volt': volt },
    })),
  },
  numbers.flowLimit,
  numbers.immersion,
  numbers.volume,
  numbers.buffer,
];

/** @throws PlateError for a plate that no such unit has. */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): HeatPumpPlate {
  return {
    lineVolt: lineVoltOf(plate.rated?.volt, 'unit'),
    heatWatt: neededNumber(plate, numbers.heatPump),
    immersionWatt: saidNumber(plate, numbers.immersion) ?? usual.immersionWatt,
    flowLimitCelsius: saidNumber(plate, numbers.flowLimit) ?? usual.flowLimit,
    cylinderLitre: saidNumber(plate, numbers.volume) ?? usual.cylinderLitre,
    bufferLitre: saidNumber(plate, numbers.buffer) ?? usual.bufferLitre,
  };
}
