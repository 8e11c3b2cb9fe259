import type { PartRequirement } from '../../parts';
import { meterOf, meters } from '../kit/meters';
import type { MeterModel } from '../../diagnosis/model';
import { readNames } from '../kit/names';
import type { FamilyParameters } from '../kit/parameters';
import { signalFamily } from '../kit/signal/family';
import { same } from '../kit/tank-parts';
import type { Quantity } from '../../quantities';
import { access, effects, stops } from './access';
import { checks } from './checks';
import { codes } from './codes';
import { drawing } from './drawing';
import { ends, goodElements, tolerances, type Elements } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { joint } from './joint';
import { looks } from './looks';
import { run, situations, type WirelessStanding, type WirelessUnit } from './model';
import namesFile from './names.json' with { type: 'json' };
import parameters from './parameters.json' with { type: 'json' };
import { drawWireless } from './picture';
import { plateFields, plateOf, type WirelessPlate } from './plate';
import { wirelessProcedures } from './procedures';
import { answers, askedComplaints, questions } from './questions';
import { repairs } from './repairs';
import { sheet } from './sheet';
import { usualOrder } from './usual-order';
import { words } from './words';

const names = readNames(namesFile);

/** One reading in fifty that goes wrong shows over range. Common practice. */
const meter = meterOf(0.02);

/** How displays, tapes and meters err. Common practice. */
const wirelessMeters: Partial<Record<Quantity, MeterModel>> = {
  ...meters,
  'temperature-difference': meter('temperature-difference', 0.01, 0.4, 90, -90),
  'voltage-dc': meter('voltage-dc', 0.015, 0.03, 60),
  length: meter('length', 0.03, 12, 5000),
  time: meter('time', 0.03, 20, 7200),
};
/** What a display shows is as good as its last digit. */
const ofDisplay: MeterModel = { ...meters.temperature, id: 'shown-temperature', floor: 0.5 };
const shownTemperatures = new Set(['display-stored-temperature', 'display-setpoint']);

/** What a new part must match. Common practice; the maker’s list of parts comes first. */
function partRequirements(kind: string, { lineVolt }: WirelessPlate): readonly PartRequirement[] {
  switch (kind) {
    case 'cells':
      return [
        same(
          'kind',
          'Of the kind that is printed inside',
          'Others are flat within weeks, or leak.',
        ),
      ];
    case 'radio':
      return [
        same('band', 'Same radio band and maker', 'Another band is never heard.'),
        same('bindable', 'On the controller’s list', 'What is not on it cannot be bound.'),
      ];
    case 'receiver':
      return [
        same('band', 'Same radio band and maker', 'Another band is never heard.'),
        {
          kind: 'number',
          says: 'volt',
          label: 'Supply',
          quantity: 'voltage-ac',
          rule: 'equal',
          wanted: lineVolt,
          tolerance: 0.1,
          why: 'Another supply burns it, or never lets it close.',
        },
        same(
          'contact',
          'Contact free of volts, or fed, as the old one',
          'A fed one puts mains on the boiler’s call.',
        ),
      ];
    case 'valve-head':
      return [
        same('body', 'For the same body', 'Another neither seats nor turns it.'),
        same(
          'switch',
          'With an end switch, as the old one',
          'Without it the boiler is never called.',
        ),
      ];
    case 'fuse':
      return [same('rating', 'Same rating and speed', 'A larger one burns the wire instead.')];
    case 'pump':
      return [same('head', 'Same head and length', 'Another moves too little, or does not fit.')];
    default:
      return [];
  }
}

