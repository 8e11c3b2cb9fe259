import names from '../../appliances/tankless-gas/names.json' with { type: 'json' };
import type { FamilyNames } from '../../appliances/kit/names';
import { isDone, type UnitState } from '../../appliances/kit/unit-state';
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
import { shown } from './eyes';
import { tanklessWeights, waterNumbers as numbers } from './numbers';
import { number, overRange, slipOf, type Answered } from './reading';
import { tanklessInTime } from './tankless-in-time';
import { lookAtTankless } from './tankless-sights';
import {
  drawTankless,
  endAt,
  flowsOf,
  shownFlow,
  watched,
  type TanklessFacts,
  type TanklessSetting,
  type TanklessUnit,
} from './tankless-unit';

const familyNames = names as unknown as FamilyNames;

/** Pairs that come together more often than chance. Common practice. */
const together: readonly Together[] = [
  ['strainer', 'flow-sensor', 4],
  ['exchanger', 'limit', 3],
  ['burner', 'flame-rod', 3],
  ['flue', 'air-switch', 2.5],
];

const known = knownFault(familyNames);

/** Instantaneous gas heaters, each with its own values. */
export const simulatedTankless: SimulatedFamily = {
  names: familyNames,
  weights: tanklessWeights,
  strangeFaults: {},
  simulate: (plate, random, options) => simulate(plate as TanklessFacts, random, options),
  inTime: (plate, random, faults) =>
    tanklessInTime(plate as TanklessFacts, random, faults.map(known)),
};

function simulate(
  facts: TanklessFacts,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions,
): SimulatedUnit {
  const there = tanklessWeights.filter(
    ([id]) => id !== 'condensate.blocked' || facts.condensing === 'true',
  );
  const drawn = (faults ?? drawFaults(there, together, twoFaults, random)).map(known);
  let standing = drawn;
  const own = () =>
    drawTankless(
      standing.map(({ id }) => id),
      facts,
      random,
    );
  let unit = own();
  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: complain(unit, random),
    settings: () => ({ setpoint: Math.round(unit.setpoint) }),
    volts: () => (unit.has('supply.off') ? 0 : 230),
    repair(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      if (left.length === standing.length) return;
      standing = left;
      unit = own();
    },
    answer(check, state) {
      const { kind, quantity } = familyNames.checks[check]!;
      const set = settingOf(state);
      if (kind === 'observation' || kind === 'code') {
        return { kind: 'outcome', outcome: lookAtTankless(check, unit, set, random) };
      }
      if (random.chance(wrongReadings)) return slipOf(quantity, random);
      return read(check, unit, set, random);
    },
  };
}

export const settingOf = (state: UnitState): TanklessSetting => {
  const { controls } = state;
  return {
    opened:
      controls.hotPort === 'open'
        ? 'port'
        : controls.hotTap === 'two-open'
          ? 'two-taps'
          : (controls.hotTap ?? 'closed') === 'closed'
            ? 'none'
            : 'tap',
    isHotShut: controls.hotIsolation === 'shut',
    isLineShut: controls.recirculation === 'shut',
    isReseated: isDone(state, 'connector-reseated'),
    isRinsed: isDone(state, 'strainer-rinsed'),
  };
};

/** What the display makes of an open sensor, against a pipe that stands in a room. */
const ofOpenSensor = -40 - 21;

