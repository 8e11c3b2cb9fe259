/**
 * The numbers that a firm may have its own opinion of: how often each fault is met, what a check takes, what a mistake
 * costs. Each group says where it comes from. The engine's answers depend on nothing else but these, the plate and the
 * record; `parameterHash` names them in a stored verdict.
 */
export interface FamilyParameters {
  readonly source: string;
  /** Relative prior weight by fault; a fault that is not named is not considered. */
  readonly faultWeights: Readonly<Record<string, number>>;
  /** Share of units with two faults, and pairs that come together more often than chance. */
  readonly twoFaults: {
    readonly share: number;
    readonly together: readonly {
      readonly parts: readonly [string, string];
      readonly factor: number;
    }[];
  };
  /** Share of units with a fault that is in no list; the usual one where absent. */
  readonly unlistedShare?: number;
  /** Share of repairs that do not end their fault; the usual one where absent. */
  readonly repairFails?: number;
  readonly accessMinutes: {
    readonly powerOffAndProve: number;
    readonly powerOn: number;
    readonly liftOrRefitWire: number;
    /**
     * Counts minutes as if covers came off and wires were moved with the power on: so did the study that set the floors of the
     * benchmark. For comparing figures with it, and for nothing else: the steps that are told never do.
     */
    readonly handsUnderPower?: boolean;
    /** By cover. */
    readonly covers: Readonly<Record<string, number>>;
    /** Other facts of access, by id: minutes to make each so, and to undo it. */
    readonly facts?: Readonly<Record<string, readonly [set: number, clear: number]>>;
  };
  /** By check. */
  readonly checkMinutes: Readonly<Record<string, number>>;
  /** Danger priced in minutes, by check. */
  readonly hazardMinutes: Readonly<Record<string, number>>;
  /** What each danger of power going on is worth avoiding, in minutes; the usual prices where absent. */
  readonly dangerMinutes?: Readonly<Partial<Record<string, number>>>;
  readonly wrongVerdict: WrongVerdictPrice;
  readonly errorRates: {
    readonly reading: number;
    readonly observation: number;
    readonly temperature: number;
    /** A caller's answer. */
    readonly answer: number;
  };
  /** By check, where it is not that of its kind. */
  readonly checkErrors?: Readonly<Record<string, number>>;
  /** Means and spreads of what differs from one good unit to the next, natural logarithm, by the family's own names. */
  readonly values: Readonly<Record<string, number>>;
}

/** What acting on a wrong verdict costs. */
export interface WrongVerdictPrice {
  /** The second trip and the lost trust, in minutes. */
  readonly minutes: number;
  /** Work and part thrown away, in minutes and in money, by repair; none where absent. */
  readonly repairs?: Readonly<
    Record<
      string,
      {
        readonly minutes: number;
        readonly partPrice: number;
        /** What the fault may do that it leaves behind, such as scald, priced in minutes. */
        readonly dangerMinutes?: number;
      }
    >
  >;
  /** Money that a minute of work is worth. */
  readonly moneyPerMinute?: number;
}

/** Cost in minutes of doing this repair where it was not the one. */
export function wrongVerdictMinutes(
  { minutes, repairs, moneyPerMinute = 1 }: WrongVerdictPrice,
  repair: string,
): number {
  const own = repairs?.[repair];
  return own
    ? minutes + own.minutes + (own.dangerMinutes ?? 0) + own.partPrice / moneyPerMinute
    : minutes;
}

const hashes = new WeakMap<FamilyParameters, string>();

/** Names a set of parameters: 64 bits of FNV-1a over its JSON, as 16 hexadecimal digits. */
export function parameterHash(parameters: FamilyParameters): string {
  const known = hashes.get(parameters) ?? hashOf(parameters);
  hashes.set(parameters, known);
  return known;
}

function hashOf(parameters: FamilyParameters): string {
  let hash = 0xcbf29ce484222325n;
  for (const character of JSON.stringify(parameters)) {
    hash ^= BigInt(character.codePointAt(0)!);
    hash = BigInt.asUintN(64, hash * 0x100000001b3n);
  }
  return hash.toString(16).padStart(16, '0');
}
