import type { HandAction, Place, UnitInTime } from '../in-time/unit-in-time';
import type { Random } from '../random';
import { ladderOf, type LadderSetting } from './ladder';
import { endOf, litEnds, storedCelsius } from './ends';
import { drawZoned, type ZonedFacts, type ZonedUnit } from './unit';

const litreJoulePerKelvin = 4120;

/** A boiler with its cylinder going on in time: the cylinder calls, and warms as fast as its coil takes heat. */
export function zonedInTime(
  facts: ZonedFacts,
  random: Random,
  drawn: readonly { readonly id: string; readonly repair: string }[],
): UnitInTime {
  let standing = drawn;
  const made = (): ZonedUnit =>
    drawZoned(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = made();
  let isOn = true;
  let litrePerMinute = 0;
  let second = 0;
  const setting = (): LadderSetting => ({
    isPowered: isOn,
    zone1: false,
    zone2: false,
    cylinder: cylinder < unit.setCelsius - 5,
    isFuseOut: false,
    jumper: 'none',
    lifted: [],
  });
  let cylinder = 30;
  cylinder = storedCelsius(unit, { ...setting(), cylinder: true });
  let supply = unit.roomCelsius + 8;
  const heatWatt = (): number => {
    const set = setting();
    if (!isOn || !set.cylinder || unit.has('cylinder-pump.stuck')) return 0;
    if (!litEnds.has(endOf(unit, 'cylinder', set, true))) return 0;
    return Math.min(
      facts.inputWatt * unit.efficiency,
      unit.coilWattPerKelvin * (facts.cylinderLitre / 150) * Math.max(0, 78 - cylinder),
    );
  };
  return {
    family: 'system-boiler',
    faults: drawn.map(({ id }) => id),
    usualPlaces: ['flow-pipe', 'return-pipe', 'tank-top'],
    get repairsNeeded() {
      return [...new Set(standing.map(({ repair }) => repair))].sort();
    },
    get second() {
      return second;
    },
    get isPowered() {
      return isOn;
    },
    get litrePerMinute() {
      return litrePerMinute;
    },
    advance(seconds) {
      for (let left = seconds; left > 0; left -= 5) {
        const step = Math.min(5, left);
        const watt = heatWatt();
        const drawnWatt =
          (litrePerMinute / 60) * litreJoulePerKelvin * Math.max(0, cylinder - unit.coldCelsius);
        cylinder += ((watt - drawnWatt) * step) / (litreJoulePerKelvin * facts.cylinderLitre);
        const target = watt > 0 ? 76 : unit.roomCelsius + 4;
        supply += (target - supply) * Math.min(1, step / (watt > 0 ? 120 : 600));
      }
      second += seconds;
    },
    act(action: HandAction) {
      if (action.kind === 'breaker') isOn = action.isOn;
      if (action.kind === 'tap') litrePerMinute = action.litrePerMinute;
      if (action.kind === 'repair') {
        const left = standing.filter((each) => each.repair !== action.repair);
        if (left.length < standing.length) {
          standing = left;
          unit = made();
        }
      }
      return undefined;
    },
    celsius(place: Place) {
      switch (place) {
        case 'flow-pipe':
          return supply;
        case 'return-pipe':
          return supply - (heatWatt() > 0 ? unit.loopKelvin : 1);
        case 'tank-top':
          return cylinder;
        case 'tank-bottom':
          return cylinder - 3;
        case 'outlet':
        case 'hot-pipe':
          return litrePerMinute > 0
            ? Math.min(cylinder - 1.5, facts.mixingValve === 'true' ? unit.mixedCelsius : 99)
            : unit.roomCelsius;
        case 'cold-inlet':
          return unit.coldCelsius;
        default:
          return unit.roomCelsius;
      }
    },
    heatWatt,
    volt: ([from, to]) => {
      const ladder = ladderOf(unit, setting());
      const volt = ladder.volts(from, to);
      return Number.isFinite(volt) ? volt : undefined;
    },
    ohm: () => undefined,
    ampere: () => undefined,
  };
}
