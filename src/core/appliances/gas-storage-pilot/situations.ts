import type { Signals } from '../kit/stages';
import { goodElements, type Elements } from './elements';
import type { GasFault } from './faults';
import { coldCelsius, type GasStanding } from './standing';
import type { GasModel, GasUnit } from './model';
import type { GasPlate } from './plate';

/** Shares of units whose pilot is out and whose water is still warm; of good ones that somebody has just drawn cold. */
const stillWarm = 0.15;
const justDrawn = 0.02;

const asFound = { controls: {}, apart: [], done: [], known: {} };

/**
 * How a faulty unit may stand when somebody comes: whether the pilot is lit, what has tripped, and how warm the water is,
 * from what its model does when it is left alone for a day.
 */
export function situations(
  model: Pick<GasModel, 'run'>,
  plate: GasPlate,
  elements: Elements,
  faults: readonly GasFault[],
): readonly GasStanding[] {
  const chance = (of: 'pilotOut' | 'trips' | 'cutsOff') =>
    1 - faults.reduce((left, each) => left * (1 - (each[of] ?? 0)), 1);
  const trips = plate.rollOut === 'none' ? 0 : chance('trips');
  const found: GasStanding[] = [];
  for (const isTripped of [true, false]) {
    for (const isCutOff of [true, false]) {
      const share =
        (isTripped ? trips : 1 - trips) * (isCutOff ? chance('cutsOff') : 1 - chance('cutsOff'));
      if (share < leastShare) continue;
      const lit: GasStanding = {
        share,
        pilot: 'lit',
        isTripped,
        isCutOff,
        tankCelsius: coldCelsius,
      };
      const left = model.run({ plate, elements, standing: lit, state: asFound });
      // Without a flame on the tip, or without what holds the valve, it has gone out.
      const holds = left['hold']!;
      const out = 1 - holds * (1 - chance('pilotOut'));
      found.push(
        ...outs(share * out, lit),
        ...burning(share * (1 - out), lit, left, { plate, elements }, faults.length === 0),
      );
    }
  }
  return found.filter((each) => each.share >= leastShare);
}

const leastShare = 0.01;

const outs = (share: number, standing: GasStanding): GasStanding[] => [
  { ...standing, share: share * (1 - stillWarm), pilot: 'out' },
  { ...standing, share: share * stillWarm, pilot: 'out', tankCelsius: 40 },
];

/** With the pilot lit: at its setting if the burner can, cold if it cannot, past it if the gas is never shut. */
function burning(
  share: number,
  standing: GasStanding,
  left: Signals,
  { plate, elements }: Pick<GasUnit, 'plate' | 'elements'>,
  isGood: boolean,
): GasStanding[] {
  if (elements['valve.shuts'] < 0.5) return [{ ...standing, share, tankCelsius: 74 }];
  const able = left['heat']! > leastHeatWatt;
  const usual = goodElements(plate)['dial.celsius'];
  const set = elements['dial.celsius'] - elements['valve.early-kelvin'];
  // A weak burner never quite gets there.
  const lack = Math.max(0, 1 - left['heat']! / (plate.inputWatt * plate.efficiency)) * 12;
  const hot = able ? Math.max(coldCelsius, set - Math.min(lack, usual)) : coldCelsius;
  const drawn = isGood ? justDrawn : 0;
  return [
    { ...standing, share: share * (1 - drawn), tankCelsius: hot },
    ...(drawn > 0 ? [{ ...standing, share: share * drawn, tankCelsius: coldCelsius }] : []),
  ];
}

/** Below this a burner heats nothing that a user would notice, in watts. */
const leastHeatWatt = 500;
