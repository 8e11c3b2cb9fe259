import type { Random } from '../random';
import type { SettledRadiator, SimulatedHouse } from './house';
import { houseNumbers as numbers } from './numbers';

/** One person's infrared thermometer in one house: an error of its own, and one at each reading. */
export function thermometerFor(house: SimulatedHouse, random: Random) {
  const { own, common, wild, wildKelvin } = numbers.instrument;
  const ofInstrument = common * random.normal();
  const read = (celsius: number) =>
    Math.round(
      (celsius +
        ofInstrument +
        own * random.normal() +
        (random.chance(wild) ? (random.chance(0.5) ? 1 : -1) * wildKelvin : 0)) *
        10,
    ) / 10;
  const { paint, top, bottom, wide } = house.surface;
  return ({ inCelsius, outCelsius }: SettledRadiator, k: number) => {
    const { roomCelsius, widthMetre } = house.radiators[k]!;
    const drop = inCelsius - outCelsius;
    const seen = (water: number) => water - paint * (water - roomCelsius);
    return {
      topCelsius: read(seen(inCelsius - top * drop)),
      bottomCelsius: read(seen(outCelsius + (bottom - wide * Math.max(0, widthMetre - 1)) * drop)),
    };
  };
}
