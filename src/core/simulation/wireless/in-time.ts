import type { HandAction, Place, UnitInTime } from '../in-time/unit-in-time';
import type { Random } from '../random';
import { momentOf, storedOf } from './chain';
import { drawWirelessSystem, type WirelessFacts } from './unit';

const joulePerLitreKelvin = 4120;
const coilWatt = 9000;
const immersionWatt = 3000;

/** A cylinder under its control going on in time: it calls, and warms as fast as its coil or its immersion lets it. */
export function wirelessInTime(
  facts: WirelessFacts,
  random: Random,
  drawn: readonly { readonly id: string; readonly repair: string }[],
): UnitInTime {
  let standing = drawn;
  const made = () =>
    drawWirelessSystem(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = made();
  let isOn = true;
  let litrePerMinute = 0;
  let second = 0;
  let cylinder = storedOf(unit);
  const heatWatt = (): number => {
    const now = momentOf(
      unit,
      {
        sensorRestarted: false,
        receiversRestarted: false,
        sensorBound: false,
        receiverBound: false,
      },
      {
        isPowered: isOn,
        isOverridden: true,
        isPressed: false,
        isHeating: false,
        isLeverOver: false,
      },
      cylinder,
      random,
    );
    if (facts.arrangement === 'immersion') return now.fires ? immersionWatt : 0;
    return now.flows ? coilWatt * Math.max(0, Math.min(1, (74 - cylinder) / 25)) : 0;
  };
  return {
    family: 'wireless-cylinder-control',
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
      for (let left = seconds; left > 0; left -= 30) {
        const step = Math.min(30, left);
        const drawnWatt = (litrePerMinute / 60) * joulePerLitreKelvin * Math.max(0, cylinder - 11);
        cylinder += ((heatWatt() - drawnWatt) * step) / (joulePerLitreKelvin * facts.cylinderLitre);
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
          return heatWatt() > 0 ? 72 : unit.cupboard + 4;
        case 'return-pipe':
          return heatWatt() > 0 ? 58 : unit.cupboard + 3;
        case 'tank-top':
          return cylinder;
        case 'tank-bottom':
          return cylinder - 4;
        case 'outlet':
        case 'hot-pipe':
          return litrePerMinute > 0 ? cylinder - unit.tapLoss : unit.cupboard;
        case 'cold-inlet':
          return 11;
        default:
          return unit.cupboard;
      }
    },
    heatWatt,
    volt: () => undefined,
    ohm: () => undefined,
    ampere: () => undefined,
  };
}
