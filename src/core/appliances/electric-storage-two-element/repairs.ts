import type { CheckId } from './checks';
import names from './names.json' with { type: 'json' };

export type RepairId = (typeof names.repairs)[number] & keyof typeof repairs;

export interface Repair {
  /** The suspect in the technician's words, as a noun: "Lower element". */
  readonly suspect: string;
  /** The repair as an order: "Replace the lower element". */
  readonly order: string;
  readonly parts: readonly string[];
  readonly steps: readonly string[];
  readonly cautions: readonly string[];
  /** Wires that come off for it, as conductor and screw. */
  readonly wires: readonly { readonly wire: string; readonly end: string }[];
  /** Any one of these, taken afterwards and good, proves the repair. */
  readonly proof: readonly CheckId[];
  readonly minutes: number;
}

const hotWater = 'Stored water scalds. Drain through a hose to a safe place and let it cool first.';
const live = 'Power off and proved dead on every leg before a wire is touched.';
const full =
  'Fill until a hot tap runs without air before power goes on. A dry element burns out in seconds.';

const element = (which: 'upper' | 'lower', volume: string): Repair => ({
  suspect: which === 'upper' ? 'Upper element' : 'Lower element',
  order: `Replace the ${which} element`,
  parts: [`element for the plate's volts and watts, same thread or flange`, 'element gasket'],
  steps: [
    'Cold off, hot tap open, power off and proved dead.',
    `Drain below the ${which} element${volume}.`,
    'Note where each wire sits, then lift both.',
    'Element out, seat wiped clean, new gasket, new element.',
    'Close the drain, fill until a hot tap runs without air, look for weeping.',
    'Wires back where they were, screws tight, insulation and cover back.',
  ],
  cautions: [live, hotWater, full],
  wires: [
    { wire: `w-${which}-a`, end: `${which}-element.a` },
    { wire: `w-${which}-b`, end: `${which}-element.b` },
  ],
  proof: [`${which}-element-ohms`, `${which}-element-amps`, `${which}-element-volts`],
  minutes: 60,
});

