import type { CheckWords } from '../family';

type Cover = 'upper' | 'lower' | 'junction-box';

const element = (which: 'Upper' | 'Lower'): Record<string, CheckWords> => {
  const id = which.toLowerCase();
  const cover: Cover = which === 'Upper' ? 'upper' : 'lower';
  const own = { covers: [cover], standsAlone: true } as const;
  return {
    [`${id}-element-ohms`]: {
      ...own,
      label: `${which} element, screw to screw`,
      doThis: `Touch the two screws of the ${id} element, one wire lifted, on ohms.`,
      explainedBy: [`${id}-element-a-to-tank-ohms`],
    },
    [`${id}-element-beep`]: {
      ...own,
      label: `${which} element, beep`,
      doThis: `Touch the two screws of the ${id} element, one wire lifted, on the beeper.`,
      answers: { beeps: 'it beeps', silent: 'silent' },
    },
    [`${id}-element-a-to-tank-ohms`]: {
      ...own,
      label: `${which} element, a to tank`,
      doThis: `Touch screw a of the ${id} element and bare tank metal, both wires lifted.`,
    },
    [`${id}-element-b-to-tank-ohms`]: {
      ...own,
      label: `${which} element, b to tank`,
      doThis: `Touch screw b of the ${id} element and bare tank metal, both wires lifted.`,
    },
    [`${id}-element-insulation-ohms`]: {
      ...own,
      label: `${which} element, insulation at 500 V`,
      doThis: `Insulation tester at 500 V DC from screw a of the ${id} element to bare tank metal, both wires lifted.`,
      instrument: 'insulation-tester',
      caution: 'test-voltage',
    },
    [`${id}-element-volts`]: {
      covers: [cover],
      label: `${which} element, volts under load`,
      doThis: `Touch the two screws of the ${id} element, all wires on, on AC volts.`,
      caution: 'live',
    },
    [`${id}-element-amps`]: {
      covers: [cover],
      label: `${which} element, clamp on wire a`,
      doThis: `Close the clamp round the one wire to screw a of the ${id} element.`,
      instrument: 'clamp',
      caution: 'live',
      explainedBy: [`${id}-element-b-amps`, `${id}-element-a-to-tank-ohms`],
    },
    [`${id}-element-b-amps`]: {
      covers: [cover],
      label: `${which} element, clamp on wire b`,
      doThis: `Close the clamp round the one wire to screw b of the ${id} element.`,
      instrument: 'clamp',
      caution: 'live',
      explainedBy: [`${id}-element-a-to-tank-ohms`],
    },
  };
};

const deadContact = (label: string, doThis: string, cover: Cover): CheckWords => ({
  label,
  doThis,
  covers: [cover],
  standsAlone: true,
});

const warmTest = (cover: Cover, which: string): CheckWords => ({
  label: `${which} thermostat, warmed`,
  doThis: `Warm the ${cover} thermostat above its dial, the meter on its contact. It must open.`,
  covers: [cover],
  answers: { opens: 'it opens', 'stays-closed': 'stays closed', 'never-closed': 'was open cold' },
});

const click = (cover: Cover, which: string): CheckWords => ({
  label: `${which} thermostat, dial through the water temperature`,
  doThis: `Meter on the ${cover} thermostat's contact. Turn the dial down and up again: it must open and close with a click.`,
  covers: [cover],
  standsAlone: true,
  answers: {
    clicks: 'opens and closes',
    'stays-closed': 'never opens',
    'stays-open': 'never closes',
  },
});

const look = { sound: 'sound', loose: 'loose', scorched: 'scorched' };

