import names from '../appliances/electric-storage-two-element/names.json' with { type: 'json' };
import { topology } from '../appliances/electric-storage-two-element/topology';
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
  type Complaint,
  type FaultDetails,
  type LookedAt,
  type SettlingUnit,
  type SimulatedFamily,
  type Water,
} from './simulated-family';

const harness = ['w-upper-a', 'w-upper-b', 'w-lower-feed', 'w-lower-a', 'w-lower-b'] as const;
const splices = ['splice-1', 'splice-2'] as const;

/** How often each fault is met: the weights of the benchmark. Invented from common practice; not a statistic. */
const weights: SimulatedFamily['weights'] = [
  ['no-fault', 6],
  ['supply.off', 4],
  ['supply.breaker-pole-1-open', 0.7],
  ['supply.breaker-pole-2-open', 0.7],
  ['supply.leg-1-missing', 0.4],
  ['supply.leg-2-missing', 0.4],
  ...splices.flatMap((splice) => [
    [`${splice}.open`, 0.8] as const,
    [`${splice}.resistive`, 0.8] as const,
  ]),
  ['limit.nuisance-trip', 5],
  ['limit.pole-1-open', 1],
  ['limit.pole-2-open', 1],
  ['limit.both-poles-open', 1],
  ['upper-thermostat.never-closes', 3],
  ['upper-thermostat.never-changes-over', 3],
  ['upper-thermostat.dead', 1],
  ['upper-thermostat.welded', 3],
  ['upper-thermostat.both-contacts-closed', 0.4],
  ['upper-thermostat.stuck-down', 0.7],
  ['lower-thermostat.never-closes', 5],
  ['lower-thermostat.welded', 2.5],
  ['upper-element.open', 14],
  ['upper-element.earthed', 4],
  ['upper-element.high', 0.3],
  ['lower-element.open', 18],
  ['lower-element.earthed', 6],
  ['lower-element.high', 0.3],
  ...harness.flatMap((wire) => [[`${wire}.open`, 1] as const, [`${wire}.resistive`, 0.5] as const]),
  ['wiring.crossed-2-4', 0.5],
  ['dials.low', 2],
  ['dials.unequal', 1.5],
  ['sediment', 4],
  ['dip-tube.gone', 2],
  ['demand', 3],
];

export const simulatedTwoElement: SimulatedFamily = {
  names: names as unknown as FamilyNames,
  topology,
  elements: [
    { id: 'upper', part: 'upper-element' },
    { id: 'lower', part: 'lower-element' },
  ],
  thermostats: [
    {
      id: 'upper',
      stateKey: 'upperDial',
      setting: 'upper-dial',
      label: 'Upper dial',
      water: 'top',
    },
    {
      id: 'lower',
      stateKey: 'lowerDial',
      setting: 'lower-dial',
      label: 'Lower dial',
      water: 'bottom',
    },
  ],
  dialCelsius: { high: 68, low: 36 },
  weights,
  together(one, other) {
    const parts = [one, other].sort().join(' ');
    return parts === 'lower-element sediment' ? 8 : parts === 'lower-element upper-element' ? 3 : 1;
  },
  drawFault,
  settle,
  look,
  outlet,
  complain,
  mended: { topCelsius: 50, bottomCelsius: 50, limitTripped: false, breakerTrips: false },
};

function drawFault(id: string, random: Random): FaultDetails {
  const [part, mode] = id.split('.') as [string, string];
  if (part === 'upper-element' || part === 'lower-element') {
    return { changes: elementChanges(part, mode, random) };
  }
  if (mode === 'resistive') return { changes: burntJoint(part, random) };
  if (mode === 'open' && part !== 'earth-bond') return { changes: { [part]: 'open' } };
  return fixed[id] ?? { changes: {} };
}

