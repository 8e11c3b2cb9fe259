import type { Effect } from '../../job-file/catalogue';
import type { ActionEntry, Entry } from '../../job-file/generated/job-types';

/** What a check changes on the unit when it is taken; where it depends on what was found, by the value that was found. */
export type CheckEffects = readonly Effect[] | Readonly<Record<string, readonly Effect[]>>;

/** Whether it changes the same whatever is found. */
export const isWhateverFound = (of: CheckEffects): of is readonly Effect[] => Array.isArray(of);

export interface EffectSource {
  /** Dials of `set-dial`, and the key of each in a state. */
  readonly dials: ReadonlyMap<string, string>;
  /** By check. */
  readonly checks: Readonly<Record<string, CheckEffects | undefined>>;
  /** What every repair ends: whatever was shown before it is shown anew. */
  readonly afterRepair?: readonly Effect[];
  /** Facts that are not so any more once another is made so. */
  readonly ends?: ReadonlyMap<string, readonly string[]>;
}

/** What an entry changes of controls and facts, on any family. */
export function effectsOf(source: EffectSource, entry: Entry): readonly Effect[] {
  const { checks, afterRepair } = source;
  if (entry.kind === 'action' && entry.repair !== undefined && afterRepair) {
    return [...afterRepair, ...actionEffects(source, entry)];
  }
  switch (entry.kind) {
    case 'reading':
    case 'observation': {
      const own = entry.check === undefined ? undefined : ownOf(checks, entry.check);
      if (!own) return none;
      if (isWhateverFound(own)) return own;
      return entry.kind === 'observation' ? (ownOf(own, entry.value) ?? none) : none;
    }
    case 'action':
      return actionEffects(source, entry);
    default:
      return none;
  }
}

function actionEffects({ dials, ends }: EffectSource, entry: ActionEntry): readonly Effect[] {
  const { action, target, dial, to, control, position, fact } = entry;
  switch (action) {
    case 'press-reset':
      return [{ done: 'reset-pressed' }];
    case 'cycle-breaker':
      return [{ done: 'breaker-cycled' }];
    case 'open':
    case 'close':
      return target === undefined ? none : [{ fact: target, so: action === 'open' }];
    case 'set-dial': {
      const key = dial === undefined ? undefined : dials.get(dial);
      return key === undefined || to === undefined ? none : [{ control: key, to }];
    }
    case 'set-control':
      return control === undefined || position === undefined ? none : [{ control, to: position }];
    case 'make-so':
    case 'end-so':
      if (fact === undefined) return none;
      return action === 'end-so'
        ? [{ fact, so: false }]
        : [
            { fact, so: true },
            ...(ends?.get(fact) ?? []).map((each) => ({ fact: each, so: false })),
          ];
    default:
      return none;
  }
}

const none: readonly Effect[] = [];

const ownOf = <T>(of: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(of, key) ? of[key] : undefined;
