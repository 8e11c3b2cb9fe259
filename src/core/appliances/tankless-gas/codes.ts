import type { CodePack } from '../../codes';
import type { FamilyCodes } from '../family';
import pack from './codes.json' with { type: 'json' };

/** What the control of an instantaneous heater can see, and an invented pack of how it says so. */
export const codes: FamilyCodes = {
  family: pack.family,
  check: 'code-read',
  none: 'none',
  sights: {
    none: 'nothing wrong, or nothing shown',
    'fl-1': 'no flame signal in the trial',
    'fl-2': 'flame signal lost while burning',
    'ou-1': 'demand above 90 % and the rise short of it for long',
    'ht-1': 'outlet above the setpoint by 15 K, or the exchanger too hot',
    'ht-2': 'over-temperature device open',
    'se-1': 'inlet sensor outside its range',
    'se-2': 'outlet sensor outside its range',
    'ai-1': 'fan speed not reached or not steady',
    'ai-2': 'air not proved with the fan at speed',
    'co-1': 'condensate level high, or flue colder than it can be',
    'sc-1': 'demand above what the rise needs by 12 %, flow swinging',
    'ct-1': 'low-voltage supply or self-test of the control',
  },
  pack: pack as CodePack,
};
