import names from '../../appliances/system-boiler/names.json' with { type: 'json' };
import type { FamilyNames } from '../../appliances/kit/names';
import type { UnitState } from '../../appliances/kit/unit-state';
import { drawFaults, knownFault, type Together } from '../drawn-faults';
import type { Random } from '../random';
import { number, overRange, slipOf, type Answered } from '../running-water/reading';
import { shown } from '../running-water/eyes';
import type {
  Complaint,
  SimulatedAnswer,
  SimulatedFamily,
  SimulatedUnit,
  SimulationOptions,
} from '../simulated-family';
import { ladderOf, type LadderSetting } from './ladder';
import { zonedNumbers as numbers, zonedWeights } from './numbers';
import { codeOf, livedWith, lookAtZoned, pumpRuns, type ZonedState } from './sights';
import { endOf, isAlive, litEnds, storedCelsius, type ZonedCall } from './ends';
import { burntContact } from './burnt-contact';
import { drawZoned, type ZonedFacts, type ZonedUnit } from './unit';
import { zonedInTime } from './in-time';

const familyNames = names as unknown as FamilyNames;
const known = knownFault(familyNames);

/** Pairs that come together more often than chance. Common practice. */
const together: readonly Together[] = [
  ['burner', 'flame-rod', 2.2],
  ['water', 'air-in-loop', 3.5],
  ['zone-panel', 'w-24v', 1.8],
  ['burner', 'igniter', 1.8],
];

/** Boilers with zones and a cylinder, each with its own values. */
export const simulatedZoned: SimulatedFamily = {
  names: familyNames,
  weights: zonedWeights,
  strangeFaults: {},
  simulate: (plate, random, options) => simulate(plate as ZonedFacts, random, options),
  inTime: (plate, random, faults) => zonedInTime(plate as ZonedFacts, random, faults.map(known)),
};

const byThermostat = new Set([
  'zone-panel.end-dhw-open',
  'zone-panel.priority-stuck',
  'cylinder-aquastat.never-closes',
  'cylinder-aquastat.welded',
]);
const bySensor = new Set([
  'cylinder-sensor.open-or-short',
  'cylinder-sensor.drift',
  'cylinder-sensor.out-of-pocket',
]);

function simulate(
  facts: ZonedFacts,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions,
): SimulatedUnit {
  const there = zonedWeights.filter(
    ([id]) =>
      !(facts.cylinderControl === 'sensor' ? byThermostat : bySensor).has(id) &&
      (facts.mixingValve === 'true' || !id.startsWith('mixing-valve')),
  );
  const drawn = (faults ?? drawFaults(there, together, twoFaults, random)).map(known);
  let standing = drawn;
  const own = () =>
    drawZoned(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = own();
  let contact = burntContact(unit);
  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: complain(unit, random),
    settings: () => ({ 'cylinder-setpoint': Math.round(unit.setCelsius) }),
    volts: (between, state) => {
      const isOn = stateOf(state).set.isPowered && !unit.has('supply.off');
      return isOn && between.some((each) => each === 'panel.l') ? facts.lineVolt : 0;
    },
    repair(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      if (left.length === standing.length) return;
      standing = left;
      unit = own();
      contact = burntContact(unit);
    },
    answer(check, state) {
      const { kind, quantity } = familyNames.checks[check]!;
      const at = stateOf(state);
      const now = contact.asRead(random);
      if (check.startsWith('combustion-analysis'))
        return printed(analysed(now, at, random), now, random);
      if (kind === 'observation' || kind === 'code') {
        const outcome = lookAtZoned(check, now, at, random);
        if (check === 'relay-tap' && outcome === 'clicks') contact.knock(random);
        return { kind: 'outcome', outcome };
      }
      if (random.chance(wrongReadings)) return slipOf(quantity, random);
      return read(check, now, at, random);
    },
  };
}

function stateOf({ controls, apart }: UnitState): ZonedState {
  const isCylinder = controls.aquastat === 'up' && controls.thermostat1 !== 'up';
  const call: ZonedCall = isCylinder
    ? 'cylinder'
    : controls.thermostat1 === 'down' && controls.jumper !== 'tt'
      ? 'none'
      : 'heat';
  return {
    call,
    isGasOpen: controls.gasCock !== 'closed',
    set: {
      isPowered: controls.power !== 'off',
      zone1: controls.thermostat1 !== 'down',
      zone2: controls.thermostat2 !== 'down' && !isCylinder,
      cylinder: controls.aquastat === 'up',
      isFuseOut: controls.panelFuse === 'out',
      jumper: controls.jumper ?? 'none',
      lifted: apart.map(({ wire }) => wire),
    },
  };
}