function read(
  check: string,
  unit: TanklessUnit,
  set: TanklessSetting,
  random: Random,
): SimulatedAnswer {
  const { meter } = numbers;
  const { through, past } = flowsOf(unit, set);
  const end = endAt(unit, through, set.isReseated);
  const isLit = end === 'burns';
  const seen = watched(unit, through, set.isReseated);
  const hot = seen?.tap ?? unit.coldCelsius;
  const outlet =
    through + past > 0
      ? (hot * through + unit.coldCelsius * past) / (through + past)
      : unit.coldCelsius;
  const celsius = (value: number, error: number = meter.celsius) =>
    number(shown(value, error, 0.1, random));
  const flow = (value: number) =>
    number(Math.max(0, shown(value, meter.flowShare * value, 0.1, random)));
  const pascal = (value: number, step: number) =>
    number(Math.max(0, shown(value, 0.012 * value, step, random)));
  // A dark display shows nothing, and an open sensor the end of its scale.
  const readout = (value: number | undefined) =>
    unit.isDisplayDark
      ? number(0)
      : value === undefined
        ? number(-40)
        : celsius(value, meter.shownCelsius);
  const flowShown = () =>
    unit.isDisplayDark
      ? number(0)
      : number(
          Math.max(
            0,
            shown(shownFlow(unit, through, set.isReseated), meter.shownFlow, 0.1, random),
          ),
        );
  const isPowered = !unit.has('supply.off');
  const isAlive = isPowered && !unit.has('fuse.open') && !unit.has('control.dead');
  const tries = end !== 'dark' && end !== 'standby' && end !== 'nothing' && end !== 'locked';
  const answers: Answered = {
    'tap-flow': () => flow(through + past),
    'tap-temperature': () => celsius(outlet),
    'display-flow': () => flowShown(),
    'display-flow-service-port': () => flowShown(),
    'seconds-to-hot': () =>
      number(
        isLit
          ? Math.max(
              1,
              Math.round(
                (unit.pipeLitre / (through + past)) * 60 +
                  unit.ignitionSecond +
                  6.5 +
                  meter.second * random.normal(),
              ),
            )
          : 120,
      ),
    'service-port-flow': () => flow(through),
    'service-port-temperature': () => celsius(hot),
    'display-outlet-temperature': () =>
      readout(unit.has('outlet-sensor.open') ? undefined : hot + unit.outletError),
    'display-inlet-temperature': () =>
      readout(unit.has('inlet-sensor.open') ? undefined : unit.coldCelsius + unit.inletError),
    'inlet-temperature': () => celsius(unit.coldCelsius),
    'inlet-pressure-static': () => pascal(unit.mainsBar * 1e5, 5000),
    'inlet-pressure-running': () =>
      pascal((unit.mainsBar - unit.main * (through / 10) ** 2) * 1e5, 5000),
    'gas-pressure-static': () => pascal(unit.burner.staticPascal, 10),
    'gas-pressure-running': () =>
      pascal(isLit ? unit.burner.runningPascal : unit.burner.staticPascal, 10),
    'burner-pressure': () =>
      pascal(
        isLit
          ? 800 *
              unit.burner.nozzle *
              Math.min(1, unit.burner.runningPascal / unit.burner.neededPascal)
          : 0,
        10,
      ),
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
    'outlet-sensor-difference': () =>
      celsius(unit.has('outlet-sensor.open') ? ofOpenSensor : unit.outletError, meter.kelvin),
    'inlet-sensor-difference': () =>
      celsius(unit.has('inlet-sensor.open') ? ofOpenSensor : unit.inletError, meter.kelvin),
    'supply-volts': () => number(isPowered ? shown(230, 4, 1, random) : 0),
    'control-dc-volts': () => number(isAlive ? shown(24, 0.3, 0.1, random) : 0),
    'gas-valve-volts': () => number(tries && end !== 'fan-fails' ? shown(24, 0.4, 0.1, random) : 0),
    'air-switch-ohms': () =>
      tries && end !== 'fan-fails' ? number(shown(0.3, 0.1, 0.1, random)) : overRange,
    'limit-ohms': () => (unit.has('limit.open') ? overRange : number(shown(0.3, 0.1, 0.1, random))),
  };
  const answer = answers[check];
  if (!answer) throw new RangeError(`nobody reads "${check}"`);
  return answer();
}

