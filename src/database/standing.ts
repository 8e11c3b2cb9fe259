/** What a job stands at, as a list shows it. */
export interface Standing {
  readonly stage: Stage;
  readonly entryCount: number;
  readonly suspects: readonly { readonly repair: string; readonly probability: number }[];
  readonly decided: boolean;
  readonly next?: { readonly check: string; readonly minutes: number };
  /** Reason of a job that waits, or was closed without a repair. */
  readonly reason?: string;
  /** When somebody has to look again, although the job is closed. */
  readonly recheckBy?: string;
  readonly warning?: string;
  /** What ended the diagnosis, above everything else: smelled gas. */
  readonly stop?: string;
  readonly liftedWires: number;
  /** Parts that are needed or ordered and not in yet. */
  readonly parts?: readonly string[];
  /** When each service was last done on this job. */
  readonly served?: Readonly<Record<string, string>>;
  /** False while suspects and next check are those from before the last entries, or not worked out yet. */
  readonly isSettled?: false;
}

export const stages = [
  'call',
  'diagnose',
  'verdict',
  'repair',
  'waiting',
  'proof',
  'closed',
] as const;

export type Stage = (typeof stages)[number];

export const isOpenAt = ({ stage }: Standing): boolean => stage !== 'closed';