/** What an analyser at high fire comes to. */
function analysed(unit: ZonedUnit, state: ZonedState, random: Random): string {
  const end = endOf(unit, 'heat', state.set, state.isGasOpen);
  const is = (...faults: string[]) => faults.some(unit.has);
  const tries = is('burner.cracked', 'burner.dirty') && end !== 'dark' && end !== 'blocked';
  if (!litEnds.has(end) && !tries) return 'no-flame';
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  if (is('burner.cracked'))
    return pick(['co-high', 57], ['right', 17], ['lean', 14], ['rich', 6], ['no-flame', 6]);
  if (is('mixture.off')) return pick(['lean', 36], ['rich', 32], ['co-high', 26], ['right', 6]);
  if (is('burner.dirty'))
    return pick(['co-high', 42], ['right', 28], ['rich', 16], ['lean', 7], ['no-flame', 7]);
  if (is('exchanger.fouled'))
    return pick(['flue-hot', 52], ['co-high', 31], ['right', 12], ['rich', 5]);
  if (is('gas.low-working-pressure')) return pick(['lean', 60], ['right', 34], ['co-high', 6]);
  if (is('air-path.blocked')) return pick(['rich', 42], ['co-high', 36], ['right', 22]);
  if (is('intake.off')) return pick(['right', 58], ['lean', 22], ['rich', 10], ['co-high', 10]);
  return pick(['right', 88], ['lean', 5], ['rich', 4], ['co-high', 2], ['flue-hot', 1]);
}

/** An analyser's printout of such a flame: ranges of our own, with an analyser's errors. */
function printed(flame: string, unit: ZonedUnit, random: Random): SimulatedAnswer {
  const between = (least: number, most: number) => random.between({ least, most });
  const [oxygen, monoxide] = ((): readonly [number, number] => {
    switch (flame) {
      case 'lean':
        return [between(5.9, 8.4), between(15, 60)];
      case 'rich':
        return [between(2.7, 3.7), between(30, 75)];
      case 'co-high':
        return [between(4.2, 8), between(140, 290)];
      case 'no-flame':
        return [between(20.2, 20.8), 0];
      default:
        return [between(4.2, 5.3), between(10, 60)];
    }
  })();
  const back = between(33, 44);
  const flue = flame === 'flue-hot' ? back + between(44, 70) : back + between(4, 20);
  return {
    kind: 'values',
    values: {
      oxygen: Math.round(oxygen * 10) / 10,
      carbonMonoxide: Math.round(monoxide),
      flueTemperature: Math.round(flame === 'no-flame' ? unit.roomCelsius + 2 : flue),
      airTemperature: Math.round(unit.roomCelsius),
      returnTemperature: Math.round(back),
      ambientCarbonMonoxide: 0,
    },
  };
}

/** Volts on the line side, where no ladder reaches. */
function lineVolts(unit: ZonedUnit, from: string, set: LadderSetting): number {
  const volt = unit.facts.lineVolt * unit.feedShare;
  const isFed = set.isPowered && !unit.has('supply.off') && !unit.has('supply.joint-open');
  if (!isFed) return 0;
  if (from === 'panel.l') return volt;
  if (from === 'zone-1.pump') return pumpRuns(unit, set) ? volt : 0;
  return ladderOf(unit, set).cylinder ? volt : 0;
}