const fixed: Readonly<Record<string, FaultDetails>> = {
  'supply.off': { changes: {}, supply: 'tripped' },
  'supply.controlled-off': { changes: {}, supply: 'controlled' },
  'supply.leg-1-missing': { changes: { 'breaker-1': 'open' } },
  'supply.leg-2-missing': { changes: { 'breaker-2': 'open' } },
  'supply.breaker-pole-1-open': { changes: { 'breaker-1': 'open' } },
  'supply.breaker-pole-2-open': { changes: { 'breaker-2': 'open' } },
  'earth-bond.open': { changes: { bond: 'open' } },
  'limit.nuisance-trip': { changes: {}, limit: 'tripped' },
  'limit.pole-1-open': { changes: { 'limit-pole-1': 'open' } },
  'limit.pole-2-open': { changes: { 'limit-pole-2': 'open' } },
  'limit.both-poles-open': { changes: { 'limit-pole-1': 'open', 'limit-pole-2': 'open' } },
  'limit.never-trips': {
    changes: { 'limit-pole-1': 'closed', 'limit-pole-2': 'closed' },
    limit: 'never-trips',
  },
  'upper-thermostat.never-closes': { changes: { 'upper-contact': 'open' } },
  'upper-thermostat.never-changes-over': { changes: { 'changeover-contact': 'open' } },
  'upper-thermostat.dead': { changes: { 'upper-contact': 'open', 'changeover-contact': 'open' } },
  'upper-thermostat.welded': {
    changes: { 'upper-contact': 'closed', 'changeover-contact': 'open' },
  },
  'upper-thermostat.both-contacts-closed': {
    changes: { 'upper-contact': 'closed', 'changeover-contact': 'closed' },
  },
  'upper-thermostat.stuck-down': {
    changes: { 'upper-contact': 'open', 'changeover-contact': 'closed' },
  },
  'lower-thermostat.never-closes': { changes: { 'lower-contact': 'open' } },
  'lower-thermostat.welded': { changes: { 'lower-contact': 'closed' } },
  'wiring.crossed-2-4': {
    changes: {
      'w-upper-a': 'open',
      'w-lower-feed': 'open',
      'crossed-upper-a': { ohm: 0.01 },
      'crossed-lower-feed': { ohm: 0.01 },
    },
  },
  'dials.low': { changes: {}, dials: { upper: 38, lower: 38 } },
  'dials.unequal': { changes: {}, dials: { lower: 38 } },
};

/** Lets the faulty heater run until it has done what it will do to its water. */
function settle(unit: SettlingUnit, random: Random): Water {
  const { faults, watt } = unit;
  const coldWater = 14 + 8 * random.next();
  const cold: Water = {
    topCelsius: coldWater,
    bottomCelsius: coldWater,
    limitTripped: false,
    breakerTrips: false,
  };
  if (faults.some((each) => each.supply)) return cold;
  if (faults.some((each) => each.limit === 'tripped')) return { ...cold, limitTripped: true };
  const start = unit.run({ upper: 'calling', lower: 'calling' });
  if (goesAgain(unit.legAmpere(start), 30, random)) return { ...cold, breakerTrips: true };
  if (unit.plate.residualCurrentDevice && unit.earthAmpere(start) > 0.025) {
    return { ...cold, breakerTrips: true };
  }
  const topHeats = watt(start, 'upper') > 250;
  const bottomHeats =
    watt(unit.run({ upper: topHeats ? 'satisfied' : 'calling', lower: 'calling' }), 'lower') > 250;
  const idle = unit.run({
    upper: topHeats || bottomHeats ? 'satisfied' : 'calling',
    lower: bottomHeats ? 'satisfied' : 'calling',
  });
  const idleWatt = watt(idle, 'upper') + (bottomHeats ? watt(idle, 'lower') : 0);
  if ((topHeats || bottomHeats) && idleWatt > 250) {
    const limitTripped = random.chance(0.8) && !faults.some((each) => each.limit === 'never-trips');
    const isStillHot = limitTripped ? random.chance(0.3) : true;
    if (!isStillHot) return { ...cold, limitTripped };
    return {
      topCelsius: 76 + 5 * random.next(),
      bottomCelsius: bottomHeats ? 75 : coldWater,
      limitTripped,
      breakerTrips: false,
    };
  }
  const dial = (id: string) =>
    faults.map((each) => each.dials?.[id]).find((each) => each !== undefined);
  const upperDial = dial('upper') ?? 48 + 5 * random.next();
  const lowerDial = dial('lower') ?? upperDial;
  return {
    topCelsius: topHeats
      ? upperDial + (dial('upper') ? 2 : 0)
      : bottomHeats
        ? lowerDial
        : coldWater,
    bottomCelsius: bottomHeats ? lowerDial : coldWater,
    limitTripped: false,
    breakerTrips: false,
  };
}

function outlet(check: string, { faults, water }: LookedAt, random: Random): number {
  const { topCelsius, bottomCelsius } = water;
  const isFirst = check === 'outlet-first';
  let celsius = isFirst ? topCelsius - 1 : Math.min(topCelsius, bottomCelsius + 4) - 2;
  if (!isFirst && topCelsius > 25 && bottomCelsius < 25) celsius = 26 + 12 * random.next();
  if (faults.has('dip-tube.gone') && topCelsius > 25) {
    celsius = isFirst ? Math.min(topCelsius, 40 + 8 * random.next()) : 22 + 9 * random.next();
  } else if (faults.has('sediment') && !isFirst && bottomCelsius > 25) {
    celsius = 36 + 11 * random.next();
  }
  return Math.round((celsius + 1.5 * random.normal()) * 10) / 10;
}

