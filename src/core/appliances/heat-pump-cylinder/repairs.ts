import type { Caution, Repair } from '../family';
import { repair } from '../gas-fired/repairs';

const everyPole: Caution = {
  sign: 'electricity',
  words: 'Off, proved dead on every pole; an immersion heater has its own circuit.',
};
const scalds: Caution = {
  sign: 'hot-water',
  words: 'Water above 50 °C scalds: test in a basin, then set and read the margin.',
};
const burns: Caution = {
  sign: 'warning',
  words: 'R290 burns: no spark, no flame near the outdoor unit.',
};
const relief: Caution = {
  sign: 'warning',
  words: 'Unvented: relief and expansion parts are never touched to cure a temperature.',
};
const warning = (words: string): Caution => ({ sign: 'warning', words });
const hot = (words: string): Caution => ({ sign: 'hot-water', words });

/** What is done about each fault, and what proves it. */
export const repairs: Readonly<Record<string, Repair>> = {
  'none-in-unit': repair('Nothing wrong', 'Nothing to repair: explain it with the figures', 8, {
    steps: [
      'Show what was read against what is asked.',
      'Say when hot water comes, how much of it, and why cold damp weather is slower.',
    ],
    proof: ['tap-temperature', 'display-cylinder-temperature'],
  }),
  'push-buffer-sensor-home': repair(
    'Buffer sensor, out of its pocket',
    'Push the buffer sensor home',
    5,
    {
      parts: ['clip'],
      steps: [
        'Both readings on the record, then push it gently until it stops.',
        'Clip or tie its cable: millimetres gone in noted.',
        'Watch ten minutes: its reading up, power and flow down.',
      ],
      proof: [
        'buffer-sensor-push',
        'contact-buffer-temperature',
        'display-buffer-temperature',
        'power-pattern',
      ],
      cautions: [warning('Do not pull on the cable; note the depth before.')],
      shownBy: [
        'buffer-sensor-push',
        'contact-buffer-temperature',
        'contact-radiator-flow-temperature',
      ],
      drawnPart: 'buffer',
    },
  ),
  'push-cylinder-sensor-home': repair(
    'Cylinder sensor, out of its pocket',
    'Push the cylinder sensor home',
    5,
    {
      parts: ['clip'],
      steps: [
        'Both readings on the record, then push it gently until it stops.',
        'Clip its cable: millimetres gone in noted.',
        'The cylinder may stand at the flow limit: taps tried before anybody uses them.',
      ],
      proof: ['cylinder-sensor-push', 'contact-cylinder-temperature'],
      cautions: [scalds],
      shownBy: ['cylinder-sensor-push', 'contact-cylinder-temperature'],
      drawnPart: 'cylinder',
    },
  ),
  'replace-buffer-sensor': repair('Buffer sensor', 'Replace the buffer sensor', 15, {
    parts: ['buffer sensor of the same curve'],
    fits: 'sensor',
    steps: [
      'Controls off; pocket cleaned, heat paste.',
      'Sensor of the same curve, home, clipped, insulated.',
    ],
    proof: ['contact-buffer-temperature', 'display-buffer-temperature', 'sensor-dashes-look'],
    shownBy: ['buffer-sensor-cup-difference', 'contact-buffer-temperature', 'sensor-dashes-look'],
    drawnPart: 'buffer',
  }),
  'replace-cylinder-sensor': repair('Cylinder sensor', 'Replace the cylinder sensor', 15, {
    parts: ['cylinder sensor of the same curve'],
    fits: 'sensor',
    steps: [
      'Controls off; pocket cleaned, heat paste.',
      'Sensor of the same curve, home, clipped, insulated.',
    ],
    proof: ['contact-cylinder-temperature', 'display-cylinder-temperature', 'sensor-dashes-look'],
    cautions: [relief, scalds],
    shownBy: [
      'cylinder-sensor-cup-difference',
      'contact-cylinder-temperature',
      'sensor-dashes-look',
    ],
    drawnPart: 'cylinder',
  }),
  'replace-flow-sensor': repair('Flow sensor', 'Replace the flow sensor', 15, {
    parts: ['flow sensor'],
    fits: 'sensor',
    steps: [
      'Controls off; pipe bright, clipped tight, insulated.',
      'Read it against a contact probe.',
    ],
    proof: ['contact-flow-temperature', 'display-flow-temperature', 'sensor-dashes-look'],
    shownBy: ['flow-sensor-ohms-difference', 'contact-flow-temperature', 'sensor-dashes-look'],
  }),
  'set-mixing-valve': repair(
    'Setting of the mixing valve',
    'Open the mixing valve step by step',
    15,
    {
      steps: [
        'Who is frail in the house, and which limit holds?',
        'An eighth of a turn, the tap for a minute, read; every step on the mixing page.',
        'Cap on and locked; farthest tap read; told that hot water ends sooner.',
      ],
      proof: ['tap-temperature', 'mixer-mixed-port-temperature'],
      cautions: [scalds, hot('Anyone small, old or frail: stay at the limit for their outlet.')],
      shownBy: ['mixer-step-open-rise', 'mixer-mixed-port-temperature'],
      drawnPart: 'mixing-valve',
    },
  ),
  'service-mixing-valve': repair('Mixing valve', 'Service the mixing valve', 40, {
    parts: ['cartridge', 'strainers'],
    steps: [
      'Both feeds shut, pressure let off at a tap.',
      'Strainers and check valves cleaned, cartridge renewed.',
      'Set again step by step, then locked.',
    ],
    proof: ['tap-temperature', 'mixer-step-open-rise', 'mixer-step-shut-fall'],
    cautions: [scalds, hot('Both feeds shut; the stored water stays under pressure.')],
    shownBy: ['mixer-step-open-rise', 'mixer-step-shut-fall'],
    drawnPart: 'mixing-valve',
  }),
  'stop-cross-flow': repair('Cross-flow', 'Stop the cross-flow', 30, {
    parts: ['check valves'],
    steps: [
      'Mixers one after the other: the one that is shut off and ends it.',
      'Check valves or cartridge there.',
    ],
    proof: ['cold-feed-shut-hot-tap', 'tap-temperature'],
    shownBy: ['cold-feed-shut-hot-tap'],
  }),
  'service-outlet': repair('Limit stop of an outlet', 'Set the limit stop of the outlet', 20, {
    parts: ['cartridge'],
    steps: ['Limit stop of that outlet, or its cartridge.', 'Read it, and its margin.'],
    proof: ['other-outlet'],
    cautions: [scalds],
    shownBy: ['other-outlet'],
  }),
  'set-schedule': repair('Hot-water windows', 'Set the hot-water windows', 8, {
    steps: ['When the household draws.', 'Windows that end shortly before; read back.'],
    proof: ['schedule-look', 'tap-temperature'],
    drawnPart: 'controller',
  }),
  'set-mode': repair('Mode', 'Set the mode to normal', 4, {
    steps: ['Normal, hot water on; read back.', 'Disinfection cycle on, with its day.'],
    proof: ['mode-look', 'display-cylinder-temperature'],
    drawnPart: 'controller',
  }),
  'set-hot-water-temperature': repair(
    'Setpoint or differential',
    'Set setpoint and differential',
    5,
    {
      steps: [
        'Both as found.',
        'Set, read back; under 60 °C the disinfection cycle is on.',
        'Scald margin at the tap.',
      ],
      proof: ['display-hot-water-setpoint', 'display-restart-differential', 'tap-temperature'],
      cautions: [
        relief,
        scalds,
        warning('Storage under 60 °C needs the weekly disinfection cycle on.'),
      ],
      drawnPart: 'controller',
    },
  ),
  'set-heating-curve': repair('Heating curve', 'Set the heating curve', 8, {
    steps: ['As found.', 'A step, no more; look again after a day.'],
    proof: ['display-buffer-target', 'room-temperature-minus-setpoint'],
    drawnPart: 'controller',
  }),
  'move-room-sensor': repair('Place of the room sensor', 'Move the room sensor', 25, {
    steps: ['Off sun, radiator, draught and outer wall.'],
    proof: ['room-temperature-minus-setpoint'],
  }),
  'replace-diverter': repair('Diverter', 'Replace the diverter', 45, {
    parts: ['diverter motor or valve'],
    steps: [
      'Three circuits off, locked, proved dead.',
      'Motor first; body where it is seized, glycol caught.',
      'Filled, bled, both ways tried.',
    ],
    proof: ['cylinder-flow-pipe', 'heating-flow-pipe-on-hot-water'],
    cautions: [warning('Glycol on some systems: catch it.'), everyPole],
    shownBy: ['cylinder-flow-pipe', 'heating-flow-pipe-on-hot-water'],
    drawnPart: 'diverter',
  }),
  'clean-strainer': repair('Strainer', 'Clean the strainer', 25, {
    parts: ['gasket'],
    steps: [
      'Heat pump off, both valves shut, pressure let down.',
      'Mesh and magnet cleaned, gasket.',
      'Filled, bled, flow read again.',
    ],
    proof: ['display-flow-rate', 'strainer-look', 'water-pressure'],
    shownBy: ['strainer-look', 'display-flow-rate'],
    drawnPart: 'strainer',
  }),
  'replace-pump': repair('Primary pump', 'Replace the primary pump', 50, {
    parts: ['pump'],
    fits: 'pump',
    steps: [
      'Three circuits off, locked, proved dead.',
      'Pump of the same head, the way of its arrow.',
      'Bled; flow and return read again.',
    ],
    proof: ['display-flow-rate', 'contact-return-temperature'],
    cautions: [everyPole],
    shownBy: ['display-flow-rate'],
    drawnPart: 'pump',
  }),
  'fill-and-bleed': repair('Air or pressure of the primary', 'Fill and bleed the primary', 20, {
    steps: [
      'Filled to 1.5 bar, cold.',
      'Highest vents until water comes.',
      'Why it was low: a leak, or a flat vessel.',
    ],
    proof: ['water-pressure', 'display-flow-rate', 'air-vent-look'],
    cautions: [warning('Outdoor freeze valves may have opened: look under the unit.')],
  }),
  'descale-coil': repair('Coil, scaled', 'Descale the coil', 90, {
    parts: ['descaler'],
    steps: [
      'Drinking water side by the maker’s rules.',
      'Approach and rise read again; else a cylinder is planned.',
    ],
    proof: ['coil-approach', 'cylinder-rise-per-30-min'],
    cautions: [warning('Drinking water side: acid rules of the maker and the water company.')],
  }),
  'clear-outdoor-unit': repair('Outdoor unit, iced or blocked', 'Clear the outdoor unit', 25, {
    steps: [
      'Isolator off: the fan may start.',
      'Warm water, no tool on fins, no salt, no flame.',
      'Drain and its heater, level, air way; two hours watched.',
    ],
    proof: ['outdoor-look', 'defrosts-per-2-h', 'cylinder-rise-per-30-min'],
    cautions: [
      burns,
      warning('No tools on fins, no salt, no naked flame. Isolate first: the fan may start.'),
    ],
    drawnPart: 'outdoor',
  }),
  'call-refrigeration': repair(
    'Refrigerant circuit',
    'Hand over to a refrigeration technician',
    15,
    {
      steps: [
        'Rise, power, defrosts and pressures as shown, handed over.',
        'Nothing is opened or added here.',
      ],
      proof: ['cylinder-rise-per-30-min', 'display-power'],
      cautions: [
        burns,
        warning('Sealed refrigerant circuit: licensed work only. Do not open, do not add.'),
      ],
      drawnPart: 'outdoor',
    },
  ),
  'restore-supply': repair(
    'Supply of the outdoor unit',
    'Bring the supply of the outdoor unit back',
    8,
    {
      steps: [
        'Why it is off: isolator, breaker, residual-current device.',
        'On once, after a look for damp.',
      ],
      proof: ['outdoor-supply-volts', 'outdoor-running-look'],
      cautions: [
        burns,
        { sign: 'electricity', words: 'It trips again: leave it off, insulation test.' },
      ],
      drawnPart: 'outdoor',
    },
  ),
  'reset-lockout': repair('Lockout', 'Reset the lockout once', 8, {
    steps: [
      'Reset once; five minutes for the compressor.',
      'Twenty minutes watched: flow, pressure, outdoor.',
    ],
    proof: ['lockout-reset', 'outdoor-running-look', 'display-flow-rate'],
    cautions: [{ sign: 'no-reset', words: 'One reset: what locks out again stays off.' }],
    drawnPart: 'controller',
  }),
  'replace-immersion': repair('Immersion heater', 'Replace the immersion heater', 60, {
    parts: ['immersion, same watts and length', 'gasket'],
    fits: 'immersion',
    steps: [
      'Immersion circuit off, proved dead, drained below it.',
      'Same watts and length, new gasket.',
      'Full again before power.',
    ],
    proof: ['immersion-ohms', 'immersion-amps-boost'],
    cautions: [relief, everyPole, warning('Drain below it; full again before power.'), scalds],
    wires: [
      { wire: 'w-immersion-l', end: 'immersion.a' },
      { wire: 'w-immersion-n', end: 'immersion.b' },
    ],
    shownBy: ['immersion-ohms'],
    drawnPart: 'immersion',
  }),
  'reset-immersion-limit': repair(
    'Limit of the immersion heater',
    'Find why the limit tripped, reset it once',
    10,
    {
      steps: [
        'Circuit off, proved dead.',
        'Why it tripped: contactor, thermostat, scale, air.',
        'Cool; pressed once.',
      ],
      proof: ['immersion-limit-press', 'immersion-amps-boost'],
      cautions: [everyPole],
      shownBy: ['immersion-limit-press'],
      drawnPart: 'immersion-limit',
    },
  ),
  'replace-immersion-relay': repair('Immersion contactor', 'Replace the immersion contactor', 25, {
    parts: ['contactor'],
    fits: 'contactor',
    steps: [
      'Circuit off, proved dead.',
      'Contactor of the same coil and amps.',
      'Boost on and off: amps both ways.',
    ],
    proof: ['immersion-amps-boost', 'immersion-amps-no-boost'],
    cautions: [everyPole],
    wires: [
      { wire: 'w-relay-in', end: 'relay.in' },
      { wire: 'w-limit', end: 'relay.out' },
    ],
    shownBy: ['immersion-amps-boost', 'immersion-amps-no-boost'],
    drawnPart: 'contactor',
  }),
  'set-circulation': repair('Secondary circulation', 'Put the circulation on a timer', 8, {
    parts: ['timer'],
    steps: ['Timer by the household.', 'Its return above 50 °C while it runs, or out with it.'],
    proof: ['circulation-look', 'display-overnight-fall'],
    cautions: [warning('Loop return below 50 °C grows bacteria: timed, hot, or out.')],
    drawnPart: 'circulation',
  }),
};
