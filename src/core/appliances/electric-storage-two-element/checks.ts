import type { LiftedEnd } from '../../job-file/generated/job-types';
import names from './names.json' with { type: 'json' };

export type CheckId = keyof typeof names.checks;

export type Cover = 'upper' | 'lower' | 'junction-box';

/** A check as the technician meets it. Probe points, state and quantity are those of names.json. */
export interface CheckWords {
  readonly label: string;
  /** What to do, verb first. */
  readonly doThis: string;
  readonly minutes: number;
  readonly covers: readonly Cover[];
  /** Danger priced in minutes: live volts 1.5, at the panel 3, a clamp 1. */
  readonly hazardMinutes?: number;
  /** Other wires may stay lifted without changing what is read. */
  readonly standsAlone?: boolean;
  /** Words for the values of an observation. */
  readonly answers?: Readonly<Record<string, string>>;
  /** A reading of the part it names, used to prove a repair. */
  readonly instrument?: 'multimeter' | 'clamp' | 'thermometer';
  /** Taken when a reading of this check, repeated, still fits nothing. */
  readonly explainedBy?: readonly CheckId[];
  /** What a small value of this reading means in words, for the verdict line while typing. */
  readonly caution?: 'live' | 'hot-water' | 'press-once' | 'reclose';
}

const element = (which: 'Upper' | 'Lower'): Record<string, CheckWords> => {
  const id = which.toLowerCase();
  const cover: Cover = which === 'Upper' ? 'upper' : 'lower';
  const own = { covers: [cover], standsAlone: true } as const;
  return {
    [`${id}-element-ohms`]: {
      ...own,
      label: `${which} element, screw to screw`,
      doThis: `Touch the two screws of the ${id} element, one wire lifted, on ohms.`,
      minutes: 0.8,
      explainedBy: [`${id}-element-a-to-tank-ohms` as CheckId],
    },
    [`${id}-element-beep`]: {
      ...own,
      label: `${which} element, beep`,
      doThis: `Touch the two screws of the ${id} element, one wire lifted, on the beeper.`,
      minutes: 0.7,
      answers: { beeps: 'it beeps', silent: 'silent' },
    },
    [`${id}-element-a-to-tank-ohms`]: {
      ...own,
      label: `${which} element, a to tank`,
      doThis: `Touch screw a of the ${id} element and bare tank metal, both wires lifted.`,
      minutes: 0.8,
    },
    [`${id}-element-b-to-tank-ohms`]: {
      ...own,
      label: `${which} element, b to tank`,
      doThis: `Touch screw b of the ${id} element and bare tank metal, both wires lifted.`,
      minutes: 0.8,
    },
    [`${id}-element-volts`]: {
      covers: [cover],
      label: `${which} element, volts under load`,
      doThis: `Touch the two screws of the ${id} element, all wires on, on AC volts.`,
      minutes: 1,
      hazardMinutes: 1.5,
      caution: 'live',
    },
    [`${id}-element-amps`]: {
      covers: [cover],
      label: `${which} element, clamp on wire a`,
      doThis: `Close the clamp round the one wire to screw a of the ${id} element.`,
      minutes: 1.1,
      hazardMinutes: 1,
      instrument: 'clamp',
      caution: 'live',
      explainedBy: [`${id}-element-b-amps` as CheckId, `${id}-element-a-to-tank-ohms` as CheckId],
    },
    [`${id}-element-b-amps`]: {
      covers: [cover],
      label: `${which} element, clamp on wire b`,
      doThis: `Close the clamp round the one wire to screw b of the ${id} element.`,
      minutes: 1.1,
      hazardMinutes: 1,
      instrument: 'clamp',
      caution: 'live',
      explainedBy: [`${id}-element-a-to-tank-ohms` as CheckId],
    },
  };
};

const deadContact = (label: string, doThis: string, cover: Cover): CheckWords => ({
  label,
  doThis,
  minutes: 0.8,
  covers: [cover],
  standsAlone: true,
});

