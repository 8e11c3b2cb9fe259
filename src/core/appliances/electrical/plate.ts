/** What the rating plate and the site say about an electric heater: everything that expected readings come from. */
export interface Plate {
  readonly ratedVolt: number;
  /** Rated power of each element, by the family's element id. */
  readonly elementWatt: Readonly<Record<string, number>>;
  /** Split phase: two live legs. Single phase: leg 2 is the neutral. */
  readonly supply: 'split-phase' | 'single-phase';
  readonly nominalVolt: number;
  readonly volumeLitre: number;
  /** Simultaneous: both elements may be powered at once, there is no changeover. */
  readonly wiring: 'non-simultaneous' | 'simultaneous';
  /** A device that trips on current to earth guards the circuit. */
  readonly residualCurrentDevice: boolean;
}

/** Rated values that a domestic electric heater may have. Beyond them a plate was misread. Common practice. */
export const plateLimits = { volt: [100, 600], watt: [200, 20_000], litre: [5, 2000] } as const;

/** Resistance of an element by its plate, in ohms: V²/P (Joule's and Ohm's laws). */
export const elementOhm = (ratedVolt: number, watt: number): number => ratedVolt ** 2 / watt;

/** Two legs of a three-phase supply are 208 V apart, give or take its tolerance; two halves of a split phase never are. */
const isThreePhasePair = ({ supply, nominalVolt }: Plate): boolean =>
  supply === 'split-phase' && nominalVolt >= 190 && nominalVolt <= 217;

/** RMS phasors of the supply legs against earth. */
export function legVolts(plate: Plate): readonly { volt: number; quadratureVolt: number }[] {
  const { supply, nominalVolt } = plate;
  if (supply === 'single-phase') {
    return [
      { volt: nominalVolt, quadratureVolt: 0 },
      { volt: 0, quadratureVolt: 0 },
    ];
  }
  if (isThreePhasePair(plate)) {
    const leg = nominalVolt / Math.sqrt(3);
    return [
      { volt: leg, quadratureVolt: 0 },
      { volt: -leg / 2, quadratureVolt: leg * Math.sin((2 * Math.PI) / 3) },
    ];
  }
  return [
    { volt: nominalVolt / 2, quadratureVolt: 0 },
    { volt: -nominalVolt / 2, quadratureVolt: 0 },
  ];
}

/** Breakers that circuits of water heaters have, in amperes. Common practice. */
const breakerSizes = {
  'split-phase': [15, 20, 30, 40, 50, 60],
  'single-phase': [16, 20, 25, 32, 40, 50, 63],
};

/** The smallest usual breaker that carries the heater all day: a continuous load, 125 % (NEC 422.13, from memory). */
export function breakerAmpere({ supply, ratedVolt, elementWatt, wiring }: Plate): number {
  const watts = Object.values(elementWatt);
  const watt =
    wiring === 'simultaneous' ? watts.reduce((sum, each) => sum + each, 0) : Math.max(...watts);
  const needed = (supply === 'split-phase' ? 1.25 : 1) * (watt / ratedVolt);
  const sizes = breakerSizes[supply];
  return sizes.find((each) => each >= needed) ?? sizes.at(-1)!;
}
