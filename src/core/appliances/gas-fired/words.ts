import type { OwnerCaution } from '../appliance-family';

/** Words that every fan-assisted burner shares. */

export const fireCovers: Readonly<Record<string, string>> = {
  'no-gas-smell': 'no gas smelled',
  case: 'front case',
  'power-off': 'power off, proved dead',
  live: 'powered, case off',
  manometer: 'manometer on',
  analyser: 'analyser in',
  ladder: 'ladder',
  'burner-open': 'combustion door off',
};

export const fireFaults: Readonly<Record<string, string>> = {
  'no-fault': 'all good',
  'supply.off': 'supply off',
  'fuse.open': 'fuse of the control',
  'control.dead': 'control dead',
  'gas.low-under-load': 'gas pressure falls under load',
  'igniter.worn': 'spark weak or none',
  'fan.failed': 'fan does not reach its speed',
  'flue.blocked': 'flue or intake blocked',
  'condensate.blocked': 'condensate blocked',
  'limit.open': 'over-temperature device open',
};

export const gasOwnerCautions: readonly OwnerCaution[] = [
  {
    sign: 'warning',
    lead: 'A smell of gas:',
    rest: 'no flame, no switch, no telephone in the room. Out, and call the gas emergency number from outside.',
  },
  {
    sign: 'warning',
    lead: 'Headache or sickness while it burns can be carbon monoxide.',
    rest: 'Off, windows open, out. Keep its air openings and its flue clear.',
  },
];
