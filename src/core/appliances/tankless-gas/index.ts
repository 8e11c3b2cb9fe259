import { directParameters } from '../../settings/parameter';
import { drawLimit } from '../../water';
import { firePartRequirements } from '../gas-fired/part-requirements';
import { fireMeterOf } from '../gas-fired/meters';
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
import { followed, heated } from './followed';
import { lighting } from '../gas-fired/fire';
import { looks } from './looks';
import { run, watchTap, type TanklessStanding } from './model';
import namesFile from './names.json' with { type: 'json' };
import parameters from './parameters.json' with { type: 'json' };
import { drawTankless } from './picture';
import { plateFields, plateOf, type TanklessPlate } from './plate';
import { answers, askedComplaints, questions } from './questions';
import { tanklessProcedures } from './procedures';
import { repairs } from './repairs';
import { usualOrder } from './usual-order';
import { words } from './words';

const names = readNames(namesFile);

/** Instantaneous gas heater: water through it lights it, and it modulates to its setpoint. */
export const tanklessGas = signalFamily<TanklessPlate, TanklessStanding>({
  title: 'Gas, instantaneous',
  names,
  words,
  parameters: parameters as unknown as FamilyParameters,
  drawing,
  partRequirements: (kind, { fuel }) => firePartRequirements(kind, fuel),
  procedures: tanklessProcedures,
  checks,
  questions,
  askedComplaints,
  repairs,
  usualOrder,
  plateFields,
  codes,
  settings: [
    {
      id: 'setpoint',
      label: 'Setpoint',
      quantity: 'temperature',
      range: [30, 85],
      usual: 49,
      usualBetween: [44, 52],
    },
  ],
  pictureControls: [
    {
      key: 'hotTap',
      label: 'Hot tap',
      positions: [
        { id: 'closed', label: 'shut' },
        { id: 'one-open', label: 'open' },
        { id: 'two-open', label: 'two open' },
        { id: 'throttled', label: 'part' },
      ],
    },
    {
      key: 'hotIsolation',
      label: 'Hot valve',
      positions: [
        { id: 'open', label: 'open' },
        { id: 'shut', label: 'shut' },
      ],
    },
    {
      key: 'coldIsolation',
      label: 'Cold valve',
      positions: [
        { id: 'open', label: 'open' },
        { id: 'shut', label: 'shut' },
      ],
    },
    {
      key: 'hotPort',
      label: 'Hot port',
      positions: [
        { id: 'shut', label: 'shut' },
        { id: 'open', label: 'open' },
      ],
    },
    {
      key: 'coldPort',
      label: 'Cold port',
      positions: [
        { id: 'shut', label: 'shut' },
        { id: 'open', label: 'open' },
      ],
    },
    {
      key: 'gas',
      label: 'Gas',
      positions: [
        { id: 'open', label: 'open' },
        { id: 'shut', label: 'shut' },
      ],
    },
    {
      key: 'request',
      label: 'Request',
      positions: [
        { id: 'on', label: 'on' },
        { id: 'standby', label: 'standby' },
      ],
    },
    {
      key: 'recirculation',
      label: 'Recirculation',
      positions: [
        { id: 'on', label: 'on' },
        { id: 'shut', label: 'shut' },
      ],
    },
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
  nextProof: () => 'See it fire and hold its setpoint for two minutes at a tap.',
  variantOf: (plate, field) => String(plate[field as keyof TanklessPlate]),
  modes: faults,
  elements: goodElements,
  ends,
  tolerances,
  pairsSpreadAsGood: true,
  shared: [
    { element: 'mains.celsius', spread: 'mainsCelsiusLogSpread' },
    { element: 'mains.pascal', spread: 'mainsPascalLogSpread' },
    { element: 'tap.conductance', spread: 'tapLogSpread' },
  ],
  situations: () => [{ share: 1 }],
  model: () => ({
    run,
    probe: () => undefined,
  }),
  reads: {
    'tap-flow': 'outlet.flow',
    'tap-temperature': 'outlet.celsius',
    'display-flow': 'shown.flow',
    'seconds-to-hot': 'hot.seconds',
    'service-port-flow': 'heater.flow',
    'service-port-temperature': 'outlet.celsius',
    'display-flow-service-port': 'shown.flow',
    'display-outlet-temperature': 'shown.outlet',
    'display-inlet-temperature': 'shown.inlet',
    'inlet-temperature': 'cold.celsius',
    'inlet-pressure-static': 'cold-port.pascal',
    'inlet-pressure-running': 'cold-port.pascal',
    'gas-pressure-static': 'gas.static',
    'gas-pressure-running': 'gas.running',
    'burner-pressure': 'gas.burner',
    'gas-rate': 'gas.flow',
    'flame-current': 'flame.ampere',
    'fan-speed-percent': 'fan.percent',
    co2: 'flue.co2',
    'co-ratio': 'flue.co-ratio',
    'outlet-sensor-difference': 'outlet-sensor.difference',
    'inlet-sensor-difference': 'inlet-sensor.difference',
    'supply-volts': 'supply.volt',
    'control-dc-volts': 'control.volt',
    'gas-valve-volts': 'valve.volt',
    'air-switch-ohms': 'air-switch.ohm',
    'limit-ohms': 'limit.ohm',
  },
  readsAt: {
    tap: { temperature: 'outlet.celsius', flow: 'outlet.flow' },
    'hot-service-port': { flow: 'heater.flow', temperature: 'outlet.celsius' },
    'cold-service-port': { pressure: 'cold-port.pascal' },
    'cold-inlet': { temperature: 'cold.celsius' },
    'display-flow': { flow: 'shown.flow' },
    'display-outlet-temperature': { temperature: 'shown.outlet' },
    'display-inlet-temperature': { temperature: 'shown.inlet' },
    'display-fan-speed': { percent: 'fan.percent' },
    'gas-inlet-port': { 'pressure-difference': 'gas.running' },
    'manifold-port': { 'pressure-difference': 'gas.burner' },
    'gas-meter': { 'volume-flow': 'gas.flow' },
    'flame-rod-lead': { 'current-dc': 'flame.ampere' },
    'flue-sample': { percent: 'flue.co2' },
  },
  readsBetween: [
    { between: ['supply.L', 'supply.N'], reads: { 'voltage-ac': 'supply.volt' } },
    { between: ['control.dc-plus', 'control.dc-minus'], reads: { 'voltage-dc': 'control.volt' } },
    { between: ['gas-valve.plus', 'gas-valve.minus'], reads: { 'voltage-dc': 'valve.volt' } },
    { between: ['air-switch.1', 'air-switch.2'], reads: { resistance: 'air-switch.ohm' } },
    { between: ['limit.1', 'limit.2'], reads: { resistance: 'limit.ohm' } },
  ],
  gasPoints: ['gas-inlet-port', 'manifold-port', 'gas-meter', 'flue-sample'],
  follows: followed,
  combined: { 'co-ratio': ({ co = 0, co2 = 1 }) => co / 1e4 / Math.max(0.1, co2) },
  meterOf: fireMeterOf,
  ownSpread: {
    'tap-temperature': 1,
    tap: 1,
    'service-port-temperature': 1,
    'display-outlet-temperature': 0.5,
    'display-inlet-temperature': 0.4,
    'outlet-sensor-difference': 0.6,
    'inlet-sensor-difference': 0.6,
    'seconds-to-hot': 3,
    'gas-pressure-static': 30,
    'supply-volts': 5,
  },
  looks,
  answers,
  tap: {
    hasFlow: false,
    ratings: ({ inputWatt, leastInputWatt, efficiency }) => ({
      mostWatt: inputWatt * efficiency,
      leastWatt: leastInputWatt * efficiency,
      bodyJoulePerKelvin: 6000 * (inputWatt / 44_000),
    }),
    parameters: directParameters,
    follows: [...heated, ...lighting, 'start.flow', 'request.on', 'inlet-sensor.whole'],
    standingKey: () => '',
    opened: (state) => ({
      ...state,
      controls: { ...state.controls, hotTap: 'one-open', hotIsolation: 'open', hotPort: 'shut' },
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
  standingKey: () => '',
  picture: drawTankless,
});
