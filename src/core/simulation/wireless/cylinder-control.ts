import names from '../../appliances/wireless-cylinder-control/names.json' with { type: 'json' };
import type { FamilyNames } from '../../appliances/kit/names';
import type { UnitState } from '../../appliances/kit/unit-state';
import { drawFaults, knownFault, type Together } from '../drawn-faults';
import type { Random } from '../random';
import { number, overRange, slipOf } from '../running-water/reading';
import { shown } from '../running-water/eyes';
import type {
  Complaint,
  SimulatedAnswer,
  SimulatedFamily,
  SimulatedUnit,
  SimulationOptions,
} from '../simulated-family';
import { momentOf, storedOf, type Cures, type WirelessMoment, type WirelessSetting } from './chain';
import { wirelessNumbers as numbers, wirelessWeights } from './numbers';
import { lookAtWireless } from './sights';
import { wirelessInTime } from './in-time';
import { drawWirelessSystem, type WirelessFacts, type WirelessSystem } from './unit';

const familyNames = names as unknown as FamilyNames;
const known = knownFault(familyNames);

/** Faults that come together more often than chance. Common practice. */
const together: readonly Together[] = [
  ['receiver', 'radio', 1.5],
  ['setpoint', 'differential', 2.5],
  ['cutout', 'sensor', 2.5],
];

/** Wireless controls of a cylinder, each with its own values. */
export const simulatedWireless: SimulatedFamily = {
  names: familyNames,
  weights: wirelessWeights,
  strangeFaults: {},
  simulate: (plate, random, options) => simulate(plate as WirelessFacts, random, options),
  inTime: (plate, random, faults) =>
    wirelessInTime(plate as WirelessFacts, random, faults.map(known)),
};

/** What a system without valves and boiler cannot have. */
const ofWater = (id: string): boolean =>
  /^(valve|boiler|pump|circuit|overrun|system-type)\b|^wiring\.(switch-feed|to-boiler)|swapped$/.test(
    id,
  );

function simulate(
  facts: WirelessFacts,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions,
): SimulatedUnit {
  const there = wirelessWeights.filter(([id]) => facts.arrangement !== 'immersion' || !ofWater(id));
  const drawn = (faults ?? drawFaults(there, together, twoFaults, random)).map(known);
  let standing = drawn;
  let cures: Cures = {
    sensorRestarted: false,
    receiversRestarted: false,
    sensorBound: false,
    receiverBound: false,
  };
  const own = () =>
    drawWirelessSystem(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = own();
  let stored = storedOf(unit);
  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: complain(unit, stored, random),
    settings: () => ({ 'hot-water-setpoint': Math.round(unit.setpoint) }),
    volts: (between, { controls }) =>
      controls.power !== 'off' &&
      between.some((each) => each.endsWith('.l') || each.endsWith('feed'))
        ? facts.lineVolt
        : 0,
    repair(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      if (left.length === standing.length) return;
      standing = left;
      unit = own();
      stored = storedOf(unit);
    },
    answer(check, state) {
      const { kind, quantity } = familyNames.checks[check]!;
      const now = momentOf(unit, cures, settingOf(state), stored, random);
      if (kind === 'observation' || kind === 'code') {
        const outcome = lookAtWireless(check, unit, cures, now, stored, random);
        cures = curedBy(check, outcome, cures);
        return { kind: 'outcome', outcome };
      }
      if (random.chance(wrongReadings)) return slipOf(quantity, random);
      return read(check, unit, now, settingOf(state), stored, random);
    },
  };
}

/** What stays of a check that restarts or binds. */
function curedBy(check: string, outcome: string, cures: Cures): Cures {
  switch (check) {
    case 'sensor-battery-out-10-s':
      return { ...cures, sensorRestarted: true };
    case 'receiver-power-off-2-min':
      return { ...cures, receiversRestarted: true };
    case 'rebind-sensor':
      return outcome === 'binds' ? { ...cures, sensorBound: true } : cures;
    case 'rebind-receiver':
      return outcome === 'binds' ? { ...cures, receiverBound: true } : cures;
    default:
      return cures;
  }
}

const settingOf = ({ controls }: UnitState): WirelessSetting => ({
  isPowered: controls.power !== 'off',
  isOverridden: controls.override === 'on',
  isPressed: controls.receiverButton === 'pressed',
  isHeating: controls.heatingCall === 'on',
  isLeverOver: controls.valveLever === 'over',
});

