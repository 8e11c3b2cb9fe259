import {
  disinfectionCelsius,
  failSafeKelvin,
  litresAtOutlet,
  mixedFrom,
  usualMostHotShare,
  type ValveState,
} from './mixed-water';

/** Four readings at an open tap, with where the valve stood: eighths of a turn from as found, open is more. More at once would be a guess. */
export interface MixingReading {
  readonly eighths: number;
  readonly hotCelsius: number;
  readonly mixedCelsius: number;
  readonly coldCelsius: number;
  readonly tapCelsius: number;
}

export interface MixingPlan {
  readonly tankLitre: number;
  readonly wantedCelsius: number;
  readonly limitCelsius: number;
  readonly readings: readonly MixingReading[];
}

/** What an eighth is worth before any was turned, K, with its spread; and what a reading is off by. Common practice. */
const eighthKelvin = { usual: 4, spread: 1.2 } as const;
const readingKelvin = 0.5;
/** A step of less than this gained nothing, K. */
const leastGain = 0.5;
/** Hot water so near the mixed that it is what limits, K. */
const nearHot = 2.5;
/** A tap so far under its mixed port that cold gets in past the valve, K. */
const crossKelvin = 3;

export interface NextTurn {
  readonly eighths: 1 | -1;
  /** What the tap should read after it, °C, with its spread. */
  readonly tapCelsius: number;
  readonly spreadKelvin: number;
  readonly marginKelvin: number;
  readonly disinfectionMarginKelvin: number;
  readonly litres: number;
  /** It would not stay under the limit: only with a reason. */
  readonly isOverLimit: boolean;
}

export interface MixingFigures {
  readonly tapCelsius: number;
  /** Share of hot water in the mixed, by the balance of energy. */
  readonly hotShare: number;
  readonly litres: number;
  /** Limit less tap, K; and with the hot port as hot as a disinfection makes it. */
  readonly marginKelvin: number;
  readonly disinfectionMarginKelvin: number;
  /** Hot and mixed are nearer than the fail-safe needs. */
  readonly isInsideFailSafe: boolean;
}

export type MixingEnd =
  'wanted' | 'at-limit' | 'no-gain' | 'stored-limits' | 'over-limit' | 'over-at-hottest';
export type MixingFinding = 'hot-side-blocked' | 'passes-hot' | 'cross-flow' | 'outlet-limits';

export interface MixingAdvice {
  readonly now: MixingFigures;
  /** What an eighth has come to be worth, K. */
  readonly eighthKelvin: number;
  /** What the last step gained, K; undefined before the first. */
  readonly lastGainKelvin: number | undefined;
  /** What was told of the last step before it was made, where it was the step that was told of. */
  readonly lastTold: NextTurn | undefined;
  readonly next: NextTurn | undefined;
  /** Why to stop. */
  readonly end: MixingEnd | undefined;
  /** What is found by the way. */
  readonly finding: MixingFinding | undefined;
}

/** A step that moves less is none: by the thermometer at the tap, and by a probe on the pipe, which errs more, K. */
const stillKelvin = { tap: leastGain, mixed: 1.5 } as const;

/** The outlet itself holds the tap where it is: the valve goes on, and the tap does not follow. */
function isOutletHolding(before: MixingReading, now: MixingReading): boolean {
  const moved = Math.abs(now.mixedCelsius - before.mixedCelsius);
  return moved > 2 && Math.abs(now.tapCelsius - before.tapCelsius) < 0.3 * moved;
}

/**
 * The readings with the mixed water by the tap as well: its thermometer errs less than a probe on a pipe, and what is lost between
 * the two is the same at every step, unless the outlet holds the tap.
 */
function smoothed(readings: readonly MixingReading[]): MixingReading[] {
  const holds = readings.some((each, k) => k > 0 && isOutletHolding(readings[k - 1]!, each));
  if (holds) return [...readings];
  const lost =
    readings.reduce((sum, each) => sum + each.mixedCelsius - each.tapCelsius, 0) / readings.length;
  return readings.map((each) => ({
    ...each,
    mixedCelsius: Math.min(each.hotCelsius, each.tapCelsius + lost),
  }));
}

