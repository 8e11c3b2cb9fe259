import type { FamilyParameters } from '../appliances';
import { electricStorageOneElement } from '../appliances/electric-storage-one-element';
import { electricStorageTwoElement } from '../appliances/electric-storage-two-element';
import {
  seededRandom,
  simulatedOneElement,
  simulatedTwoElement,
  strangeFaults,
  type SimulationOptions,
} from '../simulation';
import { partReadingSchool } from '../job-diagnosis';
import { everyCheckOnce, fixedOrder, skippingOrder } from './rivals/fixed-order';
import { rulesWithThresholds } from './rivals/rules';
import { engineStrategy } from './strategies';
import study from './study-parameters.json' with { type: 'json' };
import { part, usual, type Part } from './part';
import type { Benched } from './units';

/** The parts of the benchmark: which strategy works on which units. */

/** The study's parameters unchanged, at one of its two prices of a wrong verdict. */
const studyParameters = (wrongVerdictMinutes: number): FamilyParameters => ({
  ...(study as unknown as FamilyParameters),
  wrongVerdict: { minutes: wrongVerdictMinutes },
});

export const twoElement = (parameters: FamilyParameters): Benched => ({
  family: electricStorageTwoElement,
  simulated: simulatedTwoElement,
  unit: {
    family: electricStorageTwoElement.id,
    plate: { rated: { volt: 240 }, elements: { upper: { watt: 4500 }, lower: { watt: 4500 } } },
  },
  site: { supply: { system: 'split-phase', nominal: { volt: 240 } } },
  parameters,
});

const oneElement = (wrongVerdictMinutes: number): Benched => ({
  family: electricStorageOneElement,
  simulated: simulatedOneElement,
  unit: {
    family: electricStorageOneElement.id,
    plate: { rated: { volt: 230 }, elements: { only: { watt: 2000 } } },
  },
  site: { supply: { system: 'single-phase', nominal: { volt: 230 } } },
  parameters: {
    ...electricStorageOneElement.parameters,
    wrongVerdict: { minutes: wrongVerdictMinutes },
  },
});
const oneAt90 = oneElement(90);
const oneAt200 = oneElement(200);

export const at90 = twoElement(studyParameters(90));
export const at200 = twoElement(studyParameters(200));
/** The price at which Ohmmeter is about as often right as rules with thresholds: to compare minutes like with like. */
const at30 = twoElement(studyParameters(30));
/** Covers come off with the power on, as in the study: what the rule of this product costs, and nothing to be used. */
const handsUnderPower = (wrongVerdictMinutes: number): Benched => {
  const parameters = studyParameters(wrongVerdictMinutes);
  return twoElement({
    ...parameters,
    accessMinutes: { ...parameters.accessMinutes, handsUnderPower: true },
  });
};
const byHandAt90 = handsUnderPower(90);
const byHandAt200 = handsUnderPower(200);
/** The product's own weights, minutes and prices. */
const withOwnParameters = twoElement(electricStorageTwoElement.parameters);

/**
 * Faults that the engine has never heard of: those that the study's parameters give no weight, and those that no list has. A
 * limit that never trips is not among them: nobody calls about it, and no reading of a unit that works shows it.
 */
export const unknownFaults: readonly string[] = [
  'w-supply-1.open',
  'w-supply-2.resistive',
  'strap-limit.open',
  'strap-limit.resistive',
  'supply.controlled-off',
  'upper-element.leaky',
  'lower-element.leaky',
  ...Object.keys(strangeFaults),
];

/** Weights each wrong by its own factor between a quarter and four. One draw serves many units: it costs new tables. */
const unitsPerDraw = 50;
const wrongPriors = new Map<number, Benched>();
function withWrongPriors(seed: number, index: number): Benched {
  const draw = seed * 1000 + Math.floor(index / unitsPerDraw);
  let found = wrongPriors.get(draw);
  if (!found) {
    const random = seededRandom(draw);
    const { faultWeights } = at90.parameters;
    found = twoElement({
      ...at90.parameters,
      faultWeights: Object.fromEntries(
        Object.entries(faultWeights).map(([id, weight]) => [
          id,
          weight * 4 ** (2 * random.next() - 1),
        ]),
      ),
    });
    wrongPriors.set(draw, found);
  }
  return found;
}

const engine = (benched: Benched) => engineStrategy(benched);
const withUnknownFault: SimulationOptions = { ...usual };

export const parts: readonly Part[] = [
  part('engine-90', 'Ohmmeter, a wrong verdict costs 90 min', 600, () => at90, engine, {
    followsUp: true,
  }),
  part('engine-200', 'Ohmmeter, a wrong verdict costs 200 min', 600, () => at200, engine),
  part('engine-30', 'Ohmmeter, a wrong verdict costs 30 min', 200, () => at30, engine),
  part(
    'hands-under-power-90',
    'covers come off under power, as in the study, 90 min',
    600,
    () => byHandAt90,
    engine,
  ),
  part('hands-under-power-200', 'the same, 200 min', 600, () => byHandAt200, engine),
  part('trusting', 'a part taken without being read on itself, 90 min', 600, () => at90, engine, {
    followsUp: true,
    schools: { [partReadingSchool.id]: partReadingSchool.off },
  }),
  part(
    'greedy',
    'one step ahead only, 90 min',
    200,
    () => at90,
    (benched) => engineStrategy(benched, 'one-step'),
  ),
  part(
    'rules',
    'rules with thresholds',
    600,
    () => at90,
    () => rulesWithThresholds,
  ),
  part('fixed-order', 'fixed order with the posterior, stops at 0.95', 200, () => at90, fixedOrder),
  part('skipping-order', 'the same, skipping what tells little', 200, () => at90, skippingOrder),
  part('every-check', 'every check once', 100, () => at90, everyCheckOnce),
  part('wrong-0', 'no wrong readings', 200, () => at90, engine, {
    options: { ...usual, wrongReadings: 0 },
  }),
  part('wrong-10', '10 % wrong readings', 200, () => at90, engine, {
    options: { ...usual, wrongReadings: 0.1 },
  }),
  part('priors', 'weights of faults wrong by ×¼ to ×4', 200, withWrongPriors, engine),
  {
    ...part('unknown', 'faults that the engine has never heard of', 40, () => at90, engine),
    run(seed, index, now) {
      const fault = unknownFaults[index % unknownFaults.length]!;
      return part('unknown', '', 40, () => at90, engine, {
        options: { ...withUnknownFault, faults: [fault] },
      }).run(seed, index, now);
    },
  },
  part(
    'own',
    "the product's own weights, minutes and prices",
    200,
    () => withOwnParameters,
    engine,
  ),
  part('one-element', 'one element, 230 V, 90 min', 200, () => oneAt90, engine),
  part('one-element-200', 'the same, 200 min', 200, () => oneAt200, engine),
];
