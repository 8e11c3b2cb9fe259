import { fireChecks } from '../gas-fired/checks';
import type { CheckWords } from '../family';
import { looked, read } from '../kit/check-words';
import { sequenceWords } from './sequence-words';

const live = { caution: 'live' } as const;
const gas = { caution: 'gas' } as const;
const hot = { caution: 'hot-metal' } as const;
const scald = { caution: 'hot-water' } as const;

/** Panel: volts between two terminals with every zone calling. */
const volts = (label: string, doThis: string, isLine = false): CheckWords =>
  read(label, doThis, 'multimeter', isLine ? live : {});
const ohms = (label: string, doThis: string): CheckWords => read(label, doThis, 'multimeter');

/** Every check as the technician meets it. */
export const checks: Readonly<Record<string, CheckWords>> = {
  'gas-smell-sniff': fireChecks['gas-smell-sniff']!,
  'display-look': looked('Display', 'Every thermostat up, a minute waited. Look at the display.', {
    dark: 'dark',
    lit: 'lit',
    code: 'a code',
  }),
  'code-read': looked('Code', 'Write what it shows; ask how often. One reset, then again.', {
    none: 'none shown',
  }),
  'line-switch-look': looked(
    'Service switch',
    'The service switch, often taken for a light switch; then the breaker.',
    { on: 'on', off: 'off' },
  ),
  'enabled-look': looked(
    'Enabled lamp',
    'The lamp at the power button: a lit display alone is no enabled boiler.',
    { on: 'on', off: 'off', dark: 'display dark' },
  ),
  'hot-water-switch-look': looked(
    'Hot-water switch',
    'Its own lamp, or its line in the menu. Off makes no hot water, as a holiday setting does.',
    {
      on: 'on',
      off: 'off',
      dark: 'display dark',
    },
  ),
  'settings-sheet': looked(
    'Settings sheet',
    'Read every parameter, write it down as found on the sheet: the worst of them counts.',
    {
      right: 'all right',
      'not-enabled': 'not enabled',
      'tank-off': 'hot water off',
      mode: 'mode without a cylinder',
      'start-delay': 'a start delay',
      'tank-limit': 'cylinder limit too near',
      'tank-setpoint': 'cylinder setpoint low',
      curve: 'curve off',
      'warm-weather': 'heating shut down by the weather',
    },
  ),
  'zone-lamps-look': looked(
    'Zone lamps, all calling',
    'Every room thermostat 3 K above its room: which lamps of the panel are lit?',
    { all: 'all', 'not-zone-1': 'all but zone 1', none: 'none' },
  ),
  'zone-lamps-idle-look': looked(
    'Zone lamps, none calling',
    'Every thermostat down: is a lamp lit?',
    { none: 'none', 'zone-1': 'zone 1' },
  ),
  'cylinder-lamp-look': looked(
    'Cylinder lamp',
    'Cylinder thermostat turned above the water: is its lamp lit?',
    { lit: 'lit', dark: 'dark' },
  ),
  'panel-look': looked(
    'Zone panel inside',
    'Cover off: char at a relay or joint, a wire loose or nicked. Line is in the same box.',
    { sound: 'sound', charred: 'charred', loose: 'a wire is loose' },
    'live',
  ),
  'relay-tap': looked(
    'Tap the relay',
    'One tap with an insulated handle, no hammer: does anything click on? What lives then may die again: it is found, not mended.',
    { nothing: 'nothing', clicks: 'clicks on' },
    'live',
  ),
  'panel-line-volts': volts('Line at the panel', 'L to N on the panel.', true),
  'transformer-secondary-volts': volts(
    'Transformer, 24 V side',
    'Its two 24 V screws, every zone calling.',
  ),
  'panel-24v-volts': volts('Panel R, behind the fuse', 'R to C on the panel, every zone calling.'),
  'panel-out-volts': volts(
    'Panel, 24 V out',
    'Where the 24 V leave for the boiler: behind the joint that chars.',
  ),
  'boiler-24v-volts': volts(
    'Boiler, 24 V in',
    'R to C on the boiler. Below 17 V the board stays dark or starts over.',
  ),
  'zone-1-w-volts': volts(
    'Zone 1, W',
    'W of zone 1 to C. A thermostat that steals power leaves 3 to 10 V.',
  ),
  'tt-volts': volts(
    'Boiler, call for heat',
    'Across TT on the boiler: 0 V is a call, 24 V is none.',
  ),
  'dhw-call-volts': volts(
    'Boiler, call for hot water',
    'Across the hot-water call on the boiler, cylinder calling.',
  ),
  'tt-idle-volts': volts(
    'Boiler, call for heat, none calling',
    'Across TT, every thermostat down: 0 V is an end switch that stays closed.',
  ),
  'end-heat-volts': volts(
    'End switch',
    'Across the end switch on the panel: 24 V is open; 0 V here and 24 V at TT is its wire.',
  ),
  'zone-1-pump-volts': volts('Zone 1 pump, line volts', 'Its screw to N on the panel.', true),
  'cylinder-pump-volts': volts(
    'Cylinder pump, line volts',
    'Its screw to N on the panel, cylinder calling.',
    true,
  ),
  'limit-out-volts': volts('Behind the limit', 'Out of the high limit to C of the boiler.'),
  'water-out-volts': volts('Behind the pressure switch', 'Out of it to C of the boiler.'),
  'chain-out-volts': volts('Behind the drain switch', 'The end of the chain to C of the boiler.'),
  'transformer-secondary-ohms': ohms(
    'Transformer winding, 24 V side',
    'Proved dead, one lead off: about 1 Ω.',
  ),
  'panel-fuse-ohms': ohms('Fuse of the panel', 'Proved dead, out of its holder: through the fuse.'),
  'boiler-fuse-ohms': ohms(
    'Fuse of the boiler',
    'Proved dead, out of its holder: through the fuse.',
  ),
  'coil-1-ohms': ohms('Relay coil, zone 1', 'Proved dead, W lifted: W to C, about 150 Ω.'),
  'zone-1-wires-ohms': ohms(
    'Thermostat and wires, zone 1, calling',
    'Proved dead, both wires lifted, thermostat up: through the pair.',
  ),
  'zone-1-wires-idle-ohms': ohms(
    'Thermostat and wires, zone 1, down',
    'Proved dead, both wires lifted, thermostat down: through the pair.',
  ),
  'zone-1-thermostat-ohms': ohms(
    'Room thermostat, calling',
    'Off its base, new batteries first, turned up: R to W.',
  ),
  'zone-1-thermostat-idle-ohms': ohms('Room thermostat, down', 'Off its base, down: R to W.'),
  'r-to-common-ohms': ohms(
    'R to common',
    'Fuse out, thermostats down: under 5 Ω is a short. Lift zone wires one by one.',
  ),
  'fuse-holds': looked(
    'New fuse',
    'Only where R to common shows no short: one fuse of the same rating.',
    { holds: 'holds', blows: 'blows' },
    'live',
  ),
  'zone-1-jumper': looked(
    'Zone 1 jumped',
    'R to W of zone 1, low-voltage terminals only, thermostat down.',
    { clicks: 'relay clicks', silent: 'silent' },
    'live',
  ),
  'tt-jumper': looked(
    'Call for heat jumped',
    'TT jumped on the boiler. Never where a meter shows a foreign voltage there.',
    { starts: 'it starts', nothing: 'nothing' },
    'live',
  ),
  'sequence-watch-heat': looked(
    'Sequence on a heating call',
    'Thermostats up. Fan, air, spark, flame: where does it stop?',
    sequenceWords,
  ),
  'sequence-watch-cylinder': looked(
    'Sequence on a hot-water call',
    'Cylinder set above its water, rooms down. Where does it stop?',
    sequenceWords,
  ),
  'supply-sensor-ohms': ohms(
    'Supply sensor against a thermometer',
    'Plug off, ohms; contact thermometer beside it for 60 s.',
  ),
  'return-sensor-ohms': ohms(
    'Return sensor against a thermometer',
    'Plug off, ohms; contact thermometer beside it for 60 s.',
  ),
  'outdoor-sensor-ohms': ohms(
    'Outdoor sensor against a thermometer',
    'Plug off at the boiler, ohms; thermometer in the shade.',
  ),
  'cylinder-sensor-ohms': ohms(
    'Cylinder sensor against a thermometer',
    'Plug off, ohms; thermometer in the pocket.',
  ),
  'display-less-contact-supply': read(
    'Supply, shown and true',
    'Readout, and a contact thermometer on the pipe, insulated from air.',
    'thermometer',
    hot,
  ),
  'display-less-contact-cylinder': read(
    'Cylinder, shown and true',
    'Readout, and a thermometer at the top fitting or in the pocket.',
    'thermometer',
    scald,
  ),
  'display-less-true-outdoor': read(
    'Outdoor, shown and true',
    'Readout, and a thermometer in the shade, 1 m from the wall.',
    'thermometer',
  ),
  'water-pressure': read('Water pressure', 'The gauge, cold.'),
  'gas-static-pressure': read(
    'Gas pressure, not firing',
    'Manometer on the inlet port.',
    'manometer',
    gas,
  ),
  'gas-working-pressure': read(
    'Gas pressure at high fire',
    'Manometer on the inlet port, every other gas appliance on.',
    'manometer',
    gas,
  ),
  'air-pressure': read(
    'Air across its switch',
    'Manometer on the air port, fan at purge speed.',
    'manometer',
  ),
  'igniter-look': looked(
    'Spark or glow',
    'Sight glass, in the trial: never by opening the burner.',
    { good: 'good', none: 'none', 'not-reached': 'it does not get there' },
    'live',
  ),
  'igniter-condition-look': looked(
    'Igniter out',
    'Cooled, gas closed: gap, ceramic, tip. Brittle: not by its element.',
    { good: 'good', 'worn-or-cracked': 'worn or cracked' },
    'hot-metal',
  ),
  'igniter-ohms': ohms('Hot surface, cold', 'Plug off, cold: 40 to 90 Ω.'),
  'gas-valve-volts': volts(
    'Gas valve in the trial',
    'Its two terminals, in the trial: seconds only.',
  ),
  'flame-current': read(
    'Flame current',
    'Meter in series with the rod, off to connect, while it burns.',
    'multimeter',
    live,
  ),
  'flame-out-look': looked(
    'Flame after the call',
    'Every call down: does the flame go out? One that stays: gas cock closed at once.',
    { out: 'out', stays: 'stays' },
    'flame',
  ),
  'intake-look': looked('Intake', 'Hose and silencer on the blower, screen clear.', {
    sound: 'sound',
    off: 'off',
    blocked: 'blocked',
  }),
  'flue-look': looked('Flue outside', 'Nest, ice, water in a sag, a joint open.', {
    clear: 'clear',
    blocked: 'blocked',
  }),
  'condensate-look': looked('Condensate', 'Trap full, pipe frozen or sagging. It is acid.', {
    clear: 'clear',
    full: 'full',
  }),
  'combustion-analysis': {
    ...read(
      'Combustion analysis',
      'High fire, five minutes of steady flame. O2 or CO2, CO, flue and air temperature, as printed.',
      'combustion-analyser',
      { caution: 'carbon-monoxide' },
    ),
    answers: {
      right: 'right',
      lean: 'lean',
      rich: 'rich',
      'co-high': 'CO high',
      'flue-hot': 'flue hot',
      'no-flame': 'no flame',
    },
  },
  'combustion-analysis-low': {
    ...read(
      'Analysis at low fire',
      'The control held at its lowest, three minutes steady: oxygen within 1 % of high fire, above it rather than below.',
      'combustion-analyser',
      { caution: 'carbon-monoxide' },
    ),
    answers: {
      right: 'right',
      lean: 'lean',
      rich: 'rich',
      'co-high': 'CO high',
      'flue-hot': 'flue hot',
      'no-flame': 'no flame',
    },
  },
  'burner-inspection': looked(
    'Burner out',
    'Ports, cracks, rust, looseness, gaskets: the sheet of the inspection. A little gas at the union.',
    { sound: 'sound', 'cracked-or-closed': 'cracked, or ports grown together', dirty: 'dirty' },
    'gas',
  ),
  'exchanger-look': looked(
    'Exchanger, gas side',
    'Burner out. The lining may hold fibre: not brushed dry.',
    { clean: 'clean', fouled: 'fouled' },
    'hot-metal',
  ),
  'supply-rise-series': read(
    'Rise of the supply',
    'Readout at flame proved, and after 1, 2 and 3 min.',
  ),
  'supply-return-difference': read(
    'Supply and return',
    'Contact thermometers on both pipes, high fire.',
    'thermometer',
    hot,
  ),
  'boiler-pump-feel': looked(
    'Boiler pump',
    'Screwdriver or stethoscope on it, all calling.',
    { runs: 'runs', hums: 'hums', silent: 'silent' },
    'hot-metal',
  ),
  'gurgle-listen': looked('Gurgling', 'Listen at boiler and pipes, all calling.', {
    none: 'none',
    gurgle: 'gurgles',
  }),
  'zone-1-pump-feel': looked(
    'Zone 1 pump',
    'Pump warm and humming, pipe warming.',
    { runs: 'runs', silent: 'silent' },
    'hot-metal',
  ),
  'cylinder-pump-feel': looked(
    'Cylinder pump',
    'Cylinder calling: pump humming, pipe warming.',
    { runs: 'runs', silent: 'silent' },
    'hot-metal',
  ),
  'zone-1-ghost-heat': looked(
    'Zone 1 while only the cylinder calls',
    'Four minutes: does the pipe of zone 1 get warm?',
    { cool: 'stays cool', warm: 'gets warm' },
    'hot-metal',
  ),
  'cylinder-temperature': read(
    'Cylinder, true',
    'Contact thermometer at the top fitting.',
    'thermometer',
    scald,
  ),
  'cylinder-rise-10-min': read(
    'Cylinder in ten minutes',
    'Drawn below 45 °C first, calling. Read at the top, again after ten minutes.',
    'thermometer',
    scald,
  ),
  'outlet-temperature': read('Nearest tap', 'Run one minute, then read.', 'thermometer', scald),
  'other-outlet': looked('Another outlet', 'A second tap of the house.', {
    same: 'the same',
    better: 'better',
  }),
  'use-look': looked('Use', 'Taps, drips, showers: litres against the cylinder.', {
    usual: 'usual',
    much: 'much',
  }),
  'leak-check': looked(
    'Leak check',
    'Detector or soap on every joint touched, valve closed, then firing.',
    { tight: 'tight', leak: 'a leak' },
    'gas',
  ),
};
