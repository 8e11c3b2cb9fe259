import type { FamilyCatalogue } from './catalogue';
import type {
  ActionEntry,
  Entry,
  LiftedEnd,
  Measured,
  ObservationEntry,
  ReadingEntry,
  StatusEntry,
  VerdictEntry,
} from './generated/job-types';

/** What the entries so far make of a job: a pure fold, the same in browser, server and command line. */
export interface JobState {
  readonly power: 'unknown' | 'on' | 'off';
  /** When it was proved dead; ended by any power-on, be it stated or implied by a live reading. */
  readonly provedDeadAt?: string;
  readonly coversOpen: readonly string[];
  readonly lifted: readonly LiftedEnd[];
  /** Where each dial was turned, by thermostat. */
  readonly dials: Readonly<Record<string, string>>;
  readonly limitReset: boolean;
  readonly breakerCycled: boolean;
  /** In the order they were done. */
  readonly repairsDone: readonly string[];
  /** Checks that the technician refused, by id, with the reason; taking one ends its refusal. */
  readonly refused: ReadonlyMap<string, string>;
  readonly settings: ReadonlyMap<string, SettingRecord>;
  readonly parts: ReadonlyMap<string, string>;
  readonly status?: StatusEntry;
  /** The verdict that a person acted on. */
  readonly verdict?: VerdictEntry;
}

export interface SettingRecord {
  readonly found?: Measured | string | boolean;
  readonly left?: Measured | string | boolean;
}

export const emptyState: JobState = {
  power: 'unknown',
  coversOpen: [],
  lifted: [],
  dials: {},
  limitReset: false,
  breakerCycled: false,
  repairsDone: [],
  refused: new Map(),
  settings: new Map(),
  parts: new Map(),
};

/** Volts below which a leg counts as dead, by a prover tried before and after. Common practice. */
export const deadBelowVolt = 5;

/** Entries that count: corrections applied, the rest in order of time, then id. A correction to nothing removes. */
export function effectiveEntries(entries: readonly Entry[]): Entry[] {
  const ordered = inOrder(entries);
  const replacement = new Map<string, Entry | null>();
  for (const each of ordered) {
    if (each.kind === 'correction') replacement.set(each.replaces, each.entry);
  }
  return ordered.flatMap((each) => {
    if (each.kind === 'correction') return [];
    const replaced = replacement.get(each.id);
    if (replaced === undefined) return [each];
    // The corrected entry stands at the moment of the first one: that is when the unit was in that state.
    return replaced === null ? [] : [{ ...replaced, id: each.id, at: each.at }];
  });
}

export function inOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((one, other) =>
    one.at === other.at ? compare(one.id, other.id) : Date.parse(one.at) - Date.parse(other.at),
  );
}

const compare = (one: string, other: string) => (one < other ? -1 : one > other ? 1 : 0);

/** The state after all entries. */
export function foldEntries(entries: readonly Entry[], catalogue: FamilyCatalogue): JobState {
  return effectiveEntries(entries).reduce(
    (state, each) => step(state, each, catalogue),
    emptyState,
  );
}

/** Each entry that counts, with the state in which it was made. */
export function walkEntries(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
): { readonly entry: Entry; readonly before: JobState }[] {
  let state = emptyState;
  return effectiveEntries(entries).map((entry) => {
    const before = state;
    state = step(state, entry, catalogue);
    return { entry, before };
  });
}

function step(state: JobState, entry: Entry, catalogue: FamilyCatalogue): JobState {
  switch (entry.kind) {
    case 'reading':
    case 'observation':
      return afterCheck(state, entry, catalogue);
    case 'action':
      return afterAction(state, entry);
    case 'skip':
      return { ...state, refused: new Map(state.refused).set(entry.check, entry.reason) };
    case 'setting': {
      const record = { ...state.settings.get(entry.setting), [entry.as]: entry.value };
      return { ...state, settings: new Map(state.settings).set(entry.setting, record) };
    }
    case 'part':
      return { ...state, parts: new Map(state.parts).set(entry.part, entry.action) };
    case 'status':
      return { ...state, status: entry };
    case 'verdict':
      return { ...state, verdict: entry };
    default:
      return state;
  }
}

