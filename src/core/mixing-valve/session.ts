import { effectiveEntries, type Entry, type MixingEntry } from '../job-file';
import { outletLimit, type LimitRule, type Outlet, type OutletLimit } from './limits';
import type { MixingReading } from './steps';

export interface MixingStep extends MixingReading {
  readonly at: string;
  readonly entry: string;
  /** Why it was opened past the limit. */
  readonly reason?: string;
}

/** A mixing valve that is being set, as its entries tell it: from the last beginning on. */
export interface MixingSession {
  readonly begun?: {
    readonly outlet: Outlet;
    readonly rule: LimitRule;
    readonly isFrail: boolean;
    readonly limit: OutletLimit;
    readonly wantedCelsius: number;
  };
  readonly steps: readonly MixingStep[];
  readonly ended?: {
    readonly why: NonNullable<MixingEntry['ended']>;
    readonly isLocked: boolean;
    readonly isTold: boolean;
    readonly farthestCelsius?: number;
    readonly reason?: string;
  };
  /** Readings that nobody began to set a valve by: they count for nothing. */
  readonly unbegun: number;
}

const celsius = (value: MixingEntry['hot']): number | undefined =>
  (value as { readonly celsius?: number } | undefined)?.celsius;

/** What the logbook says of the valve, corrections applied. Entries that lack something count for nothing. */
export function mixingSession(entries: readonly Entry[]): MixingSession {
  let session: MixingSession = { steps: [], unbegun: 0 };
  for (const entry of effectiveEntries(entries)) {
    if (entry.kind !== 'mixing') continue;
    session = after(session, entry);
  }
  return session;
}

function after(session: MixingSession, entry: MixingEntry): MixingSession {
  switch (entry.phase) {
    case 'begun': {
      const { outlet, rule, isFrail } = entry;
      const wantedCelsius = celsius(entry.wanted);
      if (outlet === undefined || rule === undefined || wantedCelsius === undefined) return session;
      const frail = isFrail ?? true;
      const limit = outletLimit(outlet, rule, { ownCelsius: celsius(entry.limit), isFrail: frail });
      return {
        begun: { outlet, rule, isFrail: frail, limit, wantedCelsius },
        steps: [],
        unbegun: session.unbegun,
      };
    }
    case 'read': {
      if (!session.begun) return { ...session, unbegun: session.unbegun + 1 };
      const { eighths, id, at, reason } = entry;
      const [hot, mixed, cold, tap] = [entry.hot, entry.mixed, entry.cold, entry.tap].map(celsius);
      if ([eighths, hot, mixed, cold, tap].some((each) => each === undefined)) return session;
      const step: MixingStep = {
        entry: id,
        at,
        eighths: eighths!,
        hotCelsius: hot!,
        mixedCelsius: mixed!,
        coldCelsius: cold!,
        tapCelsius: tap!,
        ...(reason === undefined ? {} : { reason }),
      };
      // A valve that is turned again is not set any more.
      return { ...session, steps: [...session.steps, step], ended: undefined };
    }
    case 'ended': {
      const { ended, isLocked = false, isTold = false, reason } = entry;
      if (!session.begun || ended === undefined) return session;
      const farthestCelsius = celsius(entry.farthest);
      return {
        ...session,
        ended: {
          why: ended,
          isLocked,
          isTold,
          ...(farthestCelsius === undefined ? {} : { farthestCelsius }),
          ...(reason === undefined ? {} : { reason }),
        },
      };
    }
  }
}
