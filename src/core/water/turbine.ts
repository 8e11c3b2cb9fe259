/** Flow that a turbine shows: nothing below 0.7 L/min, nothing where water runs backwards. */
export const turbineShows = (litrePerMinute: number, gain: number): number =>
  litrePerMinute < 0.7 ? 0 : gain * litrePerMinute;
