import {
  drivenWater,
  limitMarginKelvin,
  performanceRatio,
  pocketMillimetre,
  pocketShare,
  riseIn,
  sensorReading,
} from '../../heat-pump';
import { mixedFrom } from '../../mixing-valve';
import type { Running, Standing } from '../kit/signal/declaration';
import { isDone, type UnitState } from '../kit/unit-state';
import type { Signals } from '../kit/stages';
import type { Elements } from './elements';
import type { HeatPumpPlate } from './plate';

/** How the water stands when somebody comes, and what the machine is at. */
export interface HeatPumpStanding extends Standing {
  readonly storedCelsius: number;
  /** A call of hot water that never ends: the rooms get nothing. */
  readonly isStarved: boolean;
}

export type HeatPumpUnit = Running<HeatPumpPlate, HeatPumpStanding> & {
  readonly elements: Elements;
};

/** What a check has done once and for all. */
export const done = {
  bufferSensorHome: 'buffer-sensor-home',
  cylinderSensorHome: 'cylinder-sensor-home',
  strainerRinsed: 'strainer-rinsed',
  lockoutReset: 'lockout-reset',
  limitPressed: 'limit-pressed',
  mixerOpened: 'mixer-opened',
  mixerShut: 'mixer-shut',
} as const;

export const roomCelsius = 20;
const outdoorCelsius = 4;
/** Common practice, K. */
const kelvin = {
  /** The flow pipe lies above the buffer, the pipe of the nearest radiator under it. */
  flowOverBuffer: 1,
  radiatorUnderBuffer: 1.5,
  /** Between flow and return with all its flow. */
  flowToReturn: 5.2,
  hotPort: 0.8,
  tap: 0.7,
  eighth: 4,
  lossInHalfHour: 0.5,
} as const;
/** Of what the machine gives, what rooms need at 4 °C outdoors and 38 °C flow; and hot water of what it is rated at. */
const needShare = 0.5;
export const hotWaterShare = 0.875;
const usualTarget = 38;
/** What stands by, and what a pump takes, W. */
const standbyWatt = 40;
/** Readouts of a sensor that is open or shorted show dashes: no number at all. */
export const dashes = 1e6;

const is = (share: number) => share > 0.5;
const home = pocketShare(pocketMillimetre);

export const isMachineAble = (e: Elements, state: UnitState): boolean =>
  is(e['compressor.works']) &&
  is(e['supply.on']) &&
  is(e['flow-sensor.whole']) &&
  (is(e['control.free']) || isDone(state, done.lockoutReset));

/** Heat that it can give against what it should, before its water. */
export const outputShare = (e: Elements): number =>
  e['machine.output'] * e['outdoor.output'] * e['refrigerant.output'] * e['season.output'];

export const flowShare = (e: Elements, state: UnitState): number =>
  (isDone(state, done.strainerRinsed) ? 1 : e['strainer.flow']) *
  e['pump.flow'] *
  e['primary.flow'];

const bufferShare = (e: Elements, state: UnitState) =>
  isDone(state, done.bufferSensorHome) ? home : e['buffer-sensor.share'];
const cylinderShare = (e: Elements, state: UnitState) =>
  isDone(state, done.cylinderSensorHome) ? home : e['cylinder-sensor.share'];

export interface Heating {
  readonly bufferCelsius: number;
  /** Of all that it can do. */
  readonly load: number;
  readonly isAtLimit: boolean;
  readonly runs: boolean;
  /** All of it goes to the cylinder, and the rooms get nothing. */
  readonly isElsewhere: boolean;
}

/** What the machine makes of a call for heating that has stood for a quarter of an hour. */
export function heating({ elements: e, standing, state, plate }: HeatPumpUnit): Heating {
  const runs = isMachineAble(e, state) && state.controls.power !== 'off';
  const still: Heating = {
    bufferCelsius: roomCelsius + e['plant.left'],
    load: 0,
    isAtLimit: false,
    runs: false,
    isElsewhere: false,
  };
  if (!runs) return still;
  if (!is(e['diverter.heating']) || standing.isStarved) {
    return { ...still, runs: true, isAtLimit: true, load: 1, isElsewhere: true };
  }
  const target = e['heating-curve.celsius'] * e['target.share'];
  const driven = is(e['buffer-sensor.whole'])
    ? drivenWater(
        target,
        roomCelsius,
        { share: bufferShare(e, state), offsetKelvin: e['buffer-sensor.offset'] },
        plate.flowLimitCelsius - Math.max(0, e['flow-sensor.offset']),
      )
    : { waterCelsius: target, isAtLimit: false };
  const need = (needShare * (driven.waterCelsius - roomCelsius)) / (usualTarget - roomCelsius);
  const can = outputShare(e);
  const load = Math.min(1, need / can);
  const reached = roomCelsius + (driven.waterCelsius - roomCelsius) * Math.min(1, can / need);
  return {
    bufferCelsius: reached,
    load: driven.isAtLimit ? 1 : load,
    isAtLimit: driven.isAtLimit || flowShare(e, state) < 0.55,
    runs,
    isElsewhere: false,
  };
}

