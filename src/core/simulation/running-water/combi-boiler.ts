import names from '../../appliances/combi-boiler/names.json' with { type: 'json' };
import type { FamilyNames } from '../../appliances/kit/names';
import type { UnitState } from '../../appliances/kit/unit-state';
import { drawFaults, knownFault, type Together } from '../drawn-faults';
import type { Random } from '../random';
import type {
  Complaint,
  SimulatedAnswer,
  SimulatedFamily,
  SimulatedUnit,
  SimulationOptions,
} from '../simulated-family';
import { carbonDioxide, fullShare } from './burner';
import { combiInTime } from './combi-in-time';
import { lookAtCombi } from './combi-sights';
import {
  drawCombi,
  endAt,
  hotBar,
  shownTap,
  tapFlow,
  warmed,
  watched,
  type CombiCall,
  type CombiFacts,
  type CombiUnit,
} from './combi-unit';
import { shown } from './eyes';
import { combiWeights, waterNumbers as numbers } from './numbers';
import { number, overRange, slipOf, type Answered } from './reading';

const familyNames = names as unknown as FamilyNames;

/** Pairs that come together more often than chance. Common practice. */
const together: readonly Together[] = [
  ['hose', 'plate', 4],
  ['system', 'filter', 4],
  ['vessel', 'relief', 5],
  ['system', 'pump', 3],
  ['pressure', 'air', 3.5],
];

const known = knownFault(familyNames);

/** Combination boilers, each with its own values. */
export const simulatedCombi: SimulatedFamily = {
  names: familyNames,
  weights: combiWeights,
  strangeFaults: {},
  simulate: (plate, random, options) => simulate(plate as CombiFacts, random, options),
  inTime: (plate, random, faults) => combiInTime(plate as CombiFacts, random, faults.map(known)),
};

function simulate(
  facts: CombiFacts,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions,
): SimulatedUnit {
  const there = combiWeights.filter(
    ([id]) =>
      (id !== 'hose.choked' || facts.primaryHose === 'true') &&
      (id !== 'keep-warm.wrong' || facts.keepWarm !== 'none'),
  );
  const drawn = (faults ?? drawFaults(there, together, twoFaults, random)).map(known);
  let standing = drawn;
  const own = () =>
    drawCombi(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = own();
  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: complain(unit, random),
    settings: () => ({
      tapSetpoint: Math.round(unit.tapSetpoint),
      flowSetpoint: Math.round(unit.flowSetpoint),
    }),
    volts: () => (unit.has('supply.off') ? 0 : 230),
    repair(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      if (left.length === standing.length) return;
      standing = left;
      unit = own();
    },
    answer(check, state) {
      const { kind, quantity } = familyNames.checks[check]!;
      const call = callOf(state);
      if (kind === 'observation' || kind === 'code') {
        return { kind: 'outcome', outcome: lookAtCombi(check, unit, call, random) };
      }
      if (random.chance(wrongReadings)) return slipOf(quantity, random);
      return read(
        check,
        unit,
        call,
        Number(state.controls.tapSetpoint ?? unit.tapSetpoint),
        random,
      );
    },
  };
}

const callOf = ({ controls }: UnitState): CombiCall =>
  controls.request === 'heating'
    ? 'heating'
    : controls.hotTap === 'throttled'
      ? 'throttled'
      : controls.hotTap === 'open'
        ? 'tap'
        : 'none';

