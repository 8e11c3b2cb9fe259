import { seededRandom } from '../random';
import type { Random } from '../random';
import {
  householdNumbers,
  saidOfWater,
  showerOf,
  type DrawnTank,
  type LivedWater,
} from '../tank/lived-water';
import { tankNumbers } from '../tank/numbers';
import { simulatedTank } from '../tank/simulated-tank';
import type { GasUnit } from './unit';

/** Steps of the water, in seconds, while it is drawn and while it stands. */
const step = { drawn: 7.5, standing: 20 } as const;

/** A gas heater's tank from how it stands, with a burner of so much heat under it while its bulb calls. */
export function gasTank(
  unit: GasUnit,
  startCelsius: number,
  heat: number | (() => number),
): DrawnTank & { heatWatt(): number } {
  const able = typeof heat === 'number' ? () => heat : heat;
  const random = seededRandom(unit.tankSeed);
  const bulbAt = random.between(tankNumbers.bulbAt);
  const differentialKelvin = random.between(tankNumbers.differentialKelvin);
  const lagSecond = random.between(tankNumbers.wallLagSecond);
  const isDeep = unit.faults.has('sediment');
  const tank = simulatedTank(
    {
      plateLitre: unit.litre,
      heaters: [
        {
          height: 0,
          ...(isDeep
            ? { lagSecond: unit.depth * random.between(tankNumbers.sedimentLagSecond) }
            : {}),
        },
      ],
      hasDipTube: !unit.faults.has('dip-tube.gone'),
      ...(isDeep ? { sedimentShare: unit.depth * random.between(tankNumbers.sediment) } : {}),
      coldCelsius: unit.coldCelsius,
      startCelsius,
    },
    random,
  );
  let felt = tank.celsiusAt(bulbAt);
  const set = () => unit.dial - unit.early;
  let calls = felt < set();
  const heatWatt = () => (calls || unit.faults.has('valve.never-shuts') ? able() : 0);
  return {
    tank,
    heatWatt,
    advance(seconds, litrePerMinute) {
      const longest = litrePerMinute > 0 ? step.drawn : step.standing;
      for (let left = seconds; left > 1e-9; left -= longest) {
        const now = Math.min(longest, left);
        tank.advance(now, [heatWatt()], litrePerMinute);
        felt += (tank.celsiusAt(bulbAt) - felt) * (1 - Math.exp(-now / lagSecond));
        if (felt >= set()) calls = false;
        else if (felt < set() - differentialKelvin) calls = true;
      }
    },
  };
}

/** The outlet after so many litres. */
export function drawnCelsius(unit: GasUnit, litre: number, heatWatt: number): number {
  const litrePerMinute = 11;
  const { tank, advance } = gasTank(unit, unit.tankCelsius, heatWatt);
  if (litre > 0) advance((litre / litrePerMinute) * 60, litrePerMinute);
  return tank.outletCelsius(litrePerMinute);
}

/** What the people of the house say of their water, if it is the water that they complain of. */
export function gasWord(unit: GasUnit, heatWatt: number, random: Random): string | undefined {
  const shower = {
    litrePerMinute: random.between(householdNumbers.litrePerMinute),
    wantedCelsius: random.between(householdNumbers.wantedCelsius),
  };
  const grown = unit.faults.has('demand') ? random.between(householdNumbers.grownUse) : 1;
  const good: GasUnit = { ...unit, faults: new Set(), depth: 0.06, early: 0 };
  const found = showerOf(gasTank(unit, unit.tankCelsius, heatWatt), {
    ...shower,
    litrePerMinute: shower.litrePerMinute * grown,
  });
  const usual = showerOf(gasTank(good, unit.dial, unit.inputWatt * 0.76), shower);
  const lived: LivedWater = {
    ...found,
    usualMinutes: usual.hotMinutes,
    usualAgainMinutes: usual.againMinutes,
  };
  return saidOfWater(lived, random);
}