function ohms(check: string, unit: ZonedUnit, { set }: ZonedState): number {
  const { has } = unit;
  switch (check) {
    case 'transformer-secondary-ohms':
      return has('transformer.open') ? Infinity : unit.windingOhm;
    case 'panel-fuse-ohms':
      return has('panel-fuse.blown') || has('w-zone-1.r-to-common') ? Infinity : 0.15;
    case 'boiler-fuse-ohms':
      return has('boiler-fuse.blown') ? Infinity : 0.15;
    case 'coil-1-ohms':
      return has('zone-panel.relay-1-coil') ? Infinity : unit.coilOhm * 0.43;
    case 'zone-1-wires-ohms':
    case 'zone-1-wires-idle-ohms': {
      if (has('w-zone-1.shorted')) return 0.4;
      if (has('w-zone-1.open')) return Infinity;
      return thermostatOhms(unit, set.zone1) + 2 * unit.wireOhm;
    }
    case 'zone-1-thermostat-ohms':
    case 'zone-1-thermostat-idle-ohms':
      return thermostatOhms(unit, set.zone1);
    case 'r-to-common-ohms': {
      if (has('w-zone-1.r-to-common')) return 1.2;
      const [throughCall, throughChain] = [1 / (unit.callOhm + 5), 1 / (unit.senseOhm + 5)];
      const isJoined =
        Number.isFinite(unit.jointOhm) && !has('w-24v.open') && !has('boiler-fuse.blown');
      const isChainShut = !has('limit.tripped') && !has('condensate.blocked') && unit.bar >= 0.5;
      const isContactShut = has('zone-panel.relay-1-welded') || has('zone-panel.end-heat-welded');
      const calls =
        has('thermostat-1.welded') ||
        has('w-zone-1.shorted') ||
        (set.zone1 && !has('thermostat-1.never-closes') && !has('w-zone-1.open'));
      const siemens =
        (isJoined && isChainShut ? throughChain : 0) +
        (isJoined && isContactShut ? throughCall : 0) +
        (calls ? 1 / (0.43 * unit.coilOhm) : 0);
      return siemens > 0 ? 1 / siemens : Infinity;
    }
    default:
      throw new RangeError(`nobody puts an ohmmeter to "${check}"`);
  }
}

const thermostatOhms = (unit: ZonedUnit, isUp: boolean): number =>
  unit.has('thermostat-1.welded') || (isUp && !unit.has('thermostat-1.never-closes'))
    ? 0.2
    : Infinity;

const lineChecks = new Set(['panel-line-volts', 'zone-1-pump-volts', 'cylinder-pump-volts']);

function read(check: string, unit: ZonedUnit, state: ZonedState, random: Random): SimulatedAnswer {
  const { meter } = numbers;
  const { quantity, between } = familyNames.checks[check]!;
  if (check === 'igniter-ohms') {
    return unit.has('igniter.failed') && unit.luck < 0.8
      ? overRange
      : number(shown(unit.igniterOhm, 0.6, 0.1, random));
  }
  if (quantity === 'resistance' && between) {
    const ohm = ohms(check, unit, state);
    return Number.isFinite(ohm)
      ? number(Math.max(0, shown(ohm + 0.2, 0.15 + meter.ohmShare * ohm, 0.1, random)))
      : overRange;
  }
  if (check === 'gas-valve-volts') {
    const end = endOf(unit, state.call, state.set, state.isGasOpen);
    const reached = litEnds.has(end) || end === 'spark-no-flame' || end === 'flame-drops';
    return number(reached ? shown(ladderOf(unit, state.set).boardVolt, 0.4, 0.1, random) : 0);
  }
  if (quantity === 'voltage-ac' && between) {
    const volt = lineChecks.has(check)
      ? lineVolts(unit, between[0], state.set)
      : ladderOf(unit, state.set).volts(...between);
    return number(Math.max(0, shown(volt, meter.volt + meter.voltShare * volt, 0.1, random)));
  }
  const answer = physical(check, unit, state, random);
  return answer.kind === 'number' && familyNames.checks[check]!.valuesAt
    ? { kind: 'values', values: valuesOf(check, answer.value, unit, random) }
    : answer;
}

/** Ohms of a thermistor or of platinum, by formulas of our own. */
function ohmsAt(curve: string, celsius: number): number {
  if (curve === 'pt1000') return 1000 * (1 + 0.00391 * celsius - 5.8e-7 * celsius ** 2);
  const [ohm25, beta] =
    curve === 'ntc-12k-3740' ? [12_000, 3740] : [10_000, curve === 'ntc-10k-3435' ? 3435 : 3977];
  return ohm25 * Math.exp(beta * (1 / (celsius + 273.15) - 1 / 298.15));
}

