import { waterDensity, waterSpecificHeat } from './water';

/** A tank that stands: what it holds, and how fast it loses heat. */
export interface StandingTank {
  readonly litre: number;
  /** Heat that leaves it for each kelvin above the room, in W/K. */
  readonly lossWattPerKelvin: number;
}

const heatCapacity = (litre: number) => (litre / 1000) * waterDensity(50) * waterSpecificHeat(50);

/** Heat lost while it is kept at a temperature, in watts. */
export const standingLossWatt = (
  { lossWattPerKelvin }: Pick<StandingTank, 'lossWattPerKelvin'>,
  celsius: number,
  roomCelsius: number,
): number => lossWattPerKelvin * (celsius - roomCelsius);

/** Temperature of a mixed tank left alone for so long, in °C: it nears the room as e to the minus time over its constant. */
export const cooledCelsius = (
  { litre, lossWattPerKelvin }: StandingTank,
  fromCelsius: number,
  roomCelsius: number,
  hours: number,
): number =>
  roomCelsius +
  (fromCelsius - roomCelsius) * Math.exp((-hours * 3600 * lossWattPerKelvin) / heatCapacity(litre));

/**
 * Loss of a tank in W/K, from what it cooled by while it stood without heat or draw.
 * @throws RangeError where it has not cooled, or did not stand above the room.
 */
export function lossFromCooling(
  litre: number,
  cooled: {
    readonly fromCelsius: number;
    readonly toCelsius: number;
    readonly roomCelsius: number;
    readonly hours: number;
  },
): number {
  const { fromCelsius, toCelsius, roomCelsius, hours } = cooled;
  if (!(hours > 0 && toCelsius > roomCelsius && fromCelsius > toCelsius)) {
    throw new RangeError('a tank loses heat where it stands above the room and cools');
  }
  const constants = Math.log((fromCelsius - roomCelsius) / (toCelsius - roomCelsius));
  return (constants * heatCapacity(litre)) / (hours * 3600);
}
