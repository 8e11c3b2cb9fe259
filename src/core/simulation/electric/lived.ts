import type { Plate } from '../../appliances/electrical/plate';
import { seededRandom, type Random } from '../random';
import { householdNumbers, showerOf, type DrawnTank, type LivedWater } from '../tank/lived-water';
import { heaterWater, runHeater } from './heater-in-time';
import type { SimulatedHeater, Water } from './simulated-heater';
import { trueHeater, type TrueHeater } from './true-heater';

/** The heater's water going on from how it stands, with its thermostats as they are. */
export function drawnHeater(
  family: SimulatedHeater,
  heater: TrueHeater,
  plate: Plate,
  water: Water,
  isOn: boolean,
  random: Random,
): DrawnTank {
  const names = new Set(heater.standing.map(({ id }) => id));
  const cold = Math.min(water.bottomCelsius, random.between({ least: 8, most: 18 }));
  const body = heaterWater(family, plate, names, water, cold, random);
  const running = {
    isOn,
    isTripped: water.limitTripped,
    litrePerMinute: 0,
    dialCelsius: { ...water.dialCelsius },
  };
  const run = runHeater(family, heater, body, running);
  return {
    tank: body.tank,
    advance(seconds, litrePerMinute) {
      running.litrePerMinute = litrePerMinute;
      run.advance(seconds);
    },
  };
}

/** What its people have of it, beside what they had of the same tank while nothing was wrong. */
export function livedWith(
  family: SimulatedHeater,
  heater: TrueHeater,
  plate: Plate,
  water: Water,
  random: Random,
): LivedWater {
  const seed = Math.floor(random.next() * 2 ** 32);
  const shower = {
    litrePerMinute: random.between(householdNumbers.litrePerMinute),
    wantedCelsius: random.between(householdNumbers.wantedCelsius),
  };
  const hasGrown = heater.standing.some(({ id }) => id === 'demand');
  const now = {
    ...shower,
    litrePerMinute:
      shower.litrePerMinute * (hasGrown ? random.between(householdNumbers.grownUse) : 1),
  };
  const good = trueHeater(family, plate, [], seededRandom(seed));
  const as = (which: TrueHeater, standing: Water) =>
    drawnHeater(family, which, plate, standing, true, seededRandom(seed));
  const found = showerOf(as(heater, water), now);
  const usual = showerOf(as(good, family.mended), shower);
  return {
    firstCelsius: found.firstCelsius,
    hotMinutes: found.hotMinutes,
    againMinutes: found.againMinutes,
    usualMinutes: usual.hotMinutes,
    usualAgainMinutes: usual.againMinutes,
  };
}
