import type {
  LiftedEnd,
  Measured,
  SettingEntry,
  StatusEntry,
  VerdictEntry,
} from './generated/job-types';
import type { Isolation } from './isolation';
import type { ProcedureRun } from './runs';
import type { WireRecord } from './wire-map';

/** What the entries so far make of a job: a pure fold, the same in browser, server and command line. */
export interface JobState extends Pick<Isolation, 'power' | 'failedProof' | 'proofEndedBy'> {
  /** When it was proved dead, as long as that holds. */
  readonly provedDeadAt?: string;
  /** Whose proof it is: for anybody else there is none, see `stateFor`. */
  readonly provedDeadBy?: string;
  /** When that ends by itself, if nobody writes anything more. */
  readonly provedDeadUntil?: string;
  /** Facts of access that are so, by id, each with the entry that made it so: a cover off, a manometer on. */
  readonly facts: Readonly<Record<string, FactStanding>>;
  readonly lifted: readonly LiftedEnd[];
  /** Where each control was put, by its key in an entry's state: `upperDial`, `knob`. */
  readonly controls: Readonly<Record<string, string>>;
  /** What was done once and stays done, such as a reset pressed. */
  readonly done: readonly string[];
  /** Facts that nobody ended by hand: the person changed, somebody left, hours went by. Each with when that was seen. */
  readonly lapsed: Readonly<Record<string, string>>;
  /** Procedures as they were gone through, by their run. */
  readonly runs: Readonly<Record<string, ProcedureRun>>;
  /** Wire ends that were noted down, by wire and end. */
  readonly wires: Readonly<Record<string, WireRecord>>;
  /** When each service was last done on this job. */
  readonly served: Readonly<Record<string, string>>;
  /** When somebody last had a hand on the unit, as far as its logbook says. */
  readonly lastHandAt?: string;
  readonly lastVisit?: string;
  /** In the order they were done. */
  readonly repairsDone: readonly string[];
  /** Checks that the technician refused, by id, with the reason; taking one ends its refusal. */
  readonly refused: ReadonlyMap<string, string>;
  readonly settings: ReadonlyMap<string, SettingRecord>;
  readonly parts: ReadonlyMap<string, string>;
  readonly status?: StatusEntry;
  /** The verdict that a person acted on and whose repair is not done yet. */
  readonly verdict?: VerdictEntry;
  /** Repairs that are done, each with the verdict it came from: one unit in ten needs a second. */
  readonly rounds: readonly RepairRound[];
}

/** Since when a fact is so, and by whom it was made so. */
export interface FactStanding {
  readonly at: string;
  readonly by?: string;
}

export interface RepairRound {
  readonly repair: string;
  readonly verdict?: VerdictEntry;
}

export interface SettingRecord {
  readonly found?: Measured | string | boolean;
  readonly left?: Measured | string | boolean;
  /** Why it was left so. */
  readonly why?: SettingEntry['why'];
  readonly due?: string;
}

/** The verdict that was acted on last, whether its repair is done or not. */
export const lastVerdict = ({ verdict, rounds }: JobState): VerdictEntry | undefined =>
  verdict ?? rounds.findLast((each) => each.verdict !== undefined)?.verdict;

export const emptyState: JobState = {
  power: 'unknown',
  facts: {},
  lapsed: {},
  runs: {},
  wires: {},
  served: {},
  lifted: [],
  controls: {},
  done: [],
  repairsDone: [],
  rounds: [],
  refused: new Map(),
  settings: new Map(),
  parts: new Map(),
};
