import names from '../../appliances/heat-pump-cylinder/names.json' with { type: 'json' };
import type { FamilyNames } from '../../appliances/kit/names';
import type { UnitState } from '../../appliances/kit/unit-state';
import { drawFaults, knownFault, type Together } from '../drawn-faults';
import type { Random } from '../random';
import { shown } from '../running-water/eyes';
import { number, overRange, slipOf } from '../running-water/reading';
import type {
  Complaint,
  SimulatedAnswer,
  SimulatedFamily,
  SimulatedUnit,
  SimulationOptions,
} from '../simulated-family';
import {
  flowShareOf,
  isAble,
  mixedOf,
  newWater,
  readoutOf,
  returnOf,
  runOn,
  storedOf,
  type Call,
  type Handled,
  type PlantWater,
} from './machine';
import { heatPumpInTime } from './in-time';
import { heatPumpNumbers as numbers, heatPumpWeights } from './numbers';
import { drawPlant, type HeatPumpFacts, type Plant } from './plant';
import { lookAtPlant } from './sights';

const familyNames = names as unknown as FamilyNames;
const known = knownFault(familyNames);

/** Faults that come together more often than chance. Common practice. */
const together: readonly Together[] = [
  ['strainer', 'pump', 1.8],
  ['hot-water-setpoint', 'restart-differential', 2],
];

/** Heat pumps with their cylinders, each with its own values. */
export const simulatedHeatPump: SimulatedFamily = {
  names: familyNames,
  weights: heatPumpWeights,
  strangeFaults: {},
  simulate: (plate, random, options) => simulate(plate as HeatPumpFacts, random, options),
  inTime: (plate, random, faults) =>
    heatPumpInTime(plate as HeatPumpFacts, random, faults.map(known)),
};

interface Hands extends Handled {
  readonly isLimitPressed: boolean;
  readonly eighths: number;
}

const untouched: Hands = {
  isBufferHome: false,
  isCylinderHome: false,
  isRinsed: false,
  isReset: false,
  isLimitPressed: false,
  eighths: 0,
};

function simulate(
  facts: HeatPumpFacts,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions,
): SimulatedUnit {
  const drawn = (faults ?? drawFaults(heatPumpWeights, together, twoFaults, random)).map(known);
  let standing = drawn;
  let hands = untouched;
  const own = () =>
    drawPlant(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let plant = own();
  /** The plant after a call has stood for a while, until something is done to it. */
  let stood = new Map<Call, PlantWater>();
  const waterIn = (call: Call): PlantWater => {
    let water = stood.get(call);
    if (!water) {
      water = newWater(plant, storedOf(plant));
      // A call of hot water that never ends takes the machine from the rooms, half of the time.
      const isStarved = call === 'rooms' && neverSatisfied(plant) && plant.luck < 0.5;
      runOn(plant, water, isStarved ? 'hot-water' : call, 5400, hands);
      stood.set(call, water);
    }
    return water;
  };
  const handle = (done: Partial<Hands>) => {
    hands = { ...hands, ...done };
    stood = new Map();
  };
  const learn = (check: string, outcome: string) => {
    switch (`${check} ${outcome}`) {
      case 'buffer-sensor-push goes-in-and-reading-rises':
        return handle({ isBufferHome: true });
      case 'cylinder-sensor-push goes-in-and-reading-rises':
        return handle({ isCylinderHome: true });
      case 'strainer-look loaded':
        return handle({ isRinsed: true });
      case 'lockout-reset runs':
        return handle({ isReset: true });
      case 'immersion-limit-press clicked':
        return handle({ isLimitPressed: true });
      default:
        return undefined;
    }
  };
  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: complain(plant, waterIn('rooms'), random),
    settings: () => ({ 'hot-water-setpoint': Math.round(plant.setpoint) }),
    volts: (between, { controls }) =>
      controls.power !== 'off' &&
      between.some((each) => each.endsWith('.l') || each === 'relay.in') &&
      !(between.some((each) => each.startsWith('outdoor')) && plant.has('supply.outdoor-off'))
        ? facts.lineVolt
        : 0,
    repair(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      if (left.length === standing.length) return;
      standing = left;
      hands = untouched;
      stood = new Map();
      plant = own();
    },
    answer(check, state) {
      const { kind, quantity } = familyNames.checks[check]!;
      const call = callOf(state);
      const water = waterIn(call === 'none' ? 'rooms' : call);
      if (kind === 'observation' || kind === 'code') {
        const outcome = lookAtPlant(check, plant, water, hands, random);
        learn(check, outcome);
        return { kind: 'outcome', outcome };
      }
      if (random.chance(wrongReadings)) return slipOf(quantity, random);
      const answer = read(check, plant, water, hands, state, random);
      if (check === 'mixer-step-open-rise') handle({ eighths: hands.eighths + 1 });
      if (check === 'mixer-step-shut-fall') handle({ eighths: hands.eighths - 1 });
      return answer;
    },
  };
}

const neverSatisfied = (plant: Plant): boolean =>
  plant.cylinder.isWhole &&
  plant.room + (plant.setpoint - plant.room - plant.cylinder.offset) / plant.cylinder.share >
    plant.facts.flowLimitCelsius - 2.5 - Math.max(0, plant.flowOffset);

