import type { JobFile, Plate } from '../../job-file/generated/job-types';
import { inputWattOf } from '../gas-fired/plate';
import { lineVoltOf } from '../kit/line-volt';
import { PlateError } from '../kit/plate-error';
import type { PlateField } from '../kit/plate-field';

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

export const plateFields: readonly PlateField[] = [
  {
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
  {
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
  {
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
  {
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
  {
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
];

/** @throws PlateError for a plate that no such unit has. */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): HeatPumpPlate {
  return {
    lineVolt: lineVoltOf(plate.rated?.volt, 'unit'),
    heatWatt: inputWattOf(plate, 'heatPump', ranges.heatWatt)!,
    immersionWatt:
      inputWattOf(plate, 'immersion', ranges.immersionWatt, true) ?? usual.immersionWatt,
    flowLimitCelsius: numberOf(plate, 'flowLimit', 'celsius', ranges.flowLimit) ?? usual.flowLimit,
    cylinderLitre: numberOf(plate, 'volume', 'litre', ranges.volume) ?? usual.cylinderLitre,
    bufferLitre: numberOf(plate, 'buffer', 'litre', ranges.buffer) ?? usual.bufferLitre,
  };
}

function numberOf(
  plate: Plate,
  key: string,
  unit: 'celsius' | 'litre',
  [least, most]: readonly [number, number],
): number | undefined {
  const said = plate[key] as Readonly<Record<string, unknown>> | undefined;
  const value = said?.[unit];
  if (value === undefined && said === undefined) return undefined;
  if (typeof value === 'number' && value >= least && value <= most) return value;
  throw new PlateError(
    `/unit/plate/${key}/${unit}`,
    `${String(value)} ${unit} is outside what such a unit has, ${least} to ${most}. Read the plate again.`,
  );
}
