import type { HandAction, Place, UnitInTime } from '../in-time/unit-in-time';
import type { Random } from '../random';
import {
  mixedOf,
  newWater,
  readoutOf,
  returnOf,
  runOn,
  storedOf,
  type Call,
  type Handled,
} from './machine';
import { drawPlant, type HeatPumpFacts } from './plant';

const jouleOfLitre = 4150;

/** A plant going on in time: rooms call, hot water comes first, sensors tell what they feel. */
export function heatPumpInTime(
  facts: HeatPumpFacts,
  random: Random,
  drawn: readonly { readonly id: string; readonly repair: string }[],
): UnitInTime {
  let standing = drawn;
  const made = () =>
    drawPlant(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let plant = made();
  let isOn = true;
  let litrePerMinute = 0;
  let second = 0;
  let handled: Handled = {
    isBufferHome: false,
    isCylinderHome: false,
    isRinsed: false,
    isReset: false,
  };
  const water = newWater(plant, storedOf(plant));
  runOn(plant, water, 'rooms', 5400, handled);
  const callNow = (): Call => {
    if (!isOn) return 'none';
    const isCold =
      plant.cylinder.isWhole &&
      !plant.has('mode.off') &&
      readoutOf(plant, 'cylinder', water.cylinder, handled) < plant.setpoint - plant.differential;
    return isCold && !plant.has('cylinder-sensor.out-of-pocket') ? 'hot-water' : 'rooms';
  };
  const mixed = () => mixedOf(plant, water.cylinder, 0);
  const drawnWatt = (): number => {
    const { hot, mixed: at } = mixed();
    const share = Math.max(0, Math.min(1, (at - plant.cold) / Math.max(1, hot - plant.cold)));
    return (litrePerMinute / 60) * share * jouleOfLitre * Math.max(0, water.cylinder - plant.cold);
  };
  return {
    family: 'heat-pump-cylinder',
    faults: drawn.map(({ id }) => id),
    usualPlaces: ['buffer', 'flow-pipe', 'tank-top'],
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
      for (let left = seconds; left > 0; left -= 30) {
        runOn(plant, water, callNow(), Math.min(30, left), handled, drawnWatt());
      }
      second += seconds;
    },
    act(action: HandAction) {
      if (action.kind === 'breaker') isOn = action.isOn;
      if (action.kind === 'tap') litrePerMinute = action.litrePerMinute;
      if (action.kind === 'press-reset') handled = { ...handled, isReset: true };
      if (action.kind !== 'repair') return undefined;
      const left = standing.filter((each) => each.repair !== action.repair);
      if (left.length === standing.length) return undefined;
      standing = left;
      // A sensor that is pushed home stays the plant that it was.
      if (action.repair === 'push-buffer-sensor-home') {
        handled = { ...handled, isBufferHome: true };
        return 'goes in';
      }
      if (action.repair === 'push-cylinder-sensor-home') {
        handled = { ...handled, isCylinderHome: true };
        return 'goes in';
      }
      plant = made();
      return undefined;
    },
    celsius(place: Place) {
      switch (place) {
        case 'buffer':
          return water.buffer;
        case 'readout-buffer':
          return readoutOf(plant, 'buffer', water.buffer, handled);
        case 'readout-cylinder':
          return readoutOf(plant, 'cylinder', water.cylinder, handled);
        case 'readout-flow':
          return water.flow + plant.flowOffset;
        case 'flow-pipe':
          return water.flow;
        case 'return-pipe':
          return returnOf(plant, water, handled);
        case 'tank-top':
          return water.cylinder;
        case 'tank-bottom':
          return water.cylinder - 4;
        case 'hot-pipe':
          return litrePerMinute > 0 ? mixed().hot : plant.room + 3;
        case 'outlet':
          return litrePerMinute > 0 ? mixed().tap : plant.room;
        case 'cold-inlet':
          return plant.cold;
        default:
          return plant.room;
      }
    },
    heatWatt: () => water.heat,
    volt: () => undefined,
    ohm: () => undefined,
    ampere: () => undefined,
  };
}
