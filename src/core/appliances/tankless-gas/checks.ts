import type { CheckWords } from '../family';
import { fireChecks } from '../gas-fired/checks';
import { looked, read } from '../kit/check-words';

const hot = { caution: 'hot-water' } as const;
const stages = {
  dark: 'dark',
  standby: 'standby',
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
    standby: 'standby',
    normal: 'normal',
    code: 'shows a code',
  }),
  'setting-look': looked('Settings', 'Request and setpoint at the heater and at every remote.', {
    usual: 'usual',
    low: 'set low',
    standby: 'on standby',
  }),
  'other-outlet': looked(
    'Another outlet',
    'Open a hot tap elsewhere.',
    { hot: 'hot there', same: 'the same', hotter: 'hotter' },
    'hot-water',
  ),
  'connections-look': looked(
    'Cold and hot at the heater',
    'Trace the cold main to the inlet. Valve handles may be crossed with the lines.',
    { right: 'right', crossed: 'crossed', 'cannot-tell': 'cannot tell' },
  ),
  'second-tap': looked(
    'A second tap, wide open',
    'With the first one running.',
    { 'fires-now': 'now it fires', 'no-change': 'no change', 'hotter-before': 'hotter before' },
    'hot-water',
  ),
  'fire-attempt-tap': looked(
    'What it does at a tap',
    'Open a hot tap wide and watch the heater.',
    stages,
    'hot-water',
  ),
  'tap-flow': read('Flow at the tap', 'Bucket and watch: litres × 60 ÷ seconds.'),
  'tap-temperature': read(
    'Hot water at the tap',
    'After a minute, probe in the stream.',
    'thermometer',
    hot,
  ),
  'display-flow': read('Flow shown, tap open', 'On the readout, tap open.'),
  'seconds-to-hot': read(
    'Seconds to hot',
    'From opening to nine tenths of the final rise.',
    'thermometer',
    hot,
  ),
  'outlet-over-two-minutes': looked(
    'Two minutes at the tap',
    'Tap open two minutes: does it hold, swing by 4 K and more, or does the burner go out?',
    { steady: 'steady', swings: 'swings', cuts: 'burner goes out', cold: 'stays cold' },
    'hot-water',
  ),
  'hot-isolation-shut-tap': looked(
    'Hot valve shut, hot tap open',
    'Shut the hot isolation at the heater, pump of a recirculation line off: does the tap still run?',
    { stops: 'stops', 'still-runs': 'still runs' },
  ),
  'recirculation-shut-tap': looked(
    'Recirculation shut',
    'Shut the recirculation line and open the tap.',
    { changes: 'now it heats', 'no-change': 'no change', 'no-line': 'there is no line' },
    'hot-water',
  ),
  'service-port-flow': read(
    'Flow at the hot service port',
    'Hot isolation shut, hose on the hot port, end secured in a bucket: litres × 60 ÷ seconds. Cold valve full open.',
    undefined,
    hot,
  ),
  'fire-attempt-service-port': looked(
    'What it does at the hot service port',
    'Water can now come only through the heater, the right way round.',
    { ...stages, 'no-water': 'no water comes' },
    'hot-water',
  ),
  'service-port-temperature': read(
    'Hot water at the service port',
    'After a minute, probe in the stream.',
    'thermometer',
    hot,
  ),
  'display-flow-service-port': read('Flow shown, port open', 'On the readout, port open.'),
  'display-outlet-temperature': read(
    'Outlet temperature shown',
    'On the readout, port open. Compare it with the probe.',
  ),
  'display-inlet-temperature': read('Inlet temperature shown', 'On the readout, port open.'),
  'inlet-temperature': read(
    'Cold water',
    'Cold tap after a minute, or a contact probe on the cold pipe.',
    'thermometer',
  ),
  'inlet-pressure-static': read(
    'Cold pressure, nothing drawn',
    'Gauge on the cold service port.',
    'manometer',
  ),
  'inlet-pressure-running': read(
    'Cold pressure, port open',
    'Gauge on the cold service port while the hot port runs.',
    'manometer',
    hot,
  ),
  'valves-look': looked('Isolation and stop valves', 'Turned, not only looked at.', {
    'full-open': 'full open',
    'not-full-open': 'not full open',
  }),
  'strainer-look': looked(
    'Strainer',
    'Request on standby, water off, pressure off. Look, rinse, refit.',
    { clean: 'clean', some: 'some grit', blocked: 'blocked' },
    'hot-water',
  ),
  'flow-sensor-blow': looked(
    'Flow sensor, blown through',
    'Out, still plugged in, readout on flow: blow with the arrow. Keep water off the control.',
    {
      'spins-and-shows': 'spins and shows',
      'spins-not-shown': 'spins, not shown',
      'does-not-spin': 'does not spin',
    },
    'live',
  ),
  'flow-sensor-reseat': looked(
    'Flow sensor, plug reseated',
    'Power off, plug off and on, power on at standby, blow again.',
    { shows: 'now it shows', 'still-none': 'still nothing', 'was-showing': 'showed before' },
    'live',
  ),
  'burner-pressure': read(
    'Burner pressure',
    'Manometer behind the valve, full output.',
    'manometer',
    { caution: 'gas' },
  ),
  'gas-valve-volts': read(
    'Volts at the gas valve',
    'During the trial for ignition.',
    'multimeter',
    { caution: 'live' },
  ),
  'air-switch-ohms': read(
    'Air switch, fan running',
    'Return wire off the switch, fan running: ohms through it.',
    'multimeter',
    { caution: 'live' },
  ),
  'air-tube-look': looked('Tube of the air switch', 'Power off: is it on, whole and dry?', {
    sound: 'sound',
    'off-or-wet': 'off or wet',
  }),
  'leak-look': looked('Water in the case', 'Look inside and below.', {
    dry: 'dry',
    'damp-case': 'damp in the case',
    'wet-below': 'wet below',
  }),
  'burner-look': looked(
    'Burner',
    'Gas shut, power off, blower and burner door off: lint, soot, rust. New gasket.',
    { clean: 'clean', dirty: 'dirty' },
    'gas',
  ),
  'flame-rod-look': looked(
    'Flame rod',
    'Gas shut, power off, rod out: coated? New gasket.',
    { clean: 'clean', coated: 'coated' },
    'gas',
  ),
  'outlet-sensor-difference': read(
    'Outlet sensor against a probe',
    'Power off: its ohms as °C, less a probe on the same pipe.',
    'multimeter',
  ),
  'inlet-sensor-difference': read(
    'Inlet sensor against a probe',
    'Power off: its ohms as °C, less a probe on the same pipe.',
    'multimeter',
  ),
  'parameters-look': looked('Parameters', 'Fuel, altitude, vent length against the installation.', {
    fits: 'fit',
    'does-not-fit': 'do not fit',
  }),
  'earth-look': looked('Earth and polarity', 'Power off: earth path and polarity of the plug.', {
    sound: 'sound',
    poor: 'poor',
  }),
  'noise-look': looked('Noise', 'Listen while it burns.', {
    quiet: 'quiet',
    bumps: 'bumps',
    roars: 'roars',
    whistles: 'whistles',
  }),
};
