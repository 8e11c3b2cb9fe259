import { batteryLoss, nearLoss, silentVolt } from '../../radio';
import { above } from '../kit/signal/outcome-tables';
import type { Running, Standing } from '../kit/signal/declaration';
import { isDone, type UnitState } from '../kit/unit-state';
import type { Signals } from '../kit/stages';
import { callsBelow } from './call';
import type { Elements } from './elements';
import type { WirelessPlate } from './plate';

/** How the water stands when somebody comes: what its fault has led to. */
export interface WirelessStanding extends Standing {
  readonly storedCelsius: number;
}

export type WirelessUnit = Running<WirelessPlate, WirelessStanding> & {
  readonly elements: Elements;
};

/** What a check has done once and for all: each cures what it restarts or binds. */
export const done = {
  sensorRestarted: 'sensor-restarted',
  receiversRestarted: 'receivers-restarted',
  sensorBound: 'sensor-bound',
  receiverBound: 'receiver-bound',
} as const;

const cupboardCelsius = 24;
/** What a tap loses against the top of its cylinder. Common practice. */
const tapLossKelvin = 2.5;
/** A message of a link gets through above this. */
export const edgeDecibel = -1;
/** What the water differs from unit to unit beside what its fault makes of it, K. */
const storedSpread = 2.5;
/** Cells below which a controller shows nothing. */
export const darkVolt = 2.05;

/** Where something stands near, metal and another radio both do: a cylinder with its pipes, two receivers side by side. */
const besideLoss = (millimetre: number): number => 2 * nearLoss(millimetre);

/** Margin of the sensor's link and of the receiver's, dB. */
export const sensorMargin = (e: Elements): number =>
  e['sensor.path-db'] - besideLoss(e['sensor.metal-mm']) - batteryLoss(e['sensor.volt']);
export const receiverMargin = (e: Elements): number =>
  e['receiver.path-db'] - besideLoss(e['receiver.spacing-mm']);

const is = (share: number) => share > 0.5;

/** What the sensor reads of such water. */
export const readOf = (e: Elements, storedCelsius: number): number =>
  cupboardCelsius + e['sensor.contact'] * (storedCelsius - cupboardCelsius) + e['sensor.offset'];

/** Whether the controller hears its sensor. */
export function hears(e: Elements, state: UnitState): boolean {
  return (
    isLit(e) &&
    is(e['sensor.works']) &&
    (is(e['sensor.awake']) ||
      isDone(state, done.sensorRestarted) ||
      isDone(state, done.sensorBound)) &&
    (is(e['sensor.bound']) || isDone(state, done.sensorBound)) &&
    e['sensor.volt'] > silentVolt &&
    sensorMargin(e) > edgeDecibel
  );
}

export const isLit = (e: Elements): boolean =>
  e['controller.volt'] > darkVolt && is(e['controller.works']);

/** Whether the hot-water receiver hears its controller, whatever it is told. */
export function isHeard(e: Elements, state: UnitState): boolean {
  return (
    is(e['receiver.works']) &&
    is(e['receiver.supply']) &&
    (is(e['receiver.awake']) || isDone(state, done.receiversRestarted)) &&
    (is(e['receiver.bound']) || isDone(state, done.receiverBound)) &&
    receiverMargin(e) > edgeDecibel
  );
}

export const isOwnZone = (e: Elements, state: UnitState): boolean =>
  is(e['receiver.own-zone']) || isDone(state, done.receiverBound);

/** How likely such water calls, where a call is allowed. */
function callShare(e: Elements, state: UnitState, storedCelsius: number): number {
  const isAllowed =
    is(e['mode.normal']) && (state.controls.override === 'on' || is(e['program.on']));
  if (!isAllowed || !hears(e, state)) return 0;
  const below = callsBelow({
    setpointCelsius: e['setpoint.celsius'],
    differentialKelvin: e['differential.kelvin'],
  });
  return 1 - above(readOf(e, storedCelsius), below, storedSpread);
}

