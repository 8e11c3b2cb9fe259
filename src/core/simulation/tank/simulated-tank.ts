import type { Random } from '../random';
import { tankNumbers as numbers } from './numbers';
import {
  cutAt,
  even,
  jouleForKelvin,
  letRise,
  massOf,
  parcelAt,
  takeTop,
  type Parcel,
} from './parcels';

export interface TankFacts {
  readonly plateLitre: number;
  readonly heaters: readonly { readonly height: number; readonly lagSecond?: number }[];
  readonly hasDipTube: boolean;
  /** Share of the height that sediment fills. */
  readonly sedimentShare?: number;
  readonly coldCelsius: number;
  readonly startCelsius:
    number | { readonly top: number; readonly bottom: number; readonly split: number };
}

/** A tank of water in time. It is advanced in steps of a few seconds. */
export interface SimulatedTank {
  readonly litre: number;
  readonly coldCelsius: number;
  readonly roomCelsius: number;
  readonly lossWattPerKelvin: number;
  /** @param litrePerMinute drawn of the tank. */
  advance(seconds: number, watt: readonly number[], litrePerMinute: number): void;
  /** What leaves while it is drawn, or would. */
  outletCelsius(litrePerMinute: number): number;
  /** @param height share of the tank, 0 at the bottom. */
  celsiusAt(height: number): number;
  /** Heat above water at 0 °C, in joules. */
  heat(): number;
  /** Heat that was lost to the room so far, in joules. */
  lost(): number;
  refill(celsius: number): void;
  mendDipTube(): void;
  flushSediment(): void;
}

const kilogramPerLitre = 0.99;

export function simulatedTank(facts: TankFacts, random: Random): SimulatedTank {
  const litre = facts.plateLitre * random.between(numbers.volumeRatio);
  let hasDipTube = facts.hasDipTube;
  let sedimentShare = facts.sedimentShare ?? 0;
  let heaters = facts.heaters;
  const roomCelsius = random.between(numbers.roomCelsius);
  const lossWattPerKelvin = random.between(numbers.lossOf190) * (facts.plateLitre / 190) ** (2 / 3);
  const stirred = random.between(numbers.stirred);
  const plume = random.between(numbers.plume);
  const atOnce = random.between(numbers.atOnce);
  const full = () => litre * kilogramPerLitre * (1 - sedimentShare);
  const { startCelsius: start } = facts;
  let parcels: Parcel[] =
    typeof start === 'number'
      ? [{ kilogram: full(), celsius: start }]
      : [
          { kilogram: full() * start.split, celsius: start.bottom },
          { kilogram: full() * (1 - start.split), celsius: start.top },
        ].filter(({ kilogram }) => kilogram > 0);
  let inSediment = 0;
  let lost = 0;
  const within = (height: number) =>
    (Math.max(0, height - sedimentShare) / (1 - sedimentShare)) * full();

  function draw(kilogram: number): void {
    if (hasDipTube) {
      takeTop(parcels, kilogram);
      parcels.unshift({ kilogram, celsius: facts.coldCelsius });
      // The jet stirs the lowest water.
      const until = cutAt(parcels, stirred * full());
      mix(0, until, kilogram / (stirred * full()));
      return;
    }
    takeTop(parcels, kilogram * (1 - atOnce));
    parcels.push({ kilogram: kilogram * (1 - atOnce), celsius: facts.coldCelsius });
    const from = cutAt(parcels, (1 - plume) * full());
    mix(from, parcels.length, 1);
  }

  function mix(from: number, until: number, share: number): void {
    const some = parcels.slice(from, until);
    if (some.length < 2) return;
    const kilogram = massOf(some);
    const mean = some.reduce((sum, each) => sum + each.kilogram * each.celsius, 0) / kilogram;
    if (share >= 1) parcels.splice(from, some.length, { kilogram, celsius: mean });
    else for (const each of some) each.celsius += share * (mean - each.celsius);
  }

  function heat(k: number, watt: number, seconds: number): void {
    const { height, lagSecond } = heaters[k]!;
    let joule = watt * seconds;
    if (lagSecond !== undefined) {
      inSediment += joule;
      joule = inSediment * (1 - Math.exp(-seconds / lagSecond));
      inSediment -= joule;
    }
    if (joule <= 0) return;
    const at = cutAt(parcels, Math.min(within(height), full() * 0.97));
    const plumeOf = parcels[at]!;
    plumeOf.celsius += joule / (plumeOf.kilogram * jouleForKelvin);
  }

  return {
    get litre() {
      return litre;
    },
    coldCelsius: facts.coldCelsius,
    roomCelsius,
    lossWattPerKelvin,
    advance(seconds, watt, litrePerMinute) {
      const kilogram = (litrePerMinute / 60) * seconds * kilogramPerLitre;
      if (kilogram > 0) draw(kilogram);
      watt.forEach((each, k) => heat(k, each, seconds));
      const whole = full();
      for (const each of parcels) {
        const joule =
          lossWattPerKelvin * (each.kilogram / whole) * (each.celsius - roomCelsius) * seconds;
        each.celsius -= joule / (each.kilogram * jouleForKelvin);
        lost += joule;
      }
      even(parcels, 0.0009 * seconds);
      letRise(parcels);
    },
    outletCelsius(litrePerMinute) {
      const top = parcels.at(-1)!.celsius;
      return !hasDipTube && litrePerMinute > 0 ? top - atOnce * (top - facts.coldCelsius) : top;
    },
    celsiusAt: (height) => parcels[parcelAt(parcels, within(height))]!.celsius,
    heat: () =>
      parcels.reduce(
        (sum, each) => sum + each.kilogram * each.celsius * jouleForKelvin,
        inSediment,
      ),
    lost: () => lost,
    refill(celsius) {
      parcels = [{ kilogram: full(), celsius }];
    },
    mendDipTube() {
      hasDipTube = true;
    },
    flushSediment() {
      sedimentShare = 0;
      heaters = heaters.map(({ height }) => ({ height }));
      parcels = [{ kilogram: full(), celsius: facts.coldCelsius }];
    },
  };
}