/** What is read at each point, where a check takes several: they come to the difference. */
function valuesOf(
  check: string,
  kelvin: number,
  unit: ZonedUnit,
  random: Random,
): Record<string, number> {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const base = (least: number, most: number) => tenth(random.between({ least, most }));
  if (check.endsWith('-sensor-ohms')) {
    const at = check.startsWith('outdoor') ? base(-2, 14) : base(38, 58);
    const ohm =
      kelvin <= -90
        ? Infinity
        : kelvin >= 90
          ? base(0.5, 9)
          : ohmsAt(unit.facts.sensorCurve, at + kelvin);
    return { sensor: Number.isFinite(ohm) ? Math.round(ohm) : ohm, at };
  }
  switch (check) {
    case 'cylinder-rise-10-min': {
      const one = base(36, 43);
      return { one, other: tenth(one + kelvin) };
    }
    case 'supply-rise-series': {
      const first = base(30, 40);
      return {
        first,
        second: tenth(first + kelvin),
        third: tenth(first + 2 * kelvin),
        fourth: tenth(first + 3 * kelvin),
      };
    }
    case 'supply-return-difference': {
      const one = base(60, 72);
      return { one, other: tenth(one - kelvin) };
    }
    default: {
      const other = check.endsWith('outdoor') ? base(-2, 14) : base(44, 62);
      return { one: kelvin <= -90 ? -40 : tenth(other + Math.min(60, kelvin)), other };
    }
  }
}

function physical(
  check: string,
  unit: ZonedUnit,
  state: ZonedState,
  random: Random,
): SimulatedAnswer {
  const { meter } = numbers;
  const { has, facts } = unit;
  const end = endOf(unit, state.call, state.set, state.isGasOpen);
  const isLit = litEnds.has(end);
  const kelvin = (value: number, error: number = meter.kelvin) =>
    number(shown(value, error, 0.1, random));
  const pascal = (value: number, step: number) =>
    number(Math.max(0, shown(value, meter.pascalShare * value, step, random)));
  const sensor = (fault: string, error: number) =>
    has(fault) ? number(unit.breaksOpen ? -95 : 95) : kelvin(error, 1.5);
  const readable = isAlive(unit, ladderOf(unit, state.set)) && !unit.isDisplayDark;
  const display = (fault: string, error: number) => (readable ? sensor(fault, error) : number(0));
  const answers: Answered = {
    'water-pressure': () => number(Math.max(0, shown(unit.bar, 0.05, 0.05, random)) * 1e5),
    'gas-static-pressure': () => pascal(state.isGasOpen ? unit.gasPascal : 0, 10),
    'gas-working-pressure': () => pascal(unit.gasPascal * (isLit ? 1 - unit.gasSag : 1), 10),
    'air-pressure': () =>
      pascal(!has('fan.dead') && isAlive(unit, ladderOf(unit, state.set)) ? unit.airPascal : 0, 1),
    'flame-current': () =>
      number(isLit ? Math.max(0, shown(unit.microampere, 0.2, 0.1, random)) * 1e-6 : 0),
    'supply-rise-series': () => {
      const quick = has('boiler-pump.stuck')
        ? between(18, 38)
        : has('air-in-loop')
          ? between(6, 20)
          : 0;
      return kelvin(isLit ? quick || between(2.6, 7) : 0, 0.8);
    },
    'supply-return-difference': () => {
      const flow = has('boiler-pump.stuck') ? 0.06 : has('air-in-loop') ? 0.45 : 1;
      return kelvin(isLit ? Math.min(70, unit.loopKelvin / flow) : 0, 1.4);
    },
    'cylinder-temperature': () => kelvin(storedCelsius(unit, state.set), meter.celsius),
    'cylinder-rise-10-min': () => {
      const pumped =
        !has('cylinder-pump.stuck') &&
        (facts.cylinderControl === 'sensor' || ladderOf(unit, state.set).cylinder);
      if (!isLit || !pumped) return kelvin(0.3, 0.5);
      const heat = facts.inputWatt * unit.efficiency;
      const litre = facts.cylinderLitre;
      let celsius = 41;
      for (let second = 0; second < 600; second += 5) {
        const coil = unit.coilWattPerKelvin * (litre / 150) * (77 - celsius);
        celsius += (Math.min(heat, coil) * 5) / (4120 * litre);
      }
      return kelvin(celsius - 41, 1.2);
    },
    'outlet-temperature': () => {
      const stored = storedCelsius(unit, state.set) - 2;
      const mixed = facts.mixingValve === 'true' ? Math.min(stored, unit.mixedCelsius) : stored;
      return kelvin(Math.max(unit.coldCelsius, mixed), meter.celsius);
    },
    'supply-sensor-ohms': () => sensor('supply-sensor.open-or-short', unit.supplyError),
    'return-sensor-ohms': () => sensor('return-sensor.open-or-short', 0.8 * random.normal()),
    'outdoor-sensor-ohms': () => sensor('outdoor-sensor.open-or-short', 0.8 * random.normal()),
    'cylinder-sensor-ohms': () =>
      sensor(
        'cylinder-sensor.open-or-short',
        has('cylinder-sensor.out-of-pocket') ? random.normal() : unit.cylinderError,
      ),
    'display-less-contact-supply': () => display('supply-sensor.open-or-short', unit.supplyError),
    'display-less-true-outdoor': () => display('outdoor-sensor.open-or-short', unit.outdoorError),
    'display-less-contact-cylinder': () =>
      display('cylinder-sensor.open-or-short', unit.cylinderError),
  };
  const answer = answers[check];
  if (!answer) throw new RangeError(`nobody reads "${check}"`);
  return answer();

  function between(least: number, most: number): number {
    return random.between({ least, most });
  }
}