function read(
  check: string,
  unit: CombiUnit,
  call: CombiCall,
  setCelsius: number,
  random: Random,
): SimulatedAnswer {
  const { meter } = numbers;
  const { through, all } = tapFlow(unit, call);
  const end = endAt(unit, call);
  const isLit = end === 'burns';
  const seen = watched(unit, call, setCelsius);
  const house = call === 'heating' ? warmed(unit) : undefined;
  const tap = (seen?.tap ?? unit.coldCelsius) * (1 - unit.past) + unit.coldCelsius * unit.past;
  const celsius = (value: number, error: number = meter.celsius) =>
    number(shown(value, error, 0.1, random));
  const pascal = (value: number, step: number) =>
    number(Math.max(0, shown(value, 0.012 * value, step, random)));
  const bar = (value: number, error = 0.04) =>
    number(Math.max(0, shown(value, error, meter.barStep, random)) * 1e5);
  // A dark display shows nothing, and an open sensor the end of its scale.
  const readout = (value: number) =>
    unit.isDisplayDark ? number(0) : unit.has('flow-sensor.open') ? number(-40) : celsius(value, 1);
  const isPowered = !unit.has('supply.off');
  const isAlive = isPowered && !unit.has('fuse.open') && !unit.has('control.dead');
  const tries =
    end === 'fan-fails' || end === 'sparks-no-flame' || end === 'lights-and-drops' || isLit;
  const rest = 26 + 12 * random.next();
  const answers: Answered = {
    'flow-temperature-rise': () => number(shown((seen?.rise ?? 0) * 60, 4.5, 1, random)),
    'display-flow-temperature-peak': () => readout(seen?.peak ?? rest + unit.flowError),
    'tap-flow': () => number(Math.max(0, shown(all, meter.flowShare * all, 0.1, random))),
    'display-tap-flow': () =>
      unit.isDisplayDark
        ? number(0)
        : number(Math.max(0, shown(shownTap(unit, through), meter.shownFlow, 0.1, random))),
    'tap-temperature': () => celsius(tap),
    'tap-inlet-temperature': () => celsius(unit.coldCelsius),
    'tap-test-low-difference': () => celsius(tap - setCelsius, 1),
    'tap-test-middle-difference': () => celsius(tap - setCelsius, 1),
    'tap-test-high-difference': () => celsius(tap - setCelsius, 1),
    'flow-return-difference-tap': () => celsius(seen ? seen.flow - seen.back : 0, 1.6),
    'flow-return-difference-heating': () => celsius(house ? house.flow - house.back : 0, 1.4),
    'display-flow-temperature-heating': () =>
      readout((house?.flow ?? unit.roomCelsius) + unit.flowError),
    'flow-pipe-temperature-heating': () => celsius(house?.flow ?? unit.roomCelsius, 1.4),
    'radiator-mean-temperature': () => celsius(house?.radiators ?? unit.roomCelsius, 1.8),
    'heating-pipe-temperature-with-tap': () =>
      celsius(
        seen && unit.strays > 0
          ? unit.roomCelsius + (seen.flow - unit.roomCelsius) * Math.min(0.95, 0.3 + unit.strays)
          : unit.roomCelsius + 1.5,
        1.2,
      ),
    'pressure-gauge': () => bar(unit.primaryBar),
    'display-pressure': () =>
      unit.isDisplayDark ? number(0) : bar(Math.max(0, unit.primaryBar + unit.sensorBar), 0.03),
    'pressure-hot': () =>
      bar(house ? hotBar(unit, (house.flow + house.back) / 2) : unit.primaryBar, 0.05),
    'pressure-change-in-a-day': () => number(shown(unit.barADay, 0.05, 0.05, random) * 1e5),
    'vessel-charge': () => bar(unit.vesselBar),
    'hose-bore': () => number(Math.max(1, shown(unit.hoseMillimetre, 0.7, 0.5, random))),
    'pump-power': () =>
      number(isAlive && end !== 'nothing' ? Math.max(0, shown(unit.pumpWatt, 2.5, 1, random)) : 0),
    'gas-pressure-static': () => pascal(unit.burner.staticPascal, 10),
    'gas-pressure-running': () =>
      pascal(isLit ? unit.burner.runningPascal : unit.burner.staticPascal, 10),
    'gas-rate': () => {
      const perHour = (unit.facts.inputWatt * fullShare(unit.burner) * 3600) / 38.7e6;
      return number(isLit ? shown(perHour, meter.gasShare * perHour, 0.01, random) : 0);
    },
    'flame-current': () =>
      number(
        isLit || end === 'lights-and-drops'
          ? Math.max(
              0,
              shown(unit.burner.microampere, meter.ampere * unit.burner.microampere, 0.1, random),
            ) * 1e-6
          : 0,
      ),
    'fan-speed-percent': () =>
      number(
        tries
          ? Math.min(100, Math.max(0, Math.round(unit.burner.fanPercent + 2 * random.normal())))
          : 0,
      ),
    co2: () => number(isLit ? shown(carbonDioxide(unit.burner), meter.percent, 0.1, random) : 0),
    'co-ratio': () =>
      number(isLit ? unit.burner.coRatio * Math.exp(meter.ratioShare * random.normal()) : 0),
    'tap-sensor-difference': () =>
      celsius(unit.has('tap-sensor.open') ? ofOpenSensor(unit) : unit.tapError, meter.kelvin),
    'flow-sensor-difference': () =>
      celsius(unit.has('flow-sensor.open') ? ofOpenSensor(unit) : unit.flowError, meter.kelvin),
    'supply-volts': () => number(isPowered ? shown(230, 4, 1, random) : 0),
    'control-dc-volts': () => number(isAlive ? shown(24, 0.3, 0.1, random) : 0),
    'limit-ohms': () => (unit.has('limit.open') ? overRange : number(shown(0.3, 0.1, 0.1, random))),
  };
  const answer = answers[check];
  if (!answer) throw new RangeError(`nobody reads "${check}"`);
  return answer();
}

