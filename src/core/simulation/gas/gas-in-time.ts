import type { HandAction, Place, UnitInTime } from '../in-time/unit-in-time';
import type { Random } from '../random';
import {
  canLight,
  drawUnit,
  heatWatt,
  holds,
  leadMillivolt,
  millivoltsEnough,
  settle,
  type GasFacts,
  type GasUnit,
} from './unit';
import { gasTank } from './water';

/** A gas heater as it is found, going on in time: its pilot burns or is out, its bulb calls, its burner heats. */
export function gasInTime(
  facts: GasFacts,
  random: Random,
  drawn: readonly { readonly id: string; readonly repair: string }[],
): UnitInTime {
  let standing = drawn;
  const unit: GasUnit = drawUnit(new Set(drawn.map(({ id }) => id)), facts, random);
  settle(unit, random);
  let isReset = false;
  let isLit = unit.pilotFound === 'lit';
  let litrePerMinute = 0;
  let second = 0;
  const burns = () =>
    isLit &&
    holds(unit, isReset) &&
    millivoltsEnough(unit, isReset) &&
    !unit.faults.has('valve.never-opens') &&
    !unit.faults.has('dial.pilot') &&
    unit.gas > 0;
  let water = gasTank(unit, unit.tankCelsius, () => (burns() ? heatWatt(unit) : 0));

  const repaired = (repair: string): undefined => {
    const left = standing.filter((each) => each.repair !== repair);
    if (left.length === standing.length) return undefined;
    standing = left;
    const celsius = water.tank.celsiusAt(0.5);
    const fresh = drawUnit(new Set(left.map(({ id }) => id)), facts, random);
    Object.assign(unit, fresh, { tankSeed: unit.tankSeed, dial: unit.dial });
    // Lit again with the new part in place.
    isLit = canLight(unit) && holds(unit, true);
    isReset = true;
    water = gasTank(unit, celsius, () => (burns() ? heatWatt(unit) : 0));
    return undefined;
  };

  return {
    family: 'gas-storage-pilot',
    faults: drawn.map(({ id }) => id),
    usualPlaces: ['tank-top', 'tank-bottom', 'outlet'],
    get repairsNeeded() {
      return [...new Set(standing.map(({ repair }) => repair))].sort();
    },
    get second() {
      return second;
    },
    get isPowered() {
      return isLit;
    },
    get litrePerMinute() {
      return litrePerMinute;
    },
    advance(seconds) {
      water.advance(seconds, litrePerMinute);
      second += seconds;
    },
    act(action: HandAction) {
      switch (action.kind) {
        case 'breaker':
          // The gas cock is what stands in for it: shut, the pilot goes out; open, it is lit again where it can be.
          isLit = action.isOn && canLight(unit) && holds(unit, isReset);
          return isLit ? 'holds' : 'out';
        case 'dial':
          unit.dial = action.celsius;
          return undefined;
        case 'tap':
          litrePerMinute = action.litrePerMinute;
          return undefined;
        case 'press-reset': {
          const clicks = unit.isTripped && !isReset;
          isReset = true;
          return clicks ? 'clicked' : 'no-click';
        }
        case 'repair':
          return repaired(action.repair);
      }
    },
    celsius(place: Place) {
      const { tank } = water;
      switch (place) {
        case 'outlet':
          return tank.outletCelsius(litrePerMinute);
        case 'tank-top':
          return tank.celsiusAt(0.93);
        case 'upper-cover':
          return tank.celsiusAt(0.7);
        case 'tank-bottom':
        case 'lower-cover':
          return tank.celsiusAt(0.17);
        case 'cold-inlet':
          return litrePerMinute > 0 ? unit.coldCelsius : tank.roomCelsius - 2;
        case 'hot-pipe':
        case 'flow-pipe':
        case 'return-pipe':
          return litrePerMinute > 0
            ? tank.outletCelsius(litrePerMinute) - 0.5
            : tank.roomCelsius + 0.35 * (tank.celsiusAt(0.98) - tank.roomCelsius);
        default:
          return tank.roomCelsius;
      }
    },
    heatWatt: () => water.heatWatt(),
    volt: ([from, to]) =>
      [from, to].every((each) => each.startsWith('valve.'))
        ? isLit
          ? leadMillivolt(unit, { isLoaded: true, isReset }) / 1000
          : 0
        : undefined,
    ohm: () => undefined,
    ampere: () => undefined,
  };
}
