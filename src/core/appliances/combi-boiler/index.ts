import { usualBandKelvin } from '../../balancing';
import { loopParameters } from '../../settings/parameter';
import { drawLimit } from '../../water';
import { fireMeterOf } from '../gas-fired/meters';
import { firePartRequirements } from '../gas-fired/part-requirements';
import { plateWords } from '../gas-fired/plate-words';
import { readNames } from '../kit/names';
import type { FamilyParameters } from '../kit/parameters';
import { signalFamily } from '../kit/signal/family';
import { access, effects, stops } from './access';
import { checks } from './checks';
import { codes } from './codes';
import { drawing } from './drawing';
import { ends, goodElements, tolerances } from './elements';
import { faults } from './faults';
import { atTap, followed } from './followed';
import { joint } from './joint';
import { lighting } from '../gas-fired/fire';
import { looks } from './looks';
import { run, watchTap, type CombiStanding } from './model';
import namesFile from './names.json' with { type: 'json' };
import parameters from './parameters.json' with { type: 'json' };
import { drawCombi } from './picture';
import { plateFields, plateOf, type CombiPlate } from './plate';
import { answers, askedComplaints, questions } from './questions';
import { combiProcedures } from './procedures';
import { repairs } from './repairs';
import { situations } from './situations';
import { usualOrder } from './usual-order';
import { words } from './words';

const names = readNames(namesFile);

const openShut = [
  { id: 'open', label: 'open' },
  { id: 'shut', label: 'shut' },
];

