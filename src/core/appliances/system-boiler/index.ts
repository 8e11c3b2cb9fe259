import { usualBandKelvin } from '../../balancing';
import type { JobFile } from '../../job-file/generated/job-types';
import { judgeSensor, sensorType } from '../../sensors';
import { fireMeterOf } from '../gas-fired/meters';
import { firePartRequirements } from '../gas-fired/part-requirements';
import { plateWords } from '../gas-fired/plate-words';
import { readNames } from '../kit/names';
import type { FamilyParameters } from '../kit/parameters';
import { signalFamily } from '../kit/signal/family';
import { access, effects, stops } from './access';
import { fuelOf, isStop, outcomeOfValues, readOf } from './analysis';
import { checks } from './checks';
import { codes } from './codes';
import { drawing } from './drawing';
import { ends, goodElements, tolerances } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { looks } from './looks';
import { farKelvin, modelOfPlate, type SystemStanding, type SystemUnit } from './model';
import namesFile from './names.json' with { type: 'json' };
import parameters from './parameters.json' with { type: 'json' };
import { drawSystem } from './picture';
import { plateFields, plateOf, type SystemPlate } from './plate';
import { systemProcedures } from './procedures';
import { answers, askedComplaints, questions } from './questions';
import { repairs } from './repairs';
import { usualOrder } from './usual-order';
import { words } from './words';

const names = readNames(namesFile);

const upDown = [
  { id: 'up', label: 'calls' },
  { id: 'down', label: 'down' },
];

/** Sensors that are judged by their ohms and the temperature beside them. */
const sensorDrifts = {
  'supply-sensor-ohms': drift,
  'return-sensor-ohms': drift,
  'outdoor-sensor-ohms': drift,
  'cylinder-sensor-ohms': drift,
};

