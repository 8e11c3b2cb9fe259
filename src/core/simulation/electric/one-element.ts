import names from '../../appliances/electric-storage-one-element/names.json' with { type: 'json' };
import { topology } from '../../appliances/electric-storage-one-element/topology';
import { simulatedHeaters } from './heater';
import type { FamilyNames } from '../../appliances/kit/names';
import { breakerAmpere } from '../../appliances/electrical/plate';
import { burntJoint, elementChanges } from './element-faults';
import { simulationNumbers as numbers } from './numbers';
import type { Random } from '../random';
import {
  askUse,
  beep,
  breakerAnswer,
  holdTester,
  leaks,
  pressReset,
  protectionActs,
  recycleBreaker,
  tryOtherTap,
  tryThermostat,
  tugJoints,
  waitForHeat,
} from './sights';
import type {
  FaultDetails,
  LookedAt,
  SettlingUnit,
  SimulatedHeater,
  Water,
} from './simulated-heater';
import type { Complaint } from '../simulated-family';
import { saidOfWater, type LivedWater } from '../tank/lived-water';

const { looks, answers: said } = numbers;

const joints = ['cable-1', 'cable-2', 'w-supply-1', 'w-supply-2', 'pin-a', 'pin-b'] as const;

/** How often each fault is met. Invented from common practice; not a statistic. */
const weights: SimulatedHeater['weights'] = [
  ['no-fault', 5],
  ['supply.off', 5],
  ['supply.controlled-off', 1],
  ['supply.live-missing', 0.6],
  ['supply.neutral-missing', 0.6],
  ...joints.flatMap((joint) => [
    [`${joint}.open`, 0.75] as const,
    [`${joint}.resistive`, joint.startsWith('pin') ? 1.2 : 0.45] as const,
  ]),
  ['cutout.nuisance-trip', 7],
  ['thermostat.pole-1-open', 3],
  ['thermostat.pole-2-open', 2.5],
  ['thermostat.both-poles-open', 1.5],
  ['thermostat.never-closes', 6],
  ['thermostat.welded', 4],
  ['element.open', 18],
  ['element.earthed', 8],
  ['element.leaky', 1],
  ['element.high', 0.3],
  ['flange.damp', 3],
  ['lamp.open', 1],
  ['dial.low', 3],
  ['scale', 4],
  ['demand', 6],
];

export const simulatedOneElement = simulatedHeaters({
  names: names as unknown as FamilyNames,
  topology,
  elements: [{ id: 'only', part: 'element' }],
  thermostats: [{ id: 'only', stateKey: 'dial', setting: 'dial', label: 'Dial', water: 'top' }],
  dialCelsius: { high: 68, low: 30 },
  weights,
  together(one, other) {
    const parts = [one, other].sort().join(' ');
    return parts === 'element scale' || parts === 'flange thermostat' ? 3 : 1;
  },
  strangeFaults: {},
  drawFault,
  settle,
  look,
  outlet: (_, unit, random) => unit.drawn().tank.outletCelsius(5) - 1.5 * random.next(),
  complain,
  mended: { topCelsius: 51, bottomCelsius: 51, limitTripped: false, dialCelsius: { only: 51 } },
});

function drawFault(id: string, random: Random): FaultDetails {
  const [part, mode] = id.split('.') as [string, string];
  if (part === 'element') return { changes: elementChanges(part, mode, random) };
  if (mode === 'resistive') return { changes: burntJoint(part, random) };
  if (id === 'flange.damp') return { changes: { damp: { ohm: random.near(numbers.dampOhm) } } };
  if (id === 'lamp.open' || (joints as readonly string[]).includes(part)) {
    return { changes: { [part]: 'open' } };
  }
  if (id === 'dial.low') {
    return { changes: {}, dials: { only: random.between(numbers.lowDialCelsius) } };
  }
  return fixed[id] ?? { changes: {} };
}

const fixed: Readonly<Record<string, FaultDetails>> = {
  'supply.off': { changes: {}, supply: 'tripped' },
  'supply.controlled-off': { changes: {}, supply: 'controlled' },
  'supply.live-missing': { changes: { 'breaker-1': 'open' } },
  'supply.neutral-missing': { changes: { 'breaker-2': 'open' } },
  'earth-bond.open': { changes: { bond: 'open' } },
  'cutout.nuisance-trip': { changes: {}, limit: 'tripped' },
  'thermostat.pole-1-open': { changes: { 'cutout-pole-1': 'open' } },
  'thermostat.pole-2-open': { changes: { 'cutout-pole-2': 'open' } },
  'thermostat.both-poles-open': {
    changes: { 'cutout-pole-1': 'open', 'cutout-pole-2': 'open' },
  },
  'thermostat.never-closes': {
    changes: { 'control-pole-1': 'open', 'control-pole-2': 'open' },
  },
  'thermostat.welded': { changes: { 'control-pole-1': 'closed', 'control-pole-2': 'closed' } },
  'thermostat.cutout-never-trips': {
    changes: { 'cutout-pole-1': 'closed', 'cutout-pole-2': 'closed' },
    limit: 'never-trips',
  },
};

