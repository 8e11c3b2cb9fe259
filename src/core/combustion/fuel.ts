/** What a fuel is to its flue gas. */
export interface Fuel {
  readonly id: FuelId;
  readonly words: string;
  /** Atoms of its mean molecule. */
  readonly carbon: number;
  readonly hydrogen: number;
  /** Carbon dioxide in dry flue gas without any air too much, in percent: by the reaction. */
  readonly carbonDioxideMost: number;
  /** Siegert's coefficients on net heat, by oxygen: 1. BImSchV, from memory. */
  readonly siegertA: number;
  readonly siegertB: number;
  /** Gross heat by net heat. */
  readonly grossByNet: number;
  /** Gross heat of a mole, in kJ: methane and propane from standard tables, oil from its heat by mass, from memory. */
  readonly grossKilojoulePerMole: number;
}

export type FuelId = 'natural-gas' | 'lpg' | 'oil';

/** Natural gas as methane, LPG as propane, oil as CH1.85. */
export const fuels: Readonly<Record<FuelId, Fuel>> = {
  'natural-gas': {
    id: 'natural-gas',
    words: 'natural gas',
    carbon: 1,
    hydrogen: 4,
    carbonDioxideMost: 11.7,
    siegertA: 0.66,
    siegertB: 0.009,
    grossByNet: 1.11,
    grossKilojoulePerMole: 890.6,
  },
  lpg: {
    id: 'lpg',
    words: 'LPG',
    carbon: 3,
    hydrogen: 8,
    carbonDioxideMost: 13.72,
    siegertA: 0.63,
    siegertB: 0.008,
    grossByNet: 1.086,
    grossKilojoulePerMole: 2219.2,
  },
  oil: {
    id: 'oil',
    words: 'oil',
    carbon: 1,
    hydrogen: 1.85,
    carbonDioxideMost: 15.34,
    siegertA: 0.68,
    siegertB: 0.007,
    grossByNet: 1.06,
    grossKilojoulePerMole: 628,
  },
};

/** Oxygen that a mole of fuel takes, in moles. */
export const oxygenDemand = ({ carbon, hydrogen }: Fuel): number => carbon + hydrogen / 4;
