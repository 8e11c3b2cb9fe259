import type { FamilyPlate, TapWater } from '../appliances';
import type { Hypothesis } from '../diagnosis/model';

/** Two minutes at a tap under a suspect, in numbers and as a course. */
export interface TapExplained {
  readonly burns: boolean;
  readonly cuts: number;
  /** What the tap gives, in L/min. */
  readonly litrePerMinute: number;
  /** Over the last third. */
  readonly settlesCelsius: number;
  /** Largest fall after a height, once it is warm: hot, cold, hot. */
  readonly swingKelvin: number;
  /** Highest flow temperature, where there is a loop. */
  readonly peakFlowCelsius?: number;
  /** Largest rise of it over ten seconds, in K/s. */
  readonly riseKelvinPerSecond?: number;
  readonly samples: ReturnType<TapWater['twoMinutes']>['samples'];
}

const warmFrom = 40;
const settledFrom = 80;
const riseOver = 10;

export function tapExplained(
  tap: TapWater,
  plate: FamilyPlate,
  hypothesis: Hypothesis,
): TapExplained {
  const { burns, cuts, litrePerMinute, samples } = tap.twoMinutes(plate, hypothesis);
  const late = samples.filter(({ second }) => second >= settledFrom);
  let highest = -Infinity;
  let swing = 0;
  for (const { second, tapCelsius } of samples) {
    if (second < warmFrom) continue;
    highest = Math.max(highest, tapCelsius);
    swing = Math.max(swing, highest - tapCelsius);
  }
  const rises = samples.flatMap(({ second, flowCelsius }) => {
    const after = samples.find((each) => each.second === second + riseOver);
    return after ? [(after.flowCelsius - flowCelsius) / riseOver] : [];
  });
  return {
    burns,
    cuts,
    litrePerMinute,
    settlesCelsius: late.reduce((sum, each) => sum + each.tapCelsius, 0) / late.length,
    swingKelvin: swing,
    ...(tap.hasFlow
      ? {
          peakFlowCelsius: Math.max(...samples.map(({ flowCelsius }) => flowCelsius)),
          riseKelvinPerSecond: Math.max(...rises),
        }
      : {}),
    samples,
  };
}