/** Combination boiler: one burner for the heating loop and, over a plate exchanger, for the tap. */
export const combiBoiler = signalFamily<CombiPlate, CombiStanding>({
  title: 'Combination boiler',
  names,
  words,
  parameters: parameters as unknown as FamilyParameters,
  drawing,
  partRequirements: (kind, { fuel }) => firePartRequirements(kind, fuel),
  procedures: combiProcedures,
  checks,
  questions,
  askedComplaints,
  repairs,
  usualOrder,
  plateFields,
  codes,
  settings: [
    {
      id: 'tapSetpoint',
      label: 'Tap',
      quantity: 'temperature',
      range: [30, 70],
      usual: 48,
      usualBetween: [44, 50],
    },
    {
      id: 'flowSetpoint',
      label: 'Heating flow',
      quantity: 'temperature',
      range: [30, 90],
      usual: 60,
      usualBetween: [45, 65],
      isSealed: true,
    },
  ],
  pictureControls: [
    {
      key: 'request',
      label: 'Request',
      positions: [
        { id: 'none', label: 'none' },
        { id: 'tap', label: 'tap' },
        { id: 'heating', label: 'heating' },
      ],
    },
    {
      key: 'hotTap',
      label: 'Hot tap',
      positions: [
        { id: 'closed', label: 'shut' },
        { id: 'throttled', label: 'part' },
        { id: 'open', label: 'open' },
      ],
    },
    {
      key: 'roomThermostat',
      label: 'Room',
      positions: [
        { id: 'lowest', label: 'lowest' },
        { id: 'as-found', label: 'as found' },
        { id: 'highest', label: 'highest' },
      ],
    },
    { key: 'flowIsolation', label: 'Flow valve', positions: openShut },
    { key: 'returnIsolation', label: 'Return valve', positions: openShut },
    { key: 'coldIsolation', label: 'Cold valve', positions: openShut },
    {
      key: 'fillingValve',
      label: 'Filling valve',
      positions: [
        { id: 'shut', label: 'shut' },
        { id: 'open', label: 'open' },
      ],
    },
    { key: 'gas', label: 'Gas', positions: openShut },
  ],
  pictureSliders: [],
  access,
  effects,
  stops,
  barred: {},
  plateOf,
  usualServices: ({ fuel }) => ({ gas: { kind: fuel === 'lpg' ? 'lpg' : 'natural-gas' } }),
  plateLine: (plate) => plateWords(plate),
  plateFacts: ({ inputWatt, efficiency, leastFlow }) => [
    {
      label: 'Most it heats by 35 K',
      values: [{ value: drawLimit(inputWatt * efficiency, 35), quantity: 'flow' }],
    },
    { label: 'Flow to fire', values: [{ value: leastFlow, quantity: 'flow' }] },
  ],
  nextProof: () =>
    'See a slow rise of the flow temperature with the tap open for two minutes, and both services warm.',
  variantOf: (plate, field) => String(plate[field as keyof CombiPlate]),
  modes: faults,
  elements: goodElements,
  ends,
  tolerances,
  pairsSpreadAsGood: true,
  shared: [
    { element: 'mains.celsius', spread: 'mainsCelsiusLogSpread' },
    { element: 'tap.conductance', spread: 'tapLogSpread' },
  ],
  situations: (model, plate, elements) => situations(model, plate, elements),
  model: () => ({
    run,
    probe: () => undefined,
  }),
  reads: {
    'flow-temperature-rise': 'flow.rise',
    'display-flow-temperature-peak': 'flow.peak',
    'tap-flow': 'tap.flow',
    'display-tap-flow': 'shown.flow',
    'tap-temperature': 'tap.celsius',
    'tap-inlet-temperature': 'cold.celsius',
    'tap-test-low-difference': 'tap.difference',
    'tap-test-middle-difference': 'tap.difference',
    'tap-test-high-difference': 'tap.difference',
    'flow-return-difference-tap': 'tap.flow-return',
    'flow-return-difference-heating': 'heating.flow-return',
    'display-flow-temperature-heating': 'heating.shown',
    'flow-pipe-temperature-heating': 'heating.flow',
    'radiator-mean-temperature': 'radiators.celsius',
    'heating-pipe-temperature-with-tap': 'tap.heating-pipe',
    'pressure-gauge': 'gauge.pascal',
    'display-pressure': 'shown.pascal',
    'pressure-hot': 'hot.pascal',
    'pressure-change-in-a-day': 'day.pascal',
    'vessel-charge': 'vessel.pascal',
    'hose-bore': 'hose.millimetre',
    'pump-power': 'pump.watt',
    'gas-pressure-static': 'gas.static',
    'gas-pressure-running': 'gas.running',
    'gas-rate': 'gas.flow',
    'flame-current': 'flame.ampere',
    'fan-speed-percent': 'fan.percent',
    co2: 'flue.co2',
    'co-ratio': 'flue.co-ratio',
    'tap-sensor-difference': 'tap-sensor.difference',
    'flow-sensor-difference': 'flow-sensor.difference',
    'supply-volts': 'supply.volt',
    'control-dc-volts': 'control.volt',
    'limit-ohms': 'limit.ohm',
  },
  readsAt: {
    tap: { temperature: 'tap.celsius', flow: 'tap.flow' },
    'display-flow-temperature': { temperature: 'flow.shown' },
    'flow-and-return': { 'temperature-difference': 'flow-return.difference' },
    'display-tap-flow': { flow: 'shown.flow' },
    'cold-inlet': { temperature: 'cold.celsius' },
    'flow-pipe': { temperature: 'flow.celsius' },
    'heating-flow-pipe': { temperature: 'heating.celsius' },
    radiators: { temperature: 'radiators.celsius' },
    'primary-pressure-gauge': { pressure: 'hot.pascal' },
    'display-pressure': { pressure: 'shown.pascal' },
    'vessel-charge-valve': { pressure: 'vessel.pascal' },
    'primary-hose': { length: 'hose.millimetre' },
    'display-pump-power': { power: 'pump.watt' },
    'gas-inlet-port': { 'pressure-difference': 'gas.running' },
    'gas-meter': { 'volume-flow': 'gas.flow' },
    'flame-sense-lead': { 'current-dc': 'flame.ampere' },
    'display-fan-speed': { percent: 'fan.percent' },
    'flue-sample': { percent: 'flue.co2' },
  },
  readsBetween: [
    { between: ['supply.L', 'supply.N'], reads: { 'voltage-ac': 'supply.volt' } },
    { between: ['control.dc-plus', 'control.dc-minus'], reads: { 'voltage-dc': 'control.volt' } },
    { between: ['limit.1', 'limit.2'], reads: { resistance: 'limit.ohm' } },
  ],
  gasPoints: ['gas-inlet-port', 'gas-meter', 'flue-sample'],
  follows: followed,
  combined: { 'co-ratio': ({ co = 0, co2 = 1 }) => co / 1e4 / Math.max(0.1, co2) },
  meterOf: fireMeterOf,
  ownSpread: {
    // How a control raises its fire differs from maker to maker.
    'flow-temperature-rise': 7,
    'display-flow-temperature-peak': 2,
    'tap-temperature': 1,
    tap: 1,
    'tap-test-low-difference': 0.8,
    'tap-test-middle-difference': 0.8,
    'tap-test-high-difference': 0.9,
    'flow-return-difference-tap': 1.5,
    'flow-return-difference-heating': 1.2,
    'display-flow-temperature-heating': 1.5,
    'flow-pipe-temperature-heating': 1.5,
    'radiator-mean-temperature': 1.8,
    'heating-pipe-temperature-with-tap': 1.5,
    'tap-sensor-difference': 0.6,
    'flow-sensor-difference': 0.6,
    'supply-volts': 5,
    'pressure-hot': 8e3,
    'pressure-change-in-a-day': 5e3,
    'hose-bore': 0.6,
  },
  radiators: { bandKelvin: usualBandKelvin },
  looks,
  answers,
  joint,
  tap: {
    hasFlow: true,
    ratings: ({ inputWatt, leastInputWatt, efficiency }) => ({
      mostWatt: inputWatt * efficiency,
      leastWatt: leastInputWatt * efficiency,
      bodyJoulePerKelvin: 17_500 * (inputWatt / 26_500),
    }),
    parameters: loopParameters,
    follows: [
      ...atTap,
      ...lighting,
      'start.flow',
      'tap-sensor.whole',
      'flow-sensor.whole',
      'primary.pascal',
      'pressure-sensor.pascal',
    ],
    standingKey: ({ limit }) => limit,
    opened: (state) => ({
      ...state,
      controls: { ...state.controls, request: 'tap', hotTap: 'open' },
    }),
    watch: watchTap,
  },
  impliedState(check, present) {
    const { state } = names.checks[check]!;
    return {
      ...present,
      controls: { ...present.controls, ...state?.controls },
      apart: state?.lifted ?? present.apart,
    };
  },
  standingKey: ({ limit }) => limit,
  picture: drawCombi,
});