/** Gas boiler with 24 V zones and an indirect cylinder. */
export const systemBoiler = signalFamily<SystemPlate, SystemStanding>({
  title: 'Boiler with zones',
  names,
  words,
  parameters: parameters as unknown as FamilyParameters,
  drawing,
  partRequirements: (kind, { fuel }) => firePartRequirements(kind, fuel),
  procedures: systemProcedures,
  checks,
  questions,
  askedComplaints,
  repairs,
  usualOrder,
  plateFields,
  codes,
  settings: [],
  pictureControls: [
    { key: 'thermostat1', label: 'Zone 1', positions: upDown },
    { key: 'thermostat2', label: 'Zone 2', positions: upDown },
    { key: 'aquastat', label: 'Cylinder', positions: upDown },
    {
      key: 'gasCock',
      label: 'Gas cock',
      positions: [
        { id: 'open', label: 'open' },
        { id: 'closed', label: 'shut' },
      ],
    },
    {
      key: 'jumper',
      label: 'Jumper',
      positions: [
        { id: 'none', label: 'none' },
        { id: 'zone-1', label: 'zone 1' },
        { id: 'tt', label: 'call for heat' },
      ],
    },
    {
      key: 'panelFuse',
      label: 'Panel fuse',
      positions: [
        { id: 'in', label: 'in' },
        { id: 'out', label: 'out' },
      ],
    },
  ],
  pictureSliders: [],
  access,
  effects,
  stops: {
    ...stops,
    checks: {
      ...stops.checks,
      'combustion-analysis': { kind: 'carbon-monoxide', stops: isStop },
      'combustion-analysis-low': { kind: 'carbon-monoxide', stops: isStop },
    },
  },
  deadPoints: [
    { between: ['panel.l', 'panel.n'], label: 'panel L to N' },
    { between: ['panel.l', 'earth'], label: 'panel L to earth' },
    { between: ['panel.n', 'earth'], label: 'panel N to earth' },
    { between: ['zone-1.pump', 'panel.n'], label: 'zone 1 pump to N' },
    { between: ['zone-dhw.pump', 'panel.n'], label: 'cylinder pump to N' },
  ],
  readable: { on: 'voltage-ac', off: 'resistance' },
  classed: {
    'combustion-analysis': outcomeOfValues,
    'combustion-analysis-low': outcomeOfValues,
  },
  flue: {
    burner: 'premix-condensing',
    asked: ['flueTemperature', 'airTemperature'],
    checks: { high: 'combustion-analysis', low: 'combustion-analysis-low' },
    burnerCheck: 'burner-inspection',
    fuelOf,
    readOf,
  },
  radiators: { bandKelvin: usualBandKelvin },
  sensors: {
    checks: Object.keys(sensorDrifts),
    typeOf: sensorCurveOf,
  },
  barred: {},
  plateOf,
  usualServices: ({ fuel }) => ({ gas: { kind: fuel === 'lpg' ? 'lpg' : 'natural-gas' } }),
  plateLine: (plate) => plateWords(plate),
  plateFacts: ({ inputWatt, efficiency, cylinderLitre }) => [
    {
      label: 'Cylinder in ten minutes',
      values: [
        {
          value: (inputWatt * efficiency * 600) / (4186 * cylinderLitre * 0.98),
          quantity: 'temperature-difference',
        },
      ],
    },
  ],
  nextProof: () =>
    'See every zone call the boiler alone, the cylinder rise in ten minutes, and an analysis where gas was touched.',
  variantOf: (plate, field) => String(plate[field as keyof SystemPlate]),
  modes: faults,
  elements: goodElements,
  ends,
  tolerances,
  pairsSpreadAsGood: true,
  shared: [{ element: 'feed.share', spread: 'feedLogSpread' }],
  situations: () => [{ share: 1 }],
  model: (plate) => {
    const model = modelOfPlate(plate);
    return {
      run: (unit) => model.run(unit as SystemUnit),
      probe: (unit, target, quantity) => model.probe(unit as SystemUnit, target, quantity),
    };
  },
  reads: {
    'water-pressure': 'gauge.pascal',
    'panel-fuse-ohms': 'panel-fuse.ohm',
    'boiler-fuse-ohms': 'boiler-fuse.ohm',
    'transformer-secondary-ohms': 'winding.ohm',
    'zone-1-wires-ohms': 'zone-1-wires.ohm',
    'zone-1-wires-idle-ohms': 'zone-1-wires.ohm',
    'zone-1-thermostat-ohms': 'thermostat-1.ohm',
    'zone-1-thermostat-idle-ohms': 'thermostat-1.ohm',
    'gas-static-pressure': 'gas.static',
    'gas-working-pressure': 'gas.running',
    'air-pressure': 'air.pascal',
    'igniter-ohms': 'igniter.ohm',
    'gas-valve-volts': 'valve.volt',
    'flame-current': 'flame.ampere',
    'supply-rise-series': 'supply.rise',
    'supply-return-difference': 'loop.difference',
    'cylinder-temperature': 'cylinder.celsius',
    'cylinder-rise-10-min': 'cylinder.rise',
    'outlet-temperature': 'outlet.celsius',
    'supply-sensor-ohms': 'supply-sensor.read',
    'return-sensor-ohms': 'return-sensor.read',
    'outdoor-sensor-ohms': 'outdoor-sensor.read',
    'cylinder-sensor-ohms': 'cylinder-sensor.read',
    'display-less-contact-supply': 'supply-sensor.shown',
    'display-less-true-outdoor': 'outdoor-sensor.shown',
    'display-less-contact-cylinder': 'cylinder-sensor.shown',
  },
  readsAt: {
    'system-gauge': { pressure: 'gauge.pascal' },
    'air-port': { 'pressure-difference': 'air.pascal' },
    'cylinder-top': { temperature: 'cylinder.celsius' },
    outlet: { temperature: 'outlet.celsius' },
  },
  gasPoints: ['gas-inlet', 'flue-port'],
  follows: followed,
  combined: {
    ...sensorDrifts,
    'display-less-contact-supply': difference,
    'display-less-contact-cylinder': difference,
    'display-less-true-outdoor': difference,
    'supply-return-difference': difference,
    'cylinder-rise-10-min': ({ one = 0, other = 0 }) => other - one,
    'supply-rise-series': riseOf,
  },
  meterOf: fireMeterOf,
  ownSpread: {
    'water-pressure': 5e3,
    'zone-1-wires-ohms': 0.8,
    'zone-1-wires-idle-ohms': 0.8,
    'zone-1-thermostat-ohms': 0.3,
    'transformer-secondary-ohms': 0.5,
    'panel-fuse-ohms': 0.1,
    'boiler-fuse-ohms': 0.1,
    // Boards differ in what senses their chain.
    'r-to-common-ohms': 110,
    'coil-1-ohms': 20,
    'igniter-ohms': 12,
    'air-pressure': 4,
    'supply-rise-series': 1.2,
    'supply-return-difference': 1.5,
    'cylinder-temperature': 3,
    'cylinder-rise-10-min': 2.5,
    'outlet-temperature': 2,
    'supply-sensor-ohms': 1.6,
    'return-sensor-ohms': 1.6,
    'outdoor-sensor-ohms': 1.8,
    'cylinder-sensor-ohms': 1.6,
    'display-less-contact-supply': 1.7,
    'display-less-contact-cylinder': 1.7,
    'display-less-true-outdoor': 1.8,
  },
  looks,
  answers,
  mixing: {
    litre: ({ mixingValve, cylinderLitre }) => (mixingValve === 'true' ? cylinderLitre : undefined),
  },
  system: {
    check: 'settings-sheet',
    context: (plate) => {
      const own = plate as SystemPlate;
      return {
        emitter: own.emitter,
        hasCylinder: true,
        limitCelsius: 95,
        litre: own.cylinderLitre,
        heatWatt: own.inputWatt * own.efficiency,
      };
    },
  },
  impliedState(check, present) {
    const { state } = names.checks[check]!;
    return {
      ...present,
      controls: { ...present.controls, ...state?.controls },
      apart: state?.lifted ?? present.apart,
      // What is read with the power off tells nothing of a joint that closes for a while.
      done: state?.controls?.power === 'off' ? [] : present.done,
    };
  },
  standingKey: () => '',
  picture: (seen) => drawSystem(seen),
});

function difference({ one = 0, other = 0 }: Readonly<Record<string, number>>): number {
  return one - other;
}

type SaidPlate = JobFile['unit']['plate'];

function sensorCurveOf({ sensorCurve }: SaidPlate): string {
  return typeof sensorCurve === 'string' ? sensorCurve : 'ntc-10k-3977';
}

/** Kelvin that a sensor reads above the truth, by its ohms and its curve; at the ends where it is open or short. */
function drift({ sensor = 0, at = 0 }: Readonly<Record<string, number>>, plate: SaidPlate): number {
  const type = sensorType(sensorCurveOf(plate));
  const verdict = judgeSensor(type, sensor, at);
  if (verdict.kind === 'open') return -farKelvin;
  if (verdict.kind === 'short') return farKelvin;
  return Math.max(-farKelvin, Math.min(farKelvin, verdict.kelvin));
}

/** Kelvin a minute, straight through four readings a minute apart. */
function riseOf({
  first = 0,
  second = 0,
  third = 0,
  fourth = 0,
}: Readonly<Record<string, number>>): number {
  return (3 * (fourth - first) + (third - second)) / 10;
}
