import type { MeterModel } from '../../diagnosis/model';
import type { Quantity } from '../../quantities';
import { meterInputOhm, meterOf, meters } from '../kit/meters';
import { readNames } from '../kit/names';
import type { FamilyParameters } from '../kit/parameters';
import { signalFamily } from '../kit/signal/family';
import type { SignalModel } from '../kit/signal/declaration';
import { wiresOf } from '../kit/unit-state';
import { access, effects, stops } from './access';
import { checks } from './checks';
import { codes } from './codes';
import { drawing } from './drawing';
import { ends, goodElements, tolerances, type Elements } from './elements';
import { faults } from './faults';
import { looks } from './looks';
import { followed } from './followed';
import { emfOf, standingOhms, type GasUnit } from './model';
import { modelOfPlate } from './model-of-plate';
import namesFile from './names.json' with { type: 'json' };
import parameters from './parameters.json' with { type: 'json' };
import { drawGas } from './picture';
import { plateFields, plateOf, ratedGasFlow, type GasPlate } from './plate';
import { answers, askedComplaints, questions } from './questions';
import { storageProcedures } from '../../procedures/storage';
import { partRequirements } from './part-requirements';
import { gasProcedures } from './procedures';
import { repairs } from './repairs';
import { situations } from './situations';
import type { GasStanding } from './standing';
import { gasStorageWater } from './storage-water';
import { usualOrder } from './usual-order';
import { words } from './words';

const names = readNames(namesFile);

/** One reading in ten that goes wrong shows over range: clips on a millivolt lead slip. Common practice. */
const meter = meterOf(0.1);

/** How instruments err on gas and millivolts. Common practice. */
const gasMeters: Partial<Record<Quantity, MeterModel>> = {
  ...meters,
  'voltage-dc': meter('voltage-dc', 0.04, 0.3e-3, 2),
  'pressure-difference': meter('pressure', 0.03, 15, 6000),
  'volume-flow': meter('volume-flow', 0.05, 0.02, 10),
  ppm: meter('ppm', 0.1, 8, 5000),
  time: meter('time', 0.08, 1.5, 600),
};

const ofCheck: Readonly<Record<string, MeterModel>> = {
  'cold-pressure': meter('cold-pressure', 0.03, 1e4, 1.5e6),
  'pair-outlet-temperatures': {
    ...meters.temperature,
    id: 'outlet-difference',
    least: -90,
    most: 90,
  },
  'series-outlet-temperatures': {
    ...meters.temperature,
    id: 'outlet-difference',
    least: -90,
    most: 90,
  },
};

