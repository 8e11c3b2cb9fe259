import type { Caution, Repair } from '../family';
import { repair } from '../gas-fired/repairs';

const everyPole: Caution = {
  sign: 'electricity',
  words: 'Off, proved dead on every pole; an immersion has its own circuit.',
};
const scalds: Caution = {
  sign: 'hot-water',
  words: 'Water above 50 °C scalds: test in a basin, then set and read the margin.',
};

/** What is done about each fault, and what proves it. */
export const repairs: Readonly<Record<string, Repair>> = {
  'none-in-unit': repair('Nothing wrong', 'Nothing to repair: say the sum', 5, {
    steps: ['Say the sum: stored, setpoint, differential.', 'Show that it calls below it.'],
    proof: ['display-stored-temperature', 'display-setpoint', 'display-differential'],
  }),
  'set-hot-water-temperature': repair(
    'Setpoint or differential',
    'Set hot water to 60 °C, differential 10 K',
    4,
    {
      steps: [
        'Write down both as found.',
        'Setpoint 60 °C, differential 10 K, read back.',
        'Scald margin at the tap said, or a mixing valve set.',
      ],
      proof: ['display-setpoint', 'display-differential', 'call-symbol'],
      cautions: [scalds],
      shownBy: ['display-setpoint', 'display-differential'],
    },
  ),
  'set-schedule': repair('Hot-water periods', 'Set the hot-water periods', 6, {
    steps: ['Periods with the household; read back.'],
    proof: ['program-look'],
    shownBy: ['program-look'],
  }),
  'set-mode': repair('Mode', 'Set the mode to normal', 2, {
    steps: ['Normal; holiday ended; read back.'],
    proof: ['mode-look', 'call-symbol'],
    shownBy: ['mode-look'],
  }),
  'set-overrun': repair('Overrun', 'Set the overrun to nought', 2, {
    steps: ['Nought where there are zone valves; read back.'],
    proof: ['display-overrun', 'receiver-light-after-call-ends'],
  }),
  'set-system-type': repair(
    'Arrangement it was told',
    'Tell the controller the right arrangement',
    12,
    {
      steps: ['Arrangement by the pipes.', 'Bindings may be lost: bind each zone again.'],
      proof: [
        'system-type-look',
        'receiver-light-after-override',
        'receiver-light-after-call-ends',
      ],
    },
  ),
  'replace-batteries': repair('Cells', 'Renew the cells', 4, {
    parts: ['cells'],
    fits: 'cells',
    steps: ['All cells at once, of the kind that is printed inside.', 'Polarity; base power back.'],
    proof: ['sensor-battery-volts', 'controller-battery-volts', 'stored-temperature-shown'],
    shownBy: ['sensor-battery-volts', 'controller-battery-volts'],
  }),
  'restart-sensor': repair('Sensor hung', 'Restart the sensor', 3, {
    steps: ['One cell out for ten seconds.', 'In again, a minute: a temperature comes.'],
    proof: ['stored-temperature-shown'],
    drawnPart: 'sensor',
  }),
  'pair-sensor': repair('Sensor not bound', 'Bind the sensor', 8, {
    steps: ['Delete, bind, wait.', 'Signal test after it.'],
    proof: ['stored-temperature-shown', 'signal-test-sensor'],
    drawnPart: 'sensor',
  }),
  'replace-sensor': repair('Cylinder sensor', 'Replace the cylinder sensor', 20, {
    parts: ['cylinder sensor'],
    fits: 'radio',
    steps: ['Old one deleted, new one bound.', 'Strapped on bare metal a third up.'],
    proof: ['stored-temperature-shown', 'contact-cylinder-temperature'],
    shownBy: ['sensor-battery-volts', 'contact-cylinder-temperature', 'hand-held-sensor-test'],
    drawnPart: 'sensor',
  }),
  'refit-sensor': repair('Sensor off the cylinder', 'Strap the sensor back on bare metal', 10, {
    parts: ['strap'],
    steps: [
      'The water may be far above its setpoint.',
      'Bare metal a third up, strap, insulation over it.',
    ],
    proof: ['contact-cylinder-temperature', 'display-stored-temperature'],
    cautions: [scalds],
    shownBy: ['sensor-seat-look', 'contact-cylinder-temperature'],
    drawnPart: 'sensor',
  }),
  'move-radio-devices': repair('Radio devices too near', 'Move the radio devices apart', 30, {
    parts: ['cable'],
    steps: [
      'Off at the spur, proved dead, before a receiver is moved.',
      '300 mm between radio devices, and from cylinder, pipe and metal.',
      'Signal tests after it.',
    ],
    proof: [
      'receiver-spacing-mm',
      'sensor-to-metal-mm',
      'signal-test-sensor',
      'signal-test-receiver',
    ],
    cautions: [everyPole],
    shownBy: ['receiver-spacing-mm', 'sensor-to-metal-mm'],
  }),
  'improve-radio-path': repair('Radio path', 'Find a better radio path', 25, {
    parts: ['repeater'],
    steps: [
      'Controller or receiver to another place, or a repeater.',
      'Signal tests with the doors shut.',
    ],
    proof: ['signal-test-sensor', 'signal-test-receiver'],
  }),
  'restart-receivers': repair('Receiver hung', 'Restart the receivers', 5, {
    steps: ['Both off for two minutes, on, a minute.', 'Override off and on: the right light.'],
    proof: ['receiver-light-after-override', 'receiver-light-after-call-ends'],
    drawnPart: 'receiver',
  }),
  'pair-receiver': repair(
    'Receiver not bound, or to the other zone',
    'Bind each receiver to its zone',
    12,
    {
      steps: ['One powered at a time.', 'A call of each zone: its own light alone.'],
      proof: [
        'receiver-light-after-override',
        'receiver-light-after-call-ends',
        'other-receiver-light-after-override',
      ],
      drawnPart: 'receiver',
    },
  ),
  'restore-supply': repair('Supply of the receiver', 'Bring the supply of the receiver back', 12, {
    parts: ['fuse'],
    fits: 'fuse',
    steps: ['Fused spur or plug; why the fuse went.', 'A fuse that goes again is tested dead.'],
    proof: ['receiver-supply-volts'],
    shownBy: ['receiver-supply-volts'],
    drawnPart: 'receiver',
  }),
  'replace-receiver': repair('Receiver', 'Replace the receiver', 30, {
    parts: ['receiver'],
    fits: 'receiver',
    steps: [
      'Off, locked, proved dead on every pole.',
      'Wires labelled, back one for one.',
      'Bound; a call of each zone.',
    ],
    proof: [
      'receiver-light-after-override',
      'receiver-light-after-call-ends',
      'receiver-output-volts',
      'boiler-idle-look',
    ],
    cautions: [everyPole],
    wires: [
      { wire: 'w-receiver-l', end: 'receiver.l' },
      { wire: 'w-receiver-n', end: 'receiver.n' },
      { wire: 'w-to-cutout', end: 'receiver.normally-open' },
    ],
    shownBy: ['receiver-output-volts', 'receiver-button'],
    drawnPart: 'receiver',
  }),
  'replace-controller': repair('Controller', 'Replace the controller', 50, {
    parts: ['controller'],
    fits: 'radio',
    steps: ['Bindings and settings noted.', 'New one; all bindings and settings again.'],
    proof: ['display-look', 'receiver-light-after-override', 'receiver-light-after-call-ends'],
    drawnPart: 'controller',
  }),
  'replace-valve-head': repair('Head of the zone valve', 'Replace the head of the zone valve', 25, {
    parts: ['head of the same body'],
    fits: 'valve-head',
    steps: [
      'Off, locked, proved dead.',
      'Wires labelled; head of the same body.',
      'With a call: slack, and the boiler called.',
    ],
    proof: ['valve-lever-feel', 'end-switch-out-volts', 'boiler-look', 'boiler-idle-look'],
    cautions: [everyPole],
    wires: [
      { wire: 'w-to-valve', end: 'valve.motor' },
      { wire: 'w-valve-n', end: 'valve.n' },
      { wire: 'w-switch-feed', end: 'valve.switch-feed' },
      { wire: 'w-switch-out', end: 'valve.switch-out' },
    ],
    shownBy: [
      'valve-motor-volts',
      'valve-lever-feel',
      'end-switch-out-volts',
      'end-switch-ohms-lever-over',
    ],
    drawnPart: 'valve',
  }),
  'replace-valve': repair('Zone valve', 'Replace the zone valve', 80, {
    parts: ['zone valve'],
    steps: [
      'Off, locked, proved dead; circuit drained or frozen.',
      'New valve the way of its arrow; filled, bled.',
    ],
    proof: ['valve-lever-feel', 'cylinder-flow-pipe', 'cylinder-flow-pipe-idle'],
    cautions: [everyPole, scalds],
    shownBy: ['valve-lever-feel', 'cylinder-flow-pipe-idle'],
    drawnPart: 'valve',
  }),
  'release-lever': repair('Lever latched', 'Release the lever', 1, {
    steps: ['Lever out of its latch: automatic again.'],
    proof: ['valve-lever-feel', 'valve-lever-idle-feel'],
    shownBy: ['valve-lever-feel'],
    drawnPart: 'valve',
  }),
  'repair-wiring': repair('Wiring', 'Make the wiring good', 20, {
    steps: ['Off, locked, proved dead.', 'Joint made good, tugged, labelled.'],
    proof: ['valve-motor-volts', 'end-switch-out-volts', 'boiler-call-volts'],
    cautions: [everyPole],
    shownBy: ['valve-motor-volts', 'end-switch-feed-volts', 'boiler-call-volts'],
  }),
  'reset-cutout': repair('Overheat cutout', 'Find why it was too hot, reset the cutout once', 12, {
    steps: [
      'Why it was too hot first: welded relay, sensor off, valve that passes.',
      'Cool; pressed once.',
    ],
    proof: ['cutout-press', 'valve-motor-volts'],
    cautions: [everyPole, scalds],
    shownBy: ['cutout-press'],
    drawnPart: 'cutout',
  }),
  'diagnose-boiler': repair('Boiler', 'Go on at the boiler, which is called and stays off', 30, {
    steps: ['Its call stands and it stays off: a job of its own, in its family.'],
    proof: ['boiler-call-volts', 'boiler-look'],
    drawnPart: 'boiler',
  }),
  'replace-pump': repair('Pump', 'Free or replace the pump', 45, {
    parts: ['pump'],
    fits: 'pump',
    steps: ['Off, locked, proved dead.', 'Freed, or a new one of the same head.'],
    proof: ['pump-feel', 'cylinder-flow-pipe'],
    cautions: [everyPole],
    shownBy: ['pump-feel'],
    drawnPart: 'pump',
  }),
  'bleed-circuit': repair('Coil, air in it', 'Bleed the coil and the valve', 20, {
    steps: ['Bled at the coil and at the valve.', 'Pressure after it.'],
    proof: ['cylinder-flow-pipe', 'cylinder-return-pipe'],
  }),
};
