import names from '../appliances/electric-storage-one-element/names.json' with { type: 'json' };
import { topology } from '../appliances/electric-storage-one-element/topology';
import type { FamilyNames } from '../appliances/electrical/names';
import type { Random } from './random';
import {
  askUse,
  beep,
  goesAgain,
  holdTester,
  pressReset,
  recycleBreaker,
  tryOtherTap,
  tryThermostat,
  tugJoints,
  waitForHeat,
} from './sights';
import {
  burntJoint,
  elementChanges,
  near,
  type Complaint,
  type FaultDetails,
  type LookedAt,
  type SettlingUnit,
  type SimulatedFamily,
  type Water,
} from './simulated-family';

const joints = ['cable-1', 'cable-2', 'w-supply-1', 'w-supply-2', 'pin-a', 'pin-b'] as const;

/** How often each fault is met. Invented from common practice; not a statistic. */
const weights: SimulatedFamily['weights'] = [
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

export const simulatedOneElement: SimulatedFamily = {
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
  drawFault,
  settle,
  look,
  outlet: (_, { water }, random) =>
    Math.round((water.topCelsius - 1 + 1.5 * random.normal()) * 10) / 10,
  complain,
  mended: { topCelsius: 51, bottomCelsius: 51, limitTripped: false, breakerTrips: false },
};

function drawFault(id: string, random: Random): FaultDetails {
  const [part, mode] = id.split('.') as [string, string];
  if (part === 'element') return { changes: elementChanges(part, mode, random) };
  if (mode === 'resistive') return { changes: burntJoint(part, random) };
  if (id === 'flange.damp') return { changes: { damp: { ohm: near(3e4, 1.6, random) } } };
  if (id === 'lamp.open' || (joints as readonly string[]).includes(part)) {
    return { changes: { [part]: 'open' } };
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
  'dial.low': { changes: {}, dials: { only: 36 } },
};

function settle(unit: SettlingUnit, random: Random): Water {
  const { faults, watt, plate } = unit;
  const coldWater = 12 + 8 * random.next();
  const at = (celsius: number, limitTripped = false): Water => ({
    topCelsius: celsius,
    bottomCelsius: celsius,
    limitTripped,
    breakerTrips: false,
  });
  if (faults.some((each) => each.supply)) return at(coldWater);
  if (faults.some((each) => each.limit === 'tripped')) return at(coldWater, true);
  const start = unit.run({ only: 'calling' });
  if (goesAgain(unit.legAmpere(start), 16, random)) return { ...at(coldWater), breakerTrips: true };
  if (plate.residualCurrentDevice && unit.earthAmpere(start) > 0.025) {
    return { ...at(coldWater), breakerTrips: true };
  }
  const heats = watt(start, 'only') > 150;
  if (heats && watt(unit.run({ only: 'satisfied' }), 'only') > 150) {
    const limitTripped =
      random.chance(0.85) && !faults.some((each) => each.limit === 'never-trips');
    const isStillHot = limitTripped ? random.chance(0.35) : true;
    return at(isStillHot ? 79 + 6 * random.next() : coldWater, limitTripped);
  }
  const dial = faults.map((each) => each.dials?.only).find((each) => each !== undefined);
  return at(heats ? (dial === undefined ? 50 + 5 * random.next() : dial + 2) : coldWater);
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
      return circuit.currentThrough('lamp') > 0.3e-3 === random.chance(0.98) ? 'lit' : 'dark';
    case 'flange-look':
      return random.chance(faults.has('flange.damp') ? 0.92 : 0.03) ? 'damp' : 'dry';
    case 'supply-presence':
      return holdTester(unit, ['supply.1', 'supply.2'], random);
    case 'breaker-recycle':
      return recycleBreaker(unit, random);
    case 'recovery-after-30-min':
      return waitForHeat(unit, 800);
    case 'dial-look':
      return random.chance(faults.has('dial.low') ? 0.93 : 0.04) ? 'low' : 'usual';
    case 'other-outlet':
      return tryOtherTap(unit, random);
    case 'use-look':
      return askUse(unit, random);
    case 'scale-look':
      return random.chance(faults.has('scale') ? 0.96 : 0.08) ? 'scaled' : 'clean';
    default:
      throw new RangeError(`a simulated heater has no answer to "${check}"`);
  }
}

/** What the customer says, from what the tap and the lamp do. */
function complain(faults: ReadonlySet<string>, water: Water, random: Random): Complaint {
  const answers: Record<string, string> = {
    onset: random.chance(faults.has('scale') ? 0.85 : 0.15) ? 'gradual' : 'sudden',
    breaker: water.breakerTrips
      ? 'again'
      : faults.has('supply.off') && random.chance(0.5)
        ? 'once'
        : 'no',
  };
  return { kind: random.chance(0.05) ? 'other' : complaintOf(faults, water, random), answers };
}

function complaintOf(faults: ReadonlySet<string>, water: Water, random: Random): string {
  if (water.breakerTrips) return random.chance(0.6) ? 'trips-rcd' : 'no-hot-water';
  if (water.topCelsius > 70 && !water.limitTripped) return 'too-hot';
  if (faults.has('flange.damp') && random.chance(0.4)) return 'leak';
  if (water.topCelsius < 25 || water.limitTripped) return 'no-hot-water';
  if (faults.has('scale')) return random.chance(0.6) ? 'slow' : 'noise';
  if (faults.has('dial.low')) return random.chance(0.8) ? 'lukewarm' : 'runs-out';
  if (faults.has('demand') || faults.has('no-fault')) {
    return random.chance(0.75) ? 'runs-out' : 'lukewarm';
  }
  if (faults.has('lamp.open')) return 'other';
  return random.chance(0.5) ? 'slow' : 'lukewarm';
}
