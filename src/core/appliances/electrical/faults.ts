import type { Mode } from '../kit/list-hypotheses';
import type { BranchChanges } from './circuit-of';
import type { Plate } from './plate';

/** A part and a way it fails. */
export interface FaultMode extends Mode<FaultVariant> {
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

/** Dials turned too low: near their lowest mark, where a dial can hardly be turned through the water, or a little above. */
export const dialsAt = (
  id: string,
  dialCelsius: (celsius: number) => Readonly<Record<string, number>>,
): FaultMode => ({
  id,
  variants: [33, 39].map((celsius) => ({
    share: 0.5,
    changes: {},
    dialCelsius: dialCelsius(celsius),
  })),
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

/** Leaks that trip nothing at once, each a good deal above the last. */
const earthedOhms = [25, 110, 500, 2200, 10_000, 45_000];

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
        burst(part, end, 0.1, 6, 0.5),
        burst(part, end, 0.25, 22, 0.6),
        burst(part, end, 0.15, 80, 0.8),
      ]),
      beside: ends.map((end) => burst(part, end, 0.5, 25, 1.1)),
    },
    {
      id: `${part}.earthed`,
      // Levels that leave no gap between a few ohms and tens of kilohms: wet magnesia may read anything. Of the hard ones the
      // lowest is what takes the breaker out, and where along the element it leaks is told apart.
      variants: [
        ...[0.17, 0.5, 0.83].flatMap((fraction) =>
          [1.8, 6].map((ohm) => leak(part, 0.045, fraction, ohm, 0.5)),
        ),
        ...earthedOhms.map((ohm) => leak(part, 0.73 / earthedOhms.length, 0.5, ohm, 0.75)),
      ],
      beside: [
        leak(part, 0.3, 0.5, 4, 0.8),
        leak(part, 0.3, 0.5, 110, 1.3),
        leak(part, 0.4, 0.5, 4500, 1.3),
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
