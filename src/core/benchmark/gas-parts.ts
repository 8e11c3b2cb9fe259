import { gasStoragePilot } from '../appliances/gas-storage-pilot';
import { simulatedFamilyOf } from '../simulation';
import { part, type Part } from './part';
import { everyCheckOnce, fixedOrder, skippingOrder } from './rivals/fixed-order';
import { engineStrategy } from './strategies';
import type { Benched } from './units';

/** The gas storage heater on units with physics and numbers of their own: both variants, and two that are piped together. */

interface Variant {
  readonly name: string;
  readonly title: string;
  readonly plate: Readonly<Record<string, unknown>>;
}

const plateOf = (litre: number, rest: object) => ({
  fuel: 'natural-gas',
  input: { watt: 11_700 },
  volume: { litre },
  rollOut: 'in-lead',
  ...rest,
});

export const gasVariants: readonly Variant[] = [
  {
    name: 'thermocouple',
    title: 'thermocouple, 151 L',
    plate: plateOf(151, { valve: 'thermocouple' }),
  },
  { name: 'thermopile', title: 'thermopile, 189 L', plate: plateOf(189, { valve: 'thermopile' }) },
  {
    name: 'parallel',
    title: 'two in parallel, thermocouple',
    plate: plateOf(151, { valve: 'thermocouple', arrangement: 'parallel' }),
  },
];

const benchedAt = ({ plate }: Variant, wrongVerdictMinutes: number | undefined): Benched => {
  const { parameters } = gasStoragePilot;
  return {
    family: gasStoragePilot,
    simulated: simulatedFamilyOf(gasStoragePilot.id),
    unit: { family: gasStoragePilot.id, plate: plate as Benched['unit']['plate'] },
    site: { gas: { kind: 'natural-gas' } },
    parameters:
      wrongVerdictMinutes === undefined
        ? parameters
        : { ...parameters, wrongVerdict: { minutes: wrongVerdictMinutes } },
  };
};

/** Strategies on every variant. The floor is at a wrong verdict of 90 minutes, whatever the part. */
const strategies = [
  {
    name: 'engine',
    title: 'Ohmmeter, wrong verdict 90 min',
    units: 120,
    price: 90,
    make: (of: Benched) => engineStrategy(of),
  },
  {
    name: 'own',
    title: "Ohmmeter, the product's own prices",
    units: 60,
    price: undefined,
    make: (of: Benched) => engineStrategy(of),
  },
  {
    name: 'skipping',
    title: 'usual order, leaving out what tells little',
    units: 60,
    price: 90,
    make: (of: Benched) => skippingOrder(of),
  },
  {
    name: 'order',
    title: 'usual order, until 0.95',
    units: 40,
    price: 90,
    make: (of: Benched) => fixedOrder(of),
  },
  {
    name: 'every',
    title: 'every check once',
    units: 40,
    price: 90,
    make: (of: Benched) => everyCheckOnce(of),
  },
] as const;

export const gasParts: readonly Part[] = gasVariants.flatMap((variant) =>
  strategies.map(({ name, title, units, price, make }) => {
    const benched = benchedAt(variant, price);
    return part(
      `gas-${variant.name}-${name}`,
      `${variant.title}: ${title}`,
      units,
      () => benched,
      make,
      { right: 'likeliest' },
    );
  }),
);
