import type { Question } from '../family';
import { hotForQuestion, hotForShares } from '../kit/hot-for';
import { besides, wordsForWater } from '../kit/lived-water';
import type { Shares } from '../kit/signal/declaration';
import { goodElements, type Elements } from './elements';
import type { GasSeen } from './looks';
import { grownUse } from './water';
import { modelOfPlate } from './model-of-plate';
import namesFile from './names.json' with { type: 'json' };

const yesNo = { yes: 'yes', no: 'no' };

export const questions: Readonly<Record<string, Question>> = {
  complaint: { ask: 'What is wrong?', values: namesFile.complaints },
  gasSmell: { ask: 'Gas smelled?', values: ['no', 'yes'], words: yesNo },
  coAlarm: {
    ask: 'Carbon-monoxide alarm, headache, soot?',
    values: ['no', 'yes'],
    words: yesNo,
  },
  onset: {
    ask: 'Sudden or gradual?',
    values: ['sudden', 'gradual'],
    words: { sudden: 'sudden', gradual: 'gradual' },
  },
  age: {
    ask: 'How old is the heater?',
    values: ['under-1', '1-to-5', 'over-5'],
    words: { 'under-1': 'under 1 year', '1-to-5': '1 to 5', 'over-5': 'over 5' },
  },
  afterWork: {
    ask: 'Right after other work, a delivery or a gas cut?',
    values: ['no', 'heater-work-or-new', 'gas-cut-or-line-work', 'plumbing'],
    words: {
      no: 'no',
      'heater-work-or-new': 'on the heater',
      'gas-cut-or-line-work': 'on the gas',
      plumbing: 'plumbing',
    },
  },
  relit: {
    ask: 'Has somebody lit the pilot again?',
    values: ['not-tried', 'will-not-light', 'drops-when-released', 'held-for-hours-or-days'],
    words: {
      'not-tried': 'not tried',
      'will-not-light': 'will not light',
      'drops-when-released': 'drops when released',
      'held-for-hours-or-days': 'held for a while',
    },
  },
  goesOutWith: {
    ask: 'When does it go out?',
    values: ['no-pattern', 'wind', 'dryer-or-fan', 'burner-start'],
    words: {
      'no-pattern': 'no pattern',
      wind: 'wind',
      'dryer-or-fan': 'dryer or fan',
      'burner-start': 'burner start',
    },
  },
  lint: { ask: 'In a laundry, or lint and pets about?', values: ['yes', 'no'], words: yesNo },
  allOutlets: {
    ask: 'One outlet, or all of them?',
    values: ['all', 'some'],
    words: { all: 'all', some: 'some' },
  },
  resetPressed: {
    ask: 'Roll-out reset pressed before?',
    values: ['not-pressed', 'clicked-once', 'again'],
    words: { 'not-pressed': 'no', 'clicked-once': 'clicked once', again: 'more than once' },
  },
  hotFor: hotForQuestion,
  lastFlush: {
    ask: 'Last flush?',
    values: ['within-1-year', '1-to-3-years', 'longer-or-never'],
    words: {
      'within-1-year': 'within a year',
      '1-to-3-years': '1 to 3 years',
      'longer-or-never': 'longer or never',
    },
  },
};

export const askedComplaints = [
  'no-hot-water',
  'lukewarm',
  'runs-out',
  'slow',
  'too-hot',
  'noise',
  'leak',
  'code',
  'swings',
  'other',
] as const;

/** What somebody complains of, by what the heater does. Common practice. */
function complains(seen: GasSeen): Shares {
  const { signals, standing } = seen;
  if (seen.has('tank.leaks', 'fitting.weeps', 'relief.drips', 'condensation')) {
    return seen.standing.pilot === 'out'
      ? { leak: 0.45, 'no-hot-water': 0.45, other: 0.04 }
      : { leak: 0.85, other: 0.06 };
  }
  if (seen.has('thermal-ticks', 'nipple.restrictor-sings', 'flue-drips')) {
    return { noise: 0.9, other: 0.05 };
  }
  if (seen.has('anode.spent')) return { other: 0.9 };
  const isDead = standing.pilot === 'out' || signals['outlet.first']! < 30;
  if (isDead) return { 'no-hot-water': 0.87, lukewarm: 0.04, code: 0.03, other: 0.03 };
  if (standing.tankCelsius > 60) return { 'too-hot': 0.85, 'no-hot-water': 0.03, other: 0.05 };
  if (seen.has('burner.late-ignition')) return { noise: 0.6, 'no-hot-water': 0.15, slow: 0.05 };
  if (seen.has('crossed-fixture')) return { lukewarm: 0.6, swings: 0.2, 'runs-out': 0.1 };
  if (seen.has('pair.unequal-runs', 'pair.valve-shut', 'pair.other-out', 'series.first-out')) {
    return { 'runs-out': 0.7, slow: 0.12, lukewarm: 0.12 };
  }
  const words = wordsOfTank(seen);
  return seen.has('sediment') ? besides(words, { noise: 0.35 }) : words;
}

/** What the tank gives them, beside what it gave when it was good. */
function wordsOfTank(seen: GasSeen): Shares {
  const { plate } = seen;
  const { water } = modelOfPlate(plate);
  const good = goodElements(plate);
  const usual = water.shower(
    good,
    { tankCelsius: good['dial.celsius'], heatWatt: plate.inputWatt * plate.efficiency },
    1,
  );
  return wordsForWater(livedWith(seen), usual);
}

