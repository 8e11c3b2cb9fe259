/** What a sign beside a caution shows: its picture is the interface's. */
export type CautionSign = 'electricity' | 'hot-water' | 'no-reset' | 'warning';

/** A caution that stands where the work can hurt. */
export interface Caution {
  readonly sign: CautionSign;
  readonly words: string;
}
