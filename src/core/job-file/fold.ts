import type { Effect, FamilyCatalogue } from './catalogue';
import { leavesUnit } from './closed';
import { effectiveEntries } from './corrections';
import type { ActionEntry, Entry, LiftedEnd } from './generated/job-types';
import {
  isAtADesk,
  isolationAfter,
  isStale,
  notIsolated,
  provedDeadUntil,
  stepIsolation,
  type Isolation,
} from './isolation';
import { isGap } from './gaps';
import { withStep } from './runs';
import { emptyState, type FactStanding, type JobState } from './state';
import { withWire } from './wire-map';

/**
 * The state after all entries, which stand in the order in which they were received.
 * @param now if given, a proof of dead that nobody has stayed with does not hold any more.
 */
export function foldEntries(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
  now?: string,
): JobState {
  return stateAfter(goThroughEntries(entries, catalogue), catalogue, now);
}

/** An entry that counts, with the state in which it was made. */
export interface WalkedEntry {
  readonly entry: Entry;
  readonly before: JobState;
}

/** Each entry that counts, with the state in which it was made. */
export const walkEntries = (entries: readonly Entry[], catalogue: FamilyCatalogue): WalkedEntry[] =>
  foldAll(entries, catalogue).walked;

/** What going through a logbook gives, whatever the time is. */
export interface LogbookRead {
  readonly entries: readonly Entry[];
  readonly walked: readonly WalkedEntry[];
  /** As the last entry left it. */
  readonly after: JobState;
}

/** Goes through a logbook a single time. */
export const goThroughEntries = (
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
): LogbookRead => ({ entries, ...foldAll(entries, catalogue) });

/** The state after all entries of a logbook that was gone through. @param now as for `foldEntries`. */
export const stateAfter = (
  { entries, after }: LogbookRead,
  catalogue: FamilyCatalogue,
  now?: string,
): JobState =>
  withIsolation(factsNow(after, catalogue, now), isolationAfter(entries, catalogue, now));

/** Both at once: the logbook is gone through a single time. */
export function readLogbook(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
  now?: string,
): { readonly walked: readonly WalkedEntry[]; readonly state: JobState } {
  const read = goThroughEntries(entries, catalogue);
  return { walked: read.walked, state: stateAfter(read, catalogue, now) };
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
  const until = provedDeadUntil(isolation);
  const isAsItWas =
    state.power === power &&
    state.provedDeadAt === provedDead?.at &&
    state.provedDeadBy === provedDead?.by &&
    state.provedDeadUntil === until &&
    state.failedProof === failedProof &&
    state.proofEndedBy === proofEndedBy;
  // Of ten thousand entries most change nothing.
  if (isAsItWas) return state;
  return {
    ...state,
    power,
    provedDeadAt: provedDead?.at,
    provedDeadBy: provedDead?.by,
    provedDeadUntil: until,
    failedProof,
    proofEndedBy,
  };
}

/** One entry on, but for the power. */
export function step(state: JobState, entry: Entry, catalogue: FamilyCatalogue): JobState {
  const arrived = withHands(state, entry, catalogue);
  return withEffects(stepped(arrived, entry), entry, catalogue.effectsOf(entry));
}

/** Hands on the unit: what somebody else, or somebody who has gone since, made so does not hold any more. */
function withHands(state: JobState, entry: Entry, catalogue: FamilyCatalogue): JobState {
  if (catalogue.facts.size === 0) return state;
  const isGone =
    (entry.kind === 'action' && entry.action === 'leave') ||
    isGap(entry) ||
    (entry.kind === 'status' && leavesUnit(entry));
  if (isAtADesk(entry)) return isGone ? withoutLapsed(state, catalogue, () => true) : state;
  const { lastHandAt, lastVisit } = state;
  const isOtherVisit =
    entry.visit !== undefined && lastVisit !== undefined && entry.visit !== lastVisit;
  const isAway =
    isGone || isOtherVisit || (lastHandAt !== undefined && isStale(lastHandAt, entry.at));
  const left = withoutLapsed(
    state,
    catalogue,
    ({ by }) => isAway || (by !== undefined && entry.by !== undefined && by !== entry.by),
  );
  return {
    ...left,
    lastHandAt: entry.at,
    ...(entry.visit === undefined ? {} : { lastVisit: entry.visit }),
  };
}

