import type { HandAction, Place, UnitInTime } from '../in-time/unit-in-time';
import type { Random } from '../random';
import {
  drawCombi,
  endAt,
  loopAtTap,
  tapFlow,
  type CombiFacts,
  type CombiUnit,
} from './combi-unit';
import { LoopInCells } from './plates-in-cells';

/** A combination boiler going on in time: its loop races or settles while its tap runs, and cools down after. */
export function combiInTime(
  facts: CombiFacts,
  random: Random,
  drawn: readonly { readonly id: string; readonly repair: string }[],
): UnitInTime {
  let standing = drawn;
  const made = (): CombiUnit =>
    drawCombi(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = made();
  let isOn = true;
  let isOpen = false;
  let second = 0;
  let loop: LoopInCells | undefined;
  let rest = { flow: 33, back: 31, tap: unit.roomCelsius };
  const start = () => {
    loop =
      isOpen && isOn && endAt(unit, 'tap') === 'burns'
        ? new LoopInCells({ ...loopAtTap(unit, 'tap', unit.tapSetpoint), startCelsius: rest.flow })
        : undefined;
  };
  const flow = () => loop?.flowCelsius ?? rest.flow;
  const back = () => loop?.returnCelsius ?? rest.back;
  const tap = () => {
    if (!isOpen) return rest.tap;
    const hot = loop?.tapCelsius ?? unit.coldCelsius;
    return hot * (1 - unit.past) + unit.coldCelsius * unit.past;
  };
  const stop = () => {
    rest = { flow: flow(), back: back(), tap: tap() };
  };
  return {
    family: 'combi-boiler',
    faults: drawn.map(({ id }) => id),
    usualPlaces: ['flow-pipe', 'return-pipe', 'outlet'],
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
      return isOpen ? tapFlow(unit, 'tap').all : 0;
    },
    advance(seconds) {
      loop?.advance(seconds);
      if (!isOpen) {
        const left = Math.exp(-seconds / 700);
        rest = {
          flow: unit.roomCelsius + (rest.flow - unit.roomCelsius) * left,
          back: unit.roomCelsius + (rest.back - unit.roomCelsius) * left,
          tap: unit.roomCelsius + (rest.tap - unit.roomCelsius) * left,
        };
      }
      second += seconds;
    },
    act(action: HandAction) {
      switch (action.kind) {
        case 'breaker':
          stop();
          isOn = action.isOn;
          start();
          return undefined;
        case 'tap':
          stop();
          isOpen = action.litrePerMinute > 0;
          start();
          return undefined;
        case 'repair': {
          const left = standing.filter((each) => each.repair !== action.repair);
          if (left.length === standing.length) return undefined;
          stop();
          standing = left;
          unit = made();
          rest = { flow: 30, back: 29, tap: unit.roomCelsius };
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
          return tap();
        case 'flow-pipe':
          return flow();
        case 'return-pipe':
          return back();
        case 'cold-inlet':
          return isOpen ? unit.coldCelsius : unit.roomCelsius - 2;
        default:
          return unit.roomCelsius;
      }
    },
    heatWatt: () => loop?.burningWatt ?? 0,
    volt: () => undefined,
    ohm: () => undefined,
    ampere: () => undefined,
  };
}