export const repairs = {
  'restore-supply': {
    suspect: 'Supply off',
    order: 'Bring the supply back',
    parts: [],
    steps: [
      'Find out why it was off: a tripped breaker, a time switch, load control, somebody.',
      'Look for damp and scorching, and see that the tank is full.',
      'Switch fully off, then on. If it goes again, leave it off and test dead.',
    ],
    cautions: ['One try only. A breaker that goes again has a cause still present.', full],
    wires: [],
    proof: ['supply-volts', 'upper-element-amps', 'upper-element-volts', 'recovery-after-30-min'],
    minutes: 5,
  },
  'call-electrician': {
    suspect: 'Breaker or a supply leg',
    order: 'Have the supply leg put right',
    parts: [],
    steps: [
      'Leave the heater off and locked if you can.',
      'Breaker pole, panel and service are work for whoever is licensed for them.',
      'Afterwards volts across and each leg to the tank.',
    ],
    cautions: ['The supply side stays live with the breaker off. Local codes and licences decide.'],
    wires: [],
    proof: ['supply-volts', 'feed-volts', 'upper-element-volts'],
    minutes: 20,
  },
  'remake-splice': {
    suspect: 'Splice in the junction box',
    order: 'Remake the splices',
    parts: ['connectors for the conductor size and metal'],
    steps: [
      'Cut back to bright metal; replace scorched wire.',
      'New connector, tugged. Both splices, not only the bad one.',
      'Box closed, strain relief tight.',
    ],
    cautions: [live],
    wires: [
      { wire: 'splice-1', end: 'supply.1' },
      { wire: 'splice-2', end: 'supply.2' },
    ],
    proof: ['supply-volts', 'upper-element-volts', 'upper-path-ohms', 'upper-element-amps'],
    minutes: 15,
  },
  'restore-earth': {
    suspect: 'Earth bond',
    order: 'Restore the earth bond',
    parts: ['earth clamp or screw'],
    steps: ['Clean to bright metal, tighten, then read earth to tank.'],
    cautions: [live, 'Until it is bonded, a leaking element makes the tank live.'],
    wires: [],
    proof: ['earth-continuity-ohms'],
    minutes: 10,
  },
  'reset-limit': {
    suspect: 'Limit tripped, no cause found',
    order: 'Reset the limit and watch it',
    parts: [],
    steps: [
      'Press once, cool.',
      'Both thermostats shown to open on warm water: a limit trips because something else failed.',
      'Log the outlet until it shuts off.',
    ],
    cautions: ['Do not press again and again. If it trips again it stays off and is tested dead.'],
    wires: [],
    proof: ['limit-pole-1-ohms', 'limit-pole-2-ohms', 'upper-element-amps', 'upper-element-volts'],
    minutes: 5,
  },
  'replace-upper-thermostat': {
    suspect: 'Upper thermostat and limit',
    order: 'Replace the upper thermostat with its limit',
    parts: ['upper thermostat and limit assembly, same volts, amps and poles'],
    steps: [
      'Note where each wire sits, then lift them.',
      'Assembly out of its clip; new one flat against the bare tank.',
      'Wires back where they were, screws tight.',
      'Both dials equal, insulation and cover back.',
    ],
    cautions: [live],
    wires: [
      { wire: 'w-supply-1', end: 'limit.1' },
      { wire: 'w-supply-2', end: 'limit.3' },
      { wire: 'w-upper-a', end: 'upper-thermostat.2' },
      { wire: 'w-upper-b', end: 'limit.4' },
      { wire: 'w-lower-b', end: 'limit.4' },
      { wire: 'w-lower-feed', end: 'upper-thermostat.4' },
    ],
    proof: [
      'upper-contact-high-ohms',
      'upper-path-ohms',
      'upper-element-volts',
      'upper-element-amps',
      'lower-element-volts',
      'limit-pole-1-ohms',
    ],
    minutes: 25,
  },
  'replace-lower-thermostat': {
    suspect: 'Lower thermostat',
    order: 'Replace the lower thermostat',
    parts: ['single-switch thermostat, same volts and amps'],
    steps: [
      'Note where each wire sits, then lift both.',
      'Thermostat out of its clip; new one flat against the bare tank.',
      'Wires back where they were, screws tight.',
      'Both dials equal, insulation and cover back.',
    ],
    cautions: [live],
    wires: [
      { wire: 'w-lower-feed', end: 'lower-thermostat.1' },
      { wire: 'w-lower-a', end: 'lower-thermostat.2' },
    ],
    proof: [
      'lower-contact-high-ohms',
      'lower-path-ohms',
      'lower-element-amps',
      'lower-element-volts',
    ],
    minutes: 20,
  },
  'replace-upper-element': element('upper', ''),
  'replace-lower-element': element('lower', ', nearly the whole tank'),
  'repair-wiring': {
    suspect: 'Wiring inside the heater',
    order: 'Repair the wiring',
    parts: ['wire of the same gauge and temperature rating', 'terminal ends'],
    steps: [
      'Find the wire: read each end to end, tug every screw, look for scorching.',
      'Cut back to bright metal or replace the wire; tighten the screw.',
      'Check every wire against the drawing before power.',
    ],
    cautions: [live],
    wires: [],
    proof: [
      'upper-path-ohms',
      'lower-path-ohms',
      'upper-element-volts',
      'lower-element-volts',
      'upper-element-amps',
      'lower-element-amps',
    ],
    minutes: 20,
  },
  'set-dials': {
    suspect: 'Dials set low or unequal',
    order: 'Set both dials',
    parts: [],
    steps: [
      'Both dials equal at about 49 to 52 °C (120 to 125 °F).',
      'Record as found and as left.',
    ],
    cautions: ['Hotter water scalds sooner: see the scald times on the report.'],
    wires: [],
    proof: ['outlet-after-5-min', 'outlet-first', 'dials-look'],
    minutes: 5,
  },
  'replace-dip-tube': {
    suspect: 'Dip tube gone',
    order: 'Replace the dip tube',
    parts: ['dip tube, same length', 'inlet nipple and washer'],
    steps: [
      'Cold off, pressure off.',
      'Inlet off, old pieces out, new tube in.',
      'Fill, vent, look for drips.',
    ],
    cautions: [hotWater, full],
    wires: [],
    proof: ['outlet-after-5-min', 'dip-tube-look'],
    minutes: 45,
  },
  flush: {
    suspect: 'Sediment',
    order: 'Flush the tank',
    parts: ['drain hose'],
    steps: [
      'Power off. Hose on, far end secured.',
      'Full-pressure burst of 5 s or less, then cold off and let it drain.',
      'Rinse 3 s on, 8 s drain, two or three times; refill with a hot tap open.',
      'A tank never flushed for many years may start to leak: show the customer both sides first.',
    ],
    cautions: [hotWater, full],
    wires: [],
    proof: ['flush-look', 'outlet-after-5-min', 'lower-element-amps', 'upper-element-ohms'],
    minutes: 60,
  },
  'none-in-unit': {
    suspect: 'Nothing wrong in the unit',
    order: 'Nothing to repair in the unit',
    parts: [],
    steps: [
      'Compare what is drawn with what the tank holds.',
      'Look for crossed or leaking fixtures, a mixing cartridge, a new appliance.',
    ],
    cautions: [],
    wires: [],
    proof: ['outlet-after-5-min', 'outlet-first', 'use-look', 'other-outlet'],
    minutes: 10,
  },
} as const satisfies Record<string, Repair>;

