import file from './intervals.json' with { type: 'json' };

/** What a service is counted from: whichever of these was last. */
export type CountedFrom =
  | { readonly service: string }
  | { readonly procedure: string }
  | { readonly part: string }
  | { readonly reading: string }
  /** All of them on one job. */
  | { readonly observations: readonly string[] }
  | { readonly repairs: readonly string[] }
  | { readonly installed: boolean };

/** A circumstance in which a service is due sooner. */
export const circumstances = {
  'hard-or-well-water': 'hard or well water',
  'softened-water': 'softened water',
  laundry: 'stands in a laundry',
  'worn-was-seen': 'worn when last seen',
} as const;

export type Circumstance = keyof typeof circumstances;

/** A file of a newer program may know more of them. */
export const isCircumstance = (text: string): text is Circumstance =>
  Object.hasOwn(circumstances, text);

export type ServedKind =
  'storage' | 'storage-gas' | 'mains' | 'tap-direct' | 'tap-loop' | 'tap-gas' | 'system';

export interface Service {
  readonly id: string;
  readonly title: string;
  readonly months?: number;
  readonly days?: number;
  readonly sooner?: readonly { readonly months: number; readonly when: Circumstance }[];
  readonly countedFrom: readonly CountedFrom[];
  /** Where nothing to count from leaves nothing due: a look the day after. */
  readonly endedBy?: readonly string[];
  readonly procedure?: string;
  readonly note?: string;
  readonly isAdvice?: boolean;
  /** Only on units of this kind: with a tank, heated by gas; warmed as it runs, straight or over a loop. */
  readonly only?: ServedKind;
}

/** What comes due on storage heaters, with its usual interval. Common practice; a firm may change the intervals. */
export const services: readonly Service[] = file.services as readonly Service[];

export const serviceIds: ReadonlySet<string> = new Set(services.map(({ id }) => id));

/** Intervals of a firm, in months, by service; the usual one where it says nothing. */
export type FirmIntervals = Readonly<Record<string, number>>;
