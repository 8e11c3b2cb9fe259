import { electricalFamily, ownerCautions, readNames, type FamilyParameters } from '../electrical';
import { checks } from './checks';
import { drawing } from './drawing';
import { faultModes } from './faults';
import namesFile from './names.json' with { type: 'json' };
import { observations } from './observations';
import parameters from './parameters.json' with { type: 'json' };
import { answers, askedComplaints, questions } from './questions';
import { conductorWords, coverWords } from './part-words';
import { faultWords, repairs } from './repairs';
import { coldCelsius, dialCelsius, situations } from './situation';
import { topology } from './topology';
import { usualOrder } from './usual-order';

/** Electric storage heater with two elements on 240 V split phase, 230 V single phase or two legs of 208 V. */
export const electricStorageTwoElement = electricalFamily({
  title: 'Electric, two elements',
  names: readNames(namesFile),
  ...topology,
  parameters: parameters as unknown as FamilyParameters,
  elements: [
    { id: 'upper', part: 'upper-element', label: 'Upper element' },
    { id: 'lower', part: 'lower-element', label: 'Lower element' },
  ],
  thermostats: [
    {
      id: 'upper',
      stateKey: 'upperDial',
      setting: 'upper-dial',
      label: 'Upper dial',
      water: 'top',
    },
    {
      id: 'lower',
      stateKey: 'lowerDial',
      setting: 'lower-dial',
      label: 'Lower dial',
      water: 'bottom',
    },
  ],
  supplies: [
    {
      id: 'split-240',
      label: '240 V split phase',
      system: 'split-phase',
      nominalVolt: 240,
      plateVolt: 240,
    },
    {
      id: 'legs-208',
      label: '208 V, two legs of three',
      system: 'split-phase',
      nominalVolt: 208,
      plateVolt: 240,
    },
    {
      id: 'single-230',
      label: '230 V single phase',
      system: 'single-phase',
      nominalVolt: 230,
      plateVolt: 230,
    },
  ],
  usualVolumeLitre: 189,
  tank: { heaters: [0.66, 0.11], thermostats: [0.71, 0.16], limit: 0.76, differentialKelvin: 6 },
  faultModes,
  situations,
  coldCelsius,
  dialCelsius,
  checks,
  observations,
  questions,
  askedComplaints,
  answers,
  repairs,
  words: {
    faults: faultWords,
    conductors: conductorWords,
    covers: coverWords,
    lookCloser: 'Look for a joint that gets hot, or two faults.',
    ownerCautions,
  },
  drawing,
  deadPoints: [
    { between: ['limit.1', 'limit.3'], label: 'Across, limit 1 to 3' },
    { between: ['limit.1', 'tank'], label: 'Leg 1, limit 1 to tank' },
    { between: ['limit.3', 'tank'], label: 'Leg 2, limit 3 to tank' },
  ],
  dialsLook: ([upper, lower]) =>
    Math.max(upper!, lower!) < 45 ? 'low' : upper! - lower! > 4 ? 'unequal' : 'equal',
  usualOrder,
});
