import type { FamilyCatalogue } from './catalogue';
import { saysNoTime } from './clocks';
import { leavesUnit } from './closed';
import { inOrder } from './in-order';
import type { ActionEntry, Entry } from './generated/job-types';
import { powerShownBy } from './power-shown';
import { judgeDeadProof, type DeadProof } from './proof-of-dead';
import { isGap } from './gaps';

/** How the power stands, and whether the unit was proved dead. */
export interface Isolation {
  readonly power: 'unknown' | 'on' | 'off';
  /** When it was proved dead, and by whom, while that still holds. */
  readonly provedDead?: { readonly at: string; readonly by?: string };
  /** What the last try came to, where it proved nothing. */
  readonly failedProof?: Exclude<DeadProof, { kind: 'proved' }> & { readonly at: string };
  /** Why a proof that was there no longer holds. */
  readonly proofEndedBy?: ProofEnd;
  /** When the last hand was on the unit. */
  readonly lastAt?: string;
  readonly visit?: string;
}

export type ProofEnd =
  | 'power-on'
  | 'live-reading'
  | 'power-off'
  | 'failed-proof'
  | 'other-person'
  | 'left'
  | 'wrong-clock'
  | 'restored'
  | 'brought-in';

export const notIsolated: Isolation = { power: 'unknown' };

/** Nobody stays at a unit this long without a word in its logbook: what was proved before is proved anew. Common practice. */
const leftAfterHours = 4;

/** One entry on. */
export function stepIsolation(
  before: Isolation,
  entry: Entry,
  catalogue: FamilyCatalogue,
): Isolation {
  const isHands = !isAtADesk(entry);
  const arrived = isHands ? withPerson(before, entry) : before;
  const after = afterEntry(arrived, entry, catalogue);
  return isHands ? { ...after, lastAt: entry.at, visit: entry.visit ?? after.visit } : after;
}

/** What is written without hands at the unit: in an office, or at the radiators. */
const deskKinds: ReadonlySet<Entry['kind']> = new Set([
  'correction',
  'countersign',
  'verdict',
  'status',
  'part',
  'balancing',
]);

/** Whether an entry is no word of anybody who is at the unit. */
export const isAtADesk = (entry: Entry): boolean => deskKinds.has(entry.kind) || isGap(entry);

/** A proof is of the person who took it, of that visit, and of as long as somebody stays with the unit. */
function withPerson(state: Isolation, { by, visit, at }: Entry): Isolation {
  const { provedDead, lastAt } = state;
  if (!provedDead) return state;
  if (by !== undefined && provedDead.by !== undefined && by !== provedDead.by) {
    return ended(state, 'other-person');
  }
  const isOtherVisit = visit !== undefined && state.visit !== undefined && visit !== state.visit;
  return isOtherVisit || isStale(lastAt ?? provedDead.at, at) ? ended(state, 'left') : state;
}

/** Until when a proof holds if nobody writes anything more; undefined where there is none. */
export const provedDeadUntil = ({ provedDead, lastAt }: Isolation): string | undefined =>
  provedDead &&
  new Date(Date.parse(lastAt ?? provedDead.at) + leftAfterHours * 3_600_000).toISOString();

/** Whether so much time has gone by since the last entry that somebody may have been there meanwhile. */
export const isStale = (lastAt: string, now: string): boolean =>
  Date.parse(now) - Date.parse(lastAt) > leftAfterHours * 3_600_000;

/** Whether somebody was at the unit so lately that a proof may still hold. */
export const isAnybodyThere = (entries: readonly Entry[], now: string): boolean =>
  entries.some((each) => !isAtADesk(each) && !isStale(each.at, now));

function afterEntry(state: Isolation, entry: Entry, catalogue: FamilyCatalogue): Isolation {
  switch (entry.kind) {
    case 'reading':
    case 'observation':
    case 'series': {
      const check = entry.check === undefined ? undefined : catalogue.check(entry.check);
      if (entry.kind === 'observation' && check?.cyclesPower) return live(state, 'power-on');
      const power = powerShownBy(entry, catalogue);
      if (power === 'on') return live(state, 'live-reading');
      // A dead reading says that the power is off, but not that it was proved.
      return power === 'off' && state.power !== 'off' ? { ...state, power } : state;
    }
    case 'action':
      return afterAction(state, entry, catalogue);
    case 'status':
      return leavesUnit(entry) ? ended(state, 'left') : state;
    case 'correction':
      return entry.entry ? afterCorrection(state, entry.entry, catalogue) : state;
    default:
      return state;
  }
}

