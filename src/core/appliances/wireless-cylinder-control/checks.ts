import type { CheckWords } from '../family';
import { looked, read } from '../kit/check-words';

const live = { caution: 'live' } as const;
const scald = { caution: 'hot-water' } as const;
const volts = (label: string, doThis: string): CheckWords =>
  read(label, `${doThis} Live: rated meter, one hand.`, 'multimeter', live);

/** Every check as the technician meets it. */
export const checks: Readonly<Record<string, CheckWords>> = {
  'display-look': looked('Controller display', 'Wake it: is it lit, and does it show a code?', {
    normal: 'lit, no code',
    dark: 'dark',
  }),
  'stored-temperature-shown': looked(
    'Is the stored temperature shown?',
    'Hot-water screen: a temperature, a waiting mark in its place, or one that is an hour old and more.',
    { shown: 'shown', 'waiting-mark': 'waiting mark', stale: 'old' },
  ),
  'display-stored-temperature': read(
    'Stored, on the display',
    'Only while it is shown and fresh; skip it otherwise.',
  ),
  'display-setpoint': read('Setpoint', 'Installer level; write it down as found.'),
  'display-differential': read(
    'Differential',
    'Installer level. A call begins at setpoint less this, and not before.',
  ),
  'display-overrun': read(
    'Overrun',
    'How long the valve is held open once the call ends; nought where there are zone valves.',
  ),
  'program-look': looked('Hot-water periods', 'Today’s periods: on at this hour?', {
    'on-now': 'on now',
    'off-now': 'off now',
    never: 'none at all',
  }),
  'mode-look': looked('Mode', 'Normal, hot water off, holiday.', {
    normal: 'normal',
    'hot-water-off': 'hot water off',
    holiday: 'holiday',
  }),
  'call-symbol': looked(
    'Call symbol with the override',
    'Override on, confirmed, a minute waited. Above setpoint less differential no call is right.',
    { calling: 'calling', 'not-calling': 'not calling' },
  ),
  'raised-setpoint-test': looked(
    'Setpoint raised for a minute',
    'Hot cylinder: setpoint above the stored water, at most 70 °C, override on. Symbol and light? Put the setpoint back at once.',
    {
      'symbol-and-light': 'symbol and light',
      'symbol-only': 'symbol only',
      neither: 'neither',
    },
    'hot-water',
  ),
  'system-type-look': looked(
    'Arrangement it was told',
    'Two valves, one mid-position valve or none: what was the controller told, and what is on the pipes?',
    { 'matches-pipework': 'as on the pipes', 'other-type': 'another' },
  ),
  'receiver-light-after-override': looked(
    'Light of the hot-water receiver',
    'Within a minute of confirming the override.',
    { lights: 'lights', dark: 'dark', flashes: 'flashes' },
  ),
  'other-receiver-light-after-override': looked(
    'Light of the heating receiver',
    'Does the other receiver light for hot water?',
    { dark: 'dark', lights: 'lights' },
  ),
  'receiver-relay-click': looked('Relay of the receiver', 'Ear on it as its light comes.', {
    heard: 'clicks',
    silent: 'silent',
  }),
  'receiver-light-after-call-ends': looked(
    'Light once the call ends',
    'Override off: out within a minute?',
    { 'goes-off': 'goes out', 'stays-lit': 'stays lit' },
  ),
  'receiver-button': looked(
    'Button on the receiver',
    'It runs relay, valve, end switch and boiler without radio. Off again after.',
    {
      'relay-runs': 'all of it runs',
      'no-light': 'no light',
      'light-but-nothing-runs': 'light, nothing runs',
    },
  ),
  'receiver-power-off-2-min': looked(
    'Receivers off for two minutes',
    'Both off at the spur, on, a minute, override off and on again. Write down what the lights did before: this wipes it out.',
    { 'then-works': 'works then', 'no-change': 'no change' },
  ),
  'sensor-battery-out-10-s': looked(
    'Sensor’s cell out for ten seconds',
    'One cell out, in again, a minute waited. Write down what was shown before: this wipes it out.',
    {
      'temperature-appears': 'a temperature appears',
      'still-none': 'still none',
      'was-shown': 'was shown before',
    },
  ),
  'sensor-battery-volts': read(
    'Cells of the sensor',
    'Both together, in the sensor while it sends.',
    'multimeter',
  ),
  'controller-battery-volts': read(
    'Cells of the controller',
    'Both together; skip it where it stands on a mains base.',
    'multimeter',
  ),
  'signal-test-sensor': looked(
    'Signal test, sensor',
    'The control’s own test, with doors as they are.',
    {
      good: 'good',
      poor: 'poor',
      none: 'none',
    },
  ),
  'signal-test-receiver': looked('Signal test, receiver', 'The control’s own test.', {
    good: 'good',
    poor: 'poor',
    none: 'none',
  }),
  'receiver-spacing-mm': read(
    'Receiver to the nearest radio or metal',
    'To the other receiver, the sensor’s box, a pipe, the cylinder, a meter box: the least of them. 300 mm at least.',
  ),
  'sensor-to-metal-mm': read(
    'Sensor’s box to the nearest metal or radio',
    'The box that sends, not its probe. 300 mm at least.',
  ),
  'hand-held-sensor-test': looked(
    'Sensor’s box held in free air',
    'Near the controller for a minute: it tells the place from the device.',
    { 'link-comes': 'link comes', 'no-link': 'no link' },
  ),
  'rebind-sensor': looked('Sensor bound anew', 'Deleted and bound again.', {
    binds: 'binds',
    'does-not': 'does not',
  }),
  'rebind-receiver': looked(
    'Receiver bound anew',
    'One receiver powered at a time; then a call of each zone: the right light alone.',
    { binds: 'binds', 'does-not': 'does not' },
  ),
  'contact-cylinder-temperature': read(
    'Cylinder, by a contact probe',
    'Beside the sensor, under the insulation, a minute.',
    'thermometer',
    scald,
  ),
  'sensor-seat-look': looked(
    'How the sensor sits',
    'Strapped on bare metal a third up, insulation over it?',
    { 'tight-on-metal': 'tight on metal', 'loose-or-out': 'loose, or off' },
  ),
  'receiver-supply-volts': volts('Supply of the receiver', 'L to N at the receiver.'),
  'receiver-output-volts': volts(
    'Output of the receiver',
    'Its switched terminal to N, with a call.',
  ),
  'valve-lever-feel': looked(
    'Lever of the valve, with a call',
    'Slack is driven open; springs back is not driven; stiff is seized.',
    {
      'slack-driven-open': 'slack',
      'springs-back': 'springs back',
      latched: 'latched',
      stiff: 'stiff',
    },
  ),
  'valve-lever-idle-feel': looked(
    'Lever of the valve, nothing calls',
    'Springs back is right; slack is still driven; latched was left after filling.',
    {
      'springs-back': 'springs back',
      'slack-driven-open': 'slack',
      latched: 'latched',
      stiff: 'stiff',
    },
  ),
  'valve-motor-volts': volts('Motor of the valve', 'Motor to N in the wiring centre, with a call.'),
  'end-switch-feed-volts': volts('Feed of the end switch', 'Its permanent live to N.'),
  'end-switch-out-volts': volts(
    'End switch, out',
    'Out to N, with a call, twenty seconds for the valve.',
  ),
  'end-switch-idle-volts': volts('End switch, nothing calls', 'Out to N with nothing calling.'),
  'end-switch-ohms-lever-over': read(
    'End switch, lever held over',
    'Its out wire off, lever held over: next to nothing where it closes.',
    'multimeter',
  ),
  'boiler-call-volts': volts(
    'Call at the boiler',
    'Switched live to N at the boiler, with a call.',
  ),
  'boiler-look': looked('Boiler, with a call', 'Does it start?', {
    fires: 'fires',
    'stays-off': 'stays off',
    'runs-without-call': 'ran before the call',
  }),
  'boiler-idle-look': looked('Boiler, nothing calls', 'Five minutes after the last call.', {
    off: 'off',
    runs: 'runs',
  }),
  'pump-feel': looked('Pump, with a call', 'A hand on it.', { running: 'runs', still: 'still' }),
  'cutout-press': looked(
    'Overheat cutout',
    'Only on a cool cylinder, once: does its button click in?',
    { clicked: 'clicked', 'no-click': 'no click' },
    'hot-water',
  ),
  'cylinder-flow-pipe': looked(
    'Flow pipe behind the valve',
    'Five minutes into a call.',
    { hot: 'hot', tepid: 'tepid', cold: 'cold' },
    'hot-metal',
  ),
  'cylinder-return-pipe': looked(
    'Return pipe of the coil',
    'Five minutes into a call.',
    { hot: 'hot', tepid: 'tepid', cold: 'cold' },
    'hot-metal',
  ),
  'cylinder-flow-pipe-idle': looked(
    'Flow pipe, heating alone',
    'Heating runs, hot water does not call: behind the valve it must stay cold.',
    { cold: 'cold', tepid: 'tepid', hot: 'hot' },
    'hot-metal',
  ),
  'tap-temperature': read(
    'Nearest tap',
    'After it has run hot for a minute.',
    'thermometer',
    scald,
  ),
  'use-look': looked(
    'What is drawn',
    'People, baths, showers against the litres of the cylinder.',
    {
      usual: 'usual',
      outsized: 'more than it holds',
    },
  ),
};
