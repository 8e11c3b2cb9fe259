import names from '../../appliances/electric-storage-two-element/names.json' with { type: 'json' };
import { topology } from '../../appliances/electric-storage-two-element/topology';
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
  drawFiveMinutes,
  watchDraw,
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

const harness = ['w-upper-a', 'w-upper-b', 'w-lower-feed', 'w-lower-a', 'w-lower-b'] as const;
const splices = ['splice-1', 'splice-2'] as const;

/** How often each fault is met: the weights of the benchmark. Invented from common practice; not a statistic. */
const weights: SimulatedHeater['weights'] = [
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

/**
 * Faults that no list of the engine has: burnt contacts that still pass current, turns of an element that touch, a supply that
 * sags. Each with the repair that would mend it.
 */
export const strangeFaults: Readonly<Record<string, string>> = {
  'strange.upper-contact-burnt': 'replace-upper-thermostat',
  'strange.changeover-burnt': 'replace-upper-thermostat',
  'strange.limit-pole-burnt': 'replace-upper-thermostat',
  'strange.lower-contact-burnt': 'replace-lower-thermostat',
  'strange.lower-turns-touch': 'replace-lower-element',
  'strange.breaker-pole-burnt': 'call-electrician',
};

export const simulatedTwoElement = simulatedHeaters({
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
  strangeFaults,
  drawFault,
  settle,
  look,
  outlet,
  complain,
  mended: {
    topCelsius: 50,
    bottomCelsius: 50,
    limitTripped: false,
    dialCelsius: { upper: 50, lower: 50 },
  },
});

function drawFault(id: string, random: Random): FaultDetails {
  const strange = drawStrange(id, random);
  if (strange) return strange;
  const [part, mode] = id.split('.') as [string, string];
  if (part === 'upper-element' || part === 'lower-element') {
    return { changes: elementChanges(part, mode, random) };
  }
  if (mode === 'resistive') return { changes: burntJoint(part, random) };
  if (mode === 'open' && part !== 'earth-bond') return { changes: { [part]: 'open' } };
  if (id === 'dials.low') {
    const celsius = random.between(numbers.lowDialCelsius);
    return { changes: {}, dials: { upper: celsius, lower: celsius } };
  }
  if (id === 'dials.unequal') {
    return { changes: {}, dials: { lower: random.between(numbers.lowDialCelsius) } };
  }
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
};

function drawStrange(id: string, random: Random): FaultDetails | undefined {
  const burnt = (branch: string) => ({ changes: burntJoint(branch, random) });
  switch (id) {
    case 'strange.upper-contact-burnt':
      return burnt('upper-contact');
    case 'strange.changeover-burnt':
      return burnt('changeover-contact');
    case 'strange.limit-pole-burnt':
      return burnt('limit-pole-1');
    case 'strange.lower-contact-burnt':
      return burnt('lower-contact');
    case 'strange.breaker-pole-burnt':
      return burnt('breaker-2');
    case 'strange.lower-turns-touch':
      return { changes: { 'lower-element.a-half': { factor: 0.3 + 0.4 * random.next() } } };
    default:
      return undefined;
  }
}

/** Lets the faulty heater run until it has done what it will do to its water. */
function settle(unit: SettlingUnit, random: Random): Water {
  const { faults, watt } = unit;
  const coldWater = random.between(numbers.coldCelsius);
  const { middle, spread } = numbers.dialCelsius;
  const usual = middle + spread * random.normal();
  const fixedDial = (id: string) =>
    faults.map((each) => each.dials?.[id]).find((each) => each !== undefined);
  const dialCelsius = {
    upper: fixedDial('upper') ?? usual,
    lower: fixedDial('lower') ?? usual + random.normal(),
  };
  const cold: Water = {
    topCelsius: coldWater,
    bottomCelsius: coldWater,
    limitTripped: false,
    dialCelsius,
  };
  if (faults.some((each) => each.supply)) return cold;
  if (faults.some((each) => each.limit === 'tripped')) return { ...cold, limitTripped: true };
  const start = unit.run({ upper: 'calling', lower: 'calling' });
  const trips = protectionActs(unit, start, breakerAmpere(unit.plate), random);
  if (trips) return { ...cold, trips };
  const topHeats = watt(start, 'upper') > 250;
  const bottomHeats =
    watt(unit.run({ upper: topHeats ? 'satisfied' : 'calling', lower: 'calling' }), 'lower') > 250;
  const idle = unit.run({
    upper: topHeats || bottomHeats ? 'satisfied' : 'calling',
    lower: bottomHeats ? 'satisfied' : 'calling',
  });
  const idleWatt = watt(idle, 'upper') + (bottomHeats ? watt(idle, 'lower') : 0);
  if ((topHeats || bottomHeats) && idleWatt > 250) {
    const limitTripped =
      random.chance(numbers.limitActs) && !faults.some((each) => each.limit === 'never-trips');
    const isStillHot = limitTripped ? random.chance(numbers.stillHot) : true;
    if (!isStillHot) return { ...cold, limitTripped };
    return {
      ...cold,
      topCelsius: 75 + 7 * random.next(),
      bottomCelsius: bottomHeats ? 72 + 6 * random.next() : coldWater,
      limitTripped,
    };
  }
  return {
    ...cold,
    topCelsius: topHeats ? dialCelsius.upper : bottomHeats ? dialCelsius.lower : coldWater,
    bottomCelsius: bottomHeats ? dialCelsius.lower : coldWater,
  };
}

function outlet(check: string, unit: LookedAt, random: Random): number {
  return check === 'outlet-first'
    ? unit.drawn().tank.outletCelsius(6) - 1.5 * random.next()
    : drawFiveMinutes(unit, random);
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
      return waitForHeat(unit, random);
    case 'dials-look': {
      const dials = details.map((each) => each.dials).find((each) => each !== undefined);
      const { unequalByHabit, lowTold, unequalTold } = looks.dials;
      if (!dials) return random.chance(unequalByHabit) ? 'unequal' : 'equal';
      if (dials.upper !== undefined) return random.chance(lowTold) ? 'low' : 'equal';
      return random.chance(unequalTold) ? 'unequal' : 'equal';
    }
    case 'other-outlet':
      return tryOtherTap(unit, random);
    case 'use-look':
      return askUse(unit, random);
    case 'flush-look':
      return random.chance(looks.grit[faults.has('sediment') ? 'sediment' : 'else'])
        ? 'grit'
        : 'clear';
    case 'dip-tube-draw':
      return watchDraw(unit, random);
    case 'dip-tube-look':
      return faults.has('dip-tube.gone') === random.chance(looks.dipTubeSeen) ? 'gone' : 'sound';
    default:
      throw new RangeError(`a simulated heater has no answer to "${check}"`);
  }
}

