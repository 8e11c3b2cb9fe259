import type { BranchChanges } from './circuit-of';
import type { Plate } from './plate';

/** A part and a way it fails. Its weight is a parameter; each variant has a share of it. */
export interface FaultMode {
  readonly id: string;
  readonly variants: readonly FaultVariant[];
  /** Coarser variants for a unit with a second fault beside it; the same where absent. */
  readonly beside?: readonly FaultVariant[];
  /** Only where the elements are wired so; either way where absent. */
  readonly wiring?: Plate['wiring'];
}

export interface FaultVariant {
  readonly share: number;
  readonly changes: BranchChanges;
  /** Natural logarithm spread of each changed value. */
  readonly spread?: Readonly<Record<string, number>>;
  /** What is no change of branches. */
  readonly supply?: 'breaker-open' | 'no-supply';
  readonly limit?: 'tripped' | 'never-trips';
  /** Dials as the fault leaves them, by thermostat. */
  readonly dialCelsius?: Readonly<Record<string, number>>;
}

export const fault = (
  id: string,
  changes: BranchChanges = {},
  rest: Omit<FaultVariant, 'share' | 'changes'> = {},
): FaultMode => ({ id, variants: [{ share: 1, changes, ...rest }] });

/** A joint that has worked loose or burnt: a few ohms to a few tens. Without this mode the element is blamed. */
export const resistiveJoint = (id: string, branch: string): FaultMode => ({
  id,
  variants: [3, 7, 17].map((ohm) => ({
    share: 1 / 3,
    changes: { [branch]: { ohm } },
    spread: { [branch]: 0.35 },
  })),
  beside: [{ share: 1, changes: { [branch]: { ohm: 8.5 } }, spread: { [branch]: 0.7 } }],
});

/** Moves the middle node of an element to `fraction` of the way from a to b and gives it a leak to the tank. */
export const leakAt = (part: string, fraction: number, ohm: number): BranchChanges => ({
  [`${part}.a-half`]: { factor: 2 * fraction },
  [`${part}.b-half`]: { factor: 2 * (1 - fraction) },
  [`${part}.leak`]: { ohm },
});

const leak = (
  part: string,
  share: number,
  fraction: number,
  ohm: number,
  spread: number,
): FaultVariant => ({
  share,
  changes: leakAt(part, fraction, ohm),
  spread: { [`${part}.leak`]: spread },
});

const ends = ['a', 'b'] as const;

/** Open, and the stump at one end leaks. */
const burst = (
  part: string,
  end: 'a' | 'b',
  share: number,
  ohm: number,
  spread: number,
): FaultVariant => ({
  share,
  changes: {
    ...leakAt(part, end === 'a' ? 0.1 : 0.9, ohm),
    [`${part}.${end === 'a' ? 'b' : 'a'}-half`]: 'open',
  },
  spread: { [`${part}.leak`]: spread },
});

/** The ways an element fails: open, burst (open and leaking at one end), earthed, leaky when wet, too high. */
export function elementFaults(part: string): FaultMode[] {
  return [
    fault(`${part}.open`, { [`${part}.b-half`]: 'open' }),
    {
      id: `${part}.burst`,
      // Two levels here too: what is left of the wire heats through the lower one although the thermostats are satisfied.
      variants: ends.flatMap((end) => [
        burst(part, end, 0.1, 6, 0.4),
        burst(part, end, 0.4, 25, 0.7),
      ]),
      beside: ends.map((end) => burst(part, end, 0.5, 20, 0.9)),
    },
    {
      id: `${part}.earthed`,
      variants: [
        // Two levels of a few ohms: the lower one is what takes the breaker out.
        ...[0.17, 0.5, 0.83].flatMap((fraction) =>
          [1.8, 4.5].map((ohm) => leak(part, 0.05, fraction, ohm, 0.4)),
        ),
        leak(part, 0.3, 0.5, 110, 0.6),
        leak(part, 0.4, 0.5, 3500, 0.6),
      ],
      beside: [
        leak(part, 0.3, 0.5, 3, 0.6),
        leak(part, 0.3, 0.5, 110, 0.6),
        leak(part, 0.4, 0.5, 3500, 0.6),
      ],
    },
    {
      id: `${part}.leaky`,
      variants: [3e4, 3e5, 3e6].map((ohm) => leak(part, 1 / 3, 0.5, ohm, 0.8)),
      beside: [leak(part, 1, 0.5, 3e5, 1.8)],
    },
    {
      id: `${part}.high`,
      variants: [1.45, 2.2].map((factor) => ({ ...highElement(part, factor, 0.15), share: 0.5 })),
      beside: [{ ...highElement(part, 1.8, 0.25), share: 1 }],
    },
  ];
}

const highElement = (part: string, factor: number, spread: number) => ({
  changes: { [`${part}.a-half`]: { factor }, [`${part}.b-half`]: { factor } },
  spread: { [`${part}.a-half`]: spread, [`${part}.b-half`]: spread },
});