/** Nothing that is corrected afterwards makes a unit dead; what it now says may show that it is not. */
function afterCorrection(state: Isolation, to: Entry, catalogue: FamilyCatalogue): Isolation {
  const after = afterEntry(state, to, catalogue);
  return isProof(to) && after.provedDead ? state : after;
}

const isProof = (entry: Entry) => entry.kind === 'action' && entry.action === 'proved-dead';

function afterAction(state: Isolation, entry: ActionEntry, catalogue: FamilyCatalogue): Isolation {
  switch (entry.action) {
    case 'power-off':
      return { ...ended(state, 'power-off'), power: 'off', failedProof: undefined };
    case 'power-on':
    case 'cycle-breaker':
      return live(state, 'power-on');
    case 'leave':
      return ended(state, 'left');
    case 'restored':
    case 'brought-in':
      // Somebody may have switched it on meanwhile, and it is not known here yet.
      return {
        ...ended(state, entry.action),
        power: state.power === 'off' ? 'unknown' : state.power,
      };
    case 'proved-dead': {
      const proof = judgeDeadProof(entry, catalogue);
      if (proof.kind === 'proved') {
        const provedDead = { at: entry.at, ...(entry.by === undefined ? {} : { by: entry.by }) };
        return {
          ...state,
          power: 'off',
          provedDead,
          failedProof: undefined,
          proofEndedBy: undefined,
        };
      }
      return {
        ...ended(state, 'failed-proof'),
        power: proof.kind === 'live' ? 'on' : state.power,
        failedProof: { ...proof, at: entry.at },
      };
    }
    default:
      return state;
  }
}

const live = (state: Isolation, by: ProofEnd): Isolation => ({
  ...ended(state, by),
  power: 'on',
  failedProof: undefined,
});

const ended = (state: Isolation, by: ProofEnd | undefined): Isolation =>
  state.provedDead && by ? { ...state, provedDead: undefined, proofEndedBy: by } : state;

/**
 * How the unit stands after all entries, by the more dangerous of two orders: by what the clocks say, and by how the
 * entries came in. A phone whose clock is wrong, or a reading that was sent late, never makes a live unit a dead one. What
 * was struck out afterwards has been done all the same, and a proof that was corrected is none.
 */
export function isolationAfter(
  received: readonly Entry[],
  catalogue: FamilyCatalogue,
  now?: string,
): Isolation {
  const corrected = new Set(
    received.flatMap((each) => (each.kind === 'correction' ? [each.replaces] : [])),
  );
  const byReceipt = foldIsolation(received, corrected, catalogue);
  // What says no time stands where it was received, and there alone.
  const timed = now === undefined ? received : received.filter(({ at }) => !saysNoTime(at, now));
  const ordered = inOrder(timed);
  // Most logbooks were received in order.
  const byClock = isSame(ordered, received)
    ? byReceipt
    : foldIsolation(ordered, corrected, catalogue);
  const worse = moreDangerous(byClock, byReceipt);
  if (now === undefined) return worse;
  if (byReceipt.provedDead && saysNoTime(byReceipt.provedDead.at, now)) {
    return { ...worse, provedDead: undefined, proofEndedBy: worse.proofEndedBy ?? 'wrong-clock' };
  }
  const last = worse.lastAt ?? worse.provedDead?.at;
  return last !== undefined && isStale(last, now) ? ended(worse, 'left') : worse;
}

const isSame = (one: readonly Entry[], other: readonly Entry[]): boolean =>
  one.length === other.length && one.every((each, k) => each === other[k]);

/** How the power stands after entries in this order; a proof that was corrected is none. */
export const foldIsolation = (
  entries: readonly Entry[],
  corrected: ReadonlySet<string>,
  catalogue: FamilyCatalogue,
): Isolation =>
  entries.reduce(
    (state, each) =>
      isProof(each) && corrected.has(each.id)
        ? ended(state, 'failed-proof')
        : stepIsolation(state, each, catalogue),
    notIsolated,
  );

/** Of two ways to read a logbook the one that is worse to be wrong about. */
export const moreDangerous = (byClock: Isolation, byReceipt: Isolation): Isolation =>
  danger(byReceipt) > danger(byClock) ? byReceipt : byClock;

const danger = ({ power, provedDead }: Isolation): number =>
  provedDead ? 0 : power === 'off' ? 1 : power === 'unknown' ? 2 : 3;
