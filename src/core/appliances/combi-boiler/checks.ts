import type { CheckWords } from '../family';
import { fireChecks } from '../gas-fired/checks';
import { looked, read } from '../kit/check-words';

const hot = { caution: 'hot-water' } as const;
const live = { caution: 'live' } as const;
const stages = {
  dark: 'dark',
  nothing: 'nothing happens',
  'fan-fails': 'fan, then it stops',
  'sparks-no-flame': 'sparks, no flame',
  'lights-and-drops': 'lights and drops',
  burns: 'burns',
  locked: 'locked out',
};

/** Every check as the technician meets it. */
export const checks: Readonly<Record<string, CheckWords>> = {
  ...fireChecks,
  'display-look': looked('Display', 'As it is found.', {
    dark: 'dark',
    normal: 'normal',
    code: 'shows a code',
  }),
  'lockout-reset': looked(
    'Reset, once',
    'Reset once, a tap open; never after a smell of gas. A reset that holds is evidence, no repair.',
    { runs: 'runs', 'locks-out-again': 'locks out again', 'nothing-to-reset': 'nothing to reset' },
    'press-once',
  ),
  'valves-look': looked(
    'Isolation and stop valves',
    'Under the boiler, stop valve, lockshields: turned, not only looked at.',
    { 'full-open': 'full open', 'not-full-open': 'not full open' },
  ),
  'setting-look': looked('Settings', 'Write down all as found before one is turned.', {
    usual: 'usual',
    'tap-low-or-off': 'tap low or off',
    'flow-low': 'heating flow low',
    'tap-high': 'tap at its highest',
  }),
  'keep-warm-look': looked('Keep-warm', 'Is it fitted, and how does it stand?', {
    'none-fitted': 'not fitted',
    off: 'off',
    learned: 'by habit',
    on: 'on',
  }),
  'heat-call-look': looked(
    'Call for heating',
    'Room thermostat at its highest: does the display show the call?',
    { call: 'call shown', 'no-call': 'no call' },
  ),
  'display-request': looked('Request shown, tap open', 'What does the display say it works for?', {
    tap: 'tap',
    heating: 'heating',
    none: 'none',
    dark: 'dark',
  }),
  'fire-attempt-tap': looked(
    'What it does at a tap',
    'Open a hot tap and watch the boiler.',
    stages,
    'hot-water',
  ),
  'fire-attempt-heating': looked(
    'What it does on heating',
    'Room thermostat at its highest, valves open, taps shut.',
    stages,
  ),
  'burner-two-minutes': looked(
    'Burner, two minutes at a tap',
    'Tap open, flow temperature on the display.',
    {
      modulates: 'modulates',
      'flat-out': 'flat out',
      cuts: 'cuts out',
      'no-burner': 'does not burn',
    },
    'hot-water',
  ),
  'flow-temperature-rise': read(
    'Rise of the flow temperature',
    'Tap open from cold: largest rise over 10 s in the first minute, on the display.',
    undefined,
    hot,
  ),
  'display-flow-temperature-peak': read(
    'Highest flow temperature',
    'In the same two minutes, on the display.',
    undefined,
    hot,
  ),
  'tap-two-minutes': looked(
    'Two minutes at the tap',
    'Does it hold, swing (hot, cold, hot), stay cold, or settle low?',
    { steady: 'steady', swings: 'swings', cold: 'stays cold', 'settles-low': 'settles low' },
    'hot-water',
  ),
  'tap-flow': read('Flow at the tap', 'Bucket and watch: litres × 60 ÷ seconds.'),
  'display-tap-flow': read('Tap flow shown', 'On the readout, tap open.'),
  'tap-temperature': read(
    'Hot water at the tap',
    'After 30 to 60 s, probe in the stream. Infrared only on a dull basin, never on water or chrome.',
    'thermometer',
    hot,
  ),
  'tap-inlet-temperature': read('Cold water', 'Cold tap after a minute.', 'thermometer'),
  'tap-test-low-difference': read(
    'Three points: lowest setpoint',
    'Setpoint 36 °C, about 5 L/min, 30 to 60 s: reading less setpoint.',
    'thermometer',
    hot,
  ),
  'tap-test-middle-difference': read(
    'Three points: middle setpoint',
    'Setpoint 48 °C, about 5 L/min, 30 to 60 s: reading less setpoint.',
    'thermometer',
    hot,
  ),
  'tap-test-high-difference': read(
    'Three points: high setpoint',
    'Setpoint 60 °C, about 5 L/min, 30 to 60 s: reading less setpoint. It scalds: setpoint back after.',
    'thermometer',
    hot,
  ),
  'throttle-tap': looked(
    'Tap throttled',
    'Turn the tap down: what becomes of the water?',
    { hotter: 'hotter', 'no-change': 'no change', 'goes-out': 'goes out' },
    'hot-water',
  ),
  'other-outlet': looked(
    'Another outlet',
    'Open a hot tap elsewhere.',
    { hot: 'hot there', same: 'the same', hotter: 'hotter' },
    'hot-water',
  ),
  'flow-return-difference-tap': read(
    'Flow less return, tap open',
    'Contact probes on bare pipe at the heat cell, after a minute.',
    'thermometer',
    { caution: 'hot-metal' },
  ),
  'flow-return-difference-heating': read(
    'Flow less return, heating',
    'Under the boiler, all valves open, after 10 min.',
    'thermometer',
    { caution: 'hot-metal' },
  ),
  'display-flow-temperature-heating': read(
    'Flow temperature shown, heating',
    'On the display, once it is warm.',
  ),
  'flow-pipe-temperature-heating': read(
    'Flow pipe, heating',
    'Contact probe on the flow pipe.',
    'thermometer',
    { caution: 'hot-metal' },
  ),
  'radiator-mean-temperature': read(
    'Nearest radiators',
    'Mean of top and bottom centre, infrared on paint.',
    'thermometer',
  ),
  'radiator-look': looked('Radiators', 'Feel each: top, bottom, middle.', {
    even: 'even',
    'cold-middle': 'cold in the middle',
    'all-cold': 'all cold',
    'all-lukewarm': 'all lukewarm',
    uneven: 'some hot, some not',
  }),
  'heating-pipe-temperature-with-tap': read(
    'Heating pipe, tap open',
    'Start with the pipe cold, two minutes of draw.',
    'thermometer',
  ),
  'pressure-gauge': read('Pressure, cold', 'Gauge of the filled system.'),
  'display-pressure': read('Pressure shown', 'On the display.'),
  'pressure-hot': read(
    'Pressure, hot',
    'After 10 min at full flow temperature. Near 3 bar: stop.',
    undefined,
    hot,
  ),
  'pressure-change-in-a-day': read(
    'Pressure a day later',
    'Same temperature, filling valve shut: how much it has changed. Whoever lives there reads it.',
  ),
  'vessel-valve-look': looked('Vessel valve', 'Press it for a moment: what comes?', {
    air: 'air',
    water: 'water',
    nothing: 'nothing',
  }),
  'vessel-charge': read(
    'Vessel charge',
    'Cooled, isolated, water side drained to nought: gauge on its valve.',
    'manometer',
    hot,
  ),
  'relief-pipe-look': looked('Relief pipe', 'Look at its end outside.', { dry: 'dry', wet: 'wet' }),
  'filling-valve-look': looked('Filling valve', 'Shut, tight, link off?', {
    'shut-and-tight': 'shut and tight',
    'passing-or-left-open': 'passes or left open',
  }),
  'leak-look': looked('Leak', 'Underside of the boiler, radiators, visible pipe.', {
    dry: 'dry',
    damp: 'damp',
  }),
  'vent-bleed': looked(
    'Vent',
    'Power off, cooled: air vent or pump screw.',
    { water: 'water', air: 'air' },
    'hot-water',
  ),
  'pump-feel': looked(
    'Pump',
    'Powered, case off: hand on the pump, listen.',
    { runs: 'runs', silent: 'silent', hums: 'hums', gurgles: 'gurgles' },
    'live',
  ),
  'water-look': looked('System water', 'A little from a bleed or drain, a magnet in it.', {
    clear: 'clear',
    dark: 'dark, drawn to a magnet',
  }),
  'filter-look': looked(
    'System filter',
    'Isolated, pressure off, cooled: open it.',
    { clean: 'clean', loaded: 'loaded', blocked: 'blocked', 'none-fitted': 'none fitted' },
    'hot-water',
  ),
  'noise-look': looked('Noise', 'Listen, a tap open.', {
    quiet: 'quiet',
    bumps: 'bumps',
    gurgles: 'gurgles',
    roars: 'roars',
  }),
  'hose-bore': read(
    'Bore of the primary hose',
    'Drained and cooled, hose off: what is left of 22 mm. Clips are scrap.',
    undefined,
    hot,
  ),
  'pump-power': read(
    'Power of the pump',
    'Readout, or a clamp on one insulated core that was brought out dead.',
    undefined,
    live,
  ),
  'hose-look': looked('Primary hose', 'Power off, cool: press it between fingers.', {
    soft: 'soft',
    'hard-or-swollen': 'hard or swollen',
    renewed: 'renewed',
  }),
  'plate-look': looked(
    'Plate exchanger, out',
    'Drained and cooled, electrics covered: look into its ports.',
    { clean: 'clean', scaled: 'scaled', debris: 'debris' },
    'hot-water',
  ),
  'diverter-look': looked(
    'Diverter',
    'Powered, case off: does its spindle move from end to end?',
    { moves: 'moves', 'does-not-move': 'does not move', 'moves-not-full': 'not all the way' },
    'live',
  ),
  'tap-filter-look': looked('Cold inlet filter', 'Cold isolated, pressure off at a tap.', {
    clean: 'clean',
    some: 'some grit',
    blocked: 'blocked',
  }),
  'tap-turbine-look': looked(
    'Tap flow sensor, blown through',
    'Tap mode off or gas shut. Keep water off the control.',
    {
      'spins-and-shows': 'spins and shows',
      'spins-not-shown': 'spins, not shown',
      'does-not-spin': 'does not spin',
    },
    'live',
  ),
  'electrode-look': looked(
    'Electrodes',
    'Gas shut, power off, combustion door off. New gasket, analysis after.',
    { clean: 'clean', coated: 'coated' },
    'gas',
  ),
  'tap-sensor-difference': read(
    'Tap sensor against a probe',
    'Power off: its ohms as °C, less a probe on the same pipe.',
    'multimeter',
  ),
  'flow-sensor-difference': read(
    'Flow sensor against a probe',
    'Power off: its ohms as °C, less a probe on the same pipe.',
    'multimeter',
  ),
};
