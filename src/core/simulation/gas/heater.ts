import names from '../../appliances/gas-storage-pilot/names.json' with { type: 'json' };
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
import { gasNumbers as numbers, gasWeights } from './numbers';
import { look } from './sights';
import {
  burnerRate,
  drawUnit,
  flameMillivolt,
  heatWatt,
  holds,
  isCutoutOpen,
  leadMillivolt,
  millivoltsEnough,
  settle,
  within,
  type GasFacts,
  type GasUnit,
} from './unit';
import { gasInTime } from './gas-in-time';
import { drawnCelsius, gasTank, gasWord } from './water';

const familyNames = names as unknown as FamilyNames;
const cutoutReset = 'cutout-reset';

/** Pairs that come together more often than chance. Common practice. */
const together: readonly Together[] = [
  ['sediment', 'tank.leaks', 2],
  ['air.filter-blocked', 'air.arrestor-blocked', 3],
  ['thermocouple.worn', 'pilot.orifice-dirty', 2.5],
  ['burner.late-ignition', 'pilot.orifice-dirty', 2.5],
];

/** Gas storage heaters with a standing pilot, each with its own values. */
export const simulatedGas: SimulatedFamily = {
  names: familyNames,
  weights: gasWeights,
  strangeFaults: {},
  simulate: (plate, random, options) => simulateGas(plate as GasFacts, random, options),
  inTime: (plate, random, faults) => gasInTime(plate as GasFacts, random, faults.map(known)),
};

/** What this variant can have. */
const isThere = (fault: string, { valve, rollOut, arrangement }: GasFacts): boolean => {
  if (fault === 'valve.electronics') return valve === 'thermopile';
  if (fault.startsWith('cutout.')) return rollOut !== 'none';
  if (fault.startsWith('pair.')) return arrangement === 'parallel';
  if (fault.startsWith('series.')) return arrangement === 'series';
  return true;
};

const weightsOf = (facts: GasFacts) => gasWeights.filter(([id]) => isThere(id, facts));

const known = knownFault(familyNames);

function simulateGas(
  facts: GasFacts,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions,
): SimulatedUnit {
  const drawn = (faults ?? drawFaults(weightsOf(facts), together, twoFaults, random)).map(known);
  const own = () => drawUnit(new Set(standing.map((each) => each.id)), facts, random);
  let standing = drawn;
  let unit = own();
  settle(unit, random);
  const leadOhm = within(random, numbers.meter.leadOhm);
  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: complain(unit, random),
    settings: () => ({ dial: Math.round(unit.dial) }),
    volts: () => 0,
    repair(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      if (left.length === standing.length) return;
      standing = left;
      unit = own();
      settle(unit, random);
      // Lit again, heated and left: as it will stand once the technician has gone.
      if (left.every(({ id }) => id === 'no-fault')) {
        unit.pilotFound = 'lit';
        unit.isTripped = false;
        unit.tankCelsius = unit.dial;
      }
    },
    answer(check, state) {
      const { kind, quantity } = familyNames.checks[check]!;
      const isReset = isDone(state, cutoutReset);
      if (kind === 'observation' || kind === 'code') {
        const isLit = state.controls.pilot === 'lit';
        return { kind: 'outcome', outcome: look(check, unit, isReset, isLit, random) };
      }
      if (random.chance(wrongReadings)) return slip(quantity, random);
      return read(check, unit, state, isReset, leadOhm, random);
    },
  };
}

