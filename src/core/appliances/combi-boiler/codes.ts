import type { CodePack } from '../../codes';
import type { FamilyCodes } from '../family';
import pack from './codes.json' with { type: 'json' };

/** What the control of a combination boiler can see, and an invented pack of how it says so. */
export const codes: FamilyCodes = {
  family: pack.family,
  check: 'code-read',
  none: 'none',
  sights: {
    none: 'nothing wrong, or nothing shown',
    'fl-1': 'no flame in the trial',
    'fl-2': 'flame lost while burning',
    'ht-1': 'flow temperature above its limit, or its device open',
    'ci-1': 'flow and return apart by more than 35 K',
    'ci-2': 'flow temperature rises faster than 1.6 K/s, or falls while burning',
    'se-1': 'flow or return sensor outside its range',
    'se-3': 'tap sensor outside its range',
    'pr-1': 'primary pressure below 0.5 bar',
    'pr-2': 'primary pressure above 2.7 bar',
    'ai-1': 'fan speed or air not proved',
    'co-1': 'condensate at the electrode, or flue blocked by it',
    'ct-1': 'self-test of the control or its low-voltage supply',
  },
  pack: pack as CodePack,
};
