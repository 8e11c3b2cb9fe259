import { drawnTerminal as at, type Drawing } from '../drawing';

export const drawing: Drawing = {
  title: 'Wiring picture',
  width: 620,
  height: 330,
  terminals: {
    earth: at(112, 30, 'earth', 'house earth', 'left'),
    tank: at(442, 30, 'tank', 'tank metal', 'below'),
    'feed.1': at(112, 130, '', 'live at the outlet', 'above'),
    'feed.2': at(112, 230, '', 'neutral at the outlet', 'below'),
    'supply.1': at(186, 130, 'L', 'block, live', 'above'),
    'supply.2': at(186, 230, 'N', 'block, neutral', 'below'),
    'thermostat.1': at(254, 130, '1', 'thermostat 1, live in', 'above'),
    'thermostat.2': at(366, 130, '2', 'thermostat 2, to element a', 'above'),
    'thermostat.3': at(254, 230, '3', 'thermostat 3, neutral in', 'below'),
    'thermostat.4': at(366, 230, '4', 'thermostat 4, to element b', 'below'),
    'element.a': at(442, 130, 'a', 'element a', 'above'),
    'element.b': at(442, 230, 'b', 'element b', 'below'),
  },
  routes: {
    'cable-1': [],
    'cable-2': [],
    bond: [],
    'w-supply-1': [],
    'w-supply-2': [],
    'pin-a': [],
    'pin-b': [],
  },
  hops: [],
  joints: [],
  contacts: [
    {
      branch: 'control-pole-1',
      from: 'thermostat.1',
      to: 'thermostat.2',
      alsoOpen: 'cutout-pole-1',
    },
    {
      branch: 'control-pole-2',
      from: 'thermostat.3',
      to: 'thermostat.4',
      alsoOpen: 'cutout-pole-2',
    },
  ],
  breakers: [
    { branch: 'breaker-1', to: 'feed.1' },
    { branch: 'breaker-2', to: 'feed.2' },
  ],
  boxes: [
    { part: 'breaker', label: 'breaker', x: 34, y: 104, width: 52, height: 152, labelAt: 'under' },
    { part: 'thermostat', label: 'thermostat and cutout', x: 232, y: 92, width: 156, height: 196 },
  ],
  tank: { x: 470, y: 14, width: 138, height: 300 },
  elements: [{ part: 'element', label: 'element' }],
  lamps: [{ branch: 'lamp', x: 310, y: 182, label: 'lamp' }],
};
