import { electricalFamily, ownerCautions, readNames, type FamilyParameters } from '../electrical';
import { checks } from './checks';
import { drawing } from './drawing';
import { faultModes } from './faults';
import namesFile from './names.json' with { type: 'json' };
import { observations } from './observations';
import parameters from './parameters.json' with { type: 'json' };
import { conductorWords, coverWords } from './part-words';
import { answers, askedComplaints, questions } from './questions';
import { faultWords, repairs } from './repairs';
import { coldCelsius, dialCelsius, situations } from './situation';
import { topology } from './topology';
import { usualOrder } from './usual-order';

/** Small tank, wall or under-sink unit with one element, a rod thermostat of two poles, a cutout and a lamp. */
export const electricStorageOneElement = electricalFamily({
  title: 'Electric, one element',
  names: readNames(namesFile),
  ...topology,
  parameters: parameters as unknown as FamilyParameters,
  elements: [{ id: 'only', part: 'element', label: 'Element' }],
  thermostats: [{ id: 'only', stateKey: 'dial', setting: 'dial', label: 'Dial', water: 'top' }],
  supplies: [
    {
      id: 'single-230',
      label: '230 V single phase',
      system: 'single-phase',
      nominalVolt: 230,
      plateVolt: 230,
    },
    {
      id: 'single-120',
      label: '120 V, plug',
      system: 'single-phase',
      nominalVolt: 120,
      plateVolt: 120,
    },
  ],
  usualVolumeLitre: 30,
  tank: { heaters: [0.14], thermostats: [0.35], limit: 0.76, differentialKelvin: 6 },
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
    { between: ['supply.1', 'supply.2'], label: 'Across, block L to N' },
    { between: ['supply.1', 'earth'], label: 'Live, block L to earth' },
    { between: ['supply.2', 'earth'], label: 'Neutral, block N to earth' },
  ],
  usualOrder,
});
