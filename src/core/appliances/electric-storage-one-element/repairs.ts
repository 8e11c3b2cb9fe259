import type { Caution, Repair } from '../family';

const live: Caution = {
  sign: 'electricity',
  words: 'Power off and proved dead on live and neutral before a wire is touched.',
};
const hotWater: Caution = {
  sign: 'hot-water',
  words: 'Stored water scalds. Drain to a safe place and let it cool first.',
};
const full: Caution = {
  sign: 'warning',
  words:
    'Fill until the hot tap runs without air before power goes on. A dry element burns out in seconds.',
};
const pins = [
  { wire: 'pin-a', end: 'element.a' },
  { wire: 'pin-b', end: 'element.b' },
];
const proof = ['element-amps', 'element-volts', 'path-ohms', 'lamp-look'];

export const repairs: Readonly<Record<string, Repair>> = {
  'restore-supply': {
    drawnPart: 'breaker',
    suspect: 'Supply off',
    order: 'Bring the supply back',
    parts: [],
    steps: [
      'Find out why it was off: breaker, RCD, plug, a timer, somebody.',
      'Look for damp and scorching, and see that the tank is full.',
      'Switch fully off, then on. If it goes again, leave it off and test dead.',
    ],
    cautions: [
      { sign: 'warning', words: 'One try only. What goes again has a cause still present.' },
      full,
    ],
    wires: [],
    proof: ['supply-volts', ...proof, 'recovery-after-30-min'],
    minutes: 5,
  },
  'call-electrician': {
    drawnPart: 'breaker',
    suspect: 'Outlet, breaker or neutral',
    order: 'Have the supply put right',
    parts: [],
    steps: [
      'Leave the heater off and unplugged.',
      'Outlet, breaker and neutral are work for whoever is licensed for them.',
      'Afterwards live to neutral, and each to earth.',
    ],
    cautions: [
      {
        sign: 'electricity',
        words:
          'With the neutral open everything behind it can be live. Local codes and licences decide.',
      },
    ],
    wires: [],
    proof: ['supply-volts', 'feed-volts', 'element-volts'],
    minutes: 15,
  },
  'renew-cable': {
    suspect: 'Cable or plug',
    order: 'Renew the cable',
    parts: ['heat-resistant cable, same cross-section', 'plug or gland'],
    steps: [
      'Unplug or isolate, then note the cores at the block.',
      'New cable through the gland, earth core longest.',
      'Cores back under tight screws, strain relief closed.',
    ],
    cautions: [live],
    wires: [
      { wire: 'cable-1', end: 'supply.1' },
      { wire: 'cable-2', end: 'supply.2' },
    ],
    shownBy: ['terminals-look'],
    proof: ['supply-volts', ...proof],
    minutes: 20,
  },
  'repair-wiring': {
    suspect: 'Wiring or pins',
    order: 'Repair the wiring and pins',
    parts: ['terminal ends'],
    steps: [
      'Find the joint: read each wire end to end, tug, look for scorching.',
      'Cut back to bright metal or renew the wire; clean the pins until they grip.',
      'Tighten every screw of block and thermostat.',
    ],
    cautions: [live],
    wires: [],
    proof,
    minutes: 15,
  },
  'restore-earth': {
    suspect: 'Earth bond',
    order: 'Restore the earth bond',
    parts: ['earth screw or washer'],
    steps: ['Clean to bright metal, tighten, then read earth to tank.'],
    cautions: [
      live,
      { sign: 'electricity', words: 'Until it is bonded, a leaking element makes the tank live.' },
    ],
    wires: [],
    shownBy: ['terminals-look'],
    proof: ['earth-continuity-ohms'],
    minutes: 10,
  },
  'reset-cutout': {
    drawnPart: 'thermostat',
    suspect: 'Cutout tripped, no cause found',
    order: 'Reset the cutout and watch it',
    parts: [],
    steps: [
      'Press once, cool.',
      'Thermostat shown to open on warm water: a cutout trips because something else failed, or the tank ran dry.',
      'See it heat and shut off.',
    ],
    cautions: [
      {
        sign: 'warning',
        words: 'Do not press again and again. If it trips again it stays off and is tested dead.',
      },
      full,
    ],
    wires: [],
    proof,
    minutes: 5,
    recheck: {
      days: 7,
      why: 'The cutout tripped and no cause was found. A contact that is welded shows only on hot water: look at the temperature and the cutout again.',
      unless: [{ 'thermostat-warm-test': 'opens', 'thermostat-click': 'clicks' }],
    },
  },
  'replace-thermostat': {
    drawnPart: 'thermostat',
    suspect: 'Thermostat with cutout',
    order: 'Replace the rod thermostat',
    fits: 'thermostat',
    parts: ["rod thermostat with cutout, two poles, at least the old one's amps"],
    steps: [
      'Note where each wire sits, pull the thermostat off its pins, draw the rod.',
      'New rod in the same pocket, pushed home on both pins.',
      'Wires back where they were, knob to the middle.',
    ],
    cautions: [live],
    wires: [
      { wire: 'w-supply-1', end: 'thermostat.1' },
      { wire: 'w-supply-2', end: 'thermostat.3' },
      ...pins,
    ],
    proof: ['pole-1-ohms', 'pole-2-ohms', ...proof],
    minutes: 20,
  },
  'replace-element': {
    drawnPart: 'element',
    suspect: 'Element',
    order: 'Replace the element',
    fits: 'element',
    parts: ["element on its flange, the plate's volts and watts", 'flange gasket', 'anode if worn'],
    steps: [
      'Cold off, hot tap open, power off and proved dead.',
      'Drain, pull the thermostat, undo the flange nuts crosswise.',
      'Seat wiped clean, new gasket, new element, nuts crosswise and even.',
      'Fill until the hot tap runs without air, look for weeping.',
      'Thermostat back on its pins, wires tight, cap on.',
    ],
    cautions: [live, hotWater, full],
    wires: pins,
    proof: ['element-ohms', ...proof, 'element-a-to-tank-ohms'],
    minutes: 50,
  },
  'retighten-flange': {
    suspect: 'Damp at the flange',
    order: 'Retighten the flange and dry it',
    parts: ['flange gasket'],
    steps: [
      'Nuts crosswise and even; a gasket that still weeps is renewed.',
      'Dry block, thermostat and pins with air, and look at the thermostat for rust.',
      'Fill, heat once, and wipe again: nuts back off with heat.',
    ],
    cautions: [live, hotWater],
    wires: [],
    proof: ['flange-look', 'supply-1-to-tank-ohms'],
    minutes: 25,
  },
  'replace-lamp': {
    suspect: 'Lamp',
    order: 'Replace the lamp',
    parts: ['indicator lamp, same volts'],
    steps: ['Lamp leads off the thermostat, new lamp in the same place.'],
    cautions: [live],
    wires: [],
    proof: ['lamp-look'],
    minutes: 10,
  },
  'set-dial': {
    suspect: 'Knob set low',
    order: 'Set the knob',
    parts: [],
    steps: ['To the middle, about 50 °C (122 °F).', 'Record as found and as left.'],
    cautions: [
      {
        sign: 'hot-water',
        words: 'Hotter water scalds sooner: see the scald times on the report.',
      },
    ],
    wires: [],
    proof: ['outlet-first', 'dial-look'],
    minutes: 2,
  },
  descale: {
    suspect: 'Scale on the element',
    order: 'Clear the scale',
    parts: ['flange gasket'],
    steps: [
      'Cold off, hot tap open, power off and proved dead, drain.',
      'Flange out, scale off the element and out of the tank.',
      'New gasket, nuts crosswise, fill until the hot tap runs without air.',
    ],
    cautions: [live, hotWater, full],
    wires: pins,
    proof: ['element-amps', 'outlet-first', 'recovery-after-30-min'],
    minutes: 50,
  },
  'none-in-unit': {
    suspect: 'Nothing wrong in the unit',
    order: 'Nothing to repair in the unit',
    parts: [],
    steps: [
      'Tell the customer what was measured, and how much the tank holds.',
      'Look at taps and mixers that share the line.',
    ],
    cautions: [],
    wires: [],
    proof: ['outlet-first', 'element-amps', 'path-ohms', 'lamp-look'],
    minutes: 5,
  },
};

export const faultWords: Readonly<Record<string, string>> = {
  'no-fault': 'all good',
  'supply.off': 'breaker or RCD off, or unplugged',
  'supply.controlled-off': 'switched off by a timer',
  'supply.live-missing': 'live missing',
  'supply.neutral-missing': 'neutral missing',
  'cutout.nuisance-trip': 'tripped',
  'thermostat.pole-1-open': 'live pole open',
  'thermostat.pole-2-open': 'neutral pole open',
  'thermostat.both-poles-open': 'dead, both poles',
  'thermostat.never-closes': 'will not close',
  'thermostat.welded': 'welded, does not shut off',
  'thermostat.cutout-never-trips': 'cutout never trips',
  'element.open': 'open',
  'element.burst': 'burst, open and leaking',
  'element.earthed': 'earthed',
  'element.leaky': 'leaks when wet',
  'element.high': 'too high in ohms',
  'flange.damp': 'damp at the flange',
  'lamp.open': 'lamp dead',
  'dial.low': 'set low',
  scale: 'scale on the element',
  demand: 'more drawn than the tank holds',
  open: 'open',
  resistive: 'burnt or loose, a few ohms',
};