/** Mixed water at the valve and at the kitchen's tap, with the valve turned by so many eighths. */
export function mixedAt(e: Elements, state: UnitState, storedCelsius: number, eighths = 0) {
  const hot = storedCelsius - kelvin.hotPort;
  const turned =
    eighths + (isDone(state, done.mixerOpened) ? 1 : 0) - (isDone(state, done.mixerShut) ? 1 : 0);
  const setCelsius = e['mixing-valve.celsius'] + kelvin.eighth * turned;
  const cold = e['cold.celsius'];
  const mixed = is(e['mixing-valve.holds'])
    ? Math.max(
        Math.min(cold, hot),
        mixedFrom({ setCelsius, mostHotShare: e['mixing-valve.most'] }, hot, cold),
      )
    : hot;
  const tap = Math.min(mixed - kelvin.tap - e['cross-flow.kelvin'], e['outlet.celsius']);
  return { hot, mixed, tap };
}

/** The unit as it runs in a state. */
export function run(unit: HeatPumpUnit): Signals {
  const { elements: e, standing, state, plate } = unit;
  const stored = standing.storedCelsius * e['stored.share'];
  const heat = heating(unit);
  const flow = flowShare(e, state);
  // It stands between two runs only where there are any: at its limit, or for want of flow.
  const isStanding = !heat.runs || (is(e['cycle.stands']) && (heat.isAtLimit || flow < 0.8));
  const isHeating = heat.runs && !isStanding;
  const spread = isHeating ? kelvin.flowToReturn / flow : 0.3;
  const trueFlow =
    (heat.isElsewhere ? atLimit(plate) - kelvin.flowOverBuffer : heat.bufferCelsius) +
    (isHeating ? kelvin.flowOverBuffer + 0.5 * (spread - kelvin.flowToReturn) : 0.2);
  const ratio = performanceRatio(Math.min(75, trueFlow), outdoorCelsius);
  const watt = isStanding ? standbyWatt : standbyWatt + (heat.load * plate.heatWatt) / ratio;
  const isWhole = is(e['flow-sensor.whole']);
  const shownFlow = isWhole ? trueFlow + e['flow-sensor.offset'] : dashes;
  const { hot, mixed, tap } = mixedAt(e, state, stored);
  const isBoosted = state.controls.boost === 'on' || !is(e['relay.opens']);
  const isClosed =
    isBoosted &&
    (is(e['relay.closes']) || !is(e['relay.opens'])) &&
    (is(e['immersion-limit.closed']) || isDone(state, done.limitPressed)) &&
    state.controls.power !== 'off';
  const room = roomDifference(heat, e);
  return {
    runs: heat.runs ? 1 : 0,
    heats: isHeating ? 1 : 0,
    'at.limit': heat.isAtLimit ? 1 : 0,
    load: heat.load,
    'shown.setpoint': e['hot-water-setpoint.celsius'],
    'shown.differential': e['restart-differential.kelvin'],
    'shown.cylinder': is(e['cylinder-sensor.whole'])
      ? sensorReading(stored, roomCelsius, {
          share: cylinderShare(e, state),
          offsetKelvin: e['cylinder-sensor.offset'],
        })
      : dashes,
    'shown.buffer': is(e['buffer-sensor.whole'])
      ? sensorReading(heat.bufferCelsius, roomCelsius, {
          share: bufferShare(e, state),
          offsetKelvin: e['buffer-sensor.offset'],
        })
      : dashes,
    'shown.target': e['heating-curve.celsius'] * e['target.share'],
    'shown.flow': shownFlow,
    'shown.return': trueFlow - spread,
    'flow.rate': e['plant.flow'] * flow,
    'power.watt': watt,
    'defrosts.count': heat.runs ? e['outdoor.defrosts'] : 0.2,
    'overnight.kelvin': e['circulation.fall'],
    'buffer.celsius': heat.bufferCelsius,
    'cylinder.celsius': stored,
    'flow.celsius': trueFlow,
    'return.celsius': trueFlow - spread,
    'radiator.celsius': heat.bufferCelsius - kelvin.radiatorUnderBuffer,
    'room.kelvin': room,
    'buffer-sensor.cup': is(e['buffer-sensor.whole']) ? e['buffer-sensor.offset'] : dashes,
    'cylinder-sensor.cup': is(e['cylinder-sensor.whole']) ? e['cylinder-sensor.offset'] : dashes,
    'flow-sensor.difference': isWhole ? e['flow-sensor.offset'] : dashes,
    'tap.celsius': tap,
    'hot-port.celsius': hot,
    'mixed-port.celsius': mixed,
    'step-open.kelvin': mixedAt(e, state, stored, 1).tap - tap,
    'step-shut.kelvin': tap - mixedAt(e, state, stored, -1).tap,
    'primary.pascal': e['primary.pascal'],
    'rise.kelvin': riseOf(unit, stored),
    'approach.kelvin':
      isMachineAble(e, state) && e['diverter.cylinder'] > 0.1 ? e['coil.approach'] : -2,
    'outdoor.volt': is(e['supply.on']) && state.controls.power !== 'off' ? e['supply.volt'] : 0,
    'immersion.ampere': isClosed ? e['supply.volt'] / e['immersion.ohm'] : 0,
    'immersion.ohm': e['immersion.ohm'],
  };
}