/** What the customer says, from what the tap does. */
function complain(
  faults: ReadonlySet<string>,
  water: Water,
  lived: LivedWater,
  random: Random,
): Complaint {
  const kind = random.chance(said.otherWords) ? 'other' : complaintOf(faults, water, lived, random);
  const isDials = faults.has('dials.low') || faults.has('dials.unequal');
  const onset = faults.has('sediment')
    ? said.onsetGradual.slowFault
    : isDials
      ? said.onsetGradual.dials
      : faults.has('demand')
        ? said.onsetGradual.demand
        : said.onsetGradual.else;
  const answers: Record<string, string> = {
    onset: random.chance(onset) ? 'gradual' : 'sudden',
    allOutlets: String(!random.chance(said.oneTap[faults.has('demand') ? 'demand' : 'else'])),
    breaker: breakerAnswer(faults, water, random),
  };
  if (random.chance(said.rumbleAsked)) {
    const share = said.rumble[faults.has('sediment') ? 'sediment' : 'else'];
    answers.rumble = String(random.chance(share));
  }
  if (random.chance(said.afterWorkAsked)) {
    const isWiring = [...faults].some((each) => /^(splice|w-|strap|dials)/.test(each));
    const share =
      said.afterWork[faults.has('wiring.crossed-2-4') ? 'crossed' : isWiring ? 'wiring' : 'else'];
    answers.afterWork = String(random.chance(share));
  }
  return { kind, answers };
}

function complaintOf(
  faults: ReadonlySet<string>,
  water: Water,
  lived: LivedWater,
  random: Random,
): string {
  if (leaks(faults) && random.chance(said.leakSeen)) return 'leak';
  if (water.trips) {
    if (!random.chance(said.tripsSaid)) return 'no-hot-water';
    return water.trips === 'breaker' ? 'trips-breaker' : 'trips-rcd';
  }
  if (water.topCelsius > 70 && !water.limitTripped) return 'too-hot';
  if (water.topCelsius < 25 || water.limitTripped) return 'no-hot-water';
  if (faults.has('sediment') && random.chance(said.rumbles)) return 'noise';
  return saidOfWater(lived, random) ?? anyWord(random);
}

/** Nothing is wrong with the water, and yet somebody called. */
const anyWord = (random: Random): string =>
  random.chance(0.5) ? 'runs-out' : random.chance(0.6) ? 'lukewarm' : 'slow';
