import type { TankDesign, Power } from './design';
import { runTank, type TankCourse } from './run-tank';

/** A long shower, and the wait until most of its heat is back. */
export interface Shower {
  /** What the outlet gives at first. */
  readonly firstCelsius: number;
  /** Until the shower is 2 K colder than it was wanted; the longest where it never is. */
  readonly hotMinutes: number;
  /** Until three fifths of the heat are back; the longest where they never are. */
  readonly againMinutes: number;
}

export interface ShowerWish {
  readonly litrePerMinute: number;
  readonly wantedCelsius: number;
}

/** A usual shower. Common practice. */
export const usualShower: ShowerWish = { litrePerMinute: 8, wantedCelsius: 40 };

/** No longer is anybody asked about. */
export const longest = { showerMinutes: 40, waitMinutes: 180 } as const;

/** Draws a long shower of a tank that stands as given, with its heaters at work, and waits. */
export function showerOf(
  design: TankDesign,
  from: Pick<TankCourse, 'startCelsius' | 'coldCelsius' | 'roomCelsius'> & {
    readonly power: Power;
  },
  { litrePerMinute, wantedCelsius }: ShowerWish = usualShower,
): Shower {
  const drawn = runTank(design, {
    ...from,
    seconds: longest.showerMinutes * 60,
    sampleEverySecond: 30,
    draws: [
      {
        atSecond: 0,
        durationSecond: longest.showerMinutes * 60,
        litrePerMinute,
        wantedCelsius,
      },
    ],
  });
  const firstCelsius = drawn.samples[0]!.outletCelsius;
  const end = drawn.samples.find(({ mixedCelsius = 0 }) => mixedCelsius < wantedCelsius - 2);
  const hotMinutes = end ? end.second / 60 : longest.showerMinutes;
  const missing = 0.6 * Math.max(0, -drawn.energy.stored);
  if (missing > 0 && !canHeat(design, from.power)) {
    return { firstCelsius, hotMinutes, againMinutes: longest.waitMinutes };
  }
  const waited = runTank(design, {
    ...from,
    startCelsius: drawn.endCelsius,
    calling: drawn.calling,
    seconds: longest.waitMinutes * 60,
    sampleEverySecond: 300,
    longestStepSecond: 60,
    draws: [],
    stopWhen: ({ heated }) => heated >= missing,
  });
  return { firstCelsius, hotMinutes, againMinutes: waited.samples.at(-1)!.second / 60 };
}

/** Whether anything heats, whichever thermostats call. */
const canHeat = ({ thermostats }: TankDesign, power: Power): boolean =>
  Array.from({ length: 1 << thermostats.length }, (_, calling) => power(calling)).some((watts) =>
    watts.some((watt) => watt > 0),
  );