function read(
  check: string,
  unit: GasUnit,
  state: UnitState,
  isReset: boolean,
  leadOhm: number,
  random: Random,
): SimulatedAnswer {
  const { meter } = numbers;
  const noisy = (value: number, share: number, digit: number) =>
    Math.round((value + random.normal() * Math.hypot(share * value, digit)) / digit) * digit;
  const millivolt = (value: number) =>
    number(Math.max(0, noisy(value, meter.millivolt, meter.millivoltDigit)) / 1000);
  const celsius = (value: number) => number(noisy(value, 0, meter.celsius) || 0);
  const ohms = (value: number): SimulatedAnswer =>
    value > 2e7
      ? { kind: 'over-range' }
      : number(Math.max(0, noisy(value + leadOhm, 0.015, meter.ohmDigit)));
  const isRunning =
    holds(unit, isReset) &&
    millivoltsEnough(unit, isReset) &&
    !unit.faults.has('valve.never-opens') &&
    unit.gas > 0;
  // A cutout that stands open in the lead leaves nothing behind it to be read.
  const isOpen =
    unit.generatorOhm === Infinity || (unit.rollOut === 'in-lead' && isCutoutOpen(unit, isReset));
  const behindLead = isOpen ? 1e9 : unit.generatorOhm;
  const inlet = unit.isLpg ? 2740 : 1740;
  const nominal = unit.isLpg ? 2490 : 1000;
  switch (check) {
    case 'open-circuit-millivolts':
      return millivolt(leadMillivolt(unit, { isLoaded: false, isReset }));
    case 'before-cutout-millivolts':
      return millivolt(unit.generatorOhm === Infinity ? 0 : flameMillivolt(unit));
    case 'loaded-millivolts':
      return millivolt(leadMillivolt(unit, { isLoaded: true, isReset }));
    case 'drop-out-seconds': {
      const ratio = leadMillivolt(unit, { isLoaded: true, isReset }) / unit.letGoMillivolt;
      return number(Math.max(0, Math.round(unit.coolSeconds * Math.log(Math.max(1, ratio)))));
    }
    case 'drop-out-millivolts':
      return millivolt(unit.letGoMillivolt);
    case 'cutout-ohms':
      return ohms(isCutoutOpen(unit, isReset) ? 1e9 : 0.01);
    case 'generator-ohms':
      return ohms(unit.isShieldLeak ? behindLead : Math.min(unit.leakOhm, behindLead));
    case 'lead-to-sheath-ohms':
      return ohms(unit.isShieldLeak ? Math.min(unit.leakOhm, behindLead) : behindLead);
    case 'magnet-ohms':
      return ohms(
        unit.faults.has('valve.energy-cutoff-open') ||
          unit.isCutOff ||
          (unit.rollOut === 'own-leads' && isCutoutOpen(unit, isReset))
          ? 1e9
          : unit.magnetOhm,
      );
    case 'gas-inlet-static-pressure':
      return number(noisy(inlet * unit.standing * unit.gas, 0, meter.pascal));
    case 'gas-inlet-working-pressure':
      return number(
        noisy(
          inlet * (isRunning ? unit.working / 0.94 : unit.standing) * unit.gas,
          0,
          meter.pascal,
        ),
      );
    case 'gas-manifold-pressure':
      return number(
        isRunning
          ? noisy(
              Math.min(nominal * unit.regulator, (inlet * unit.working) / 0.94 - 100),
              0,
              meter.pascal,
            )
          : 0,
      );
    case 'gas-rate': {
      const perHour = (unit.inputWatt * 3600) / (unit.isLpg ? 94e6 : 38.9e6);
      return number(isRunning ? noisy(perHour * burnerRate(unit), meter.share, 0.01) : 0);
    }
    case 'flue-co-air-free': {
      const air = unit.airWay * (1 - 0.3 * (1 - unit.roomAir));
      const worst = Math.max(
        0.75 * unit.spill,
        0.85 - air,
        unit.faults.has('burner.ports-dirty') ? 0.45 : 0,
        burnerRate(unit) > 1.3 ? 0.5 : 0,
        0,
      );
      return number(Math.round(12 * Math.exp(3.4 * worst + 0.5 * random.normal())));
    }
    case 'outlet-first':
      return celsius(unit.tankCelsius);
    case 'outlet-after-5-min':
      return celsius(drawnCelsius(unit, 50, isRunning ? heatWatt(unit) : 0));
    case 'recovery-after-30-min': {
      const { tank, advance } = gasTank(unit, unit.coldCelsius, isRunning ? heatWatt(unit) : 0);
      advance(1800, 0);
      return celsius(tank.outletCelsius(0));
    }
    case 'cold-pressure':
      return number(Math.round(unit.coldPascal / 1e4) * 1e4);
    case 'pair-outlet-temperatures': {
      const farther = unit.faults.has('pair.other-out')
        ? unit.coldCelsius
        : drawnCelsius(unit, 225 * (1 - unit.nearerShare), 0);
      return celsius(drawnCelsius(unit, 225 * unit.nearerShare, 0) - farther);
    }
    case 'series-outlet-temperatures':
      return celsius(unit.faults.has('series.first-out') ? unit.tankCelsius - unit.coldCelsius : 0);
    default:
      throw new RangeError(`nobody reads "${check}" with ${JSON.stringify(state.controls)}`);
  }
}

const number = (value: number): SimulatedAnswer => ({ kind: 'number', value });

/** Over range, near zero, or a value from somewhere else. */
function slip(quantity: string | undefined, random: Random): SimulatedAnswer {
  const most: Readonly<Record<string, number>> = {
    'voltage-dc': 0.6,
    resistance: 60,
    temperature: 80,
    'pressure-difference': 3000,
    pressure: 6e5,
    'volume-flow': 2,
    ppm: 600,
    time: 80,
  };
  if (quantity === 'resistance' && random.chance(0.35)) return { kind: 'over-range' };
  return number(random.chance(0.4) ? 0 : (most[quantity ?? ''] ?? 1) * random.next());
}