/** What the display makes of an open sensor, against a pipe that stands. */
const ofOpenSensor = (unit: CombiUnit): number => -40 - unit.roomCelsius;

/** What the householder says, as far as anybody asks. */
function complain(unit: CombiUnit, random: Random): Complaint {
  const is = (...faults: string[]) => faults.some(unit.has);
  const answers: Record<string, string> = {};
  const say = (question: string, answer: string) => {
    if (random.chance(numbers.answered)) answers[question] = answer;
  };
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  say('gasSmell', 'no');
  say('coAlarm', 'no');
  const gradual = is(
    'plate.scaled',
    'plate.blocked',
    'hose.choked',
    'primary-exchanger.restricted',
    'filter.blocked',
    'system.sludge',
    'pump.weak',
    'diverter.passing',
    'tap-sensor.drift',
    'radiators.unbalanced',
  );
  const open = is(
    'demand.too-much-flow',
    'demand.too-little-flow',
    'outlet.mixer',
    'vessel.flat',
    'flow-sensor.drift',
    'flame-sense.low',
    'igniter.worn',
    'tap-filter.blocked',
    'pressure.leak',
    'relief.passing',
    'keep-warm.wrong',
    'tap-setpoint.high',
  );
  say('onset', random.chance(gradual ? 0.76 : open ? 0.47 : 0.18) ? 'gradual' : 'sudden');
  say(
    'allOutlets',
    is('outlet.mixer')
      ? pick(['false', 9], ['true', 1])
      : is('demand.too-little-flow')
        ? pick(['false', 1], ['true', 1])
        : pick(['true', 95], ['false', 5]),
  );
  say(
    'afterWork',
    is('air.locked', 'filling-valve.passing')
      ? pick(['heating-work', 64], ['none', 31], ['new-unit', 5])
      : is('tap-filter.blocked')
        ? pick(['plumbing-or-main', 42], ['none', 48], ['new-unit', 10])
        : is('valve.part-shut', 'radiators.unbalanced', 'combustion.off', 'filter.blocked')
          ? pick(['heating-work', 34], ['none', 50], ['new-unit', 11], ['plumbing-or-main', 5])
          : pick(['none', 86], ['heating-work', 6], ['plumbing-or-main', 4], ['new-unit', 4]),
  );
  say('frost', random.chance(is('condensate.blocked') ? 0.57 : 0.13) ? 'true' : 'false');
  return { kind: kindOf(unit, random), answers };
}