function settle(unit: SettlingUnit, random: Random): Water {
  const { faults, watt } = unit;
  const coldWater = random.between(numbers.coldCelsius);
  const { middle, spread } = numbers.dialCelsius;
  const only =
    faults.map((each) => each.dials?.only).find((each) => each !== undefined) ??
    middle + spread * random.normal();
  const at = (celsius: number, limitTripped = false): Water => ({
    topCelsius: celsius,
    bottomCelsius: celsius,
    limitTripped,
    dialCelsius: { only },
  });
  if (faults.some((each) => each.supply)) return at(coldWater);
  if (faults.some((each) => each.limit === 'tripped')) return at(coldWater, true);
  const start = unit.run({ only: 'calling' });
  const trips = protectionActs(unit, start, breakerAmpere(unit.plate), random);
  if (trips) return { ...at(coldWater), trips };
  const heats = watt(start, 'only') > 150;
  if (heats && watt(unit.run({ only: 'satisfied' }), 'only') > 150) {
    const limitTripped =
      random.chance(numbers.limitActs) && !faults.some((each) => each.limit === 'never-trips');
    const isStillHot = limitTripped ? random.chance(numbers.stillHot) : true;
    return at(isStillHot ? 78 + 8 * random.next() : coldWater, limitTripped);
  }
  return at(heats ? only : coldWater);
}

function look(check: string, unit: LookedAt, random: Random): string {
  const { faults, circuit, water } = unit;
  switch (check) {
    case 'cutout-reset-press':
      return pressReset(
        unit,
        [...faults].some((each) => /^thermostat\.(pole|both)/.test(each)),
        random,
      );
    case 'terminals-look':
      return tugJoints(unit, /^(cable|w-|pin)/, random);
    case 'element-beep':
      return beep(unit, 'element');
    case 'thermostat-click':
    case 'thermostat-warm-test':
      return tryThermostat(
        unit,
        'thermostat',
        check === 'thermostat-click' ? 'click' : 'warm-test',
        water.topCelsius,
        random,
      );
    case 'lamp-look':
      return circuit.currentThrough('lamp') > 0.3e-3 === random.chance(looks.lamp) ? 'lit' : 'dark';
    case 'flange-look':
      return random.chance(looks.damp[faults.has('flange.damp') ? 'damp' : 'dry']) ? 'damp' : 'dry';
    case 'supply-presence':
      return holdTester(unit, ['supply.1', 'supply.2'], random);
    case 'breaker-recycle':
      return recycleBreaker(unit, random);
    case 'recovery-after-30-min':
      return waitForHeat(unit, random);
    case 'dial-look':
      return random.chance(
        faults.has('dial.low') ? looks.dials.lowTold : looks.dials.unequalByHabit / 3,
      )
        ? 'low'
        : 'usual';
    case 'other-outlet':
      return tryOtherTap(unit, random);
    case 'use-look':
      return askUse(unit, random);
    case 'scale-look':
      return random.chance(looks.scaled[faults.has('scale') ? 'scale' : 'else'])
        ? 'scaled'
        : 'clean';
    default:
      throw new RangeError(`a simulated heater has no answer to "${check}"`);
  }
}

/** What the customer says, from what the tap and the lamp do. */
function complain(
  faults: ReadonlySet<string>,
  water: Water,
  lived: LivedWater,
  random: Random,
): Complaint {
  const onset =
    said.onsetGradual[
      faults.has('scale')
        ? 'slowFault'
        : faults.has('dial.low')
          ? 'dials'
          : faults.has('demand')
            ? 'demand'
            : 'else'
    ];
  const answers: Record<string, string> = {
    onset: random.chance(onset) ? 'gradual' : 'sudden',
    breaker: breakerAnswer(faults, water, random),
  };
  return {
    kind: random.chance(said.otherWords) ? 'other' : complaintOf(faults, water, lived, random),
    answers,
  };
}

function complaintOf(
  faults: ReadonlySet<string>,
  water: Water,
  lived: LivedWater,
  random: Random,
): string {
  // Water at the flange of a small unit drips where somebody sees it.
  if (leaks(faults) && random.chance(faults.has('flange.damp') ? 0.45 : said.leakSeen))
    return 'leak';
  if (water.trips) {
    if (!random.chance(said.tripsSaid)) return 'no-hot-water';
    return water.trips === 'breaker' ? 'trips-breaker' : 'trips-rcd';
  }
  if (water.topCelsius > 70 && !water.limitTripped) return 'too-hot';
  if (water.topCelsius < 25 || water.limitTripped) return 'no-hot-water';
  if (faults.has('scale') && random.chance(0.4)) return 'noise';
  if (faults.has('lamp.open')) return 'other';
  const word = saidOfWater(lived, random);
  if (word) return word;
  if (faults.has('scale')) return 'slow';
  return random.chance(0.45) ? 'slow' : random.chance(0.5) ? 'runs-out' : 'lukewarm';
}
