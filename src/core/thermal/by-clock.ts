/** A result of a clock and an eye, with one standard deviation. */
export interface ByClock {
  readonly value: number;
  readonly spread: number;
}

/** How well an eye reads the level of a bucket, as a share of it; and a hand a clock, at each end, in seconds. Common practice. */
const eye = { share: 0.02, leastLitre: 0.12 } as const;
const thumbSecond = 0.3;
/** How well a dial of a meter is read as its hand passes a mark, in turns. Common practice. */
const dialTurn = 0.01;

/**
 * Flow in L/min from a container and a stopwatch.
 * @throws RangeError for a container or a time that is not above zero.
 */
export function flowByClock(litre: number, seconds: number): ByClock {
  above(litre, seconds);
  const value = (litre / seconds) * 60;
  const level = Math.max(eye.share * litre, eye.leastLitre) / litre;
  return { value, spread: value * Math.hypot(level, (Math.SQRT2 * thumbSecond) / seconds) };
}

/**
 * Gas rate in m³/h from turns of a meter's dial and a stopwatch.
 * @param cubicMetrePerTurn what one turn of the dial that is watched lets through.
 * @throws RangeError for turns or a time that are not above zero.
 */
export function gasRateByClock(cubicMetrePerTurn: number, turns: number, seconds: number): ByClock {
  above(cubicMetrePerTurn, turns, seconds);
  const value = (cubicMetrePerTurn * turns * 3600) / seconds;
  return {
    value,
    spread: value * Math.hypot(dialTurn / turns, (Math.SQRT2 * thumbSecond) / seconds),
  };
}

/** Gross heat of a gas rate, in watts. @param grossJoulePerCubicMetre by the gas, or the supplier's bill. */
export const grossWatt = (cubicMetrePerHour: number, grossJoulePerCubicMetre: number): number =>
  (cubicMetrePerHour * grossJoulePerCubicMetre) / 3600;

/** A thermometer by hand errs so much from one reading to the next, in kelvin. Common practice. */
const readingKelvin = 0.3;

/**
 * Rise in K/min from two readings.
 * @throws RangeError for readings that are not apart in time.
 */
export function riseByClock(fromCelsius: number, toCelsius: number, seconds: number): ByClock {
  above(seconds);
  return {
    value: ((toCelsius - fromCelsius) / seconds) * 60,
    spread: ((Math.SQRT2 * readingKelvin) / seconds) * 60,
  };
}

function above(...values: readonly number[]): void {
  if (!values.every((each) => each > 0))
    throw new RangeError('a clock and a measure stand above zero');
}
