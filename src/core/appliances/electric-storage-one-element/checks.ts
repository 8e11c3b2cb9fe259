import type { CheckWords } from '../family';

const cap = { covers: ['cap'] } as const;
const apart = { covers: ['cap'], standsAlone: true } as const;
const live = { caution: 'live' } as const;

export const checks: Readonly<Record<string, CheckWords>> = {
  'feed-volts': {
    covers: [],
    ...live,
    label: 'Outlet or isolator, volts',
    doThis: 'Touch live and neutral of the outlet or the isolator, on the AC range that covers it.',
  },
  'supply-volts': {
    ...cap,
    ...live,
    label: 'Block, live to neutral',
    doThis: 'Touch L and N of the terminal block, on AC volts.',
  },
  'supply-1-to-earth-volts': {
    ...cap,
    ...live,
    label: 'Block, L to earth',
    doThis: 'Touch L of the block and the earth screw, on AC volts.',
  },
  'supply-2-to-earth-volts': {
    ...cap,
    ...live,
    label: 'Block, N to earth',
    doThis: 'Touch N of the block and the earth screw, on AC volts.',
  },
  'element-volts': {
    ...cap,
    ...live,
    label: 'Element, volts under load',
    doThis: 'Knob up. Touch the two pins of the element, thermostat on, on AC volts.',
  },
  'element-amps': {
    ...cap,
    ...live,
    label: 'Clamp on the live wire',
    doThis: 'Knob up. Close the clamp round the one live wire between block and thermostat.',
    instrument: 'clamp',
    explainedBy: ['neutral-amps', 'element-a-to-tank-ohms'],
  },
  'neutral-amps': {
    ...cap,
    ...live,
    label: 'Clamp on the neutral wire',
    doThis: 'Knob up. Close the clamp round the one neutral wire between block and thermostat.',
    instrument: 'clamp',
    explainedBy: ['element-a-to-tank-ohms'],
  },
  'earth-continuity-ohms': {
    ...cap,
    label: 'House earth to tank',
    doThis: 'Touch the earth wire of the cable and bare tank metal, on ohms.',
  },
  'path-ohms': {
    ...cap,
    label: 'Whole path',
    doThis: 'Knob up. Touch L and N of the block, on ohms.',
  },
  'supply-1-to-tank-ohms': {
    ...cap,
    label: 'Block L to tank',
    doThis: 'Knob up. Touch L of the block and bare tank metal, on ohms.',
  },
  'element-ohms': {
    ...apart,
    label: 'Element, pin to pin',
    doThis: 'Thermostat pulled off. Touch the two pins of the element, on ohms.',
    explainedBy: ['element-a-to-tank-ohms'],
  },
  'element-beep': {
    ...apart,
    label: 'Element, beep',
    doThis: 'Thermostat pulled off. Touch the two pins of the element, on the beeper.',
    answers: { beeps: 'it beeps', silent: 'silent' },
  },
  'element-a-to-tank-ohms': {
    ...apart,
    label: 'Element, a to tank',
    doThis: 'Thermostat pulled off. Touch pin a and bare tank metal, on ohms.',
  },
  'element-b-to-tank-ohms': {
    ...apart,
    label: 'Element, b to tank',
    doThis: 'Thermostat pulled off. Touch pin b and bare tank metal, on ohms.',
  },
  'element-insulation-ohms': {
    ...apart,
    label: 'Element, insulation at 500 V',
    doThis: 'Thermostat pulled off. Insulation tester at 500 V DC from pin a to bare tank metal.',
    instrument: 'insulation-tester',
    caution: 'test-voltage',
  },
  'pole-1-ohms': {
    ...apart,
    label: 'Thermostat, live pole, knob up',
    doThis: 'Knob up, thermostat off its pins. Touch 1 and 2.',
  },
  'pole-2-ohms': {
    ...apart,
    label: 'Thermostat, neutral pole, knob up',
    doThis: 'Knob up, thermostat off its pins. Touch 3 and 4.',
  },
  'pole-1-low-ohms': {
    ...apart,
    label: 'Thermostat, live pole, knob down',
    doThis: 'Knob down, thermostat off its pins. Touch 1 and 2.',
  },
  'pole-1-as-found-ohms': {
    ...apart,
    label: 'Thermostat, live pole, as found',
    doThis: 'Leave the knob. Touch 1 and 2, and write down water and knob beside it.',
  },
  'thermostat-click': {
    ...apart,
    label: 'Thermostat, knob through the water temperature',
    doThis:
      'Meter on 1 and 2. Turn the knob down and up again: it must open and close with a click.',
    answers: {
      clicks: 'opens and closes',
      'stays-closed': 'never opens',
      'stays-open': 'never closes',
    },
  },
  'thermostat-warm-test': {
    ...apart,
    label: 'Thermostat, rod warmed',
    doThis: 'Draw the rod, warm it in hot water above the knob, meter on 1 and 2.',
    answers: {
      opens: 'opens warm, closes cool',
      'stays-closed': 'stays closed',
      'never-closed': 'never closed',
    },
  },
  'cutout-reset-press': {
    ...cap,
    label: 'Cutout reset button',
    doThis: 'Press the button in the thermostat once and listen.',
    answers: { clicked: 'it clicked', 'no-click': 'no click' },
    caution: 'press-once',
  },
  'lamp-look': {
    covers: [],
    label: 'Lamp, knob up',
    doThis: 'Turn the knob fully up and look at the lamp.',
    answers: { lit: 'lit', dark: 'dark' },
  },
  'terminals-look': {
    ...cap,
    label: 'Block, pins and cable, a look and a tug',
    doThis: 'Look at block, pins and cable and tug each wire.',
    answers: { sound: 'sound', loose: 'loose', scorched: 'scorched' },
  },
  'flange-look': {
    ...cap,
    label: 'Flange, a look and a dry tissue',
    doThis: 'Wipe the flange and its nuts with a dry tissue and look for damp.',
    answers: { dry: 'dry', damp: 'damp' },
  },
  'supply-presence': {
    ...cap,
    ...live,
    label: 'Block L and N, non-contact tester',
    doThis: 'Hold the non-contact tester near L, then N of the block.',
    instrument: 'non-contact-tester',
    answers: {
      both: 'lights at both',
      'leg-1-only': 'only at L',
      'leg-2-only': 'only at N',
      neither: 'dark at both',
    },
  },
  'breaker-recycle': {
    covers: [],
    label: 'Breaker off and on again',
    doThis: 'Switch breaker and RCD fully off, then on. A tripped one can look on.',
    answers: { holds: 'it holds', trips: 'it trips' },
    caution: 'reclose',
  },
  'recovery-after-30-min': {
    covers: [],
    label: 'Hot water after 30 minutes of power',
    doThis: 'Leave it powered for 30 minutes, then feel the tap.',
    answers: { hot: 'hot, 45 °C and over', warm: 'warm, 30 to 45 °C', cold: 'cold' },
    caution: 'hot-water',
  },
  'outlet-first': {
    covers: [],
    label: 'Hot tap, first draw',
    doThis: 'Open the hot tap and read the first hot water.',
    instrument: 'thermometer',
    caution: 'hot-water',
  },
  'dial-look': {
    covers: [],
    label: 'Knob as found',
    doThis: 'Look where the knob stands.',
    answers: { usual: 'about the middle', low: 'low' },
  },
  'other-outlet': {
    covers: [],
    label: 'Another hot tap',
    doThis: 'Open a second hot tap that this heater feeds.',
    answers: { 'same-everywhere': 'the same there', 'hot-elsewhere': 'hot there' },
    caution: 'hot-water',
  },
  'use-look': {
    covers: [],
    label: 'What is drawn',
    doThis: 'Ask and look: how much is drawn at once, a leaking tap, a new appliance.',
    answers: { usual: 'usual', outsized: 'more than the tank holds' },
  },
  'scale-look': {
    ...apart,
    label: 'Element, drawn and looked at',
    doThis: 'Drain, draw the flange with its element and look for scale.',
    answers: { clean: 'clean', scaled: 'scaled' },
    caution: 'hot-water',
  },
};