/** Wireless control of a cylinder of stored hot water. */
export const wirelessCylinderControl = signalFamily<WirelessPlate, WirelessStanding>({
  title: 'Wireless cylinder control',
  names,
  words,
  parameters: parameters as unknown as FamilyParameters,
  drawing,
  partRequirements,
  procedures: wirelessProcedures,
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
      label: 'Setpoint',
      quantity: 'temperature',
      range: [30, 70],
      usual: 60,
      usualBetween: [50, 62],
    },
  ],
  pictureControls: [
    {
      key: 'override',
      label: 'Override',
      positions: [
        { id: 'on', label: 'on' },
        { id: 'off', label: 'off' },
      ],
    },
    {
      key: 'receiverButton',
      label: 'Receiver button',
      positions: [
        { id: 'pressed', label: 'pressed' },
        { id: 'released', label: 'released' },
      ],
    },
    {
      key: 'heatingCall',
      label: 'Heating',
      positions: [
        { id: 'on', label: 'calls' },
        { id: 'off', label: 'off' },
      ],
    },
  ],
  pictureSliders: [],
  access,
  effects,
  stops,
  deadPoints: [
    { between: ['spur.l', 'spur.n'], label: 'spur L to N' },
    { between: ['receiver.l', 'receiver.n'], label: 'receiver L to N' },
    { between: ['valve.switch-feed', 'valve.n'], label: 'end switch to N' },
    { between: ['boiler.switched-live', 'boiler.n'], label: 'boiler call to N' },
  ],
  barred: {},
  plateOf,
  usualServices: ({ rated }) => ({
    supply: {
      system: rated?.volt === 120 ? 'split-phase' : 'single-phase',
      nominal: { volt: rated?.volt === 120 ? 240 : 230 },
    },
  }),
  plateLine: ({ volume, arrangement }) =>
    [
      volume?.litre === undefined ? undefined : `${Math.round(volume.litre)} L`,
      typeof arrangement === 'string' ? arrangement.replaceAll('-', ' ') : undefined,
    ]
      .filter(Boolean)
      .join(', ') || 'no plate read',
  plateFacts: () => [],
  nextProof: () =>
    'See its own light alone come with a call, and the cylinder rise by 3 K in half an hour.',
  variantOf: (plate, field) => String(plate[field as keyof WirelessPlate]),
  modes: faults,
  elements: goodElements,
  ends,
  tolerances,
  pairsSpreadAsGood: true,
  shared: [{ element: 'feed.volt', spread: 'feedLogSpread' }],
  situations: (_model, plate, elements, drawn) => situations(plate, elements as Elements, drawn),
  model: () => ({
    run: (unit) => run(unit as WirelessUnit),
    probe: () => undefined,
  }),
  reads: {
    'display-stored-temperature': 'shown.stored',
    'display-setpoint': 'shown.setpoint',
    'display-differential': 'shown.differential',
    'display-overrun': 'shown.overrun',
    'sensor-battery-volts': 'sensor.volt',
    'controller-battery-volts': 'controller.volt',
    'receiver-spacing-mm': 'receiver.spacing',
    'sensor-to-metal-mm': 'sensor.metal',
    'contact-cylinder-temperature': 'cylinder.celsius',
    'tap-temperature': 'tap.celsius',
    'receiver-supply-volts': 'receiver-supply.volt',
    'receiver-output-volts': 'receiver-out.volt',
    'valve-motor-volts': 'motor.volt',
    'end-switch-feed-volts': 'switch-feed.volt',
    'end-switch-out-volts': 'switch-out.volt',
    'end-switch-idle-volts': 'switch-out.volt',
    'boiler-call-volts': 'boiler-call.volt',
    'end-switch-ohms-lever-over': 'end-switch.ohm',
  },
  readsAt: {
    'display-stored': { temperature: 'shown.stored' },
    'cylinder-at-sensor': { temperature: 'cylinder.celsius' },
    tap: { temperature: 'tap.celsius' },
    'receiver-spacing': { length: 'receiver.spacing' },
    'sensor-radio-to-metal': { length: 'sensor.metal' },
  },
  readsBetween: [
    { between: ['sensor.battery+', 'sensor.battery-'], reads: { 'voltage-dc': 'sensor.volt' } },
    {
      between: ['controller.battery+', 'controller.battery-'],
      reads: { 'voltage-dc': 'controller.volt' },
    },
    { between: ['receiver.l', 'receiver.n'], reads: { 'voltage-ac': 'receiver-supply.volt' } },
    {
      between: ['receiver.normally-open', 'receiver.n'],
      reads: { 'voltage-ac': 'receiver-out.volt' },
    },
    { between: ['valve.motor', 'valve.n'], reads: { 'voltage-ac': 'motor.volt' } },
    { between: ['valve.switch-feed', 'valve.n'], reads: { 'voltage-ac': 'switch-feed.volt' } },
    { between: ['valve.switch-out', 'valve.n'], reads: { 'voltage-ac': 'switch-out.volt' } },
    {
      between: ['boiler.switched-live', 'boiler.n'],
      reads: { 'voltage-ac': 'boiler-call.volt' },
    },
    {
      between: ['valve.switch-feed', 'valve.switch-out'],
      reads: { resistance: 'end-switch.ohm' },
    },
  ],
  gasPoints: [],
  follows: followed,
  combined: {},
  meterOf: (check, quantity) =>
    check !== undefined && shownTemperatures.has(check)
      ? ofDisplay
      : (wirelessMeters[quantity] ?? meter(quantity, 0.05, 1, 1e5)),
  ownSpread: {
    'display-stored-temperature': 3,
    'contact-cylinder-temperature': 3.2,
    'tap-temperature': 3,
    'receiver-supply-volts': 3,
    'receiver-output-volts': 3,
    'end-switch-ohms-lever-over': 0.3,
  },
  looks,
  answers,
  joint,
  sheet,
  impliedState(check, present) {
    const { state } = names.checks[check]!;
    return {
      ...present,
      controls: { ...present.controls, ...state?.controls },
      apart: state?.lifted ?? present.apart,
    };
  },
  standingKey: ({ storedCelsius }) => storedCelsius.toFixed(0),
  picture: drawWireless,
});