const warmTest = (cover: Cover, which: string): CheckWords => ({
  label: `${which} thermostat, warmed`,
  doThis: `Warm the ${cover} thermostat above its dial, the meter on its contact. It must open.`,
  minutes: 5,
  covers: [cover],
  answers: { opens: 'it opens', 'stays-closed': 'stays closed', 'never-closed': 'was open cold' },
});

const look = { sound: 'sound', loose: 'loose', scorched: 'scorched' };

export const checkWords: Readonly<Record<CheckId, CheckWords>> = {
  ...(element('Upper') as Record<`upper-element-${ElementCheck}`, CheckWords>),
  ...(element('Lower') as Record<`lower-element-${ElementCheck}`, CheckWords>),
  'feed-volts': {
    label: 'House cable, volts across',
    doThis: 'Touch both house conductors in the junction box, on AC volts.',
    minutes: 1,
    covers: ['junction-box'],
    hazardMinutes: 1.5,
    caution: 'live',
  },
  'supply-volts': {
    label: 'Supply, limit 1 to 3',
    doThis: 'Touch limit screws 1 and 3, on AC volts.',
    minutes: 1,
    covers: ['upper'],
    hazardMinutes: 1.5,
    caution: 'live',
  },
  'supply-leg-1-to-earth-volts': {
    label: 'Leg 1 to tank, limit 1',
    doThis: 'Touch limit screw 1 and bare tank metal, on AC volts.',
    minutes: 1,
    covers: ['upper'],
    hazardMinutes: 1.5,
    caution: 'live',
  },
  'supply-leg-2-to-earth-volts': {
    label: 'Leg 2 to tank, limit 3',
    doThis: 'Touch limit screw 3 and bare tank metal, on AC volts.',
    minutes: 1,
    covers: ['upper'],
    hazardMinutes: 1.5,
    caution: 'live',
  },
  'feed-1-to-earth-ohms': {
    label: 'House conductor 1 to earth',
    doThis: 'Touch house conductor 1 and the earth wire, both splices undone.',
    minutes: 0.8,
    covers: ['junction-box'],
  },
  'feed-2-to-earth-ohms': {
    label: 'House conductor 2 to earth',
    doThis: 'Touch house conductor 2 and the earth wire, both splices undone.',
    minutes: 0.8,
    covers: ['junction-box'],
  },
  'supply-1-to-tank-ohms': {
    label: 'Heater lead 1 to tank',
    doThis: 'Touch heater lead 1 and bare tank metal, both splices undone.',
    minutes: 0.8,
    covers: ['junction-box'],
  },
  'supply-2-to-tank-ohms': {
    label: 'Heater lead 2 to tank',
    doThis: 'Touch heater lead 2 and bare tank metal, both splices undone.',
    minutes: 0.8,
    covers: ['junction-box'],
  },
  'earth-continuity-ohms': {
    label: 'House earth to tank',
    doThis: 'Touch the house earth wire and bare tank metal, on ohms.',
    minutes: 0.8,
    covers: ['junction-box'],
  },
  'upper-path-ohms': {
    label: 'Whole upper path',
    doThis: 'Touch both heater leads in the junction box, splices undone, upper dial up.',
    minutes: 1,
    covers: ['junction-box'],
  },
  'lower-path-ohms': {
    label: 'Whole lower path',
    doThis: 'Touch upper thermostat 4 and limit 4, lower dial up.',
    minutes: 0.9,
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
  'upper-thermostat-warm-test': warmTest('upper', 'Upper'),
  'lower-thermostat-warm-test': warmTest('lower', 'Lower'),
  'limit-reset-press': {
    label: 'Limit reset button',
    doThis: 'Press the red button once and listen.',
    minutes: 0.5,
    covers: ['upper'],
    answers: { clicked: 'it clicked', 'no-click': 'no click' },
    caution: 'press-once',
  },
  'splices-look': {
    label: 'Splices, a look and a tug',
    doThis: 'Look at both splices in the junction box and tug each wire.',
    minutes: 1,
    covers: ['junction-box'],
    answers: look,
  },
  'wiring-look': {
    label: 'Heater wiring, a look and a tug',
    doThis: 'Look at every screw behind both covers and tug each wire.',
    minutes: 1,
    covers: ['upper', 'lower'],
    answers: look,
  },
  'breaker-recycle': {
    label: 'Breaker off and on again',
    doThis: 'Switch the breaker fully off, then on. A tripped one can look on.',
    minutes: 1.5,
    covers: [],
    answers: { holds: 'it holds', trips: 'it trips' },
    caution: 'reclose',
  },
  'recovery-after-30-min': {
    label: 'Hot water after 30 minutes of power',
    doThis: 'Leave it powered for 30 minutes, then feel the tap.',
    minutes: 30,
    covers: [],
    answers: { hot: 'hot, 45 °C and over', warm: 'warm, 30 to 45 °C', cold: 'cold' },
    caution: 'hot-water',
  },
  'outlet-first': {
    label: 'Hot tap, first draw',
    doThis: 'Open a hot tap near the heater and read the first hot water.',
    minutes: 2,
    covers: [],
    instrument: 'thermometer',
    caution: 'hot-water',
  },
  'outlet-after-5-min': {
    label: 'Hot tap, after five minutes',
    doThis: 'Keep the hot tap full open for five minutes, then read.',
    minutes: 6,
    covers: [],
    instrument: 'thermometer',
    caution: 'hot-water',
  },
  'dials-look': {
    label: 'Dials as found',
    doThis: 'Read both dials before you move them.',
    minutes: 0.3,
    covers: ['upper', 'lower'],
    answers: { equal: 'equal, usual', unequal: 'unequal', low: 'both low' },
  },
  'other-outlet': {
    label: 'Another hot tap',
    doThis: 'Open a second hot tap elsewhere in the house.',
    minutes: 3,
    covers: [],
    answers: { 'same-everywhere': 'the same there', 'hot-elsewhere': 'hot there' },
    caution: 'hot-water',
  },
  'use-look': {
    label: 'What is drawn',
    doThis: 'Ask and look: shower heads, a leaking or crossed fixture, a new appliance.',
    minutes: 3,
    covers: [],
    answers: { usual: 'usual', outsized: 'more than the tank holds' },
  },
  'flush-look': {
    label: 'Drain a little into a bucket',
    doThis: 'Drain a bucket from the drain valve and look for grit.',
    minutes: 6,
    covers: [],
    answers: { clear: 'clear', grit: 'grit and flakes' },
    caution: 'hot-water',
  },
  'dip-tube-look': {
    label: 'Dip tube, pulled and looked at',
    doThis: 'Shut the cold, let pressure off, open the cold inlet and pull the dip tube.',
    minutes: 15,
    covers: [],
    answers: { sound: 'whole', gone: 'gone or split' },
  },
};

type ElementCheck =
  'ohms' | 'beep' | 'a-to-tank-ohms' | 'b-to-tank-ohms' | 'volts' | 'amps' | 'b-amps';

/** One check of names.json with its optional parts made explicit. */
export interface CheckNames {
  readonly kind: 'reading' | 'observation';
  readonly quantity?: 'resistance' | 'voltage-ac' | 'current-ac' | 'temperature';
  readonly between?: readonly string[];
  readonly around?: string;
  readonly values?: readonly string[];
  readonly state: {
    readonly power?: 'on' | 'off';
    readonly upperDial?: 'high' | 'low';
    readonly lowerDial?: 'high' | 'low';
    readonly lifted?: readonly LiftedEnd[];
    readonly limit?: 'closed';
    readonly needs?: string;
  };
  readonly note?: string;
}

export const checkNames = Object.fromEntries(
  Object.entries(names.checks).map(([id, each]) => [id, { state: {}, ...each }]),
) as unknown as Readonly<Record<CheckId, CheckNames>>;

export const checkIds = Object.keys(names.checks) as CheckId[];

export const isCheckId = (id: string): id is CheckId => id in names.checks;
