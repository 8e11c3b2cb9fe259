import { effectiveEntries, type BalancingEntry, type Entry } from '../job-file';
import type { ReadRound } from './fit';
import type { ListedRadiator } from './house';
import { openTurns } from './lockshield';
import { ratedBySize, type RadiatorKind } from './radiator';

export type AsideReason = NonNullable<BalancingEntry['aside']>;

/** A radiator of the list, as the logbook has it now. */
export interface BalancedRadiator extends ListedRadiator {
  readonly room: string;
  readonly kind: RadiatorKind;
  readonly heightMetre: number;
  /** Whether its output was said, and not worked out from its size. */
  readonly isRated: boolean;
  /** Turns of its lockshield from shut, as it was found first and as it stands. */
  readonly turnsFound?: number;
  readonly turns: number;
  readonly aside?: AsideReason;
}

/** Readings that were taken with the lockshields as they then stood; a valve that is set begins the next. */
export interface BalancingRound extends Omit<ReadRound, 'flowCelsius'> {
  readonly flowCelsius?: number;
  /** When the last of it was read. */
  readonly at: string;
}

/** A house that is being balanced, as its entries tell it. */
export interface BalancingSession {
  readonly radiators: readonly BalancedRadiator[];
  readonly rounds: readonly BalancingRound[];
  /** When the warming up began; and what stood how before. */
  readonly warmingSince?: string;
  readonly found?: string;
  /** When a valve was set last, after the last reading. */
  readonly setSince?: string;
  readonly ended?: { readonly why: NonNullable<BalancingEntry['ended']>; readonly at: string };
  readonly isRestored: boolean;
  /** Names of radiators that are in no list: what was said of them counts for nothing. */
  readonly unlisted: readonly string[];
  readonly startedAt?: string;
}

/** Rooms that nobody measured. Common practice. */
const usualRoomCelsius = 20;

/** What the logbook says of balancing, corrections applied. */
export function balancingSession(entries: readonly Entry[]): BalancingSession {
  const own = effectiveEntries(entries).filter((each) => each.kind === 'balancing');
  const listed = listedIn(own);
  const places = new Map([...listed.keys()].map((id, place) => [id, place]));
  const turns = [...listed.keys()].map(() => openTurns);
  const found = new Map<string, number>();
  const asides = new Map<string, AsideReason>();
  const unlisted = new Set<string>();
  let rounds: MutableRound[] = [];
  let isSet = true;
  let state: Pick<BalancingSession, 'warmingSince' | 'found' | 'setSince' | 'ended'> = {};
  let isRestored = false;
  const round = (at: string): MutableRound => {
    if (isSet || rounds.length === 0) rounds.push(emptyRound(turns));
    isSet = false;
    const last = rounds.at(-1)!;
    last.at = at;
    return last;
  };
  for (const entry of own) {
    const { phase, radiator, at } = entry;
    const place = radiator === undefined ? undefined : places.get(radiator);
    if (radiator !== undefined && place === undefined) {
      unlisted.add(radiator);
      continue;
    }
    switch (phase) {
      case 'warming':
        state = { ...state, warmingSince: at, found: entry.found ?? state.found, ended: undefined };
        break;
      case 'valve': {
        if (place === undefined || entry.turnsFromShut === undefined) break;
        if (entry.as === 'found' && !found.has(radiator!)) {
          found.set(radiator!, entry.turnsFromShut);
          break;
        }
        if (turns[place] === entry.turnsFromShut) break;
        turns[place] = entry.turnsFromShut;
        isSet = true;
        state = { ...state, setSince: at, ended: undefined };
        break;
      }
      case 'boiler': {
        const now = round(at);
        now.flowCelsius = entry.flow?.celsius ?? now.flowCelsius;
        now.returnCelsius = entry.return?.celsius ?? now.returnCelsius;
        break;
      }
      case 'surface': {
        if (place === undefined) break;
        const now = round(at);
        now.topCelsius[place] = entry.top?.celsius;
        now.bottomCelsius[place] = entry.bottom?.celsius;
        break;
      }
      case 'set-aside':
        asides.set(radiator!, entry.aside ?? 'other');
        break;
      case 'taken-in':
        asides.delete(radiator!);
        break;
      case 'changed':
        // Another pump speed or radiator: what was read before is of another house.
        rounds = [];
        isSet = true;
        break;
      case 'ended':
        state = { ...state, ended: { why: entry.ended ?? 'stopped', at } };
        isRestored = entry.isRestored ?? isRestored;
        break;
      case 'radiator':
        break;
    }
  }
  return {
    radiators: [...listed].map(([id, each], place) => ({
      ...each,
      turns: turns[place]!,
      ...(found.has(id) ? { turnsFound: found.get(id)! } : {}),
      ...(asides.has(id) ? { aside: asides.get(id)! } : {}),
    })),
    rounds,
    ...state,
    isRestored,
    unlisted: [...unlisted],
    ...(own[0] ? { startedAt: own[0].at } : {}),
  };
}

interface MutableRound {
  flowCelsius?: number;
  returnCelsius?: number;
  turns: number[];
  topCelsius: (number | undefined)[];
  bottomCelsius: (number | undefined)[];
  at: string;
}

const emptyRound = (turns: readonly number[]): MutableRound => ({
  turns: [...turns],
  topCelsius: turns.map(() => undefined),
  bottomCelsius: turns.map(() => undefined),
  at: '',
});

/** Radiators in the order in which they were listed first, each as it was described last. */
function listedIn(own: readonly BalancingEntry[]) {
  const listed = new Map<string, Omit<BalancedRadiator, 'turns'>>();
  for (const { phase, radiator, room, radiatorKind, height, width, rated, ...rest } of own) {
    if (phase !== 'radiator' || radiator === undefined || radiatorKind === undefined) continue;
    const [heightMetre, widthMetre] = [height, width].map((each) => (each?.millimetre ?? 0) / 1000);
    if (!heightMetre || !widthMetre) continue;
    listed.set(radiator, {
      id: radiator,
      room: room ?? radiator,
      kind: radiatorKind,
      heightMetre,
      widthMetre,
      isRated: rated?.watt !== undefined,
      ratedWatt: rated?.watt ?? ratedBySize(radiatorKind, heightMetre, widthMetre),
      roomCelsius: rest.roomTemperature?.celsius ?? usualRoomCelsius,
    });
  }
  return listed;
}

/** Rounds whose flow at the boiler is known and in which something was read: what a fit may take. */
export function fittableRounds(session: BalancingSession): ReadRound[] {
  return session.rounds.flatMap(({ flowCelsius, ...round }) =>
    flowCelsius !== undefined && round.topCelsius.some((each) => each !== undefined)
      ? [{ ...round, flowCelsius }]
      : [],
  );
}
