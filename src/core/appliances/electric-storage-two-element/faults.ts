import names from './names.json' with { type: 'json' };
import type { BranchChanges } from './topology';

/**
 * The ways a two-element heater fails. Weights are relative priors from common practice, not a statistic; each variant
 * has its share of the fault's weight. A change of supply or setting is no change of branches: it is named beside them.
 */
export interface FaultMode {
  readonly id: FaultId;
  readonly weight: number;
  readonly variants: readonly FaultVariant[];
}

export interface FaultVariant {
  readonly share: number;
  readonly changes: BranchChanges;
  readonly supply?: 'breaker-open' | 'no-supply';
  /** Natural logarithm spread of each changed value. */
  readonly spread?: Readonly<Record<string, number>>;
}

export type FaultId = keyof typeof names.faults;

/** Repair by fault. */
export const repairOf: Readonly<Record<FaultId, string>> = names.faults;

const simple = (id: FaultId, weight: number, changes: BranchChanges = {}): FaultMode => ({
  id,
  weight,
  variants: [{ share: 1, changes }],
});

/** A joint that has worked loose or burnt: a few ohms to a few tens. Without this mode the element is blamed. */
const resistive = (id: FaultId, weight: number, branch: string): FaultMode => ({
  id,
  weight,
  variants: [3, 7, 17].map((ohm) => ({
    share: 1 / 3,
    changes: { [branch]: { ohm } },
    spread: { [branch]: 0.35 },
  })),
});

type ElementName = 'upper-element' | 'lower-element';

/** Moves the middle node to `fraction` of the way from a to b and gives it a leak to the tank. */
const leak = (element: ElementName, fraction: number, ohm: number): BranchChanges => ({
  [`${element}.a-half`]: { factor: 2 * fraction },
  [`${element}.b-half`]: { factor: 2 * (1 - fraction) },
  [`${element}.leak`]: { ohm },
});

const leakSpread = (element: ElementName, spread: number) => ({ [`${element}.leak`]: spread });

function elementFaults(element: ElementName, open: number, burst: number, earthed: number) {
  const modes: FaultMode[] = [
    simple(`${element}.open`, open, { [`${element}.b-half`]: 'open' }),
    {
      id: `${element}.burst`,
      weight: burst,
      variants: (['a', 'b'] as const).map((end) => ({
        share: 0.5,
        changes: {
          ...leak(element, end === 'a' ? 0.1 : 0.9, 20),
          [`${element}.${end === 'a' ? 'b' : 'a'}-half`]: 'open' as const,
        },
        spread: leakSpread(element, 0.9),
      })),
    },
    {
      id: `${element}.earthed`,
      weight: earthed,
      variants: [
        // Two levels of a few ohms: the lower one is what takes the breaker out.
        ...[0.17, 0.5, 0.83].flatMap((fraction) =>
          [1.8, 4.5].map((ohm) => ({
            share: 0.05,
            changes: leak(element, fraction, ohm),
            spread: leakSpread(element, 0.4),
          })),
        ),
        { share: 0.3, changes: leak(element, 0.5, 110), spread: leakSpread(element, 0.6) },
        { share: 0.4, changes: leak(element, 0.5, 3500), spread: leakSpread(element, 0.6) },
      ],
    },
    {
      id: `${element}.leaky`,
      weight: 0.5,
      variants: [3e4, 3e5, 3e6].map((ohm) => ({
        share: 1 / 3,
        changes: leak(element, 0.5, ohm),
        spread: leakSpread(element, 0.8),
      })),
    },
    {
      id: `${element}.high`,
      weight: 0.3,
      variants: [1.45, 2.2].map((factor) => ({
        share: 0.5,
        changes: { [`${element}.a-half`]: { factor }, [`${element}.b-half`]: { factor } },
        spread: { [`${element}.a-half`]: 0.15, [`${element}.b-half`]: 0.15 },
      })),
    },
  ];
  return modes;
}

const supply = (
  id: FaultId,
  weight: number,
  how: FaultVariant['supply'],
  changes: BranchChanges = {},
): FaultMode => ({
  id,
  weight,
  variants: [{ share: 1, changes, supply: how }],
});

const harness = [
  'w-supply-1',
  'w-supply-2',
  'strap-limit',
  'w-upper-a',
  'w-upper-b',
  'w-lower-feed',
  'w-lower-a',
  'w-lower-b',
] as const;

export const faultModes: readonly FaultMode[] = [
  simple('no-fault', 6),
  supply('supply.off', 4, 'breaker-open'),
  supply('supply.controlled-off', 0.6, 'no-supply'),
  supply('supply.leg-1-missing', 0.4, undefined, { 'breaker-1': 'open' }),
  supply('supply.leg-2-missing', 0.4, undefined, { 'breaker-2': 'open' }),
  supply('supply.breaker-pole-1-open', 0.7, undefined, { 'breaker-1': 'open' }),
  supply('supply.breaker-pole-2-open', 0.7, undefined, { 'breaker-2': 'open' }),
  simple('splice-1.open', 0.8, { 'splice-1': 'open' }),
  simple('splice-2.open', 0.8, { 'splice-2': 'open' }),
  resistive('splice-1.resistive', 0.8, 'splice-1'),
  resistive('splice-2.resistive', 0.8, 'splice-2'),
  simple('earth-bond.open', 0.2, { bond: 'open' }),
  simple('limit.nuisance-trip', 5),
  simple('limit.pole-1-open', 1, { 'limit-pole-1': 'open' }),
  simple('limit.pole-2-open', 1, { 'limit-pole-2': 'open' }),
  simple('limit.both-poles-open', 1, { 'limit-pole-1': 'open', 'limit-pole-2': 'open' }),
  simple('limit.never-trips', 0.2, { 'limit-pole-1': 'closed', 'limit-pole-2': 'closed' }),
  simple('upper-thermostat.never-closes', 3, { 'upper-contact': 'open' }),
  simple('upper-thermostat.never-changes-over', 3, { 'changeover-contact': 'open' }),
  simple('upper-thermostat.dead', 1, { 'upper-contact': 'open', 'changeover-contact': 'open' }),
  simple('upper-thermostat.welded', 3, { 'upper-contact': 'closed', 'changeover-contact': 'open' }),
  simple('upper-thermostat.both-contacts-closed', 0.4, {
    'upper-contact': 'closed',
    'changeover-contact': 'closed',
  }),
  simple('upper-thermostat.stuck-down', 0.7, {
    'upper-contact': 'open',
    'changeover-contact': 'closed',
  }),
  simple('lower-thermostat.never-closes', 5, { 'lower-contact': 'open' }),
  simple('lower-thermostat.welded', 2.5, { 'lower-contact': 'closed' }),
  ...elementFaults('upper-element', 9.8, 4.2, 4),
  ...elementFaults('lower-element', 12.6, 5.4, 6),
  ...harness.flatMap((wire) => [
    simple(`${wire}.open`, 0.6, { [wire]: 'open' }),
    resistive(`${wire}.resistive`, 0.35, wire),
  ]),
  simple('wiring.crossed-2-4', 0.5, {
    'w-upper-a': 'open',
    'w-lower-feed': 'open',
    'crossed-upper-a': { ohm: 0.01 },
    'crossed-lower-feed': { ohm: 0.01 },
  }),
  simple('dials.low', 2),
  simple('dials.unequal', 1.5),
  simple('sediment', 4),
  simple('dip-tube.gone', 2),
  simple('demand', 3),
];