/** Water of a machine that runs to its limit. */
const atLimit = ({ flowLimitCelsius }: HeatPumpPlate) => flowLimitCelsius - limitMarginKelvin;

/** What the room lies over its thermostat once that has stopped the call; under it where the emitters give too little. */
function roomDifference({ bufferCelsius }: Heating, e: Elements): number {
  const given = (bufferCelsius - roomCelsius) / (usualTarget - roomCelsius);
  const short = given < 0.9 ? 4 * (given - 0.9) : 0;
  return (
    0.3 + 0.055 * Math.max(0, bufferCelsius - 39) + Math.max(-2.5, short) + e['room-sensor.extra']
  );
}

/** What half an hour of a hot-water call brings, as the readout shows it. */
function riseOf({ elements: e, state, plate }: HeatPumpUnit, stored: number): number {
  const reads = is(e['cylinder-sensor.whole']) ? cylinderShare(e, state) / home : 0;
  if (!isMachineAble(e, state) || !is(e['cylinder-sensor.whole']))
    return -kelvin.lossInHalfHour * reads;
  const most = plate.flowLimitCelsius - limitMarginKelvin - 1.5;
  const isAtLimit = stored > most;
  const watt = isAtLimit ? 0 : hotWaterShare * plate.heatWatt;
  const share =
    outputShare(e) * Math.min(1, flowShare(e, state)) * e['diverter.cylinder'] * e['coil.output'];
  return (riseIn(30, watt, plate.cylinderLitre) * share - kelvin.lossInHalfHour) * reads;
}

/** Stored water that nobody has warmed for days. */
const cold = [18, 24, 30] as const;
/** A cylinder whose immersion heater never lets go. */
const overCelsius = 64;

/** How the water stands, by what the unit does on its own, day in day out. */
export function situations(plate: HeatPumpPlate, e: Elements): readonly HeatPumpStanding[] {
  const arrival: UnitState = { controls: { power: 'on' }, apart: [], done: [], known: {} };
  const at = (...celsius: readonly number[]): HeatPumpStanding[] =>
    celsius.map((storedCelsius) => ({
      share: 1 / celsius.length,
      storedCelsius,
      isStarved: false,
    }));
  if (!is(e['relay.opens'])) return at(overCelsius);
  const isCalled = is(e['mode.normal']) && is(e['cylinder-sensor.whole']);
  if (!isCalled || !isMachineAble(e, arrival) || e['diverter.cylinder'] < 0.1) return at(...cold);
  const setpoint = e['hot-water-setpoint.celsius'];
  const read = drivenWater(
    setpoint,
    roomCelsius,
    { share: e['cylinder-sensor.share'], offsetKelvin: e['cylinder-sensor.offset'] },
    plate.flowLimitCelsius - Math.max(0, e['flow-sensor.offset']),
  );
  // It goes down by a part of its differential before it is called again.
  const cycled = 0.15 * Math.max(0, e['restart-differential.kelvin'] - 3);
  const wide = e['restart-differential.kelvin'] > 10 ? 0.35 * e['restart-differential.kelvin'] : 0;
  const given = outputShare(e) * flowShare(e, arrival) * e['diverter.cylinder'] * e['coil.output'];
  const slow = given < 0.7 ? 10 * (0.7 - given) : 0;
  const most = plate.flowLimitCelsius - limitMarginKelvin - Math.max(0, e['flow-sensor.offset']);
  // Near its limit a coil gives less and less: half of what it lies over the cylinder is never got.
  const reached = Math.min(read.waterCelsius, most - 0.2 * e['coil.approach']);
  const stored = reached - cycled - wide - slow - (e['circulation.fall'] > 8 ? 3 : 0);
  // Every call of the rooms goes into it as well.
  if (!is(e['diverter.heating'])) return at(atLimit(plate) - 3);
  if (!is(e['schedule.covers'])) return at(stored - 8, stored - 14);
  if (!is(e['draw.usual'])) return at(stored - 4, stored - 9);
  if (read.isAtLimit && is(e['cylinder-sensor.whole'])) {
    return [true, false].map((isStarved) => ({ share: 0.5, storedCelsius: stored, isStarved }));
  }
  return at(stored);
}
