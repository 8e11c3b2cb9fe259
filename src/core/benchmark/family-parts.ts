import type { ApplianceFamily } from '../appliances';
import { combiBoiler } from '../appliances/combi-boiler';
import { heatPumpCylinder } from '../appliances/heat-pump-cylinder';
import { systemBoiler } from '../appliances/system-boiler';
import { tanklessGas } from '../appliances/tankless-gas';
import { wirelessCylinderControl } from '../appliances/wireless-cylinder-control';
import { simulatedFamilyOf } from '../simulation';
import { believedUnits } from './believed-units';
import { part, type Part } from './part';
import { skippingOrder } from './rivals/fixed-order';
import type { Strategy } from './runs';
import { engineStrategy } from './strategies';
import type { Benched } from './units';

/** Families whose simulated units have physics and numbers of their own. */

/** A family as it is benched: its plate, and the floors of its contract at a wrong verdict of 90 minutes. */
export interface BenchedFamily {
  readonly family: ApplianceFamily;
  readonly title: string;
  readonly plate: Readonly<Record<string, unknown>>;
  /** Folder of its simulated units. */
  readonly simulatedIn: 'running-water' | 'zoned-boiler' | 'wireless' | 'heat-pump';
  readonly floor: {
    /** All that the unit needs, and nothing else; none where the contract counts one of two as right. */
    readonly exact?: number;
    readonly singles: number;
    /** The likeliest repair is one that it needs. */
    readonly first?: number;
    /** No part or work that it does not need. */
    readonly noWrongPart?: number;
    readonly minutes: number;
    /** Share of the minutes that the usual order with skipping takes. */
    readonly againstSkipping: number;
  };
}

export const benchedFamilies: Readonly<Record<string, BenchedFamily>> = {
  'tankless-gas': {
    family: tanklessGas,
    title: 'gas-fired instantaneous heater, 44 kW, condensing',
    plate: { fuel: 'natural-gas', input: { watt: 44_000 }, condensing: true },
    simulatedIn: 'running-water',
    floor: { exact: 0.885, singles: 0.951, first: 0.959, minutes: 8.9, againstSkipping: 0.41 },
  },
  'system-boiler': {
    family: systemBoiler,
    title: 'boiler with zones, 24 kW, cylinder by its thermostat',
    plate: { fuel: 'natural-gas', input: { watt: 24_000 }, rated: { volt: 230 } },
    simulatedIn: 'zoned-boiler',
    floor: { singles: 0.968, first: 0.967, minutes: 12.2, againstSkipping: 0.18 },
  },
  'combi-boiler': {
    family: combiBoiler,
    title: 'combination boiler, 26.5 kW',
    plate: { fuel: 'natural-gas', input: { watt: 26_500 } },
    simulatedIn: 'running-water',
    floor: { exact: 0.895, singles: 0.962, first: 0.965, minutes: 8.9, againstSkipping: 0.45 },
  },
  'wireless-cylinder-control': {
    family: wirelessCylinderControl,
    title: 'wireless control of a cylinder, two zone valves',
    plate: { rated: { volt: 230 }, arrangement: 'two-zone-valves' },
    simulatedIn: 'wireless',
    floor: { exact: 0.82, singles: 0.92, first: 0.93, minutes: 8.8, againstSkipping: 0.43 },
  },
  'heat-pump-cylinder': {
    family: heatPumpCylinder,
    title: 'heat pump, 8 kW, with buffer and cylinder',
    plate: { heatPump: { watt: 8000 }, rated: { volt: 230 } },
    simulatedIn: 'heat-pump',
    floor: { exact: 0.8, singles: 0.85, noWrongPart: 0.84, minutes: 9, againstSkipping: 0.65 },
  },
};

interface Way {
  readonly name: string;
  readonly title: string;
  readonly units: number;
  readonly make: (benched: Benched) => Strategy;
  /** On units drawn from the engine's own belief, as the studies drew theirs. */
  readonly isBelieved?: boolean;
}

const ways: readonly Way[] = [
  {
    name: 'engine',
    title: 'Ohmmeter, wrong verdict 90 min',
    units: 80,
    make: (of) => engineStrategy(of),
  },
  {
    name: 'skipping',
    title: 'usual order, leaving out what tells little',
    units: 40,
    make: (of) => skippingOrder(of),
  },
  {
    name: 'believed',
    title: 'Ohmmeter, on units out of its own tables',
    units: 40,
    make: (of) => engineStrategy(of),
    isBelieved: true,
  },
];

export const familyParts = ({ family, title, plate }: BenchedFamily): readonly Part[] =>
  ways.map(({ name, title: way, units, make, isBelieved = false }) => {
    const simulated = simulatedFamilyOf(family.id);
    const benched: Benched = {
      family,
      simulated: isBelieved ? believedUnits(family, simulated) : simulated,
      unit: { family: family.id, plate: plate as Benched['unit']['plate'] },
      site: family.burnsGas ? { gas: { kind: 'natural-gas' } } : {},
      parameters: { ...family.parameters, wrongVerdict: { minutes: 90 } },
    };
    return part(`${family.id}-${name}`, `${title}: ${way}`, units, () => benched, make);
  });
