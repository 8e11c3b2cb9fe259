/** What a firm asks for: an hour of work, parts by repair, and a new heater in place. In its own money. */
export interface FirmPrices {
  readonly hour?: number;
  readonly heater?: number;
  readonly parts?: Readonly<Record<string, number>>;
}

/** Usual prices where the firm has said none, in any money: an hour, a heater in place. To be set by the firm. */
export const usualPrices = { hour: 60, heater: 1100 } as const;

/** Years that a tank lives, by what it is made and heated with: half are replaced by then. Common practice. */
export const usualLifeYears = { electric: 12, gas: 10 } as const;

/** Steepness of dying with age: the shape of a Weibull distribution of tank lives. Common practice. */
const lifeShape = 3.2;
/** Faults a year of a heater in the middle of its life. Common practice. */
const faultsAYear = 0.18;
/** A tank past this share of its life is put to the customer beside a new one. */
const oldShare = 0.8;

export interface RepairOrReplaceInput {
  readonly burnsGas: boolean;
  /** Undefined where nobody knows. */
  readonly ageYears: number | undefined;
  readonly tankLeaks: boolean;
  /** Minutes and part of the repair at hand. */
  readonly repair: { readonly id: string; readonly minutes: number; readonly partPrice: number };
  /** Minutes of what else is due and would be done with it. */
  readonly alsoDue: readonly { readonly title: string; readonly minutes: number }[];
  /** Faults of the family with their weights, and what the repair of each costs. */
  readonly failures: readonly {
    readonly words: string;
    readonly weight: number;
    readonly minutes: number;
    readonly partPrice: number;
  }[];
  readonly prices: FirmPrices;
  /** How far ahead, in years. */
  readonly years?: number;
}

export interface RepairOrReplace {
  readonly repairNow: number;
  readonly alsoDue: number;
  /** What failures cost that are to be expected in the years ahead. */
  readonly expectedFailures: number;
  readonly expectedFailureCount: number;
  /** Chance that the tank itself goes in the years ahead. */
  readonly tankDies: number;
  /** Repair, what is due, what is to be expected, and the chance of a heater after all. */
  readonly keep: number;
  /** A new heater, less what is left of its life beyond those years. */
  readonly replace: number;
  readonly lifeYears: number;
  readonly ageYears: number | undefined;
  readonly years: number;
  /** The likeliest of what may fail next. */
  readonly nextFailures: readonly { readonly words: string; readonly share: number }[];
  /** Why figures do not decide it: a tank that leaks is not repaired. */
  readonly mustReplace: boolean;
  readonly isOld: boolean;
}

/** Chance that a tank of an age dies within the years ahead, by a Weibull distribution about its usual life. */
export function tankDies(ageYears: number, lifeYears: number, years: number): number {
  const scale = lifeYears / Math.LN2 ** (1 / lifeShape);
  const survives = (age: number) => Math.exp(-((age / scale) ** lifeShape));
  return 1 - survives(ageYears + years) / survives(ageYears);
}

/**
 * What keeping a heater costs over the years ahead beside what a new one costs over the same years. The decision is the
 * technician's and the customer's: these are figures.
 */
export function repairOrReplace({
  burnsGas,
  ageYears,
  tankLeaks,
  repair,
  alsoDue,
  failures,
  prices,
  years = 2,
}: RepairOrReplaceInput): RepairOrReplace {
  const hour = prices.hour ?? usualPrices.hour;
  const heater = prices.heater ?? usualPrices.heater;
  const lifeYears = usualLifeYears[burnsGas ? 'gas' : 'electric'];
  const costOf = (minutes: number, part: number) => (minutes / 60) * hour + part;
  const repairNow = costOf(repair.minutes, prices.parts?.[repair.id] ?? repair.partPrice);
  const due = alsoDue.reduce((sum, each) => sum + costOf(each.minutes, 0), 0);
  // Nobody knows its age: the middle of its life.
  const age = ageYears ?? lifeYears / 2;
  const weights = failures.reduce((sum, each) => sum + each.weight, 0);
  const rate = faultsAYear * (0.5 + age / lifeYears);
  const count = rate * years;
  const mean =
    weights === 0
      ? 0
      : failures.reduce(
          (sum, each) => sum + each.weight * costOf(each.minutes, each.partPrice),
          0,
        ) / weights;
  const dies = tankLeaks ? 1 : tankDies(age, lifeYears, years);
  const expectedFailures = (1 - dies) * count * mean;
  return {
    repairNow,
    alsoDue: due,
    expectedFailures,
    expectedFailureCount: count,
    tankDies: dies,
    keep: repairNow + due + expectedFailures + dies * heater,
    replace: (heater * years) / lifeYears,
    lifeYears,
    ageYears,
    years,
    nextFailures: failures
      .map(({ words, weight }) => ({ words, share: weight / weights }))
      .sort((one, other) => other.share - one.share)
      .slice(0, 3),
    mustReplace: tankLeaks,
    isOld: age >= oldShare * lifeYears,
  };
}