const livedWith = ({ plate, elements, standing, signals, has }: GasSeen) =>
  modelOfPlate(plate).water.shower(
    elements as Elements,
    { tankCelsius: standing.tankCelsius, heatWatt: signals['heat']! },
    has('demand') ? grownUse : 1,
  );

/** Lights, and does not hold when it is let go. */
const drops = (seen: GasSeen) =>
  seen.standing.pilot === 'out' &&
  seen.has(
    'thermocouple.worn',
    'thermocouple.open',
    'thermocouple.shorted',
    'tip.low-in-bracket',
    'joint.loose',
    'pilot.flame-deflected',
    'cutout.failed',
    'cutout.tripped-once',
    'valve.energy-cutoff-open',
    'valve.magnet',
    'valve.electronics',
  );

/** What the user of the unit would say. Common practice; a value without a share gets of what is left. */
export const answers: Readonly<Record<string, (seen: GasSeen) => Shares>> = {
  complaint: complains,
  hotFor: (seen) => hotForShares(livedWith(seen)),
  // A smell and an alarm end the diagnosis and tell nothing of what is wrong.
  gasSmell: () => ({ no: 0.97, yes: 0.03 }),
  coAlarm: (seen) =>
    seen.has('flue.blocked', 'air.room-starved', 'gas.pressure-high')
      ? { no: 0.85, yes: 0.15 }
      : { no: 0.98, yes: 0.02 },
  onset: (seen) =>
    seen.has(
      'sediment',
      'burner.ports-dirty',
      'burner.orifice-blocked',
      'pilot.orifice-dirty',
      'air.filter-blocked',
    )
      ? { gradual: 0.75, sudden: 0.25 }
      : { gradual: 0.15, sudden: 0.85 },
  age: (seen) =>
    seen.has('thermocouple.worn', 'tank.leaks', 'sediment', 'dip-tube.gone')
      ? { 'under-1': 0.02, '1-to-5': 0.2, 'over-5': 0.78 }
      : seen.has('tip.low-in-bracket', 'joint.loose')
        ? { 'under-1': 0.5, '1-to-5': 0.2, 'over-5': 0.3 }
        : { 'under-1': 0.15, '1-to-5': 0.35, 'over-5': 0.5 },
  afterWork: (seen): Shares =>
    seen.has('tip.low-in-bracket', 'joint.loose')
      ? { 'heater-work-or-new': 0.55, no: 0.4, 'gas-cut-or-line-work': 0.02, plumbing: 0.03 }
      : seen.has('gas.off', 'gas.air-in-line', 'gas.inlet-low', 'gas.wrong-orifice')
        ? { 'gas-cut-or-line-work': 0.43, no: 0.45, 'heater-work-or-new': 0.1, plumbing: 0.02 }
        : seen.has('crossed-fixture')
          ? { plumbing: 0.55, no: 0.43 }
          : { no: 0.85, 'heater-work-or-new': 0.06, 'gas-cut-or-line-work': 0.03, plumbing: 0.06 },
  relit: (seen): Shares => {
    if (seen.standing.pilot === 'lit') return { 'not-tried': 0.9 };
    if (seen.has('pilot.blown-out', 'gas.air-in-line')) {
      return { 'not-tried': 0.85, 'will-not-light': 0.07 };
    }
    if (seen.signals['pilot.share']! < 0.12 || seen.has('igniter.no-spark')) {
      return { 'not-tried': 0.5, 'will-not-light': 0.46 };
    }
    return drops(seen)
      ? { 'not-tried': 0.5, 'drops-when-released': 0.41 }
      : { 'not-tried': 0.5, 'held-for-hours-or-days': 0.4 };
  },
  goesOutWith: (seen): Shares =>
    seen.has('draught.down')
      ? { wind: 0.5, 'no-pattern': 0.4 }
      : seen.has('air.room-starved')
        ? { 'dryer-or-fan': 0.46, 'no-pattern': 0.45 }
        : seen.has('burner.late-ignition', 'gas.inlet-low', 'flue.blocked')
          ? { 'burner-start': 0.24, 'no-pattern': 0.7 }
          : { 'no-pattern': 0.93 },
  lint: (seen) =>
    seen.has('air.filter-blocked', 'air.arrestor-blocked', 'burner.late-ignition')
      ? { yes: 0.7, no: 0.3 }
      : { yes: 0.2, no: 0.8 },
  allOutlets: (seen) =>
    seen.has('crossed-fixture') ? { some: 0.6, all: 0.4 } : { some: 0.07, all: 0.93 },
  resetPressed: (seen) =>
    seen.has('flue.blocked', 'air.arrestor-blocked', 'burner.late-ignition')
      ? { 'not-pressed': 0.6, 'clicked-once': 0.22, again: 0.18 }
      : seen.has('cutout.tripped-once')
        ? { 'not-pressed': 0.85, 'clicked-once': 0.14, again: 0.01 }
        : seen.has('cutout.failed')
          ? { 'not-pressed': 0.85, 'clicked-once': 0.1, again: 0.05 }
          : { 'not-pressed': 0.97, 'clicked-once': 0.025, again: 0.005 },
  lastFlush: (seen) =>
    seen.has('sediment')
      ? { 'longer-or-never': 0.75, '1-to-3-years': 0.22, 'within-1-year': 0.03 }
      : { 'longer-or-never': 0.45, '1-to-3-years': 0.3, 'within-1-year': 0.25 },
};
