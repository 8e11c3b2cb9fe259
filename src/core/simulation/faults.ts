import type { BranchChange } from '../appliances/electric-storage-two-element/topology';
import names from '../appliances/electric-storage-two-element/names.json' with { type: 'json' };
import type { Random } from './random';

export interface SimulatedFault {
  readonly id: string;
  readonly repair: string;
  readonly changes: Readonly<Record<string, BranchChange>>;
  readonly supply?: 'tripped' | 'controlled';
  readonly dials?: { readonly upper: number; readonly lower: number };
}

const joints = [
  'splice-1',
  'splice-2',
  'w-supply-1',
  'w-supply-2',
  'strap-limit',
  'w-upper-a',
  'w-upper-b',
  'w-lower-feed',
  'w-lower-a',
  'w-lower-b',
] as const;

/** How often each fault is met, relative. Invented from common practice; not a statistic. */
export const faultWeights: readonly (readonly [string, number])[] = [
  ['no-fault', 6],
  ['supply.off', 4],
  ['supply.breaker-pole-1-open', 0.7],
  ['supply.breaker-pole-2-open', 0.7],
  ['supply.leg-1-missing', 0.4],
  ['supply.leg-2-missing', 0.4],
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
  ...joints.flatMap((joint) => [
    [`${joint}.open`, joint.startsWith('splice') ? 0.8 : 0.62] as const,
    [`${joint}.resistive`, joint.startsWith('splice') ? 0.8 : 0.4] as const,
  ]),
  ['wiring.crossed-2-4', 0.5],
  ['dials.low', 2],
  ['dials.unequal', 1.5],
  ['sediment', 4],
  ['dip-tube.gone', 2],
  ['demand', 3],
];

/** Gives a fault its own continuous values. An open element has, three times in ten, burst as well. */
export function drawFault(id: string, random: Random): SimulatedFault {
  const repair = (names.faults as Readonly<Record<string, string>>)[id];
  if (repair === undefined) throw new RangeError(`no fault is named "${id}"`);
  return { id, repair, ...detailsOf(id, random) };
}

type Details = Omit<SimulatedFault, 'id' | 'repair'>;

function detailsOf(id: string, random: Random): Details {
  const [part, mode] = id.split('.') as [string, string];
  if (part === 'upper-element' || part === 'lower-element') {
    return { changes: elementChanges(part, mode, random) };
  }
  if (mode === 'resistive') {
    return {
      changes: { [part]: { ohm: Math.exp(Math.log(2.6) + random.next() * Math.log(28 / 2.6)) } },
    };
  }
  if (mode === 'open' && part !== 'earth-bond') return { changes: { [part]: 'open' } };
  return fixed[id] ?? { changes: {} };
}

function elementChanges(
  element: string,
  mode: string,
  random: Random,
): Record<string, BranchChange> {
  const leak = (fraction: number, ohm: number): Record<string, BranchChange> => ({
    [`${element}.a-half`]: { factor: 2 * fraction },
    [`${element}.b-half`]: { factor: 2 * (1 - fraction) },
    [`${element}.leak`]: { ohm },
  });
  const near = (ohm: number, spread: number) => ohm * Math.exp(spread * random.normal());
  if (mode === 'high') {
    const factor = 1.3 + 1.4 * random.next();
    return { [`${element}.a-half`]: { factor }, [`${element}.b-half`]: { factor } };
  }
  if (mode === 'leaky') return leak(0.5, near(3e5, 1.5));
  if (mode === 'earthed') {
    const how = random.next();
    if (how < 0.3) {
      return leak(
        random.pick([
          [0.17, 1],
          [0.5, 1],
          [0.83, 1],
        ] as const),
        near(3, 0.5),
      );
    }
    return leak(0.5, near(how < 0.6 ? 110 : 3500, 0.5));
  }
  const burst = mode === 'burst' || random.chance(0.3);
  if (!burst) return { [`${element}.b-half`]: 'open' };
  const end = random.chance(0.5) ? 'a' : 'b';
  return {
    ...leak(end === 'a' ? 0.1 : 0.9, near(20, 0.8)),
    [`${element}.${end === 'a' ? 'b' : 'a'}-half`]: 'open',
  };
}

const fixed: Readonly<Record<string, Details>> = {
  'supply.off': { changes: {}, supply: 'tripped' },
  'supply.controlled-off': { changes: {}, supply: 'controlled' },
  'supply.leg-1-missing': { changes: { 'breaker-1': 'open' } },
  'supply.leg-2-missing': { changes: { 'breaker-2': 'open' } },
  'supply.breaker-pole-1-open': { changes: { 'breaker-1': 'open' } },
  'supply.breaker-pole-2-open': { changes: { 'breaker-2': 'open' } },
  'earth-bond.open': { changes: { bond: 'open' } },
  'limit.pole-1-open': { changes: { 'limit-pole-1': 'open' } },
  'limit.pole-2-open': { changes: { 'limit-pole-2': 'open' } },
  'limit.both-poles-open': { changes: { 'limit-pole-1': 'open', 'limit-pole-2': 'open' } },
  'limit.never-trips': { changes: { 'limit-pole-1': 'closed', 'limit-pole-2': 'closed' } },
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
  'dials.low': { changes: {}, dials: { upper: 40, lower: 38 } },
  'dials.unequal': { changes: {}, dials: { upper: 50, lower: 38 } },
};