const callOf = ({ controls }: UnitState): Call =>
  controls.request === 'heating'
    ? 'rooms'
    : controls.request === 'hot-water'
      ? 'hot-water'
      : 'none';

/** What a room lies over its thermostat once that stopped the call, or under it where too little heat came. */
function roomOver(plant: Plant, { buffer }: PlantWater): number {
  const given = (buffer - plant.room) / (38 - plant.room);
  const short = given < 0.85 ? -(1 + 2.5 * plant.luck) * (0.85 - given) * 2 : 0;
  return 0.15 + 0.045 * Math.max(0, buffer - 37) + Math.max(-3, short) + plant.misplaced;
}

function read(
  check: string,
  plant: Plant,
  water: PlantWater,
  hands: Hands,
  { controls }: UnitState,
  random: Random,
): SimulatedAnswer {
  const { meter } = numbers;
  const celsius = (value: number, error: number) => number(shown(value, error, 0.1, random));
  const display = (value: number) => number(shown(value, meter.shown, 0.5, random));
  const kelvin = (value: number, error: number = meter.kelvin) =>
    number(shown(value, error, 0.1, random));
  const isOn = controls.power !== 'off';
  const stored = storedOf(plant);
  const { hot, mixed, tap } = mixedOf(plant, stored, hands.eighths);
  const isFlowWhole = !plant.has('flow-sensor.open-or-short');
  switch (check) {
    case 'display-hot-water-setpoint':
      return number(Math.round(plant.setpoint));
    case 'display-restart-differential':
      return number(Math.round(plant.differential));
    case 'display-cylinder-temperature':
      return plant.cylinder.isWhole
        ? display(readoutOf(plant, 'cylinder', stored, hands))
        : overRange;
    case 'display-buffer-temperature':
      return plant.buffer.isWhole
        ? display(readoutOf(plant, 'buffer', water.buffer, hands))
        : overRange;
    case 'display-buffer-target':
      return display(plant.target);
    case 'display-flow-temperature':
      return isFlowWhole ? display(water.flow + plant.flowOffset) : overRange;
    case 'display-return-temperature':
      return display(returnOf(plant, water, hands));
    case 'display-flow-rate':
      return number(
        Math.max(
          0,
          shown(plant.litrePerMinute * flowShareOf(plant, hands), meter.flow, 0.1, random),
        ),
      );
    case 'display-power':
      return number(Math.max(0, shown(water.watt, meter.watt, 10, random)));
    case 'defrosts-per-2-h':
      return number(isAble(plant, hands) ? Math.round(plant.defrosts) : 0);
    case 'display-overnight-fall':
      return kelvin(plant.fall, 0.8);
    case 'contact-buffer-temperature':
      return celsius(water.buffer, meter.contact);
    case 'contact-cylinder-temperature':
      return celsius(stored, meter.contact);
    case 'contact-flow-temperature':
      return celsius(water.flow, meter.pipe);
    case 'contact-return-temperature':
      return celsius(returnOf(plant, water, hands), meter.pipe);
    case 'contact-radiator-flow-temperature':
      return celsius(water.buffer - 0.6 - 2 * plant.luck, 1.4);
    case 'room-temperature-minus-setpoint':
      return kelvin(roomOver(plant, water), 0.3);
    case 'buffer-sensor-cup-difference':
      return plant.buffer.isWhole ? kelvin(plant.buffer.offset) : overRange;
    case 'cylinder-sensor-cup-difference':
      return plant.cylinder.isWhole ? kelvin(plant.cylinder.offset) : overRange;
    case 'flow-sensor-ohms-difference':
      return isFlowWhole ? kelvin(plant.flowOffset, 0.8) : overRange;
    case 'tap-temperature':
      return celsius(tap, meter.tap);
    case 'mixer-hot-port-temperature':
      return celsius(hot, meter.contact);
    case 'mixer-mixed-port-temperature':
      return celsius(mixed, meter.contact);
    case 'mixer-step-open-rise':
      return kelvin(mixedOf(plant, stored, hands.eighths + 1).tap - tap);
    case 'mixer-step-shut-fall':
      return kelvin(tap - mixedOf(plant, stored, hands.eighths - 1).tap);
    case 'water-pressure':
      return number(Math.max(0, shown(plant.bar, meter.bar, 0.05, random)) * 1e5);
    case 'cylinder-rise-per-30-min':
      return kelvin(riseOf(plant, hands), 1);
    case 'coil-approach': {
      const called = newWater(plant, stored);
      runOn(plant, called, 'hot-water', 1800, hands);
      const isFlowing = plant.toCoil > 0 && isAble(plant, hands);
      return kelvin(isFlowing ? called.flow - called.cylinder : -2 - 3 * plant.luck, 1.2);
    }
    case 'outdoor-supply-volts':
      return number(
        isOn && !plant.has('supply.outdoor-off')
          ? Math.max(0, shown(plant.volt, meter.volt, 0.1, random))
          : Math.max(0, shown(0.4, 0.4, 0.1, random)),
      );
    case 'immersion-amps-boost':
    case 'immersion-amps-no-boost': {
      const isCalled = controls.boost === 'on' || plant.has('immersion.relay-welded');
      const flows =
        isOn &&
        isCalled &&
        !plant.has('immersion.relay-open') &&
        !plant.has('immersion.open') &&
        (!plant.has('immersion.limit-tripped') || hands.isLimitPressed);
      return number(
        Math.max(0, shown(flows ? plant.volt / plant.immersionOhm : 0, meter.ampere, 0.1, random)),
      );
    }
    case 'immersion-ohms':
      return plant.has('immersion.open')
        ? overRange
        : number(Math.max(0, shown(plant.immersionOhm + 0.2, meter.ohm, 0.1, random)));
    default:
      throw new RangeError(`nobody reads "${check}"`);
  }
}

