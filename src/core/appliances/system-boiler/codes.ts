import type { CodePack } from '../../codes';
import type { FamilyCodes } from '../family';
import pack from './codes.json' with { type: 'json' };

/** What the control of a system boiler can see, and an invented pack of how it says so. */
export const codes: FamilyCodes = {
  family: pack.family,
  check: 'code-read',
  none: 'none',
  sights: {
    none: 'nothing wrong, or nothing shown',
    c11: 'supply sensor out of range',
    c12: 'return sensor out of range',
    c13: 'outdoor sensor out of range: runs at the design supply temperature',
    c14: 'cylinder sensor out of range: heating goes on',
    c21: 'no speed signal after a start',
    c22: 'air not proved with the fan at purge speed',
    c23: 'drain switch open',
    c31: 'no flame signal at the end of the trial',
    c32: 'flame signal lost within 10 s of ignition, or at high fire',
    c33: 'flame signal with the gas valve off: look at the sight glass first; a real flame: gas cock closed',
    c41: 'limit open',
    c42: 'pressure switch open',
    c43: 'supply rising faster than 12 K a minute',
    c44: 'return hotter than supply by more than 5 K',
    c51: 'cylinder not satisfied after 90 min of priority',
    c61: '24 V input under 18 V, the board restarting',
  },
  pack: pack as CodePack,
};
