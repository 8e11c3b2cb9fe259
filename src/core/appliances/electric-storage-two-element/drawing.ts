import { drawnTerminal as at, type Drawing } from '../drawing';

const terminals: Drawing['terminals'] = {
  earth: at(112, 24, 'earth', 'house earth', 'left'),
  tank: at(442, 24, 'tank', 'tank metal', 'below'),
  'feed.1': at(112, 140, '', 'house conductor 1', 'below'),
  'feed.2': at(112, 84, '', 'house conductor 2', 'above'),
  'supply.1': at(166, 140, 'L1', 'heater lead 1', 'below'),
  'supply.2': at(166, 84, 'L2', 'heater lead 2', 'above'),
  'limit.1': at(226, 140, '1', 'limit 1', 'above'),
  'limit.2': at(322, 140, '2', 'limit 2', 'above'),
  'limit.3': at(226, 84, '3', 'limit 3', 'above'),
  'limit.4': at(322, 84, '4', 'limit 4', 'above'),
  'upper-thermostat.1': at(226, 216, '1', 'upper thermostat 1', 'below'),
  'upper-thermostat.2': at(322, 200, '2', 'upper thermostat 2', 'above'),
  'upper-thermostat.4': at(322, 246, '4', 'upper thermostat 4', 'above'),
  'upper-element.b': at(442, 116, 'b', 'upper element b', 'above'),
  'upper-element.a': at(442, 200, 'a', 'upper element a', 'below'),
  'lower-thermostat.1': at(226, 328, '1', 'lower thermostat 1', 'above'),
  'lower-thermostat.2': at(322, 328, '2', 'lower thermostat 2', 'above'),
  'lower-element.b': at(442, 262, 'b', 'lower element b', 'above'),
  'lower-element.a': at(442, 328, 'a', 'lower element a', 'below'),
};

const routes: Drawing['routes'] = {
  'splice-1': [],
  'splice-2': [],
  bond: [],
  'w-supply-1': [],
  'w-supply-2': [],
  'strap-limit': [
    [350, 140],
    [350, 158],
    [196, 158],
    [196, 216],
  ],
  'w-upper-a': [],
  'w-upper-b': [
    [388, 84],
    [388, 116],
  ],
  'w-lower-feed': [
    [352, 246],
    [352, 288],
    [192, 288],
    [192, 328],
  ],
  'w-lower-a': [],
  'w-lower-b': [
    [388, 84],
    [388, 262],
  ],
};

const contacts: Drawing['contacts'] = [
  { branch: 'limit-pole-1', from: 'limit.1', to: 'limit.2' },
  { branch: 'limit-pole-2', from: 'limit.3', to: 'limit.4' },
  {
    branch: 'upper-contact',
    from: 'upper-thermostat.1',
    to: 'upper-thermostat.2',
    sharesBlade: true,
  },
  {
    branch: 'changeover-contact',
    from: 'upper-thermostat.1',
    to: 'upper-thermostat.4',
    sharesBlade: true,
  },
  { branch: 'lower-contact', from: 'lower-thermostat.1', to: 'lower-thermostat.2' },
];

const boxes: Drawing['boxes'] = [
  { part: 'breaker', label: 'breaker', x: 34, y: 62, width: 52, height: 100, labelAt: 'under' },
  { part: 'limit', label: 'limit', x: 206, y: 50, width: 136, height: 118, labelAt: 'top' },
  { part: 'upper-thermostat', label: 'upper thermostat', x: 206, y: 168, width: 136, height: 110 },
  { part: 'lower-thermostat', label: 'lower thermostat', x: 206, y: 300, width: 136, height: 64 },
];

export const drawing: Drawing = {
  title: 'Wiring picture',
  width: 620,
  height: 380,
  terminals,
  routes,
  hops: [{ conductor: 'w-upper-a', x: 388, y: 200 }],
  joints: [{ x: 388, y: 116 }],
  contacts,
  breakers: [
    { branch: 'breaker-1', to: 'feed.1' },
    { branch: 'breaker-2', to: 'feed.2' },
  ],
  boxes,
  tank: { x: 470, y: 14, width: 138, height: 356 },
  elements: [
    { part: 'upper-element', label: 'upper' },
    { part: 'lower-element', label: 'lower' },
  ],
};
