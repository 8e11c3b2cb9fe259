import type { MeterModel } from '../../diagnosis/model';
import type { PartRequirement } from '../../parts';
import { meterOf, meters } from '../kit/meters';
import { readNames } from '../kit/names';
import type { FamilyParameters } from '../kit/parameters';
import { signalFamily } from '../kit/signal/family';
import { same } from '../kit/tank-parts';
import type { Quantity } from '../../quantities';
import { riseIn } from '../../heat-pump';
import { access, effects, stops } from './access';
import { checks } from './checks';
import { codes } from './codes';
import { drawing } from './drawing';
import { ends, goodElements, tolerances, type Elements } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { joint } from './joint';
import { looks } from './looks';
import { hotWaterShare, run, situations, type HeatPumpStanding, type HeatPumpUnit } from './model';
import namesFile from './names.json' with { type: 'json' };
import parameters from './parameters.json' with { type: 'json' };
import { drawHeatPump } from './picture';
import { plateFields, plateOf, type HeatPumpPlate } from './plate';
import { heatPumpProcedures } from './procedures';
import { answers, askedComplaints, questions } from './questions';
import { repairs } from './repairs';
import { sheet } from './sheet';
import { usualOrder } from './usual-order';
import { words } from './words';

const names = readNames(namesFile);

/** Low flows turn a small difference into an uneven house. Common practice, K. */
const radiatorBandKelvin = 2.5;

/** One reading in fifty that goes wrong shows over range. Common practice. */
const meter = meterOf(0.02);
const displayed = (quantity: Quantity, floor: number, most: number, least?: number) =>
  meter(quantity, 0.005, floor, most, least);
/** A probe taped on metal, under insulation. */
const contact = (floor: number): MeterModel => ({
  ...meters.temperature,
  id: `contact-${floor}`,
  floor,
});
const shown: MeterModel = {
  ...meters.temperature,
  id: 'shown-temperature',
  floor: 0.4,
  overRangeAbove: 200,
};
const difference = (floor: number) => meter('temperature-difference', 0.01, floor, 90, -90);

/** How displays, probes, gauges and meters err, by check. Common practice. */
const metersOfChecks: Readonly<Record<string, MeterModel>> = {
  ...Object.fromEntries(
    [
      'display-hot-water-setpoint',
      'display-cylinder-temperature',
      'display-buffer-temperature',
      'display-buffer-target',
      'display-flow-temperature',
      'display-return-temperature',
    ].map((check) => [check, shown]),
  ),
  'contact-buffer-temperature': contact(1.2),
  'contact-cylinder-temperature': contact(1.2),
  'contact-radiator-flow-temperature': contact(1.5),
  'tap-temperature': contact(0.6),
  'display-restart-differential': difference(0.4),
  'display-overnight-fall': difference(0.8),
  'room-temperature-minus-setpoint': difference(0.3),
  'cylinder-rise-per-30-min': difference(1.2),
  'coil-approach': difference(1.5),
  'flow-sensor-ohms-difference': difference(0.8),
};

const byQuantity: Partial<Record<Quantity, MeterModel>> = {
  ...meters,
  'temperature-difference': difference(0.6),
  flow: displayed('flow', 0.8, 200),
  power: displayed('power', 120, 30_000),
  count: displayed('count', 0.5, 40),
  pressure: displayed('pressure', 8000, 1e6),
};

function partRequirements(kind: string, plate: HeatPumpPlate): readonly PartRequirement[] {
  switch (kind) {
    case 'sensor':
      return [
        same(
          'curve',
          'Same curve: ohms at 25 °C and beta',
          'Another curve drives the water off its target.',
        ),
      ];
    case 'immersion':
      return [
        {
          kind: 'number',
          says: 'watt',
          label: 'Watts',
          quantity: 'power',
          rule: 'equal',
          wanted: plate.immersionWatt,
          why: 'More overloads its contactor and cable, less never makes the disinfection.',
        },
        same('length', 'No longer than the old one', 'Too long touches the coil.'),
      ];
    case 'contactor':
      return [
        same('coil', 'Coil volts as the old one', 'Another coil never closes, or burns out.'),
        same('amps', 'Amps at least as the old one', 'A weaker contact welds.'),
      ];
    case 'pump':
      return [same('head', 'Same head and length', 'Another moves too little, or does not fit.')];
    default:
      return [];
  }
}

