import type { Quantity } from '../quantities';
import type { LiftedEnd } from './generated/job-types';

/** What the record needs to know of a family: its names, and what its checks imply. */
export interface FamilyCatalogue {
  readonly family: string;
  readonly terminals: ReadonlySet<string>;
  readonly conductors: Readonly<Record<string, readonly [string, string]>>;
  readonly repairs: ReadonlySet<string>;
  readonly faults: ReadonlySet<string>;
  readonly covers: ReadonlySet<string>;
  /** Settings by id, each with the units it may stand in. */
  readonly settings: ReadonlyMap<string, { readonly dial?: string }>;
  /** Dials by id, and the key of each in an entry's state. */
  readonly dials: ReadonlyMap<string, string>;
  /** Values that each question of the call may be answered with. */
  readonly answers: ReadonlyMap<string, readonly string[]>;
  /** Where volts are tried before the unit counts as dead. */
  readonly deadPoints: readonly (readonly [string, string])[];
  check(id: string): CatalogueCheck | undefined;
}

export interface CatalogueCheck {
  readonly kind: 'reading' | 'observation';
  readonly quantity?: Quantity;
  /** Values of an observation. */
  readonly values?: readonly string[];
  readonly power?: 'on' | 'off';
  readonly lifted?: readonly LiftedEnd[];
  /** Hands or probes are near live parts. */
  readonly isLive: boolean;
  /** What doing the check changes on the unit. */
  readonly changes?: { readonly limit?: 'closed'; readonly breaker?: 'cycled' };
}