/** What each fault is called on screen, after the name of its suspect. */
export const faultWords: Readonly<Record<string, string>> = {
  'no-fault': 'all good',
  'supply.off': 'breaker off or tripped',
  'supply.controlled-off': 'switched off by a timer or load control',
  'supply.leg-1-missing': 'leg 1 missing',
  'supply.leg-2-missing': 'leg 2 missing',
  'supply.breaker-pole-1-open': 'breaker pole 1 open',
  'supply.breaker-pole-2-open': 'breaker pole 2 open',
  'earth-bond.open': 'open',
  'limit.nuisance-trip': 'tripped',
  'limit.pole-1-open': 'limit pole 1-2 open',
  'limit.pole-2-open': 'limit pole 3-4 open',
  'limit.both-poles-open': 'limit dead, both poles',
  'limit.never-trips': 'limit never trips',
  'upper-thermostat.never-closes': 'will not close to the upper element',
  'upper-thermostat.never-changes-over': 'will not change over',
  'upper-thermostat.welded': 'welded to the upper element',
  'upper-thermostat.dead': 'dead, both contacts open',
  'upper-thermostat.both-contacts-closed': 'both contacts closed',
  'upper-thermostat.stuck-down': 'stuck on the lower circuit',
  'lower-thermostat.never-closes': 'will not close',
  'lower-thermostat.welded': 'welded',
  'wiring.crossed-2-4': 'wires on 2 and 4 crossed',
  'dials.low': 'both low',
  'dials.unequal': 'lower dial below the upper',
  'dip-tube.gone': 'broken or gone',
  sediment: 'on the lower element',
  demand: 'more is drawn than it holds',
  open: 'open',
  burst: 'burst, open and leaking to the tank',
  earthed: 'earthed',
  leaky: 'leaky when wet',
  high: 'resistance too high',
  resistive: 'burnt or loose, a few ohms',
};

/** Checks that prove a repair, live ones first: power is on then, and they prove the whole path. */
export function proofCheckFor(repair: RepairId): readonly CheckId[] {
  return [...repairs[repair].proof].sort((one, other) => rank(one) - rank(other));
}

const rank = (check: CheckId) => (/-(amps|volts)$/.test(check) ? 0 : 1);
