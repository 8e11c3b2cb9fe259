import type { LiftedEnd } from './generated/job-types';

/** What the record needs to know of a family: its names, and what its checks imply. */
export interface FamilyCatalogue {
  readonly family: string;
  readonly terminals: ReadonlySet<string>;
  readonly conductors: Readonly<Record<string, readonly [string, string]>>;
  check(id: string): CatalogueCheck | undefined;
}

export interface CatalogueCheck {
  readonly kind: 'reading' | 'observation';
  readonly quantity?: string;
  /** Values of an observation. */
  readonly values?: readonly string[];
  readonly power?: 'on' | 'off';
  readonly lifted?: readonly LiftedEnd[];
  /** What doing the check changes on the unit. */
  readonly changes?: { readonly limit?: 'closed'; readonly breaker?: 'cycled' };
}
