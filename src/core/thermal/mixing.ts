/**
 * Temperature of hot and cold together, in °C: by flow, as the specific heats differ by less than half a percent.
 * @throws RangeError where nothing flows.
 */
export function mixedCelsius(
  hot: { readonly celsius: number; readonly litrePerMinute: number },
  cold: { readonly celsius: number; readonly litrePerMinute: number },
): number {
  const flow = hot.litrePerMinute + cold.litrePerMinute;
  if (!(flow > 0)) throw new RangeError('nothing flows, so nothing mixes');
  return (hot.celsius * hot.litrePerMinute + cold.celsius * cold.litrePerMinute) / flow;
}

/**
 * Share of hot water in a mix, 0 to 1: 1 where the hot alone does not get there.
 * @throws RangeError where the wanted temperature is below the cold.
 */
export function hotShare(hotCelsius: number, coldCelsius: number, wantedCelsius: number): number {
  if (wantedCelsius < coldCelsius) {
    throw new RangeError(
      `water of ${wantedCelsius} °C cannot be mixed with ${coldCelsius} °C cold`,
    );
  }
  if (hotCelsius <= wantedCelsius) return 1;
  return (wantedCelsius - coldCelsius) / (hotCelsius - coldCelsius);
}

/** A thermostatic mixing valve: what it is set to, and how much hotter its hot water has to be for it to hold that. */
export interface MixingValve {
  readonly setCelsius: number;
  /** Common practice: 10 K for a valve that holds steady. */
  readonly leastDifferenceKelvin?: number;
}

export interface Mixed {
  readonly outletCelsius: number;
  readonly hotShare: number;
  /** It has the difference that it needs to hold its setting. */
  readonly holds: boolean;
}

/** What leaves a mixing valve, fed with hot and cold. Where the hot is too cold it passes it all. */
export function throughMixingValve(
  { setCelsius, leastDifferenceKelvin = 10 }: MixingValve,
  hotCelsius: number,
  coldCelsius: number,
): Mixed {
  const share = hotShare(hotCelsius, coldCelsius, Math.max(setCelsius, coldCelsius));
  return {
    outletCelsius:
      share >= 1 ? Math.max(hotCelsius, Math.min(coldCelsius, setCelsius)) : setCelsius,
    hotShare: share,
    holds: hotCelsius - setCelsius >= leastDifferenceKelvin,
  };
}
