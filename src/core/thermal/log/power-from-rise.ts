import { trueOverPlateVolume } from '../tank';
import { waterDensity, waterSpecificHeat } from '../water';
import { slopeOf, type Slope } from './slope';
import type { LogSample } from './temperature-log';

/** What is known of the tank whose warming is watched. */
export interface WatchedTank {
  readonly litre: number;
  /** Relative spread of the volume: nought where it was measured; plates are rounded, mostly upwards. */
  readonly volumeSpread?: number;
  /** Heights of its heaters from the top down, as shares of the tank; nought for a burner under it. */
  readonly heaterHeights: readonly number[];
  readonly lossWattPerKelvin: number;
  readonly roomCelsius: number;
}

export interface PowerFound {
  readonly watt: number;
  /** Nine times in ten it lies between these. */
  readonly lowWatt: number;
  readonly highWatt: number;
  /** What is warmed: all of it above the lowest heater, the part above the upper one, or a part below hotter water. */
  readonly warmed: 'all' | 'top' | 'bottom' | 'nothing';
  /** Share of the tank that is warmed, and its spread. */
  readonly share: number;
}

/** Heights of heaters are known so well from drawings; the volume of a plate so well, and it is so much too large. Common practice. */
const heightSpread = { highest: 0.036, lowest: 0.019, burner: 0.003 } as const;
const plateVolumeSpread = 0.0255;
const lossSpread = 0.35;
/** Slower than this nothing warms it, in K/s. */
const leastSlope = 0.02 / 60;
const ninetyPercent = 1.645;

/**
 * The power that went into the water, from how fast a tank warms that nobody draws of, by probes at its top and its bottom.
 * The heated part times its slope, and what is lost meanwhile. Where hotter water lies above the warming part, how large that
 * is cannot be seen: the interval says so.
 * @param samples of the stretch to be looked at, without draws.
 * @throws RangeError for fewer than three readings at either probe.
 */
export function powerFromRise(
  samples: { readonly top: readonly LogSample[]; readonly bottom: readonly LogSample[] },
  tank: WatchedTank,
): PowerFound {
  const top = slopeOf(samples.top);
  const bottom = slopeOf(samples.bottom);
  const lowest = Math.min(...tank.heaterHeights);
  const highest = Math.max(...tank.heaterHeights);
  const topCelsius = mean(samples.top);
  const bottomCelsius = mean(samples.bottom);
  const rises = (slope: Slope) =>
    slope.kelvinPerSecond > leastSlope && slope.kelvinPerSecond > 3 * slope.spread;
  const [risesAbove, risesBelow] = [rises(top), rises(bottom)];
  const together =
    risesAbove &&
    risesBelow &&
    Math.abs(top.kelvinPerSecond - bottom.kelvinPerSecond) <
      0.25 * Math.max(top.kelvinPerSecond, bottom.kelvinPerSecond);
  const whole = 1 - lowest;
  if (together) {
    const spread = lowest < 0.02 ? heightSpread.burner : heightSpread.lowest;
    return found('all', weighed(top, bottom), whole, spread, {
      celsius: (topCelsius + bottomCelsius) / 2,
      tank,
    });
  }
  if (risesAbove && top.kelvinPerSecond > bottom.kelvinPerSecond) {
    return found('top', top, 1 - highest, heightSpread.highest, {
      celsius: topCelsius * (1 - highest) + bottomCelsius * highest,
      tank,
    });
  }
  if (risesBelow) {
    // Anything between the lower heater and the top may be warming: the middle, and a spread that covers it.
    return found('bottom', bottom, whole * 0.52, whole * 0.12, {
      celsius: (topCelsius + bottomCelsius) / 2,
      tank,
    });
  }
  return { watt: 0, lowWatt: 0, highWatt: 0, warmed: 'nothing', share: 0 };
}

function found(
  warmed: PowerFound['warmed'],
  slope: Slope,
  share: number,
  shareSpread: number,
  { celsius, tank }: { readonly celsius: number; readonly tank: WatchedTank },
): PowerFound {
  const known = tank.volumeSpread !== undefined;
  const litre = tank.litre * (known ? 1 : trueOverPlateVolume);
  const volumeSpread = tank.volumeSpread ?? plateVolumeSpread;
  const at = Math.max(1, Math.min(94, celsius));
  const heatCapacity = (litre / 1000) * waterDensity(35) * waterSpecificHeat(at) * share;
  const warming = heatCapacity * slope.kelvinPerSecond;
  // Only what is warmed has to make up for its loss.
  const loss = Math.max(0, tank.lossWattPerKelvin * share * (celsius - tank.roomCelsius));
  const watt = warming + loss;
  const relative = Math.hypot(
    slope.spread / slope.kelvinPerSecond,
    volumeSpread,
    shareSpread / share,
    // Mixing at the border, and walls that are warmed along.
    0.006,
  );
  const spread = Math.hypot(warming * relative, loss * lossSpread) / watt;
  return {
    watt,
    lowWatt: watt * Math.exp(-ninetyPercent * spread),
    highWatt: watt * Math.exp(ninetyPercent * spread),
    warmed,
    share,
  };
}

/** Two slopes of one body: the surer counts for more. */
function weighed(one: Slope, other: Slope): Slope {
  const [a, b] = [1 / one.spread ** 2, 1 / other.spread ** 2];
  return {
    kelvinPerSecond: (a * one.kelvinPerSecond + b * other.kelvinPerSecond) / (a + b),
    spread: 1 / Math.sqrt(a + b),
  };
}

const mean = (samples: readonly LogSample[]): number =>
  samples.reduce((sum, each) => sum + each.celsius, 0) / samples.length;
