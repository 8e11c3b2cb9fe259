import type { LiftedEnd } from '../../job-file/generated/job-types';

/** What has to be done before a check, in order, from where the unit stands. */
export type AccessStep =
  | { readonly kind: 'power-off-and-prove' }
  | { readonly kind: 'power-on' }
  | { readonly kind: 'open-cover'; readonly cover: string }
  | { readonly kind: 'lift-wire'; readonly lifted: LiftedEnd }
  | { readonly kind: 'refit-wire'; readonly lifted: LiftedEnd }
  /** A fact of access that is made so, or ended, by hand: `order` says how. */
  | { readonly kind: 'make-so' | 'end-so'; readonly fact: string; readonly order: string }
  /** A check that has to be taken first: only its result says whether the way is open. */
  | { readonly kind: 'take-check'; readonly check: string };
