import type { Random } from '../random';
import type { WirelessSystem } from './unit';

/** What a hand has restarted or bound since it came. */
export interface Cures {
  readonly sensorRestarted: boolean;
  readonly receiversRestarted: boolean;
  readonly sensorBound: boolean;
  readonly receiverBound: boolean;
}

export interface WirelessSetting {
  readonly isPowered: boolean;
  readonly isOverridden: boolean;
  readonly isPressed: boolean;
  readonly isHeating: boolean;
  readonly isLeverOver: boolean;
}

/** One of so many tries gets over the air. */
function getsThrough(margin: number, tries: number, random: Random): boolean {
  const chance = 1 / (1 + Math.exp(-(margin + 0.5) / 1.7));
  return random.chance(1 - (1 - chance) ** tries);
}

export const isControllerLit = (unit: WirelessSystem): boolean =>
  unit.controllerVolt > 2 && !unit.has('controller.dead');

/** Whether the sensor sends at all. */
export const sensorSends = (unit: WirelessSystem, cures: Cures): boolean =>
  !unit.has('sensor.dead') &&
  unit.cellVolt > 2.18 &&
  (!unit.has('sensor.hung') || cures.sensorRestarted || cures.sensorBound) &&
  (!unit.has('sensor.unbound') || cures.sensorBound);

export const receiverListens = (unit: WirelessSystem, cures: Cures): boolean =>
  !unit.has('receiver.dead') &&
  !unit.has('receiver.no-supply') &&
  (!unit.has('receiver.hung') || cures.receiversRestarted) &&
  (!unit.has('receiver.unbound') || cures.receiverBound);

export interface WirelessMoment {
  readonly isHeard: boolean;
  readonly isCalling: boolean;
  readonly isLit: boolean;
  readonly relay: boolean;
  readonly motor: boolean;
  readonly driven: boolean;
  readonly endClosed: boolean;
  readonly feed: boolean;
  readonly boiler: boolean;
  readonly fires: boolean;
  readonly pump: boolean;
  readonly through: boolean;
  readonly flows: boolean;
}

/** The chain at one moment: messages that get through or not, contacts, water. */
export function momentOf(
  unit: WirelessSystem,
  cures: Cures,
  set: WirelessSetting,
  storedCelsius: number,
  random: Random,
): WirelessMoment {
  const { has } = unit;
  const isHeard =
    isControllerLit(unit) && sensorSends(unit, cures) && getsThrough(unit.sensorMargin, 2, random);
  const read = unit.cupboard + unit.contact * (storedCelsius - unit.cupboard) + unit.offset;
  const isAllowed = !has('mode.off') && (set.isOverridden || !has('program.wrong'));
  const isCalling =
    set.isOverridden && isHeard && isAllowed && read < unit.setpoint - unit.differential;
  const isOwn = !has('receiver.swapped') || cures.receiverBound;
  const told =
    isCalling &&
    isOwn &&
    !has('system-type.wrong') &&
    receiverListens(unit, cures) &&
    getsThrough(unit.receiverMargin, 2, random);
  const hasSupply = set.isPowered && !has('receiver.no-supply');
  const isLit = hasSupply && !has('receiver.dead') && (told || set.isPressed);
  const relay =
    hasSupply && ((isLit && !has('receiver.relay-open')) || has('receiver.relay-welded'));
  const motor = relay && !has('cutout.tripped') && !has('wiring.receiver-to-valve');
  const driven = motor && !has('valve.motor-dead') && !has('valve.body-seized');
  const endClosed = (driven && !has('valve.end-switch-open')) || has('valve.end-switch-welded');
  const feed = set.isPowered && !has('wiring.switch-feed');
  const boiler = feed && endClosed && !has('wiring.to-boiler');
  const isAsked = boiler || set.isHeating;
  const fires = isAsked && !has('boiler.no-fire');
  const pump = isAsked && !has('pump.dead');
  const through = driven || has('valve.lever-latched') || has('valve.passing');
  const flows = fires && pump && through && !has('circuit.air-locked');
  return {
    isHeard,
    isCalling,
    isLit,
    relay,
    motor,
    driven,
    endClosed,
    feed,
    boiler,
    fires: unit.facts.arrangement === 'immersion' ? motor : fires,
    pump,
    through,
    flows,
  };
}

const sure: Random = {
  next: () => 0.5,
  normal: () => 0,
  between: ({ least, most }) => (least + most) / 2,
  overDecades: ({ least, most }) => Math.sqrt(least * most),
  near: ({ middle }) => middle,
  chance: (probability) => probability > 0.5,
  pick: (weighted) => weighted[0]![0],
};

const noCures: Cures = {
  sensorRestarted: false,
  receiversRestarted: false,
  sensorBound: false,
  receiverBound: false,
};

/** How the water stands after weeks of it. */
export function storedOf(unit: WirelessSystem): number {
  const { has } = unit;
  if (has('no-fault.already-hot'))
    return unit.setpoint - unit.differential * (0.25 + 0.5 * unit.luck);
  const at = (set: Partial<WirelessSetting>) =>
    momentOf(
      unit,
      noCures,
      {
        isPowered: true,
        isOverridden: false,
        isPressed: false,
        isHeating: false,
        isLeverOver: false,
        ...set,
      },
      15,
      sure,
    );
  const isWarm = (moment: WirelessMoment) =>
    unit.facts.arrangement === 'immersion' ? moment.fires : moment.flows;
  if (isWarm(at({ isHeating: true })) && !has('cutout.tripped')) return 70 + 8 * unit.luck;
  if (has('program.wrong') || !isWarm(at({ isOverridden: true }))) return unit.coldStored;
  const asRead = unit.setpoint - unit.differential * (0.1 + 0.6 * unit.luck);
  const truly = unit.cupboard + (asRead - unit.cupboard - unit.offset) / unit.contact;
  return Math.max(15, Math.min(79, truly - (has('demand') ? 12 + 18 * unit.luck : 0)));
}