/** What the householder says, as far as anybody asks. */
function complain(unit: TanklessUnit, random: Random): Complaint {
  const is = (...faults: string[]) => faults.some(unit.has);
  const answers: Record<string, string> = {};
  const say = (question: string, answer: string) => {
    if (random.chance(numbers.answered)) answers[question] = answer;
  };
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  say('gasSmell', 'no');
  say('coAlarm', 'no');
  const gradual = is(
    'exchanger.scaled',
    'burner.dirty',
    'flame-rod.dirty',
    'outlet-sensor.drift',
    'inlet-sensor.drift',
  );
  const open = is(
    'demand.over-capacity',
    'demand.below-minimum',
    'fixture.cartridge',
    'strainer.blocked',
    'igniter.worn',
    'pipe-run.long',
    'setpoint.low',
  );
  say('onset', random.chance(gradual ? 0.76 : open ? 0.46 : 0.18) ? 'gradual' : 'sudden');
  say(
    'allOutlets',
    is('fixture.cartridge')
      ? pick(['false', 93], ['true', 7])
      : is('demand.below-minimum', 'pipe-run.long')
        ? pick(['false', 57], ['true', 43])
        : pick(['true', 94], ['false', 6]),
  );
  say(
    'afterWork',
    is('lines.reversed')
      ? pick(['new-unit', 8], ['plumbing-or-main', 1.5], ['none', 0.5])
      : is('strainer.blocked', 'valve.part-shut', 'cross-connection.mixer')
        ? pick(['plumbing-or-main', 42], ['new-unit', 16], ['none', 42])
        : is('recirculation.no-check', 'parameters.wrong', 'pipe-run.long')
          ? pick(
              ['new-unit', 5],
              ['none', 3],
              ['plumbing-or-main', 1.5],
              ['electrical-or-control', 1],
            )
          : pick(
              ['none', 86],
              ['plumbing-or-main', 6],
              ['new-unit', 4],
              ['electrical-or-control', 4],
            ),
  );
  return { kind: kindOf(unit, random), answers };
}

function kindOf(unit: TanklessUnit, random: Random): string {
  const is = (...faults: string[]) => faults.some(unit.has);
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  const set = {
    opened: 'tap',
    isHotShut: false,
    isLineShut: false,
    isReseated: false,
    isRinsed: false,
  } as const;
  const { through, past } = flowsOf(unit, set);
  const end = endAt(unit, through, false);
  if (is('exchanger.leak')) return pick(['leak', 85], ['code', 10], ['no-hot-water', 5]);
  // A flame that drops now and then is called about when it has.
  if (is('flame-rod.dirty', 'earth.poor') && end === 'burns')
    return pick(['code', 7], ['no-hot-water', 2], ['other', 1]);
  if (is('pipe-run.long')) return pick(['late', 9], ['other', 1]);
  if (is('fixture.cartridge')) return pick(['lukewarm', 45], ['no-hot-water', 35], ['swings', 20]);
  if (unit.isDisplayDark) return pick(['no-hot-water', 5], ['dead-display', 5]);
  if (end === 'nothing' || end === 'standby')
    return pick(
      ['no-hot-water', 80],
      ['swings', is('demand.below-minimum', 'strainer.blocked') ? 25 : 3],
      ['dead-display', 2],
      ['other', 5],
    );
  if (end !== 'burns') return pick(['code', 5], ['no-hot-water', 4], ['other', 0.5]);
  const seen = watched(unit, through, false);
  const outlet = seen ? (seen.tap * through + unit.coldCelsius * past) / (through + past) : 0;
  if ((seen?.swing ?? 0) > 5 || (seen?.cuts ?? 0) > 0)
    return pick(['swings', 6], ['lukewarm', 2], ['code', 1]);
  if (is('exchanger.scaled', 'burner.dirty'))
    return pick(['noise', 4], ['code', 3], ['lukewarm', 3]);
  if (outlet < 40) return pick(['lukewarm', 8], ['no-hot-water', 1], ['swings', 1]);
  return pick(['lukewarm', 3], ['swings', 2], ['late', 2], ['code', 1], ['other', 2]);
}
