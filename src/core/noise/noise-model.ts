import {
  compileFamily,
  type CompiledFamily,
  type FamilyModel,
  type Observable,
} from '../diagnosis';
import tables from './noise.json' with { type: 'json' };

export type Fuel = 'gas' | 'electric';

/** A cause of noise, as it is told. */
export interface NoiseCause {
  readonly id: string;
  /** In words: "sediment in the bottom". */
  readonly words: string;
  readonly repair: string;
  /** What is done, where no repair of the unit's family says it. */
  readonly act?: string;
  /** The look that confirms it, in words, and the check that takes it. */
  readonly confirm: string;
  readonly check: string;
  /** Made safe before anything else. */
  readonly stop: boolean;
}

type Shares = Readonly<Record<string, number>>;

interface CauseTable {
  readonly words: string;
  readonly weight: Readonly<Record<Fuel, number>>;
  readonly repair: string;
  readonly act?: string;
  readonly sound: Shares;
  readonly where: Shares;
  readonly when: Shares;
  readonly confirm: string;
  readonly check: string;
  readonly stop?: boolean;
}

const causeTables = tables.causes as unknown as Readonly<Record<string, CauseTable>>;

/** Looks that speak for one cause or another, beside sound, place and time. */
export const noiseLookIds: readonly string[] = Object.keys(tables.looks);

export const noiseErrorRate = tables.errorRate;

export const causeOf = (id: string): NoiseCause => {
  const { words, repair, act, confirm, check, stop = false } = causeTables[id]!;
  return { id, words, repair, act, confirm, check, stop };
};

/** What a noise may be looked at by. The confirming look is that of one cause. */
export interface NoiseObservable extends Observable {
  readonly check: string;
  readonly cause?: string;
}

export const noiseObservable = (check: string, cause?: string): NoiseObservable => ({
  key: cause === undefined ? check : `${check} ${cause}`,
  check,
  cause,
});

const told = { 'noise-sound': 'sound', 'noise-where': 'where', 'noise-when': 'when' } as const;

/**
 * Causes of noise as hypotheses of the engine: each its own repair, weighed by the fuel; what it sounds like, where and when
 * by tables, mixed with a flat one by the error rate of an answer.
 */
export function noiseModel(fuel: Fuel): FamilyModel<NoiseObservable> {
  const causes = Object.entries(causeTables).filter(([, { weight }]) => weight[fuel] > 0);
  const ids = causes.map(([id]) => id);
  return {
    hypotheses: causes.map(([id, { weight }]) => ({
      id,
      faults: [id],
      repairs: [id],
      weight: weight[fuel],
      grid: 'coarse',
    })),
    unknowns: [],
    repairOf: Object.fromEntries(ids.map((id) => [id, id])),
    healthyIndex: ids.indexOf('heating-sound'),
    afterRepairs: (hypothesis) => [hypothesis],
    predictor: (observable) => (hypothesis) => ({
      kind: 'outcomes',
      probabilities: sharesOf(observable, ids[hypothesis]!),
    }),
  };
}

function sharesOf({ check, cause }: NoiseObservable, id: string): Shares {
  if (Object.hasOwn(told, check)) return causeTables[id]![told[check as keyof typeof told]];
  if (check === 'noise-confirm') {
    const seen = id === cause ? tables.confirm.seen : tables.confirm.else;
    return { seen, 'not-seen': 1 - seen };
  }
  const look = tables.looks[check as keyof typeof tables.looks];
  return (look.for as Readonly<Record<string, Shares>>)[id] ?? look.else;
}

const compiled = new Map<Fuel, CompiledFamily<NoiseObservable>>();

/** The tables of a fuel, made once. */
export function compiledNoise(fuel: Fuel): CompiledFamily<NoiseObservable> {
  let found = compiled.get(fuel);
  if (!found) {
    found = compileFamily(noiseModel(fuel));
    compiled.set(fuel, found);
  }
  return found;
}