/** What an eighth is worth, from the steps that the valve followed; the usual where none was. */
function worthOf(readings: readonly MixingReading[]): { kelvin: number; spread: number } {
  let precision = 1 / eighthKelvin.spread ** 2;
  let sum = eighthKelvin.usual * precision;
  readings.slice(1).forEach((each, k) => {
    const before = readings[k]!;
    const moved = each.eighths - before.eighths;
    const gained = each.mixedCelsius - before.mixedCelsius;
    // Where the hot side limits, a step says nothing of what the valve is set to.
    const follows =
      gained * moved > 0 &&
      each.hotCelsius - Math.max(each.mixedCelsius, before.mixedCelsius) > nearHot;
    if (moved === 0 || !follows) return;
    const own = moved ** 2 / (2 * readingKelvin ** 2 + (0.15 * gained) ** 2);
    precision += own;
    sum += own * (gained / moved);
  });
  return { kelvin: sum / precision, spread: 1 / Math.sqrt(precision) };
}

/** What was told of the step that was read last, from what was read before it. */
function toldOf(plan: MixingPlan): NextTurn | undefined {
  const [before, last] = plan.readings.slice(-2);
  if (!before || !last) return undefined;
  const next = mixingAdvice({ ...plan, readings: plan.readings.slice(0, -1) })?.next;
  return next && next.eighths === last.eighths - before.eighths ? next : undefined;
}

const hotShareOf = ({ hotCelsius, coldCelsius, mixedCelsius }: MixingReading): number =>
  (mixedCelsius - coldCelsius) / (hotCelsius - coldCelsius);

function figuresOf(
  { tankLitre, limitCelsius }: MixingPlan,
  reading: MixingReading,
  held: ValveState,
): MixingFigures {
  const { hotCelsius, coldCelsius, mixedCelsius, tapCelsius } = reading;
  // What gets in past the valve may stop getting in: of more than a pipe loses, nothing is counted on.
  const lostKelvin = Math.min(crossKelvin, mixedCelsius - tapCelsius);
  const hotThen = Math.max(disinfectionCelsius, hotCelsius);
  const mixedThen = mixedFrom(held, hotThen, coldCelsius);
  return {
    tapCelsius,
    hotShare: hotShareOf(reading),
    litres: litresAtOutlet(tankLitre, hotCelsius, coldCelsius, tapCelsius),
    marginKelvin: limitCelsius - tapCelsius,
    disinfectionMarginKelvin: limitCelsius - (mixedThen - lostKelvin),
    isInsideFailSafe: hotCelsius - mixedCelsius < failSafeKelvin,
  };
}

/**
 * What the valve holds at most, as far as the readings tell: where its hot side limits, or is blocked, each step opened it
 * further unseen, and hotter water will show it.
 */
function heldAtMost(readings: readonly MixingReading[], worth: number): ValveState {
  const [first, ...rest] = readings as [MixingReading, ...MixingReading[]];
  // Already at its hot side when it was found: nobody knows how far it stands open.
  const isHidden = first.hotCelsius - first.mixedCelsius <= nearHot;
  let setCelsius = isHidden
    ? Math.max(first.mixedCelsius, disinfectionCelsius)
    : first.mixedCelsius;
  let mostHotShare = 1;
  let before = first;
  for (const each of rest) {
    const moved = each.eighths - before.eighths;
    const gained = each.mixedCelsius - before.mixedCelsius;
    const isFollowed =
      each.hotCelsius - each.mixedCelsius > nearHot && gained * moved > 0.3 * worth * moved ** 2;
    if (isFollowed) {
      setCelsius = each.mixedCelsius;
      mostHotShare = 1;
    } else {
      // A step shut that is not seen to move anything has shut nothing: it may pass hot.
      setCelsius = Math.max(each.mixedCelsius, setCelsius + worth * Math.max(0, moved));
      mostHotShare = hotShareOf(each);
    }
    before = each;
  }
  return { setCelsius, mostHotShare };
}

