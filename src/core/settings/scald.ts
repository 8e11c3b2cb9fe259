/**
 * Time to a full-thickness burn of adult skin in water, in seconds. A child's skin burns sooner.
 * Points: US CPSC publication 5098, after Moritz and Henriques 1947, from memory; between them the logarithm is linear.
 * @param celsius water temperature; below 48 °C there is no figure.
 */
export function adultBurnSeconds(celsius: number): number | undefined {
  const first = burnPoints[0]!;
  const last = burnPoints.at(-1)!;
  if (celsius < first.celsius) return undefined;
  if (celsius >= last.celsius) return last.seconds;
  const above = burnPoints.findIndex((each) => each.celsius > celsius);
  const [low, high] = [burnPoints[above - 1]!, burnPoints[above]!];
  const share = (celsius - low.celsius) / (high.celsius - low.celsius);
  return Math.exp(Math.log(low.seconds) * (1 - share) + Math.log(high.seconds) * share);
}

const fahrenheit = (value: number) => ((value - 32) * 5) / 9;

/** Temperatures of the table with their times. */
export const burnPoints: readonly { readonly celsius: number; readonly seconds: number }[] = [
  { celsius: fahrenheit(120), seconds: 300 },
  { celsius: fahrenheit(130), seconds: 30 },
  { celsius: fahrenheit(140), seconds: 5 },
  { celsius: fahrenheit(150), seconds: 2 },
];

/** Stored below this, bacteria can grow; the school that stores hot mixes down at the outlet. HSE HSG274 part 2, from memory. */
export const bacteriaSafeCelsius = 60;