/** Gas storage heater with a standing pilot: thermocouple with magnet valve, or thermopile with electronic valve and light. */
export const gasStoragePilot = signalFamily<GasPlate, GasStanding>({
  title: 'Gas, standing pilot',
  names,
  words,
  parameters: parameters as unknown as FamilyParameters,
  drawing,
  partRequirements,
  procedures: [...gasProcedures, ...storageProcedures],
  checks,
  questions,
  askedComplaints,
  repairs,
  usualOrder,
  plateFields,
  codes,
  settings: [{ id: 'dial', label: 'Knob', quantity: 'temperature', range: [10, 80], usual: 49 }],
  pictureControls: [
    {
      key: 'pilot',
      label: 'Pilot',
      positions: [
        { id: 'lit', label: 'lit' },
        { id: 'put-out', label: 'out' },
      ],
    },
    {
      key: 'knob',
      label: 'Knob',
      positions: [
        { id: 'off', label: 'off' },
        { id: 'pilot-held', label: 'pressed' },
        { id: 'on', label: 'on' },
      ],
    },
    {
      key: 'dial',
      label: 'Dial',
      positions: [
        { id: 'low', label: 'low' },
        { id: 'hot', label: 'hot' },
        { id: 'c', label: 'up' },
      ],
    },
    {
      key: 'gasCock',
      label: 'Gas cock',
      positions: [
        { id: 'open', label: 'open' },
        { id: 'closed', label: 'shut' },
      ],
    },
    {
      key: 'hotTap',
      label: 'Hot tap',
      positions: [
        { id: 'open', label: 'open' },
        { id: 'closed', label: 'shut' },
      ],
    },
  ],
  pictureSliders: [],
  access,
  effects,
  stops,
  // Pressed more than once already: no further press until the cause is found.
  barred: { 'cutout-reset-press': { resetPressed: 'again' } },
  plateOf,
  usualServices: ({ fuel }) => ({ gas: { kind: fuel === 'lpg' ? 'lpg' : 'natural-gas' } }),
  plateLine({ input, volume, fuel, valve }) {
    const watt = typeof input === 'object' ? (input as { readonly watt?: number }).watt : undefined;
    const parts = [
      watt === undefined ? '' : `${(watt / 1000).toFixed(1)} kW`,
      volume ? `${Math.round(volume.litre)} L` : '',
      fuel === 'lpg' ? 'LPG' : 'natural gas',
      valve === 'thermopile' ? 'thermopile' : 'thermocouple',
    ];
    return parts.filter(Boolean).join(', ');
  },
  plateFacts: (plate) => [
    {
      label: 'Gas rate',
      values: [{ value: ratedGasFlow(plate), quantity: 'volume-flow' }],
    },
  ],
  nextProof: ({ volumeLitre, inputWatt, efficiency }) => {
    const minutes = (volumeLitre * 4180 * 35) / (inputWatt * efficiency) / 60;
    return `See it shut off, about ${Math.round(minutes / 5) * 5} min from cold, and the pilot lit the day after.`;
  },
  variantOf: (plate, field) => String(plate[field as keyof GasPlate]),
  modes: (plate) => faults(plate).filter(({ onlyWhere }) => onlyWhere?.(plate) ?? true),
  elements: goodElements,
  ends,
  tolerances,
  shared: [
    { element: 'generator.output', spread: 'generatorLogSpread' },
    { element: 'gas.working', spread: 'workingLogSpread' },
  ],
  situations: (model, plate, elements, present) =>
    situations(
      { run: model.run },
      plate,
      elements as Elements,
      faults(plate).filter(({ id }) => present.includes(id)),
    ),
  model: modelOf,
  reads: {
    'drop-out-seconds': 'let-go.seconds',
    'drop-out-millivolts': 'let-go.volt',
    'gas-inlet-static-pressure': 'inlet',
    'gas-inlet-working-pressure': 'inlet',
    'gas-manifold-pressure': 'manifold',
    'gas-rate': 'flow',
    'flue-co-air-free': 'co',
    'outlet-first': 'outlet.first',
    'outlet-after-5-min': 'outlet.drawn',
    'recovery-after-30-min': 'outlet.recovered',
    'cold-pressure': 'cold.pressure',
    'pair-outlet-temperatures': 'pair.difference',
    'series-outlet-temperatures': 'series.difference',
  },
  readsAt: {
    'gas-inlet-port': { 'pressure-difference': 'inlet' },
    'manifold-port': { 'pressure-difference': 'manifold' },
    'gas-meter': { 'volume-flow': 'flow' },
    'flue-sample': { ppm: 'co' },
    outlet: { temperature: 'outlet.first' },
    'cold-inlet': { temperature: 'cold.celsius' },
    'cold-pressure': { pressure: 'cold.pressure' },
  },
  gasPoints: ['gas-inlet-port', 'manifold-port', 'gas-meter', 'flue-sample'],
  follows: followed,
  combined: {
    'pair-outlet-temperatures': ({ nearer = 0, farther = 0 }) => nearer - farther,
    'series-outlet-temperatures': ({ first = 0, second = 0 }) => second - first,
  },
  meterOf: (check, quantity) =>
    (check === undefined ? undefined : ofCheck[check]) ??
    gasMeters[quantity] ??
    meter(quantity, 0.05, 1, 1e5),
  ownSpread: {
    'outlet-first': 4,
    outlet: 4,
    'cold-inlet': 4,
    'outlet-after-5-min': 5,
    'recovery-after-30-min': 4,
    'pair-outlet-temperatures': 2,
    'series-outlet-temperatures': 3,
    'cold-pressure': 8e4,
    'drop-out-seconds': 3,
  },
  looks,
  answers,
  water: gasStorageWater,
  impliedState(check, present) {
    const { state } = names.checks[check]!;
    const burns = access.needs[check]?.sets.includes('pilot-lit') ?? false;
    return {
      ...present,
      controls: {
        ...present.controls,
        ...(burns ? { pilot: 'lit' } : {}),
        ...(access.needs[check]?.sets.includes('tank-drawn-cold') ? { tank: 'drawn' } : {}),
        ...state?.controls,
      },
      apart: state?.lifted ?? present.apart,
    };
  },
  standingKey: ({ pilot, isTripped, isCutOff, tankCelsius }) =>
    `${pilot} ${isTripped ? 'tripped' : ''} ${isCutOff ? 'cut-off' : ''} ${Math.round(tankCelsius)}`,
  picture: drawGas,
});

/** A point fed through more than this hangs free to a meter on millivolts. */
const hangsFreeOhm = 1e7;

/** The physics of a plate, and what a meter shows on its millivolt circuit. */
function modelOf(plate: GasPlate): SignalModel<GasPlate, GasStanding> {
  const { run, circuit } = modelOfPlate(plate);
  return {
    run: (unit) => run(unit as GasUnit),
    probe(given, target, quantity) {
      if (!('between' in target)) return undefined;
      const unit = given as GasUnit;
      const ends = target.between.map((each) => (typeof each === 'string' ? each : each.end));
      const ohms = standingOhms(unit);
      const lifted = wiresOf(unit.state.apart);
      if (quantity === 'resistance') {
        return circuit.solve(ohms, lifted, 0).probeResistance(ends[0]!, ends[1]!).value;
      }
      if (quantity !== 'voltage-dc') return undefined;
      const emf = emfOf(unit, run(unit)['tip.kelvin']!);
      const solved = circuit.solve(ohms, lifted, emf);
      const open = solved.probeVoltage(ends[0]!, ends[1]!).value;
      const behind = solved.probeResistance(ends[0]!, ends[1]!).value;
      // What hangs free shows nothing of a few millivolts.
      return behind > hangsFreeOhm ? 0 : (open * meterInputOhm) / (meterInputOhm + behind);
    },
  };
}
