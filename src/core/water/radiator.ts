import { streamWattPerKelvin } from './properties';

/** A radiator, or all of them as one, by EN 442. */
export interface Radiator {
  /** At 50 K over the room. */
  readonly ratedWatt: number;
  readonly exponent?: number;
  /** Mean over the room as the standard rates it, whatever the return; else the logarithmic one at a low return. */
  readonly isRatedMean?: boolean;
}

/** Heat of a radiator at so many kelvin over the room. */
export const radiatorWatt = ({ ratedWatt, exponent = 1.3 }: Radiator, overKelvin: number): number =>
  ratedWatt * (Math.max(0, overKelvin) / 50) ** exponent;

/** Kelvin over the room of a radiator, by EN 442: the mean, or the logarithmic one where the return has fallen far. */
export function overRoomKelvin(
  flow: number,
  back: number,
  room: number,
  isRatedMean = false,
): number {
  const [hot, cold] = [flow - room, back - room];
  if (!(hot > 0)) return 0;
  if (isRatedMean || cold >= 0.7 * hot) return (hot + cold) / 2;
  if (!(cold > 0)) return 0;
  return (hot - cold) / Math.log(hot / cold);
}

/** Return temperature and heat of a radiator by its flow: where what it gives is what the water loses. */
export function throughRadiator(
  radiator: Radiator,
  flowCelsius: number,
  roomCelsius: number,
  litrePerMinute: number,
): { readonly returnCelsius: number; readonly watt: number } {
  const stream = streamWattPerKelvin(litrePerMinute);
  if (!(flowCelsius > roomCelsius) || !(stream > 0)) {
    return { returnCelsius: roomCelsius, watt: 0 };
  }
  let [low, high] = [roomCelsius, flowCelsius];
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2;
    const gives = radiatorWatt(
      radiator,
      overRoomKelvin(flowCelsius, middle, roomCelsius, radiator.isRatedMean),
    );
    if (gives > stream * (flowCelsius - middle)) high = middle;
    else low = middle;
  }
  const returnCelsius = (low + high) / 2;
  return { returnCelsius, watt: stream * (flowCelsius - returnCelsius) };
}
