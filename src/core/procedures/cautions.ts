import type { Caution } from './caution';
import type { ProcedureStep } from './generated/procedure-types';

export type CautionKind = NonNullable<ProcedureStep['caution']>[number];

/** Cautions of steps. Local codes and licences come before them. Common practice. */
export const cautionWords: Readonly<Record<CautionKind, Caution>> = {
  gas: {
    sign: 'warning',
    words:
      'Gas: no flame, no switch while it may be in the air. Local codes and your licence decide.',
  },
  flame: { sign: 'hot-water', words: 'Face beside the glass, never before it.' },
  'hot-metal': { sign: 'hot-water', words: 'Hot metal: wait, or gloves.' },
  'hot-water': { sign: 'hot-water', words: 'Water of 50 to 80 °C comes out: it scalds.' },
  live: {
    sign: 'electricity',
    words: 'Live parts: rated meter and leads, one hand. Local codes and your licence decide.',
  },
  'carbon-monoxide': {
    sign: 'warning',
    words: 'Carbon monoxide has no smell. Headache or alarm: off, doors open, out.',
  },
  'sharp-edges': { sign: 'warning', words: 'Sharp edges: gloves.' },
  scald: { sign: 'hot-water', words: 'Hotter water scalds sooner: see the scald times.' },
  'full-before-power': {
    sign: 'warning',
    words: 'Only with the tank full: dry, it burns out in seconds.',
  },
  'press-once': { sign: 'no-reset', words: 'Once only. What trips again stays off.' },
  'never-plug': { sign: 'warning', words: 'A relief pipe is never plugged or narrowed.' },
  licensed: { sign: 'warning', words: 'Only for whoever is licensed for it here.' },
};
