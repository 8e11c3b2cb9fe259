import type { HandAction, Place, UnitInTime } from '../in-time/unit-in-time';
import type { Random } from '../random';
import { CoilInCells } from './coil-in-cells';
import { waterNumbers } from './numbers';
import {
  coilOf,
  drawTankless,
  endAt,
  flowsOf,
  type TanklessFacts,
  type TanklessUnit,
} from './tankless-unit';

/** An instantaneous heater going on in time: it burns while its tap runs. */
export function tanklessInTime(
  facts: TanklessFacts,
  random: Random,
  drawn: readonly { readonly id: string; readonly repair: string }[],
): UnitInTime {
  let standing = drawn;
  const made = (): TanklessUnit =>
    drawTankless(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = made();
  const roomCelsius = random.between({
    least: waterNumbers.roomCelsius[0],
    most: waterNumbers.roomCelsius[1],
  });
  let isOn = true;
  let isOpen = false;
  let second = 0;
  let coil: CoilInCells | undefined;
  let rest = roomCelsius;
  const flows = () =>
    flowsOf(unit, {
      opened: isOpen ? 'tap' : 'none',
      isHotShut: false,
      isLineShut: false,
      isReseated: false,
      isRinsed: false,
    });
  const start = () => {
    const { through } = flows();
    coil =
      isOpen && isOn && endAt(unit, through, false) === 'burns'
        ? new CoilInCells(coilOf(unit, through))
        : undefined;
  };
  const outCelsius = () => {
    if (!isOpen) return rest;
    const { through, past } = flows();
    const hot = coil?.outCelsius ?? unit.coldCelsius;
    return (hot * through + unit.coldCelsius * past) / Math.max(0.1, through + past);
  };
  return {
    family: 'tankless-gas',
    faults: drawn.map(({ id }) => id),
    usualPlaces: ['outlet', 'cold-inlet', 'hot-pipe'],
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
      const { through, past } = flows();
      return through + past;
    },
    advance(seconds) {
      coil?.advance(seconds);
      if (!isOpen) rest += (roomCelsius - rest) * (1 - Math.exp(-seconds / 900));
      second += seconds;
    },
    act(action: HandAction) {
      switch (action.kind) {
        case 'breaker':
          isOn = action.isOn;
          start();
          return undefined;
        case 'tap':
          if (isOpen && action.litrePerMinute === 0) rest = outCelsius();
          isOpen = action.litrePerMinute > 0;
          start();
          return undefined;
        case 'repair': {
          const left = standing.filter((each) => each.repair !== action.repair);
          if (left.length === standing.length) return undefined;
          standing = left;
          unit = made();
          start();
          return undefined;
        }
        default:
          return undefined;
      }
    },
    celsius(place: Place) {
      switch (place) {
        case 'outlet':
        case 'hot-pipe':
        case 'flow-pipe':
          return outCelsius();
        case 'cold-inlet':
        case 'return-pipe':
          return isOpen ? unit.coldCelsius : roomCelsius - 2;
        default:
          return roomCelsius;
      }
    },
    heatWatt: () => coil?.burningWatt ?? 0,
    volt: () => undefined,
    ohm: () => undefined,
    ampere: () => undefined,
  };
}