/** The chain from the sensor to the coil, as it stands in a state. */
export function run({ elements: e, standing, state, plate }: WirelessUnit): Signals {
  const { storedCelsius } = standing;
  const isPowered = state.controls.power !== 'off';
  const isOverridden = state.controls.override === 'on';
  const call = isOverridden ? callShare(e, state, storedCelsius) : 0;
  const isPressed = state.controls.receiverButton === 'pressed';
  const hasSupply = isPowered && is(e['receiver.supply']);
  const told = call > 0.5 && is(e['system-type.right']) && isOwnZone(e, state) && isHeard(e, state);
  const light = hasSupply && is(e['receiver.works']) && (told || isPressed);
  const relay = hasSupply && ((light && is(e['receiver.contact'])) || !is(e['receiver.open']));
  const volt = e['feed.volt'];
  const of = (isLive: boolean) => (isLive ? volt : 0);
  const motor = relay && is(e['cutout.closed']) && is(e['w-valve.whole']);
  const driven = motor && is(e['valve.motor']) && is(e['valve.body']);
  const isOver = state.controls.valveLever === 'over';
  const endClosed = (driven && is(e['end-switch.closes'])) || !is(e['end-switch.opens']);
  const feed = isPowered && is(e['w-feed.whole']);
  const out = feed && endClosed;
  const boiler = out && is(e['w-boiler.whole']);
  const isHeating = state.controls.heatingCall === 'on';
  const fires = (boiler || isHeating) && is(e['boiler.fires']);
  const pump = (boiler || isHeating) && is(e['pump.turns']);
  const isThrough = driven || !is(e['valve.lever-free']) || !is(e['valve.shuts']);
  const flows = fires && pump && isThrough && is(e['circuit.flows']);
  const immersion = plate.arrangement === 'immersion';
  return {
    call,
    'hears.sensor': hears(e, state) ? 1 : 0,
    told: told ? 1 : 0,
    light: light ? 1 : 0,
    relay: relay ? 1 : 0,
    driven: driven ? 1 : 0,
    'end.closed': endClosed ? 1 : 0,
    fires: (immersion ? motor : fires) ? 1 : 0,
    pump: pump ? 1 : 0,
    flows: flows ? 1 : 0,
    through: isThrough ? 1 : 0,
    'shown.stored': readOf(e, storedCelsius),
    'shown.setpoint': e['setpoint.celsius'],
    'shown.differential': e['differential.kelvin'],
    'shown.overrun': e['overrun.second'],
    'sensor.volt': e['sensor.volt'],
    'controller.volt': e['controller.volt'],
    'receiver.spacing': e['receiver.spacing-mm'],
    'sensor.metal': e['sensor.metal-mm'],
    'cylinder.celsius': storedCelsius,
    'tap.celsius': storedCelsius - tapLossKelvin,
    'receiver-supply.volt': of(hasSupply),
    'receiver-out.volt': of(relay),
    'motor.volt': of(motor),
    'switch-feed.volt': of(feed),
    'switch-out.volt': of(out),
    'boiler-call.volt': of(boiler),
    'end-switch.ohm':
      (isOver && is(e['end-switch.closes'])) || !is(e['end-switch.opens']) ? 0.2 : 1e9,
  };
}

/** Hot water that was kept too hot, that was kept, that is lukewarm, and that nobody has warmed. */
const stored = { over: 73, cold: [21, 35] } as const;

/** How the water stands, by what the system does on its own, day in day out. */
export function situations(
  plate: WirelessPlate,
  e: Elements,
  faults: readonly string[],
): readonly WirelessStanding[] {
  if (faults.includes('no-fault.already-hot')) return [{ share: 1, storedCelsius: 54 }];
  const at = (controls: UnitState['controls'], storedCelsius: number) =>
    run({
      plate,
      elements: e,
      standing: { share: 1, storedCelsius },
      state: { controls, apart: [], done: [], known: {} },
    });
  const isServed = (signals: Signals) =>
    plate.arrangement === 'immersion' ? signals.fires! > 0.5 : signals.flows! > 0.5;
  const warms = is(e['program.on']) && isServed(at({ power: 'on', override: 'on' }, 20));
  const everOn = isServed(at({ power: 'on', heatingCall: 'on' }, 20));
  if (everOn && e['cutout.closed'] > 0.5) return [{ share: 1, storedCelsius: stored.over }];
  if (!warms) {
    return stored.cold.map((storedCelsius) => ({ share: 0.5, storedCelsius }));
  }
  // It goes up and down between where a call begins and where it ends, as the sensor reads.
  const share = e['sensor.contact'];
  const asRead = e['setpoint.celsius'] - 0.35 * e['differential.kelvin'];
  const truly = cupboardCelsius + (asRead - cupboardCelsius - e['sensor.offset']) / share;
  const drawn = is(e['draw.usual']) ? 0 : 22;
  return [{ share: 1, storedCelsius: Math.max(16, Math.min(78, truly) - drawn) }];
}
