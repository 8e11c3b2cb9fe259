import type { CheckWords } from '../family';
import { looked, read } from '../kit/check-words';

const live = { caution: 'live' } as const;
const scald = { caution: 'hot-water' } as const;
const hotPipe = { caution: 'hot-metal' } as const;
const shown = (label: string, doThis: string): CheckWords => read(label, doThis);
const contact = (label: string, doThis: string): CheckWords =>
  read(label, doThis, 'thermometer', hotPipe);

/** Every check as the technician meets it. */
export const checks: Readonly<Record<string, CheckWords>> = {
  'display-code': looked('Code on the controller', 'Is a code shown, and which?', {
    none: 'none',
    ...Object.fromEntries(
      [
        'D-12',
        'P-01',
        'P-02',
        'P-03',
        'R-04',
        'R-05',
        'R-06',
        'S-07',
        'S-08',
        'W-09',
        'W-10',
        'W-11',
      ].map((code) => [code, code]),
    ),
  }),
  'mode-look': looked('Mode', 'Normal, holiday, heating alone, hot water off.', {
    normal: 'normal',
    holiday: 'holiday',
    'heating-only': 'heating only',
    'hot-water-off': 'hot water off',
  }),
  'schedule-look': looked(
    'Hot-water windows',
    'When does the household draw, and does a window end shortly before it?',
    {
      'covers-the-draw': 'ends before the draw',
      'ends-long-before': 'ends long before',
      'too-short': 'too short',
      never: 'none at all',
    },
  ),
  'display-hot-water-setpoint': shown('Hot-water setpoint', 'Write it down as found.'),
  'display-restart-differential': shown(
    'Restart differential',
    'Installer level: how far it falls before it is heated again.',
  ),
  'display-cylinder-temperature': shown(
    'Cylinder, on the display',
    'What the controller believes. Skip it where dashes stand.',
  ),
  'display-buffer-temperature': shown(
    'Buffer, on the display',
    'Rooms calling for a quarter of an hour. What the controller believes; skip it where dashes stand.',
  ),
  'display-buffer-target': shown(
    'Buffer target, on the display',
    'What the heating curve asks of it now.',
  ),
  'sensor-dashes-look': looked(
    'Dashes for a reading',
    'Which readout shows dashes? Skip that one.',
    {
      none: 'none',
      buffer: 'buffer',
      cylinder: 'cylinder',
      flow: 'flow',
    },
  ),
  'display-flow-temperature': shown(
    'Flow, on the display',
    'Rooms calling for a quarter of an hour.',
  ),
  'display-return-temperature': shown('Return, on the display', 'Beside the flow.'),
  'display-flow-rate': shown('Primary flow, on the display', 'Litres a minute, rooms calling.'),
  'display-power': shown(
    'Power taken',
    'Energy monitor or meter, whole unit, rooms calling. Nought where it stands.',
  ),
  'power-pattern': looked('Power over ten minutes', 'Rooms calling: read it every minute.', {
    modulates: 'goes up and down',
    'full-then-stop': 'full, then stops',
    'full-steady': 'full all the time',
    off: 'off',
  }),
  'outdoor-running-look': looked(
    'Outdoor unit',
    'Does it run? Hands off: its fan starts unannounced.',
    {
      running: 'runs',
      stopped: 'stands',
      'runs-then-stops': 'runs, then stops',
    },
  ),
  'defrosts-per-2-h': shown(
    'Defrosts in two hours',
    'From its log; near 0 to 5 °C and damp one to three are right.',
  ),
  'display-overnight-fall': shown(
    'Fall over night',
    'From the log: eight hours without a draw or a call.',
  ),
  'contact-buffer-temperature': contact(
    'Buffer, by a contact probe',
    'Taped on the metal boss of its pocket, under the insulation, two minutes. Before any push.',
  ),
  'contact-cylinder-temperature': contact(
    'Cylinder, by a contact probe',
    'Taped on the metal boss of its pocket, under the insulation, two minutes. Before any push.',
  ),
  'contact-flow-temperature': contact('Flow pipe, by a contact probe', 'At the unit’s own sensor.'),
  'contact-return-temperature': contact('Return pipe, by a contact probe', 'Beside the flow.'),
  'contact-radiator-flow-temperature': contact(
    'Flow pipe of the nearest radiator',
    'Clip or contact: the buffer’s water less 1 to 2 K, without opening the cupboard.',
  ),
  'room-temperature-minus-setpoint': read(
    'Room over its thermostat',
    'Thermometer beside the room sensor, less what it is set to; minus where it is colder.',
    'thermometer',
  ),
  'buffer-sensor-push': looked(
    'Buffer sensor, pushed',
    'Only once display and contact are both entered: this wipes the sign out. Gently, until it stops, never by its cable; then a minute. How many millimetres?',
    { 'was-home': 'was home', 'goes-in-and-reading-rises': 'goes in, reading rises' },
    'hot-metal',
  ),
  'cylinder-sensor-push': looked(
    'Cylinder sensor, pushed',
    'Only once display and contact are both entered: this wipes the sign out. Gently, until it stops, never by its cable; then a minute. How many millimetres?',
    { 'was-home': 'was home', 'goes-in-and-reading-rises': 'goes in, reading rises' },
    'hot-metal',
  ),
  'buffer-sensor-cup-difference': read(
    'Buffer sensor in a cup',
    'Sensor and thermometer in one cup at about 45 °C, three minutes: display less thermometer.',
    'thermometer',
    scald,
  ),
  'cylinder-sensor-cup-difference': read(
    'Cylinder sensor in a cup',
    'Sensor and thermometer in one cup at about 45 °C, three minutes: display less thermometer.',
    'thermometer',
    scald,
  ),
  'flow-sensor-ohms-difference': read(
    'Flow sensor by its ohms',
    'Unplugged: ohms as a temperature by its curve, less the contact reading.',
    'multimeter',
    hotPipe,
  ),
  'tap-temperature': read(
    'Kitchen tap, hot',
    'Into a basin, after it has run for a minute.',
    'thermometer',
    scald,
  ),
  'other-outlet': looked(
    'Another outlet',
    'As hot there, after a minute?',
    { 'same-everywhere': 'the same', 'hot-elsewhere': 'hotter there' },
    'hot-water',
  ),
  'mixer-hot-port-temperature': contact(
    'Mixing valve, hot port',
    'On the pipe, tap running for a minute.',
  ),
  'mixer-mixed-port-temperature': contact(
    'Mixing valve, mixed port',
    'On the pipe, tap running for a minute.',
  ),
  'mixer-step-open-rise': read(
    'Mixing valve, a step open',
    'An eighth of a turn open, the tap for a minute, into a basin: its rise. Anyone small, old or frail: only up to the limit of their outlet.',
    'thermometer',
    scald,
  ),
  'mixer-step-shut-fall': read(
    'Mixing valve, a step shut',
    'An eighth of a turn shut, the tap for a minute: its fall. One that passes hot does not move.',
    'thermometer',
    scald,
  ),
  'cold-feed-shut-hot-tap': looked(
    'Cold feed shut, hot tap open',
    'Cold inlet of cylinder and valve shut: it must stop after seconds. Open it again, vent the taps.',
    { stops: 'stops', 'keeps-running': 'keeps running' },
    'hot-water',
  ),
  'use-look': looked(
    'What is drawn',
    'People, baths and showers against the litres of the cylinder.',
    {
      usual: 'usual',
      outsized: 'more than it holds',
    },
  ),
  'circulation-look': looked(
    'Secondary circulation',
    'Its pump: none, on a timer, or always running?',
    {
      'none-or-timed': 'none, or timed',
      'runs-always': 'always runs',
    },
  ),
  'water-pressure': read('Primary pressure', 'Its gauge; cold 1 to 2 bar.'),
  'strainer-look': looked(
    'Strainer',
    'After the flow is read. Heat pump off, both valves shut, pressure let down; glycol caught. Filled and vented after.',
    { clean: 'clean', loaded: 'loaded' },
    'hot-water',
  ),
  'air-vent-look': looked('Air at the vents', 'Highest vents opened a little: water or air?', {
    water: 'water',
    air: 'air',
  }),
  'cylinder-flow-pipe': looked(
    'Flow pipe to the coil',
    'With a hot-water call.',
    { hot: 'hot', tepid: 'tepid', cold: 'cold' },
    'hot-metal',
  ),
  'heating-flow-pipe-on-hot-water': looked(
    'Heating pipe during hot water',
    'With a hot-water call: it must cool.',
    { cools: 'cools', 'stays-hot': 'stays hot', luke: 'luke' },
    'hot-metal',
  ),
  'cylinder-rise-per-30-min': shown(
    'Cylinder, rise in half an hour',
    'With a hot-water call and nobody drawing.',
  ),
  'coil-approach': contact(
    'Flow over cylinder',
    'Coil’s flow pipe less the cylinder, both by contact, late in a hot-water call.',
  ),
  'outdoor-look': looked('Coil of the outdoor unit', 'Light frost before a defrost is right.', {
    clear: 'clear',
    'light-frost': 'light frost',
    'solid-ice': 'solid ice',
    blocked: 'leaves, fence, snow',
  }),
  'outdoor-supply-volts': read(
    'Supply of the outdoor unit',
    'Its isolator open, L to N. Live: rated meter, one hand; the fan may start.',
    'multimeter',
    live,
  ),
  'lockout-reset': looked(
    'Lockout reset',
    'At the controller, once; five minutes for the compressor.',
    {
      runs: 'runs',
      'locks-out-again': 'locks out again',
      'nothing-to-reset': 'nothing to reset',
    },
  ),
  'immersion-amps-boost': read(
    'Immersion heater, boost on',
    'Clamp round one wire. Live.',
    'clamp',
    live,
  ),
  'immersion-amps-no-boost': read(
    'Immersion heater, boost off',
    'Clamp round one wire. Live.',
    'clamp',
    live,
  ),
  'immersion-ohms': read(
    'Ohms of the immersion heater',
    'One wire off its terminal. Over range is open.',
    'multimeter',
  ),
  'immersion-limit-press': looked(
    'Limit of the immersion heater',
    'Only cool, once: does its button click in?',
    { clicked: 'clicks', 'no-click': 'no click' },
    'press-once',
  ),
};
