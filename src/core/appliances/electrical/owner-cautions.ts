import type { OwnerCaution } from '../appliance-family';

/** What to leave alone on a heater on mains volts. Common practice. */
export const ownerCautions: readonly OwnerCaution[] = [
  {
    sign: 'no-reset',
    lead: 'Do not press reset again and again.',
    rest: 'If it trips, call: something else has failed.',
  },
  {
    sign: 'electricity',
    lead: 'Live parts behind the covers.',
    rest: 'Breaker off and proved dead before they come off.',
    whileLifted: 'Wires are lifted: leave the breaker off.',
  },
];