/** What the householder says, as far as anybody asks. */
function complain(unit: ZonedUnit, random: Random): Complaint {
  const is = (...faults: string[]) => faults.some(unit.has);
  const answers: Record<string, string> = {};
  const say = (question: string, answer: string) => {
    if (random.chance(numbers.answered)) answers[question] = answer;
  };
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  const lived = livedWith(unit);
  const calling: LadderSetting = {
    isPowered: true,
    zone1: true,
    zone2: true,
    cylinder: false,
    isFuseOut: false,
    jumper: 'none',
    lifted: [],
  };
  const isLit = isAlive(unit, ladderOf(unit, calling)) && !unit.isDisplayDark;
  const code = isLit ? codeOf(unit, random) : 'none';
  say('gasSmell', 'no');
  say('coAlarm', 'no');
  say(
    'heating',
    random.chance(0.94) ? lived.heating : pick(['works', 1], ['weak', 1], ['none', 1]),
  );
  say(
    'hotWater',
    random.chance(0.94) ? lived.hotWater : pick(['works', 1], ['lukewarm', 1], ['none', 1]),
  );
  say('display', pick(['not-looked', 4], [isLit ? (code === 'none' ? 'lit' : 'code') : 'dark', 6]));
  say(
    'afterWork',
    is('wiring.swapped-after-work')
      ? pick(['electrical', 78], ['none', 22])
      : is('intake.off', 'mixture.off')
        ? pick(['burner', 30], ['none', 65], ['plumbing', 5])
        : is('air-in-loop', 'limit.tripped', 'water.low-pressure')
          ? pick(['plumbing', 25], ['none', 75])
          : Object.keys(familyNames.faults).some((each) => each.startsWith('settings.') && is(each))
            ? pick(['settings', 28], ['none', 66], ['electrical', 6])
            : pick(
                ['none', 84],
                ['plumbing', 5],
                ['electrical', 5],
                ['burner', 3],
                ['settings', 3],
              ),
  );
  say('outlets', pick(['all', 9], ['one', 0.6]));
  return { kind: kindOf(unit, lived, isLit, code, random), answers };
}

function kindOf(
  unit: ZonedUnit,
  { heating, hotWater }: ReturnType<typeof livedWith>,
  isLit: boolean,
  code: string,
  random: Random,
): string {
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  if (!isLit && random.chance(0.55)) return 'dead-display';
  if (code !== 'none' && random.chance(0.5)) return 'code';
  if (
    ['air-in-loop', 'intake.off', 'burner.cracked', 'burner.dirty'].some(unit.has) &&
    random.chance(0.3)
  ) {
    return 'noise';
  }
  if (unit.has('demand')) return pick(['runs-out', 6], ['lukewarm', 3], ['no-hot-water', 1]);
  if (unit.has('cylinder-coil.scaled') && random.chance(0.35)) return 'slow';
  if (hotWater === 'too-hot') return 'too-hot';
  if (heating === 'none' && hotWater === 'none')
    return pick(['no-hot-water', 7], ['other', 2], ['hot-water-only', 1]);
  if (hotWater === 'none') return pick(['no-hot-water', 6], ['heating-only', 4]);
  if (heating === 'none') return pick(['hot-water-only', 8], ['other', 2]);
  if (hotWater === 'lukewarm') return pick(['lukewarm', 7], ['runs-out', 2], ['slow', 1]);
  if (heating === 'one-zone') return pick(['hot-water-only', 5], ['other', 5]);
  if (heating === 'too-warm') return pick(['too-hot', 5], ['other', 5]);
  if (heating === 'weak') return pick(['hot-water-only', 4], ['other', 6]);
  return pick(['other', 7], ['lukewarm', 1], ['slow', 1], ['runs-out', 1]);
}
