import type { PlateFact } from '../appliance-family';
import type { JobFile } from '../../job-file/generated/job-types';
import { heatUp } from '../../thermal/heating-time';
import type { PlateField } from '../kit/plate-field';
import type { SettingField } from '../kit/setting';
import type { ElectricalDeclaration } from './declaration';
import { elementOhm, plateLimits, type Plate } from './plate';
import type { Thermostat } from './state';

type Heater = Pick<ElectricalDeclaration, 'elements' | 'supplies'>;

/** What is asked of a heater's plate and of the house that feeds it. */
export const plateFields = ({ elements, supplies }: Heater): PlateField[] => [
  {
    kind: 'choice',
    key: 'supply',
    label: 'Supply',
    choices: supplies.map(({ id, label, system, nominalVolt, plateVolt }) => ({
      id,
      label,
      sets: { '/site/supply/system': system, '/site/supply/nominal/volt': nominalVolt },
      // A heater for 240 V is met on 208 V.
      usual: { volt: String(plateVolt) },
    })),
  },
  {
    kind: 'number',
    key: 'volt',
    label: 'Volts',
    what: 'Volts',
    quantity: 'voltage-ac',
    pointer: '/unit/plate/rated/volt',
    range: plateLimits.volt,
  },
  ...elements.map(({ id, label }, index): PlateField => ({
    kind: 'number',
    key: `watt-${id}`,
    label: elements.length > 1 ? `${label.split(' ')[0]} watts` : 'Watts',
    what: 'Watts',
    quantity: 'power',
    pointer: `/unit/plate/elements/${id}/watt`,
    range: plateLimits.watt,
    ...(index > 0 ? { sameAs: `watt-${elements[0]!.id}` } : {}),
  })),
  {
    kind: 'number',
    key: 'volume',
    label: 'Litres',
    labelUs: 'Gallons',
    what: 'Litres',
    quantity: 'volume',
    pointer: '/unit/plate/volume/litre',
    range: plateLimits.litre,
    isOptional: true,
    isAside: true,
  },
  ...(elements.length > 1 ? [wiring] : []),
  {
    kind: 'choice',
    key: 'residualCurrentDevice',
    label: 'Guarded by an RCD or GFCI?',
    isOptional: true,
    isAside: true,
    choices: [
      { id: 'yes', label: 'yes', sets: { '/site/supply/residualCurrentDevice': true } },
      { id: 'no', label: 'no', sets: { '/site/supply/residualCurrentDevice': false } },
    ],
  },
];

const wiring: PlateField = {
  kind: 'choice',
  key: 'wiring',
  label: 'Both elements at once?',
  isOptional: true,
  isAside: true,
  choices: [
    {
      id: 'non-simultaneous',
      label: 'one at a time',
      sets: { '/unit/plate/wiring': 'non-simultaneous' },
    },
    { id: 'simultaneous', label: 'both at once', sets: { '/unit/plate/wiring': 'simultaneous' } },
  ],
};

export const dialSettings = (thermostats: readonly Thermostat[]): SettingField[] =>
  thermostats.map(({ setting, label }) => ({
    id: setting,
    label,
    quantity: 'temperature',
    range: [10, 95],
    usual: 50,
  }));

/** 2 × 4500 W at 240 V. */
export function plateLine({ elements }: Heater, { plate }: Pick<JobFile['unit'], 'plate'>): string {
  const watts = elements.map(({ id }) => plate.elements?.[id]?.watt);
  const isSame = watts.every((each) => each === watts[0]);
  const text =
    watts.length > 1 && isSame ? `${watts.length} × ${watts[0]} W` : `${watts.join(' and ')} W`;
  return `${text} at ${plate.rated?.volt} V`;
}

/** A heater for 240 V is met on 208 V. */
export const feedLine = ({ ratedVolt, nominalVolt }: Plate): string | undefined =>
  nominalVolt === ratedVolt ? undefined : `on ${nominalVolt} V`;

/** Ohms and amps of each element, by Ohm's and Joule's laws. */
export const plateFacts = (
  { elements }: Heater,
  { ratedVolt, nominalVolt, elementWatt }: Plate,
): PlateFact[] =>
  elements.map(({ id, label }) => {
    const ohm = elementOhm(ratedVolt, elementWatt[id]!);
    return {
      label,
      values: [
        { value: ohm, quantity: 'resistance' },
        { value: nominalVolt / ohm, quantity: 'current-ac' },
      ],
    };
  });

/** The proof that is still to come, with the times that this plate and tank need from cold. */
export function nextProof({ elements }: Heater, { volumeLitre, elementWatt }: Plate): string {
  const watts = elements.map(({ id }) => elementWatt[id]!);
  const { changeoverMinutes, shutOffMinutes } = heatUp({ volumeLitre, watts }, 15, 50);
  const hours = Math.round(shutOffMinutes / 15) / 4;
  const changeover =
    changeoverMinutes === undefined
      ? ''
      : `change over, about ${Math.round(changeoverMinutes / 5) * 5} min from cold, and `;
  return `See it ${changeover}shut off, about ${hours} h from cold: leave a logger, or call back.`;
}