function afterCheck(
  state: JobState,
  entry: ReadingEntry | ObservationEntry,
  catalogue: FamilyCatalogue,
): JobState {
  const taken = withPower(state, powerShownBy(entry, catalogue));
  if (entry.check === undefined) return taken;
  const changes = catalogue.check(entry.check)?.changes;
  const refused = new Map(taken.refused);
  refused.delete(entry.check);
  return {
    ...taken,
    refused,
    limitReset: taken.limitReset || changes?.limit === 'closed',
    breakerCycled: taken.breakerCycled || changes?.breaker === 'cycled',
  };
}

/**
 * What a result says of the power: what was stated with it, what its check needs, or what the reading itself shows. Amps
 * flow and volts stand only with the power on, ohms are taken with it off. Undefined where it says nothing.
 */
export function powerShownBy(
  entry: ReadingEntry | ObservationEntry,
  catalogue: FamilyCatalogue,
): 'on' | 'off' | undefined {
  const check = entry.check === undefined ? undefined : catalogue.check(entry.check);
  const known = entry.state?.power ?? check?.power;
  if (known !== undefined || entry.kind === 'observation') return known;
  switch (check?.quantity ?? entry.quantity) {
    case 'resistance':
      return 'off';
    case 'current-ac':
      return 'on';
    case 'voltage-ac':
      return (entry.value?.volt ?? 0) >= deadBelowVolt ? 'on' : undefined;
    default:
      return undefined;
  }
}

/** A live reading says that power is on; a dead one says that it is off, but not that it was proved. */
function withPower(state: JobState, power: 'on' | 'off' | undefined): JobState {
  if (power === undefined || power === state.power) return state;
  if (power === 'on') return { ...state, power, provedDeadAt: undefined };
  return state.power === 'off' ? state : { ...state, power };
}

function afterAction(state: JobState, entry: ActionEntry): JobState {
  const done =
    entry.repair !== undefined ? [...state.repairsDone, entry.repair] : state.repairsDone;
  const next: JobState = { ...state, repairsDone: done };
  switch (entry.action) {
    case 'power-off':
      return { ...next, power: 'off', provedDeadAt: undefined };
    case 'power-on':
      return { ...next, power: 'on', provedDeadAt: undefined };
    case 'proved-dead':
      return isDead(entry) ? { ...next, power: 'off', provedDeadAt: entry.at } : next;
    case 'press-reset':
      return { ...next, limitReset: true };
    case 'cycle-breaker':
      return { ...next, power: 'on', provedDeadAt: undefined, breakerCycled: true };
    case 'open':
      return entry.target && !state.coversOpen.includes(entry.target)
        ? { ...next, coversOpen: [...state.coversOpen, entry.target] }
        : next;
    case 'close':
      return { ...next, coversOpen: state.coversOpen.filter((each) => each !== entry.target) };
    case 'lift-wire':
      return { ...next, lifted: [...withoutWire(state.lifted, entry), ...liftedBy(entry)] };
    case 'refit-wire':
      return { ...next, lifted: withoutWire(state.lifted, entry) };
    case 'set-dial':
      return entry.dial && entry.to
        ? { ...next, dials: { ...state.dials, [entry.dial]: entry.to } }
        : next;
    default:
      return next;
  }
}

/** Proved dead needs every leg: across, and each to earth, all below the threshold. Unstated points are believed. */
function isDead({ points }: ActionEntry): boolean {
  return (points ?? []).every(({ value }) => (value?.volt ?? 0) < deadBelowVolt);
}

const liftedBy = ({ wire, end }: ActionEntry): LiftedEnd[] => (wire && end ? [{ wire, end }] : []);

const withoutWire = (lifted: readonly LiftedEnd[], { wire, end }: ActionEntry) =>
  lifted.filter((each) => each.wire !== wire || (end !== undefined && each.end !== end));