function kindOf(unit: CombiUnit, random: Random): string {
  const is = (...faults: string[]) => faults.some(unit.has);
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  const [tapEnd, heatEnd] = [endAt(unit, 'tap'), endAt(unit, 'heating')];
  if (unit.isDisplayDark) return pick(['dead-display', 7], ['no-hot-water', 3]);
  if (is('control.dead')) return pick(['dead-display', 1], ['code', 6], ['no-hot-water', 4]);
  if (is('plate.leaks-across', 'relief.passing', 'filling-valve.passing'))
    return pick(['leak', 5], ['code', 3], ['other', 2]);
  if (is('pressure.leak')) return pick(['code', 6], ['leak', 2], ['no-hot-water', 2]);
  if (is('vessel.flat')) return pick(['code', 4], ['leak', 3], ['other', 3]);
  if (is('keep-warm.wrong')) return pick(['other', 8], ['late', 2]);
  if (is('radiators.unbalanced', 'system.sludge', 'flow-setpoint.low'))
    return pick(['hot-water-only', 6], ['slow', 2], ['other', 2]);
  // A flame that drops now and then is called about when it has.
  if (is('flame-sense.low') && tapEnd === 'burns')
    return pick(['code', 7], ['no-hot-water', 2], ['other', 1]);
  if (tapEnd === 'nothing' && heatEnd === 'burns')
    return pick(['heating-only', 65], ['no-hot-water', 28], ['swings', 4], ['lukewarm', 3]);
  if (heatEnd === 'nothing' && tapEnd === 'burns') return pick(['hot-water-only', 9], ['other', 1]);
  if (tapEnd !== 'burns') return pick(['code', 74], ['no-hot-water', 20], ['other', 6]);
  const seen = watched(unit, 'tap');
  const house = warmed(unit);
  // Heat that is not taken away: the exchanger is heard, and cuts out with a code, whatever runs.
  if (seen && (seen.boils || seen.flow - seen.back > 33))
    return pick(['noise', 30], ['code', 34], ['swings', 16], ['lukewarm', 12], ['other', 8]);
  if (house && house.flow - house.back > 33 && random.chance(0.7))
    return pick(['noise', 30], ['code', 25], ['hot-water-only', 35], ['slow', 10]);
  if (is('combustion.off') && random.chance(0.7))
    return pick(['code', 40], ['noise', 35], ['other', 25]);
  if (is('pressure-sensor.fault') && random.chance(0.6)) return pick(['code', 70], ['other', 30]);
  const isHousePoor = !house || house.radiators < 50;
  if (isHousePoor && random.chance(0.8))
    return pick(['hot-water-only', 8], ['code', 1.5], ['slow', 1.5]);
  if (seen && (seen.swing > 4 || seen.cuts > 0))
    return pick(['swings', 55], ['lukewarm', 18], ['code', 12], ['noise', 12], ['heating-only', 3]);
  const tap = (seen?.tap ?? unit.coldCelsius) * (1 - unit.past) + unit.coldCelsius * unit.past;
  // At a basin less runs than at a tap that stands wide open: there it is met first.
  const basin = watched(unit, 'throttled')?.tap ?? tap;
  if (Math.max(tap, basin) > 55) return pick(['too-hot', 8], ['other', 2]);
  if (tap < 30) return pick(['heating-only', 5], ['no-hot-water', 3], ['lukewarm', 2]);
  if (tap < 40) return pick(['lukewarm', 8], ['swings', 1], ['other', 1]);
  if (!house || house.radiators < 42) return pick(['hot-water-only', 7], ['code', 2], ['slow', 1]);
  return pick(['lukewarm', 28], ['swings', 22], ['late', 18], ['hot-water-only', 8], ['other', 24]);
}
