import type { CodePack } from '../../codes';
import type { FamilyCodes } from '../family';
import pack from './codes.json' with { type: 'json' };

/** What the controller shows, by an invented pack. */
export const codes: FamilyCodes = {
  family: pack.family,
  check: 'display-code',
  none: 'none',
  sights: {
    none: 'no code',
    'P-01': 'primary flow below the least for the mode',
    'P-02': 'water pressure below 0.8 bar',
    'P-03': 'flow temperature above its limit',
    'R-04': 'refrigerant, high pressure',
    'R-05': 'refrigerant, low pressure',
    'R-06': 'more than three defrosts in two hours',
    'S-07': 'a sensor open or shorted',
    'S-08': 'the outdoor unit does not answer',
    'W-09': 'two hours of a hot-water call without its setpoint',
    'W-10': 'immersion heater called, no rise in half an hour',
    'W-11': 'cylinder above 62 °C outside a disinfection cycle',
    'D-12': 'no disinfection cycle completed in two weeks',
  },
  pack: pack as CodePack,
};
