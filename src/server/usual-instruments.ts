import type { Technician } from '../database/technicians';

/** What somebody has with them until something else is known. */
export const usualInstruments: Technician['instruments'] = [
  { id: 'multimeter', kind: 'multimeter' },
  { id: 'clamp', kind: 'clamp' },
  { id: 'thermometer', kind: 'thermometer' },
];
