/** How the unit stands when the technician comes: what a fault has led to, and not the fault itself. */
export interface GasStanding {
  readonly share: number;
  /** The pilot as it was found. */
  readonly pilot: 'lit' | 'out';
  /** The roll-out cutout stands open until its button is pressed. */
  readonly isTripped: boolean;
  /** The energy cutoff in the valve has opened: it stays open. */
  readonly isCutOff: boolean;
  readonly tankCelsius: number;
}

export const coldCelsius = 15;