/** What the householder says, as far as anybody asks. */
function complain(unit: GasUnit, random: Random): Complaint {
  const is = (...faults: string[]) => faults.some((each) => unit.faults.has(each));
  const answers: Record<string, string> = {};
  const say = (question: string, answer: string) => {
    if (random.chance(numbers.answered)) answers[question] = answer;
  };
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  say('gasSmell', 'no');
  say('coAlarm', 'no');
  say(
    'onset',
    random.chance(
      is(
        'sediment',
        'burner.ports-dirty',
        'burner.orifice-blocked',
        'pilot.orifice-dirty',
        'air.filter-blocked',
      )
        ? 0.7
        : 0.17,
    )
      ? 'gradual'
      : 'sudden',
  );
  say(
    'age',
    is('thermocouple.worn', 'tank.leaks', 'sediment', 'dip-tube.gone')
      ? pick(['over-5', 76], ['1-to-5', 21], ['under-1', 3])
      : is('tip.low-in-bracket', 'joint.loose')
        ? pick(['under-1', 46], ['1-to-5', 22], ['over-5', 32])
        : pick(['over-5', 48], ['1-to-5', 37], ['under-1', 15]),
  );
  say(
    'afterWork',
    is('tip.low-in-bracket', 'joint.loose') && random.chance(0.5)
      ? 'heater-work-or-new'
      : is('gas.off', 'gas.air-in-line', 'gas.inlet-low', 'gas.wrong-orifice') &&
          random.chance(0.42)
        ? 'gas-cut-or-line-work'
        : is('crossed-fixture') && random.chance(0.5)
          ? 'plumbing'
          : pick(
              ['no', 86],
              ['heater-work-or-new', 5],
              ['plumbing', 6],
              ['gas-cut-or-line-work', 3],
            ),
  );
  say(
    'lint',
    random.chance(
      is('air.filter-blocked', 'air.arrestor-blocked', 'burner.late-ignition') ? 0.67 : 0.22,
    )
      ? 'yes'
      : 'no',
  );
  say('allOutlets', random.chance(is('crossed-fixture') ? 0.55 : 0.08) ? 'some' : 'all');
  say(
    'goesOutWith',
    is('draught.down') && random.chance(0.45)
      ? 'wind'
      : is('air.room-starved') && random.chance(0.45)
        ? 'dryer-or-fan'
        : pick(['no-pattern', 92], ['wind', 4], ['burner-start', 4]),
  );
  say(
    'lastFlush',
    is('sediment')
      ? pick(['longer-or-never', 74], ['1-to-3-years', 22], ['within-1-year', 4])
      : pick(['longer-or-never', 46], ['1-to-3-years', 30], ['within-1-year', 24]),
  );
  say(
    'resetPressed',
    is('flue.blocked', 'air.arrestor-blocked', 'burner.late-ignition')
      ? pick(['not-pressed', 62], ['clicked-once', 22], ['again', 16])
      : pick(['not-pressed', 96], ['clicked-once', 3.5], ['again', 0.5]),
  );
  if (unit.pilotFound === 'out') {
    const tried = random.chance(is('pilot.blown-out', 'gas.air-in-line') ? 0.16 : 0.48);
    say(
      'relit',
      !tried
        ? 'not-tried'
        : holds(unit, false)
          ? 'held-for-hours-or-days'
          : flameMillivolt(unit) > 0 && unit.spark
            ? 'drops-when-released'
            : 'will-not-light',
    );
  } else say('relit', 'not-tried');
  return { kind: kindOf(unit, random), answers };
}

function kindOf(unit: GasUnit, random: Random): string {
  const is = (...faults: string[]) => faults.some((each) => unit.faults.has(each));
  const pick = (...shares: readonly (readonly [string, number])[]) => random.pick(shares);
  if (is('tank.leaks', 'fitting.weeps', 'relief.drips', 'condensation')) {
    return unit.pilotFound === 'out' ? pick(['leak', 1], ['no-hot-water', 1]) : 'leak';
  }
  if (is('thermal-ticks', 'nipple.restrictor-sings', 'flue-drips')) return 'noise';
  if (is('anode.spent')) return 'other';
  if (unit.pilotFound === 'out' || unit.tankCelsius < 30)
    return pick(['no-hot-water', 92], ['lukewarm', 5], ['other', 3]);
  if (unit.tankCelsius > 60) return 'too-hot';
  if (is('burner.late-ignition')) return pick(['noise', 7], ['no-hot-water', 2], ['slow', 1]);
  if (is('sediment') && random.chance(0.35)) return 'noise';
  if (is('crossed-fixture')) return pick(['lukewarm', 65], ['swings', 25], ['runs-out', 10]);
  if (is('pair.unequal-runs', 'pair.valve-shut', 'pair.other-out', 'series.first-out'))
    return pick(['runs-out', 75], ['slow', 12], ['lukewarm', 13]);
  return (
    gasWord(unit, heatWatt(unit), random) ??
    pick(['slow', 35], ['runs-out', 30], ['lukewarm', 20], ['no-hot-water', 15])
  );
}