/** What is found by the way, from what was read itself. */
function findingOf(readings: readonly MixingReading[]): MixingFinding | undefined {
  const last = readings.at(-1)!;
  const before = readings.at(-2);
  const isNearHot = last.hotCelsius - last.mixedCelsius < nearHot;
  const isStill =
    before !== undefined &&
    Math.abs(last.tapCelsius - before.tapCelsius) < stillKelvin.tap &&
    Math.abs(last.mixedCelsius - before.mixedCelsius) < stillKelvin.mixed;
  if (before && isStill) {
    if (last.eighths > before.eighths && !isNearHot) return 'hot-side-blocked';
    if (last.eighths < before.eighths && isNearHot) return 'passes-hot';
  }
  if (before && isOutletHolding(before, last)) return 'outlet-limits';
  return last.mixedCelsius - last.tapCelsius < crossKelvin ? undefined : 'cross-flow';
}

/**
 * What to do next at a mixing valve, from what was read after each step: the balance of energy for what is mixed, what an
 * eighth is worth fitted from the steps, the margin to the limit now and with the tank at its hottest, and the litres that
 * are left. Undefined before anything was read, or where hot is no hotter than cold.
 */
export function mixingAdvice(plan: MixingPlan): MixingAdvice | undefined {
  const { wantedCelsius, limitCelsius, tankLitre } = plan;
  const asRead = plan.readings.at(-1);
  if (!asRead || plan.readings.some((each) => each.hotCelsius - each.coldCelsius < 5)) {
    return undefined;
  }
  const readings = smoothed(plan.readings);
  const last = readings.at(-1)!;
  const worth = worthOf(readings);
  const held = heldAtMost(readings, worth.kelvin);
  const now = figuresOf(plan, last, held);
  const before = readings.at(-2);
  const lastGainKelvin = before && last.tapCelsius - before.tapCelsius;
  const finding = findingOf(plan.readings);
  const most = last.coldCelsius + usualMostHotShare * (last.hotCelsius - last.coldCelsius);
  const turn = (eighths: 1 | -1): NextTurn => {
    const mixedCelsius = Math.min(
      last.mixedCelsius + eighths * worth.kelvin,
      Math.max(most, last.mixedCelsius),
    );
    const tapCelsius = mixedCelsius - (last.mixedCelsius - last.tapCelsius);
    const setCelsius = held.setCelsius + eighths * worth.kelvin;
    const figures = figuresOf(plan, { ...last, mixedCelsius, tapCelsius }, { ...held, setCelsius });
    const { marginKelvin, disinfectionMarginKelvin } = figures;
    return {
      eighths,
      tapCelsius,
      spreadKelvin: Math.hypot(worth.spread, readingKelvin),
      marginKelvin,
      disinfectionMarginKelvin,
      litres: litresAtOutlet(tankLitre, last.hotCelsius, last.coldCelsius, tapCelsius),
      // Once in a while the tank is at its hottest: that margin counts as well.
      isOverLimit: Math.min(marginKelvin, disinfectionMarginKelvin) < 0,
    };
  };
  const end = endOf();
  const goesDown = end === 'over-limit' || end === 'over-at-hottest';
  return {
    now,
    eighthKelvin: worth.kelvin,
    lastGainKelvin,
    lastTold: toldOf(plan),
    next: goesDown ? turn(-1) : end === 'wanted' ? undefined : turn(1),
    end,
    finding,
  };

  function endOf(): MixingEnd | undefined {
    const { tapCelsius, hotCelsius, mixedCelsius } = last;
    if (tapCelsius > limitCelsius + readingKelvin) return 'over-limit';
    if (now.disinfectionMarginKelvin < -readingKelvin) return 'over-at-hottest';
    if (tapCelsius >= wantedCelsius - readingKelvin) return 'wanted';
    if (hotCelsius - mixedCelsius < nearHot) return 'stored-limits';
    if (before && last.eighths > before.eighths && lastGainKelvin! < leastGain) return 'no-gain';
    return turn(1).isOverLimit ? 'at-limit' : undefined;
  }
}
