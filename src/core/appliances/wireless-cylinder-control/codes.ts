import type { CodePack } from '../../codes';
import type { FamilyCodes } from '../family';
import pack from './codes.json' with { type: 'json' };

/** What the controller's display says, by an invented pack. */
export const codes: FamilyCodes = {
  family: pack.family,
  check: 'display-look',
  none: 'normal',
  sights: {
    normal: 'lit, nothing wrong shown',
    dark: 'dark',
    'L-1': 'its own cells are low',
    'L-2': 'cells of the sensor low, or not heard for an hour',
    'L-3': 'sensor never heard since it was bound',
    'L-4': 'sensor out of range',
    'L-5': 'the hot-water receiver did not answer three calls',
    'L-6': 'three hours of a call without three kelvin',
  },
  pack: pack as CodePack,
};
