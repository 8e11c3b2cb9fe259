import type { JobFile } from '../../job-file/generated/job-types';
import { choiceField, chosenText } from '../gas-fired/plate';
import { lineVoltOf } from '../kit/line-volt';
import type { NumberField, PlateField } from '../kit/plate-field';

/** What is said of a wireless control and its cylinder. */
export interface WirelessPlate {
  readonly lineVolt: 120 | 230;
  readonly cylinderLitre: number;
  readonly arrangement: 'two-zone-valves' | 'mid-position-valve' | 'immersion';
}

const usualLitre = 180;

const arrangement = choiceField('arrangement', 'It switches', {
  'two-zone-valves': 'two zone valves',
  'mid-position-valve': 'one mid-position valve',
  immersion: 'an immersion heater',
});

const volume: NumberField = {
  kind: 'number',
  key: 'volume',
  label: 'Cylinder, litres',
  labelUs: 'Cylinder, gallons',
  what: 'Litres of the cylinder',
  quantity: 'volume',
  pointer: '/unit/plate/volume/litre',
  range: [50, 1000],
  isOptional: true,
  isAside: true,
};

export const plateFields: readonly PlateField[] = [
  arrangement,
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
  volume,
];

/** @throws PlateError for a plate that no such control has. */
export function plateOf({ unit: { plate } }: Pick<JobFile, 'unit'>): WirelessPlate {
  return {
    lineVolt: lineVoltOf(plate.rated?.volt, 'control'),
    cylinderLitre: plate.volume?.litre ?? usualLitre,
    arrangement: chosenText(plate, arrangement) as WirelessPlate['arrangement'],
  };
}
