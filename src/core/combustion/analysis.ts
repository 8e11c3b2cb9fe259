import { condensedShare, dewPointCelsius } from './condensing';
import { carbonDioxideOf, excessAirShown, instrumentOxygen, oxygenOf } from './excess-air';
import type { Fuel } from './fuel';

/** What an analyser measured in the flue: dry, as read. Nothing of it is corrected in the store. */
export interface Analysis {
  /** One of these two in percent; where both stand, oxygen counts. */
  readonly oxygenPercent?: number;
  readonly carbonDioxidePercent?: number;
  readonly carbonMonoxidePpm: number;
  readonly flueCelsius: number;
  /** At the intake: on a balanced flue in the air annulus. */
  readonly airCelsius: number;
  readonly ambientCarbonMonoxidePpm?: number;
  /** Of the water that comes back to the boiler, where it was read. */
  readonly returnCelsius?: number;
}

export interface AnalysisResult {
  readonly oxygenPercent: number;
  readonly carbonDioxidePercent: number;
  /** Which of the two was worked out from the other. */
  readonly computed: 'oxygen' | 'carbon-dioxide' | undefined;
  readonly excessAirPercent: number;
  /** Siegert, on net heat. */
  readonly flueLossPercent: number;
  readonly carbonMonoxideAirFreePpm: number;
  readonly ratio: number;
  readonly netPercent: number;
  readonly grossPercent: number;
  readonly dewPointCelsius: number;
  /** Of its water, left behind; nought where nothing says that it condenses. */
  readonly condensedShare: number;
}

/** It condenses where the return stands this much below the dew point. Common practice. */
const belowDewKelvin = 3;

/**
 * What follows from an analysis.
 * @throws RangeError where neither oxygen nor carbon dioxide was read, or one is not possible with this fuel.
 */
export function workOut(fuel: Fuel, analysis: Analysis): AnalysisResult {
  const { oxygenPercent, carbonDioxidePercent, carbonMonoxidePpm, flueCelsius, airCelsius } =
    analysis;
  if (oxygenPercent === undefined && carbonDioxidePercent === undefined) {
    throw new RangeError('oxygen or carbon dioxide has to be read');
  }
  const oxygen = oxygenPercent ?? oxygenOf(fuel, carbonDioxidePercent!);
  const carbonDioxide =
    oxygenPercent !== undefined && carbonDioxidePercent !== undefined
      ? carbonDioxidePercent
      : carbonDioxideOf(fuel, oxygen);
  const loss = flueLossPercent(fuel, oxygen, flueCelsius, airCelsius);
  const dewPoint = dewPointCelsius(fuel, oxygen);
  const mayCondense =
    analysis.returnCelsius !== undefined && analysis.returnCelsius < dewPoint - belowDewKelvin;
  const share = mayCondense ? condensedShare(fuel, oxygen, flueCelsius) : 0;
  const mostNet = 100 * fuel.grossByNet;
  const net = Math.min(mostNet, 100 - loss + share * (mostNet - 100));
  return {
    oxygenPercent: oxygen,
    carbonDioxidePercent: carbonDioxide,
    computed:
      oxygenPercent === undefined
        ? 'oxygen'
        : carbonDioxidePercent === undefined
          ? 'carbon-dioxide'
          : undefined,
    excessAirPercent: 100 * excessAirShown(oxygen),
    flueLossPercent: loss,
    carbonMonoxideAirFreePpm: airFree(carbonMonoxidePpm, oxygen),
    ratio: carbonMonoxideRatio(carbonMonoxidePpm, carbonDioxide),
    netPercent: net,
    grossPercent: net / fuel.grossByNet,
    dewPointCelsius: dewPoint,
    condensedShare: share,
  };
}

/** Heat that leaves by the flue, in percent of net heat, without what condenses: Siegert. */
export const flueLossPercent = (
  { siegertA, siegertB }: Fuel,
  oxygenPercent: number,
  flueCelsius: number,
  airCelsius: number,
): number => (flueCelsius - airCelsius) * (siegertA / (21 - oxygenPercent) + siegertB);

/** Carbon monoxide brought to flue gas without air too much, in ppm: ANSI Z21 practice. */
export const airFree = (ppm: number, oxygenPercent: number): number =>
  (ppm * instrumentOxygen) / (instrumentOxygen - oxygenPercent);

/** CO by CO2, as BS 7967 has it. */
export const carbonMonoxideRatio = (ppm: number, carbonDioxidePercent: number): number =>
  ppm / (10_000 * carbonDioxidePercent);
