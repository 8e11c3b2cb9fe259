import type { JobFile } from '../../job-file/generated/job-types';
import {
  choiceField,
  chosenText,
  fuelField,
  type Fuel,
  inputField,
  leastInputField,
  leastInputOf,
} from '../gas-fired/plate';
import { lineVoltOf } from '../kit/line-volt';
import type { NumberField, PlateField } from '../kit/plate-field';
import { neededNumber, saidNumber } from '../kit/plate-number';

/** What the plates of boiler, panel and cylinder say, and what their variant is. */
export interface SystemPlate {
  readonly fuel: Fuel;
  /** Gross, in watts. */
  readonly inputWatt: number;
  readonly leastInputWatt: number;
  /** Of gross, at full fire. Common practice. */
  readonly efficiency: number;
  readonly lineVolt: 120 | 230;
  readonly cylinderLitre: number;
  readonly cylinderControl: 'aquastat' | 'sensor';
  readonly mixingValve: 'true' | 'false';
  readonly ignition: 'spark' | 'hot-surface';
  readonly sensorCurve: string;
  readonly emitter: 'radiator' | 'baseboard' | 'radiant-floor' | 'fan-coil';
  readonly zoning: 'pumps' | 'valves';
}

const inputRange = [8000, 150_000] as const;
const cylinderRange = [50, 1000] as const;
/** Where the plate is silent. Common practice. */
const usual = { leastShare: 0.2, efficiency: 0.91, cylinderLitre: 150 } as const;

const fields = {
  cylinderControl: choiceField('cylinderControl', 'Cylinder calls by', {
    aquastat: 'a thermostat on it',
    sensor: 'a sensor to the boiler',
  }),
  ignition: choiceField(
    'ignition',
    'Ignition',
    { spark: 'spark', 'hot-surface': 'hot surface' },
    { isAside: true },
  ),
  mixingValve: choiceField(
    'mixingValve',
    'Mixing valve',
    { true: 'fitted', false: 'none' },
    { values: { true: true, false: false }, isAside: true },
  ),
  sensorCurve: choiceField(
    'sensorCurve',
    'Sensors',
    {
      'ntc-10k-3977': 'NTC 10 kΩ, B 3977',
      'ntc-10k-3435': 'NTC 10 kΩ, B 3435',
      'ntc-12k-3740': 'NTC 12 kΩ, B 3740',
      pt1000: 'Pt1000',
    },
    { isAside: true },
  ),
  emitter: choiceField(
    'emitter',
    'Heats by',
    {
      radiator: 'radiators',
      baseboard: 'baseboard',
      'radiant-floor': 'floor',
      'fan-coil': 'fan coils',
    },
    { isAside: true },
  ),
  zoning: choiceField(
    'zoning',
    'Zones by',
    { pumps: 'pumps', valves: 'valves' },
    { isAside: true },
  ),
} as const;

const input = inputField(inputRange);

const cylinder: NumberField = {
  kind: 'number',
  key: 'cylinder',
  label: 'Cylinder, litres',
  labelUs: 'Cylinder, gallons',
  what: 'Litres of the cylinder',
  quantity: 'volume',
  pointer: '/unit/plate/cylinder/litre',
  range: cylinderRange,
  isOptional: true,
  isAside: true,
};

export const plateFields: readonly PlateField[] = [
  fuelField,
  input,
  {
    kind: 'choice',
    key: 'line',
    label: 'Line volts',
    choices: [
      { id: '230', label: '230 V', sets: { '/unit/plate/rated/volt': 230 } },
      { id: '120', label: '120 V', sets: { '/unit/plate/rated/volt': 120 } },
    ],
  },
  fields.cylinderControl,
  cylinder,
  leastInputField(100_000),
  fields.mixingValve,
  fields.ignition,
  fields.sensorCurve,
  fields.emitter,
  fields.zoning,
];

/**
 * The plate of a job's unit.
 * @throws PlateError for a plate that no such boiler has.
 */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): SystemPlate {
  const inputWatt = neededNumber(plate, input);
  const choice = (key: keyof typeof fields) => chosenText(plate, fields[key]);
  return {
    fuel: chosenText(plate, fuelField) as Fuel,
    inputWatt,
    leastInputWatt: leastInputOf(plate, inputWatt) ?? inputWatt * usual.leastShare,
    efficiency: usual.efficiency,
    lineVolt: lineVoltOf(plate.rated?.volt, 'boiler'),
    cylinderLitre: saidNumber(plate, cylinder) ?? usual.cylinderLitre,
    cylinderControl: choice('cylinderControl') as SystemPlate['cylinderControl'],
    mixingValve: choice('mixingValve') as SystemPlate['mixingValve'],
    ignition: choice('ignition') as SystemPlate['ignition'],
    sensorCurve: choice('sensorCurve'),
    emitter: choice('emitter') as SystemPlate['emitter'],
    zoning: choice('zoning') as SystemPlate['zoning'],
  };
}