function read(
  check: string,
  unit: WirelessSystem,
  now: WirelessMoment,
  set: WirelessSetting,
  stored: number,
  random: Random,
): SimulatedAnswer {
  const { meter } = numbers;
  const volts = (isLive: boolean) =>
    number(
      isLive
        ? Math.max(0, shown(unit.volt, meter.volt + meter.voltShare * unit.volt, 0.1, random))
        : random.chance(0.9)
          ? 0
          : shown(2, 1, 0.1, random),
    );
  const celsius = (value: number, error: number = meter.celsius) =>
    number(shown(value, error, 0.1, random));
  const cells = (volt: number) => number(Math.max(0, shown(volt, meter.cell, 0.01, random)));
  const tape = (millimetre: number) =>
    number(Math.max(0, shown(millimetre, meter.millimetre, 5, random)));
  switch (check) {
    case 'display-stored-temperature':
      return number(
        Math.round(unit.cupboard + unit.contact * (stored - unit.cupboard) + unit.offset),
      );
    case 'display-setpoint':
      return number(Math.round(unit.setpoint));
    case 'display-differential':
      return number(Math.round(unit.differential));
    case 'display-overrun':
      return number(unit.overrunSecond);
    case 'sensor-battery-volts':
      return cells(unit.cellVolt);
    case 'controller-battery-volts':
      return cells(unit.controllerVolt);
    case 'receiver-spacing-mm':
      return tape(unit.receiverSpacing);
    case 'sensor-to-metal-mm':
      return tape(unit.sensorSpacing);
    case 'contact-cylinder-temperature':
      return celsius(stored);
    case 'tap-temperature':
      return celsius(stored - unit.tapLoss);
    case 'receiver-supply-volts':
      return volts(set.isPowered && !unit.has('receiver.no-supply'));
    case 'receiver-output-volts':
      return volts(now.relay);
    case 'valve-motor-volts':
      return volts(now.motor);
    case 'end-switch-feed-volts':
      return volts(now.feed);
    case 'end-switch-out-volts':
    case 'end-switch-idle-volts':
      return volts(now.feed && now.endClosed);
    case 'boiler-call-volts':
      return volts(now.boiler);
    case 'end-switch-ohms-lever-over':
      return (set.isLeverOver && !unit.has('valve.end-switch-open')) ||
        unit.has('valve.end-switch-welded')
        ? number(shown(0.3, 0.15, 0.1, random))
        : overRange;
    default:
      throw new RangeError(`nobody reads "${check}"`);
  }
}

/** What the household says, by what it lives with. */
function complain(unit: WirelessSystem, stored: number, random: Random): Complaint {
  const is = (...faults: string[]) => faults.some(unit.has);
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  const kind = is('controller.no-power', 'controller.dead')
    ? pick(['dead-display', 55], ['no-hot-water', 40], ['other', 5])
    : is('demand')
      ? pick(['runs-out', 72], ['lukewarm', 22], ['other', 6])
      : stored > 66
        ? pick(['too-hot', 72], ['other', 20], ['no-hot-water', 8])
        : stored < 40
          ? pick(['no-hot-water', 55], ['heating-only', 26], ['code', 12], ['lukewarm', 7])
          : stored < 49
            ? pick(['lukewarm', 58], ['runs-out', 32], ['other', 10])
            : pick(['no-hot-water', 38], ['other', 38], ['lukewarm', 14], ['code', 10]);
  const heating = is('valve.end-switch-welded')
    ? pick(['always-on', 84], ['yes', 16])
    : is('receiver.swapped')
      ? pick(['always-on', 42], ['yes', 42], ['no', 16])
      : is('boiler.no-fire', 'controller.no-power', 'controller.dead')
        ? pick(['no', 86], ['yes', 14])
        : is('pump.dead')
          ? pick(['no', 58], ['yes', 42])
          : pick(['yes', 95], ['no', 5]);
  const afterWork = is('sensor.hung', 'sensor.unbound')
    ? pick(['no', 45], ['batteries-changed', 27], ['new-system', 17], ['moved-or-refitted', 11])
    : is('receiver.swapped', 'receiver.unbound')
      ? pick(['no', 38], ['receiver-replaced', 36], ['new-system', 26])
      : is('system-type.wrong', 'setpoint.low', 'differential.wide')
        ? pick(['no', 60], ['new-system', 36], ['moved-or-refitted', 4])
        : is('radio.sensor-at-metal', 'radio.receivers-too-close', 'sensor.off-cylinder')
          ? pick(['no', 48], ['new-system', 24], ['moved-or-refitted', 28])
          : pick(['no', 90], ['new-system', 4], ['batteries-changed', 3], ['moved-or-refitted', 3]);
  const onset = is(
    'radio.sensor-at-metal',
    'radio.receivers-too-close',
    'radio.path-weak',
    'receiver.hung',
  )
    ? pick(['comes-and-goes', 55], ['sudden', 33], ['gradual', 12])
    : pick(['sudden', 72], ['gradual', 18], ['comes-and-goes', 10]);
  const answers = { 'after-work': afterWork, 'heating-works': heating, onset };
  return {
    kind,
    answers: Object.fromEntries(
      Object.entries(answers).filter(() => random.chance(numbers.answered)),
    ),
  };
}