/** Heat pump with a buffer for the rooms and a cylinder for hot water. */
export const heatPumpCylinder = signalFamily<HeatPumpPlate, HeatPumpStanding>({
  title: 'Heat pump and cylinder',
  names,
  words,
  parameters: parameters as unknown as FamilyParameters,
  drawing,
  partRequirements,
  procedures: heatPumpProcedures,
  checks,
  questions,
  askedComplaints,
  repairs,
  usualOrder,
  plateFields,
  codes,
  settings: [
    {
      id: 'hot-water-setpoint',
      label: 'Hot water',
      quantity: 'temperature',
      range: [30, 65],
      usual: 50,
      usualBetween: [46, 60],
    },
  ],
  pictureControls: [
    {
      key: 'request',
      label: 'Call',
      positions: [
        { id: 'none', label: 'none' },
        { id: 'heating', label: 'rooms' },
        { id: 'hot-water', label: 'hot water' },
      ],
    },
    {
      key: 'tap',
      label: 'Tap',
      positions: [
        { id: 'shut', label: 'shut' },
        { id: 'open', label: 'open' },
      ],
    },
    {
      key: 'boost',
      label: 'Boost',
      positions: [
        { id: 'off', label: 'off' },
        { id: 'on', label: 'on' },
      ],
    },
  ],
  pictureSliders: [],
  access,
  effects,
  stops,
  deadPoints: [
    { between: ['outdoor-isolator.l', 'outdoor-isolator.n'], label: 'outdoor unit, L to N' },
    {
      between: ['immersion-isolator.l', 'immersion-isolator.n'],
      label: 'immersion heater, L to N',
    },
    { between: ['relay.in', 'immersion-isolator.n'], label: 'contactor to N' },
  ],
  barred: {},
  plateOf,
  usualServices: ({ rated }) => ({
    supply: {
      system: rated?.volt === 120 ? 'split-phase' : 'single-phase',
      nominal: { volt: rated?.volt === 120 ? 240 : 230 },
    },
  }),
  plateLine: (plate) => {
    const watt = (plate.heatPump as { readonly watt?: number } | undefined)?.watt;
    return (
      [
        watt === undefined ? undefined : `${(watt / 1000).toFixed(1)} kW`,
        plate.volume?.litre === undefined ? undefined : `${Math.round(plate.volume.litre)} L`,
      ]
        .filter(Boolean)
        .join(', ') || 'no plate read'
    );
  },
  plateFacts: ({ lineVolt, immersionWatt, heatWatt, cylinderLitre }) => [
    {
      label: 'Immersion heater',
      values: [
        { value: lineVolt ** 2 / immersionWatt, quantity: 'resistance' },
        { value: immersionWatt / lineVolt, quantity: 'current-ac' },
      ],
    },
    {
      label: 'Cylinder in half an hour of a call',
      values: [
        {
          value: riseIn(30, hotWaterShare * heatWatt, cylinderLitre),
          quantity: 'temperature-difference',
        },
      ],
    },
  ],
  nextProof: () =>
    'See each sensor agree with its water, the power go down with it, and the tap hold its temperature for a minute.',
  variantOf: (plate, field) => String(plate[field as keyof HeatPumpPlate]),
  modes: faults,
  elements: goodElements,
  ends,
  tolerances,
  pairsSpreadAsGood: true,
  shared: [
    { element: 'stored.share', spread: 'storedLogSpread' },
    { element: 'target.share', spread: 'targetLogSpread' },
    { element: 'cold.celsius', spread: 'coldLogSpread' },
  ],
  situations: (_model, plate, elements) => situations(plate, elements as Elements),
  model: () => ({
    run: (unit) => run(unit as HeatPumpUnit),
    probe: () => undefined,
  }),
  reads: {
    'display-hot-water-setpoint': 'shown.setpoint',
    'display-restart-differential': 'shown.differential',
    'display-cylinder-temperature': 'shown.cylinder',
    'display-buffer-temperature': 'shown.buffer',
    'display-buffer-target': 'shown.target',
    'display-flow-temperature': 'shown.flow',
    'display-return-temperature': 'shown.return',
    'display-flow-rate': 'flow.rate',
    'display-power': 'power.watt',
    'defrosts-per-2-h': 'defrosts.count',
    'display-overnight-fall': 'overnight.kelvin',
    'contact-buffer-temperature': 'buffer.celsius',
    'contact-cylinder-temperature': 'cylinder.celsius',
    'contact-flow-temperature': 'flow.celsius',
    'contact-return-temperature': 'return.celsius',
    'contact-radiator-flow-temperature': 'radiator.celsius',
    'room-temperature-minus-setpoint': 'room.kelvin',
    'buffer-sensor-cup-difference': 'buffer-sensor.cup',
    'cylinder-sensor-cup-difference': 'cylinder-sensor.cup',
    'flow-sensor-ohms-difference': 'flow-sensor.difference',
    'tap-temperature': 'tap.celsius',
    'mixer-hot-port-temperature': 'hot-port.celsius',
    'mixer-mixed-port-temperature': 'mixed-port.celsius',
    'mixer-step-open-rise': 'step-open.kelvin',
    'mixer-step-shut-fall': 'step-shut.kelvin',
    'water-pressure': 'primary.pascal',
    'cylinder-rise-per-30-min': 'rise.kelvin',
    'coil-approach': 'approach.kelvin',
    'outdoor-supply-volts': 'outdoor.volt',
    'immersion-amps-boost': 'immersion.ampere',
    'immersion-amps-no-boost': 'immersion.ampere',
    'immersion-ohms': 'immersion.ohm',
  },
  readsAt: {
    'display-cylinder': { temperature: 'shown.cylinder' },
    'display-buffer': { temperature: 'shown.buffer' },
    'display-buffer-target': { temperature: 'shown.target' },
    'display-flow': { temperature: 'shown.flow' },
    'display-return': { temperature: 'shown.return' },
    'display-flow-rate': { flow: 'flow.rate' },
    'energy-monitor': { power: 'power.watt' },
    'buffer-pocket-boss': { temperature: 'buffer.celsius' },
    'cylinder-pocket-boss': { temperature: 'cylinder.celsius' },
    'primary-flow-pipe': { temperature: 'flow.celsius' },
    'primary-return-pipe': { temperature: 'return.celsius' },
    'radiator-flow-pipe': { temperature: 'radiator.celsius' },
    'kitchen-tap': { temperature: 'tap.celsius' },
    'mixer-hot-port': { temperature: 'hot-port.celsius' },
    'mixer-mixed-port': { temperature: 'mixed-port.celsius' },
    primary: { pressure: 'primary.pascal' },
    'immersion-lead': { 'current-ac': 'immersion.ampere' },
  },
  readsBetween: [
    {
      between: ['outdoor-isolator.l', 'outdoor-isolator.n'],
      reads: { 'voltage-ac': 'outdoor.volt' },
    },
    { between: ['immersion.a', 'immersion.b'], reads: { resistance: 'immersion.ohm' } },
  ],
  gasPoints: [],
  follows: followed,
  combined: {},
  meterOf: (check, quantity) =>
    (check === undefined ? undefined : metersOfChecks[check]) ??
    byQuantity[quantity] ??
    meter(quantity, 0.05, 1, 1e5),
  ownSpread: {
    'display-cylinder-temperature': 1,
    'contact-cylinder-temperature': 1.2,
    'display-buffer-temperature': 0.6,
    'contact-buffer-temperature': 1,
    'display-flow-temperature': 1.2,
    'contact-flow-temperature': 1.2,
    'display-return-temperature': 1.4,
    'contact-return-temperature': 1.4,
    'contact-radiator-flow-temperature': 1.6,
    'room-temperature-minus-setpoint': 0.25,
    'buffer-sensor-cup-difference': 0.4,
    'cylinder-sensor-cup-difference': 0.4,
    'flow-sensor-ohms-difference': 0.9,
    'tap-temperature': 0.8,
    'mixer-hot-port-temperature': 0.6,
    'mixer-mixed-port-temperature': 0.5,
    'mixer-step-open-rise': 0.5,
    'mixer-step-shut-fall': 0.5,
    'cylinder-rise-per-30-min': 1.2,
    'coil-approach': 0.8,
    'immersion-amps-no-boost': 0.05,
    'immersion-amps-boost': 0.1,
  },
  looks,
  answers,
  joint,
  sheet,
  isHeatPump: true,
  pockets: [
    { name: 'Buffer sensor', readout: 'readout-buffer', water: 'buffer' },
    { name: 'Cylinder sensor', readout: 'readout-cylinder', water: 'tank-top' },
  ],
  placesFollowed: {
    usual: ['readout-buffer', 'buffer', 'flow-pipe'],
    others: ['room', 'readout-cylinder', 'tank-top', 'return-pipe', 'outlet', 'cold-inlet'],
    live: ['buffer', 'flow-pipe', 'tank-top'],
  },
  radiators: { bandKelvin: radiatorBandKelvin },
  mixing: { litre: ({ cylinderLitre }) => cylinderLitre },
  impliedState(check, present) {
    const { state } = names.checks[check]!;
    return {
      ...present,
      controls: { ...present.controls, ...state?.controls },
      apart: state?.lifted ?? present.apart,
    };
  },
  standingKey: ({ storedCelsius, isStarved }) =>
    `${storedCelsius.toFixed(0)}${isStarved ? ' starved' : ''}`,
  picture: drawHeatPump,
});