/** Facts that end without a word of anybody, where they have. */
export function withoutLapsed(
  state: JobState,
  { facts }: FamilyCatalogue,
  hasLapsed: (standing: FactStanding) => boolean,
): JobState {
  const left = Object.entries(state.facts).filter(
    ([id, standing]) => !(facts.get(id)?.lapses && hasLapsed(standing)),
  );
  if (left.length === Object.keys(state.facts).length) return state;
  const held = Object.fromEntries(left);
  const gone = Object.entries(state.facts).filter(([id]) => !Object.hasOwn(held, id));
  const lapsed = Object.fromEntries(gone.map(([id, { at }]) => [id, at]));
  return { ...state, facts: held, lapsed: { ...state.lapsed, ...lapsed } };
}

/**
 * Whether what a logbook said at one time it says at another, when nothing was written between: whether anything that lapses
 * by itself, a proof of dead or what hands have left, has lapsed.
 * @param state as it was read at `readAt`.
 */
export function stillHolds(
  { provedDeadUntil: until, lastHandAt }: JobState,
  readAt: string,
  now: string,
): boolean {
  const isProofAsItWas = until === undefined || Date.parse(now) <= Date.parse(until);
  const areHandsAsTheyWere =
    lastHandAt === undefined || isStale(lastHandAt, readAt) === isStale(lastHandAt, now);
  return isProofAsItWas && areHandsAsTheyWere;
}

/** What nobody has stayed with until now does not hold any more. */
export const factsNow = (
  state: JobState,
  catalogue: FamilyCatalogue,
  now: string | undefined,
): JobState =>
  now !== undefined && state.lastHandAt !== undefined && isStale(state.lastHandAt, now)
    ? withoutLapsed(state, catalogue, () => true)
    : state;

function stepped(state: JobState, entry: Entry): JobState {
  switch (entry.kind) {
    case 'reading':
    case 'observation':
      return entry.check === undefined ? state : takenAfterAll(state, entry.check);
    case 'action':
      return afterAction(state, entry);
    case 'skip':
      return { ...state, refused: new Map(state.refused).set(entry.check, entry.reason) };
    case 'setting': {
      const { found, left } = state.settings.get(entry.setting) ?? {};
      // Why belongs to the value that it was left at last.
      const record =
        entry.as === 'left'
          ? { found, left: entry.value, why: entry.why, due: entry.due }
          : { ...state.settings.get(entry.setting), found: entry.value, left };
      return { ...state, settings: new Map(state.settings).set(entry.setting, record) };
    }
    case 'part':
      return { ...state, parts: new Map(state.parts).set(entry.part, entry.action) };
    case 'status':
      return { ...state, status: entry };
    case 'verdict':
      return { ...state, verdict: entry };
    case 'step':
      return { ...state, runs: withStep(state.runs, entry) };
    case 'wire':
      return { ...state, wires: withWire(state.wires, entry) };
    case 'service':
      return { ...state, served: { ...state.served, [entry.service]: entry.at } };
    default:
      return state;
  }
}

function takenAfterAll(state: JobState, check: string): JobState {
  if (!state.refused.has(check)) return state;
  const refused = new Map(state.refused);
  refused.delete(check);
  return { ...state, refused };
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
    case 'lift-wire':
      return { ...next, lifted: [...withoutWire(state.lifted, entry), ...liftedBy(entry)] };
    case 'refit-wire':
      return { ...next, lifted: withoutWire(state.lifted, entry) };
    default:
      return next;
  }
}

function withEffects(state: JobState, { at, by }: Entry, effects: readonly Effect[]): JobState {
  return effects.reduce((now, effect): JobState => {
    if ('control' in effect) {
      return { ...now, controls: { ...now.controls, [effect.control]: effect.to } };
    }
    if ('done' in effect) {
      return now.done.includes(effect.done) ? now : { ...now, done: [...now.done, effect.done] };
    }
    const { [effect.fact]: known, ...others } = now.facts;
    const { [effect.fact]: _since, ...lapsed } = now.lapsed;
    if (!effect.so) return { ...now, facts: others, lapsed };
    return known ? now : { ...now, facts: { ...others, [effect.fact]: { at, by } }, lapsed };
  }, state);
}

const liftedBy = ({ wire, end }: ActionEntry): LiftedEnd[] => (wire && end ? [{ wire, end }] : []);

const withoutWire = (lifted: readonly LiftedEnd[], { wire, end }: ActionEntry) =>
  lifted.filter((each) => each.wire !== wire || (end !== undefined && each.end !== end));
