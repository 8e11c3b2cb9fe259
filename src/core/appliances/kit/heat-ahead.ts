import { runTank, type Power, type TankDesign } from '../../thermal/tank';
import type { HeatAhead, StandingWater } from '../appliance-family';

/** No tank of a house takes longer. */
const longestSeconds = 12 * 3600;

/** Runs a sound tank from how it stands until all its thermostats are satisfied, without a draw. */
export function heatAhead(
  design: TankDesign,
  power: Power,
  { topCelsius, bottomCelsius, dialCelsius }: StandingWater,
  coldCelsius: number,
): HeatAhead {
  const within = (celsius: number) => Math.max(1, Math.min(90, celsius));
  const split = Math.max(...design.heaters.map(({ height }) => height));
  const sampleEverySecond = 60;
  const { samples } = runTank(
    dialCelsius === undefined
      ? design
      : {
          ...design,
          thermostats: design.thermostats.map((each) => ({ ...each, cutOutCelsius: dialCelsius })),
        },
    {
      seconds: longestSeconds,
      startCelsius: Array.from({ length: 30 }, (_, k) =>
        within((k + 0.5) / 30 < split ? Math.min(bottomCelsius, topCelsius) : topCelsius),
      ),
      coldCelsius,
      roomCelsius: 19,
      draws: [],
      power,
      sampleEverySecond,
      longestStepSecond: 60,
    },
  );
  const end = samples.find(({ calling }) => calling === 0) ?? samples.at(-1)!;
  const two = design.thermostats.length > 1;
  const over = two ? samples.find(({ calling }) => (calling & 1) === 0) : undefined;
  return {
    ...(over && over.second > 0 ? { changeoverMinutes: over.second / 60 } : {}),
    shutOffMinutes: end.second / 60,
  };
}
