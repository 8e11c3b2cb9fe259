import type { CodePack } from '../../codes';
import type { FamilyCodes } from '../family';
import pack from './codes.json' with { type: 'json' };

/** The status light of an electronic valve: what its control can see, and an invented pack of how it says so. */
export const codes: FamilyCodes = {
  family: pack.family,
  check: 'status-light',
  none: 'dark',
  sights: {
    dark: 'less than 90 mV at the electronics',
    s4: 'pilot proven, water at its setting',
    s1: 'pilot proven, water below its setting, main gas driven',
    l3: '90 to 200 mV, waiting for more',
    sl: '200 to 280 mV for longer than 3 min after lighting: little margin; main gas still driven',
    ls: 'millivolts fell by half within 60 s of main gas opening',
    ssl: 'water over 82 °C',
    ll: 'the two water sensors differ by more than 8 K or one is out of range',
    sll: 'main gas driven, current of its coil missing',
    lss: 'main gas not driven, coil current still there',
    lls: 'knob between two marks',
    sss: 'supply broke for 0.2 to 5 s and came back, three times in an hour',
    on: 'restart lock: knob was turned off while the tip was hot',
  },
  pack: pack as CodePack,
};