function look(check: string, unit: LookedAt, random: Random): string {
  const { faults, details, water } = unit;
  switch (check) {
    case 'limit-reset-press':
      return pressReset(
        unit,
        [...faults].some((each) => /^limit\.(pole|both)/.test(each)),
        random,
      );
    case 'splices-look':
      return tugJoints(unit, /^splice/, random);
    case 'wiring-look':
      return tugJoints(unit, /^(w-|strap)/, random, faults.has('wiring.crossed-2-4'));
    case 'upper-element-beep':
    case 'lower-element-beep':
      return beep(unit, check.replace('-beep', ''));
    case 'upper-thermostat-warm-test':
    case 'lower-thermostat-warm-test':
    case 'upper-thermostat-click':
    case 'lower-thermostat-click': {
      const part = check.replace(/-(warm-test|click)$/, '');
      const celsius = part.startsWith('upper') ? water.topCelsius : water.bottomCelsius;
      return tryThermostat(
        unit,
        part,
        check.endsWith('click') ? 'click' : 'warm-test',
        celsius,
        random,
      );
    }
    case 'supply-presence':
      return holdTester(unit, ['limit.1', 'limit.3'], random);
    case 'breaker-recycle':
      return recycleBreaker(unit, random);
    case 'recovery-after-30-min':
      return waitForHeat(unit, 1800);
    case 'dials-look': {
      const dials = details.map((each) => each.dials).find((each) => each !== undefined);
      if (!dials) return random.chance(0.88) ? 'equal' : 'unequal';
      return dials.upper !== undefined ? 'low' : 'unequal';
    }
    case 'other-outlet':
      return tryOtherTap(unit, random);
    case 'use-look':
      return askUse(unit, random);
    case 'flush-look':
      return random.chance(faults.has('sediment') ? 0.9 : 0.1) ? 'grit' : 'clear';
    case 'dip-tube-draw': {
      const falls = faults.has('dip-tube.gone') || water.topCelsius < 25;
      const isHalf = water.bottomCelsius < 25;
      return random.chance(falls ? 0.95 : isHalf ? 0.5 : 0.04) ? 'falls-at-once' : 'holds';
    }
    case 'dip-tube-look':
      return faults.has('dip-tube.gone') ? 'gone' : 'sound';
    default:
      throw new RangeError(`a simulated heater has no answer to "${check}"`);
  }
}

/** What the customer says, from what the tap does. */
function complain(faults: ReadonlySet<string>, water: Water, random: Random): Complaint {
  const kind = random.chance(0.06) ? 'other' : complaintOf(faults, water, random);
  const answers: Record<string, string> = {
    onset: random.chance(faults.has('sediment') ? 0.85 : 0.15) ? 'gradual' : 'sudden',
    allOutlets: String(!(faults.has('demand') && random.chance(0.4))),
    breaker: water.breakerTrips
      ? 'again'
      : faults.has('supply.off') && random.chance(0.5)
        ? 'once'
        : 'no',
  };
  if (random.chance(0.5)) {
    answers.rumble = String(random.chance(faults.has('sediment') ? 0.7 : 0.05));
  }
  return { kind, answers };
}

function complaintOf(faults: ReadonlySet<string>, water: Water, random: Random): string {
  if (water.breakerTrips) return random.chance(0.6) ? 'trips-breaker' : 'no-hot-water';
  if (water.topCelsius > 70 && !water.limitTripped) return 'too-hot';
  if (water.topCelsius < 25 || water.limitTripped) return 'no-hot-water';
  if (faults.has('dip-tube.gone')) return random.chance(0.5) ? 'lukewarm' : 'runs-out';
  if (water.bottomCelsius < 25) {
    return random.chance(0.7) ? 'runs-out' : random.chance(0.5) ? 'slow' : 'lukewarm';
  }
  if (faults.has('sediment')) return random.chance(0.5) ? 'slow' : 'runs-out';
  if (faults.has('demand') || faults.has('no-fault')) {
    return random.chance(0.7) ? 'runs-out' : 'lukewarm';
  }
  if (faults.has('dials.low') || faults.has('dials.unequal')) {
    return random.chance(0.65) ? 'lukewarm' : 'runs-out';
  }
  return random.chance(0.5) ? 'slow' : 'runs-out';
}
