import { drawnTerminal as at, type Drawing } from '../family';

/** The millivolt circuit, from the tip in the pilot flame to the magnet in the valve, beside the tank. */
export const drawing: Drawing = {
  width: 620,
  height: 330,
  terminals: {
    'generator.plus': at(86, 120, '+', 'generator, plus', 'above'),
    'generator.minus': at(86, 210, '−', 'generator, minus', 'below'),
    'cutout.1': at(160, 120, '1', 'roll-out cutout 1', 'above'),
    'cutout.2': at(230, 120, '2', 'roll-out cutout 2', 'above'),
    'lead.plus': at(296, 120, '+', 'lead end, plus', 'above'),
    'lead.minus': at(296, 210, '−', 'lead end, minus', 'below'),
    'valve.plus': at(362, 120, '+', 'valve, plus', 'above'),
    'valve.minus': at(362, 210, '−', 'valve, minus', 'below'),
    sheath: at(196, 268, 'shield', 'shield of the leads', 'below'),
  },
  routes: { 'w-tip': [], 'w-cutout': [], 'w-return': [], 'joint-plus': [], 'joint-minus': [] },
  hops: [],
  joints: [],
  contacts: [{ branch: 'roll-out-cutout', from: 'cutout.1', to: 'cutout.2' }],
  breakers: [],
  boxes: [
    {
      part: 'generator',
      label: 'tip in the flame',
      x: 34,
      y: 84,
      width: 96,
      height: 162,
      labelAt: 'under',
    },
    {
      part: 'roll-out-cutout',
      label: 'roll-out',
      x: 144,
      y: 84,
      width: 104,
      height: 66,
      labelAt: 'under',
    },
    {
      part: 'control-valve',
      label: 'control valve',
      x: 336,
      y: 84,
      width: 104,
      height: 162,
      labelAt: 'under',
    },
  ],
  tank: { x: 470, y: 14, width: 138, height: 300 },
  elements: [],
};