/** What half an hour of a hot-water call brings at the readout, from a cylinder that nobody draws from. */
function riseOf(plant: Plant, hands: Hands): number {
  if (!plant.cylinder.isWhole) return -0.4;
  const water = newWater(plant, storedOf(plant));
  runOn(plant, water, 'hot-water', 300, hands);
  const before = readoutOf(plant, 'cylinder', water.cylinder, hands);
  runOn(plant, water, 'hot-water', 1800, hands);
  return readoutOf(plant, 'cylinder', water.cylinder, hands) - before;
}

/** What the household says, by what it lives with. */
function complain(plant: Plant, water: PlantWater, random: Random): Complaint {
  const is = (...faults: string[]) => faults.some(plant.has);
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  const stored = storedOf(plant);
  const { tap } = mixedOf(plant, stored, 0);
  const kind =
    !isAble(plant, untouched) || stored < 34
      ? pick(
          ['no-hot-water', 55],
          ['lukewarm', 15],
          ['code', 14],
          ['heating-only', 10],
          ['other', 6],
        )
      : is('diverter.stuck-cylinder')
        ? pick(['hot-water-only', 72], ['other', 28])
        : is('demand')
          ? pick(['runs-out', 72], ['lukewarm', 20], ['late', 8])
          : is('schedule.wrong')
            ? pick(['lukewarm', 44], ['late', 36], ['runs-out', 20])
            : is('season.cold-damp')
              ? pick(['slow', 38], ['late', 35], ['lukewarm', 27])
              : tap > 48.5
                ? pick(['too-hot', 60], ['other', 40])
                : tap < 44.2
                  ? pick(['lukewarm', 76], ['runs-out', 14], ['other', 10])
                  : plant.output < 0.72 || is('coil.scaled', 'diverter.passing')
                    ? pick(['slow', 42], ['late', 26], ['lukewarm', 22], ['code', 10])
                    : water.buffer > 46
                      ? pick(['other', 64], ['lukewarm', 14], ['noise', 10], ['code', 12])
                      : pick(
                          ['lukewarm', 30],
                          ['other', 36],
                          ['late', 12],
                          ['runs-out', 10],
                          ['code', 12],
                        );
  const rooms =
    water.buffer < 32
      ? pick(['cold', 80], ['as-set', 20])
      : water.buffer > 44.5 || is('room-sensor.badly-placed')
        ? pick(['overshoot', 75], ['as-set', 25])
        : pick(['as-set', 91], ['cold', 5], ['overshoot', 4]);
  const outlets = is('outlet.limit-stop-low')
    ? pick(['one', 83], ['all', 17])
    : is('cross-flow')
      ? pick(['all', 62], ['one', 38])
      : pick(['all', 93], ['one', 7]);
  const onset = is('season.cold-damp', 'outdoor.iced')
    ? pick(['cold-weather', 66], ['gradual', 14], ['sudden', 20])
    : is(
          'strainer.blocked',
          'coil.scaled',
          'refrigerant.short',
          'pump.weak',
          'outdoor.air-blocked',
          'mixing-valve.hot-side-blocked',
        )
      ? pick(['gradual', 55], ['cold-weather', 24], ['sudden', 21])
      : is(
            'mixing-valve.set-low',
            'outlet.limit-stop-low',
            'heating-curve.high',
            'heating-curve.low',
          )
        ? pick(['since-installed', 40], ['cold-weather', 30], ['after-work', 16], ['gradual', 14])
        : is('buffer-sensor.out-of-pocket', 'cylinder-sensor.out-of-pocket')
          ? pick(['after-work', 33], ['sudden', 35], ['since-installed', 20], ['gradual', 12])
          : pick(['sudden', 55], ['gradual', 18], ['cold-weather', 16], ['after-work', 11]);
  const isDear =
    water.buffer > 44.5 ||
    stored > 54 ||
    plant.output < 0.72 ||
    is('circulation.always-on', 'immersion.relay-welded');
  const consumption = isDear
    ? pick(['high', 70], ['usual', 30])
    : pick(['usual', 87], ['high', 13]);
  const answers = { rooms, outlets, onset, consumption };
  return {
    kind,
    answers: Object.fromEntries(
      Object.entries(answers).filter(() => random.chance(numbers.answered)),
    ),
  };
}
