import type { FamilyCatalogue } from './catalogue';
import { effectiveEntries } from './corrections';
import type { ActionEntry, Entry, LiftedEnd } from './generated/job-types';
import {
  isolationAfter,
  notIsolated,
  provedDeadUntil,
  stepIsolation,
  type Isolation,
} from './isolation';
import { emptyState, type JobState } from './state';

/**
 * The state after all entries, which stand in the order in which they were received.
 * @param now if given, a proof of dead that nobody has stayed with does not hold any more.
 */
export function foldEntries(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
  now?: string,
): JobState {
  const { after } = foldAll(entries, catalogue);
  return withIsolation(after, isolationAfter(entries, catalogue, now));
}

/** An entry that counts, with the state in which it was made. */
export interface WalkedEntry {
  readonly entry: Entry;
  readonly before: JobState;
}

/** Each entry that counts, with the state in which it was made. */
export const walkEntries = (entries: readonly Entry[], catalogue: FamilyCatalogue): WalkedEntry[] =>
  foldAll(entries, catalogue).walked;

/** Both at once: the logbook is gone through a single time. */
export function readLogbook(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
  now?: string,
): { readonly walked: readonly WalkedEntry[]; readonly state: JobState } {
  const { walked, after } = foldAll(entries, catalogue);
  return { walked, state: withIsolation(after, isolationAfter(entries, catalogue, now)) };
}

function foldAll(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
): { walked: WalkedEntry[]; after: JobState } {
  let state = emptyState;
  let isolation = notIsolated;
  const walked = effectiveEntries(entries).map((entry) => {
    const before = state;
    isolation = stepIsolation(isolation, entry, catalogue);
    state = withIsolation(step(state, entry, catalogue), isolation);
    return { entry, before };
  });
  return { walked, after: state };
}

export function withIsolation(state: JobState, isolation: Isolation): JobState {
  const { power, provedDead, failedProof, proofEndedBy } = isolation;
  return {
    ...state,
    power,
    provedDeadAt: provedDead?.at,
    provedDeadUntil: provedDeadUntil(isolation),
    failedProof,
    proofEndedBy,
  };
}

/** One entry on, but for the power. */
export function step(state: JobState, entry: Entry, catalogue: FamilyCatalogue): JobState {
  switch (entry.kind) {
    case 'reading':
    case 'observation':
      return entry.check === undefined ? state : afterCheck(state, entry.check, catalogue);
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

function afterCheck(state: JobState, check: string, catalogue: FamilyCatalogue): JobState {
  const changes = catalogue.check(check)?.changes;
  const refused = new Map(state.refused);
  refused.delete(check);
  return {
    ...state,
    refused,
    limitReset: state.limitReset || changes?.limit === 'closed',
    breakerCycled: state.breakerCycled || changes?.breaker === 'cycled',
  };
}

function afterAction(state: JobState, entry: ActionEntry): JobState {
  const { repair } = entry;
  const next: JobState =
    repair === undefined
      ? state
      : {
          ...state,
          repairsDone: [...state.repairsDone, repair],
          rounds: [
            ...state.rounds,
            { repair, ...(state.verdict ? { verdict: state.verdict } : {}) },
          ],
          verdict: undefined,
        };
  switch (entry.action) {
    case 'press-reset':
      return { ...next, limitReset: true };
    case 'cycle-breaker':
      return { ...next, breakerCycled: true };
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

const liftedBy = ({ wire, end }: ActionEntry): LiftedEnd[] => (wire && end ? [{ wire, end }] : []);

const withoutWire = (lifted: readonly LiftedEnd[], { wire, end }: ActionEntry) =>
  lifted.filter((each) => each.wire !== wire || (end !== undefined && each.end !== end));