export const checks: Readonly<Record<string, CheckWords>> = {
  ...element('Upper'),
  ...element('Lower'),
  'feed-volts': {
    label: 'House cable, volts across',
    doThis: 'Touch both house conductors in the junction box, on AC volts.',
    covers: ['junction-box'],
    caution: 'live',
  },
  'supply-volts': {
    label: 'Supply, limit 1 to 3',
    doThis: 'Touch limit screws 1 and 3, on AC volts.',
    covers: ['upper'],
    caution: 'live',
  },
  'supply-leg-1-to-earth-volts': {
    label: 'Leg 1 to tank, limit 1',
    doThis: 'Touch limit screw 1 and bare tank metal, on AC volts.',
    covers: ['upper'],
    caution: 'live',
  },
  'supply-leg-2-to-earth-volts': {
    label: 'Leg 2 to tank, limit 3',
    doThis: 'Touch limit screw 3 and bare tank metal, on AC volts.',
    covers: ['upper'],
    caution: 'live',
  },
  'feed-1-to-earth-ohms': {
    label: 'House conductor 1 to earth',
    doThis: 'Touch house conductor 1 and the earth wire, both splices undone.',
    covers: ['junction-box'],
  },
  'feed-2-to-earth-ohms': {
    label: 'House conductor 2 to earth',
    doThis: 'Touch house conductor 2 and the earth wire, both splices undone.',
    covers: ['junction-box'],
  },
  'supply-1-to-tank-ohms': {
    label: 'Heater lead 1 to tank',
    doThis: 'Touch heater lead 1 and bare tank metal, both splices undone.',
    covers: ['junction-box'],
  },
  'supply-2-to-tank-ohms': {
    label: 'Heater lead 2 to tank',
    doThis: 'Touch heater lead 2 and bare tank metal, both splices undone.',
    covers: ['junction-box'],
  },
  'earth-continuity-ohms': {
    label: 'House earth to tank',
    doThis: 'Touch the house earth wire and bare tank metal, on ohms.',
    covers: ['junction-box'],
  },
  'upper-path-ohms': {
    label: 'Whole upper path',
    doThis: 'Touch both heater leads in the junction box, splices undone, upper dial up.',
    covers: ['junction-box'],
  },
  'lower-path-ohms': {
    label: 'Whole lower path',
    doThis: 'Touch upper thermostat 4 and limit 4, lower dial up.',
    covers: ['upper'],
  },
  'limit-pole-1-ohms': deadContact(
    'Limit pole 1 to 2',
    'Touch limit screws 1 and 2, on ohms.',
    'upper',
  ),
  'limit-pole-2-ohms': deadContact(
    'Limit pole 3 to 4',
    'Touch limit screws 3 and 4, on ohms.',
    'upper',
  ),
  'upper-contact-high-ohms': deadContact(
    'Upper thermostat 1 to 2, dial up',
    'Turn the upper dial up. Touch upper thermostat 1 and 2.',
    'upper',
  ),
  'changeover-contact-high-ohms': deadContact(
    'Upper thermostat 1 to 4, dial up',
    'Turn the upper dial up. Touch upper thermostat 1 and 4.',
    'upper',
  ),
  'lower-contact-high-ohms': deadContact(
    'Lower thermostat 1 to 2, dial up',
    'Turn the lower dial up. Touch lower thermostat 1 and 2.',
    'lower',
  ),
  'upper-contact-low-ohms': deadContact(
    'Upper thermostat 1 to 2, dial down',
    'Turn the upper dial down. Touch upper thermostat 1 and 2.',
    'upper',
  ),
  'changeover-contact-low-ohms': deadContact(
    'Upper thermostat 1 to 4, dial down',
    'Turn the upper dial down. Touch upper thermostat 1 and 4.',
    'upper',
  ),
  'lower-contact-low-ohms': deadContact(
    'Lower thermostat 1 to 2, dial down',
    'Turn the lower dial down. Touch lower thermostat 1 and 2.',
    'lower',
  ),
  'upper-contact-as-found-ohms': deadContact(
    'Upper thermostat 1 to 2, dial as found',
    'Leave the dial. Read the water or tank wall at the upper thermostat, then touch 1 and 2.',
    'upper',
  ),
  'lower-contact-as-found-ohms': deadContact(
    'Lower thermostat 1 to 2, dial as found',
    'Leave the dial. Read the water or tank wall at the lower thermostat, then touch 1 and 2.',
    'lower',
  ),
  'upper-thermostat-click': click('upper', 'Upper'),
  'lower-thermostat-click': click('lower', 'Lower'),
  'supply-presence': {
    label: 'Limit 1 and 3, non-contact tester',
    doThis: 'Hold the non-contact tester near limit 1, then limit 3.',
    covers: ['upper'],
    instrument: 'non-contact-tester',
    caution: 'live',
    answers: {
      both: 'lights at both',
      'leg-1-only': 'only at 1',
      'leg-2-only': 'only at 3',
      neither: 'dark at both',
    },
  },
  'dip-tube-draw': {
    label: 'Hot tap full open, watched',
    doThis: 'Open a hot tap full from a hot tank and watch the thermometer for three minutes.',
    covers: [],
    instrument: 'thermometer',
    caution: 'hot-water',
    answers: { holds: 'stays hot', 'falls-at-once': 'falls at once' },
  },
  'upper-thermostat-warm-test': warmTest('upper', 'Upper'),
  'lower-thermostat-warm-test': warmTest('lower', 'Lower'),
  'limit-reset-press': {
    label: 'Limit reset button',
    doThis: 'Press the red button once and listen.',
    covers: ['upper'],
    answers: { clicked: 'it clicked', 'no-click': 'no click' },
    caution: 'press-once',
  },
  'splices-look': {
    label: 'Splices, a look and a tug',
    doThis: 'Look at both splices in the junction box and tug each wire.',
    covers: ['junction-box'],
    answers: look,
  },
  'wiring-look': {
    label: 'Heater wiring, a look and a tug',
    doThis: 'Look at every screw behind both covers and tug each wire.',
    covers: ['upper', 'lower'],
    answers: look,
  },
  'breaker-recycle': {
    label: 'Breaker off and on again',
    doThis: 'Switch the breaker fully off, then on. A tripped one can look on.',
    covers: [],
    answers: { holds: 'it holds', trips: 'it trips' },
    caution: 'reclose',
  },
  'recovery-after-30-min': {
    label: 'Hot water after 30 minutes of power',
    doThis: 'Leave it powered for 30 minutes, then feel the tap.',
    covers: [],
    answers: { hot: 'hot, 45 °C and over', warm: 'warm, 30 to 45 °C', cold: 'cold' },
    caution: 'hot-water',
  },
  'outlet-first': {
    label: 'Hot tap, first draw',
    doThis: 'Open a hot tap near the heater and read the first hot water.',
    covers: [],
    instrument: 'thermometer',
    caution: 'hot-water',
  },
  'outlet-after-5-min': {
    label: 'Hot tap, after five minutes',
    doThis: 'Keep the hot tap full open for five minutes, then read.',
    covers: [],
    instrument: 'thermometer',
    caution: 'hot-water',
  },
  'dials-look': {
    label: 'Dials as found',
    doThis: 'Read both dials before you move them.',
    covers: ['upper', 'lower'],
    answers: { equal: 'equal, usual', unequal: 'unequal', low: 'both low' },
  },
  'other-outlet': {
    label: 'Another hot tap',
    doThis: 'Open a second hot tap elsewhere in the house.',
    covers: [],
    answers: { 'same-everywhere': 'the same there', 'hot-elsewhere': 'hot there' },
    caution: 'hot-water',
  },
  'use-look': {
    label: 'What is drawn',
    doThis: 'Ask and look: shower heads, a leaking or crossed fixture, a new appliance.',
    covers: [],
    answers: { usual: 'usual', outsized: 'more than the tank holds' },
  },
  'flush-look': {
    label: 'Drain a little into a bucket',
    doThis: 'Drain a bucket from the drain valve and look for grit.',
    covers: [],
    answers: { clear: 'clear', grit: 'grit and flakes' },
    caution: 'hot-water',
  },
  'dip-tube-look': {
    label: 'Dip tube, pulled and looked at',
    doThis: 'Shut the cold, let pressure off, open the cold inlet and pull the dip tube.',
    covers: [],
    answers: { sound: 'whole', gone: 'gone or split' },
  },
};
