import { waterDensity, waterSpecificHeat } from './water';

export interface Heating {
  readonly litre: number;
  readonly fromCelsius: number;
  readonly toCelsius: number;
  readonly watt: number;
}

/**
 * Minutes that an element needs to heat still water, without losses.
 * @throws RangeError for water outside 0 to 95 °C or power that is not above zero.
 */
export function heatingMinutes({ litre, fromCelsius, toCelsius, watt }: Heating): number {
  if (!(watt > 0)) throw new RangeError('heating takes power above zero');
  const middle = (fromCelsius + toCelsius) / 2;
  const kilogram = (litre / 1000) * waterDensity(fromCelsius);
  return (kilogram * waterSpecificHeat(middle) * (toCelsius - fromCelsius)) / watt / 60;
}

/** Share of a two-element tank that lies above the lower thermostat's reach and is heated first. Common practice. */
const topShare = 1 / 3;

export interface HeatUp {
  /** Until the upper thermostat hands over, in minutes; undefined with one element. */
  readonly changeoverMinutes?: number;
  /** Until all is satisfied, in minutes. */
  readonly shutOffMinutes: number;
}

/**
 * How long a tank takes from cold, one element at a time from the top: when to look for changeover and shut-off.
 * `watts` are those of its one element, or of the upper and the lower.
 */
export function heatUp(
  tank: { readonly volumeLitre: number; readonly watts: readonly number[] },
  fromCelsius: number,
  toCelsius: number,
): HeatUp {
  const part = (share: number, watt: number) =>
    heatingMinutes({ litre: tank.volumeLitre * share, fromCelsius, toCelsius, watt });
  const [first, second] = tank.watts as [number, number?];
  if (second === undefined) return { shutOffMinutes: part(1, first) };
  const changeoverMinutes = part(topShare, first);
  return { changeoverMinutes, shutOffMinutes: changeoverMinutes + part(1 - topShare, second) };
}
