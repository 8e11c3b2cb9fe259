import type { Followed } from '../kit/signal/declaration';
import type { Elements } from './elements';

type Id = keyof Elements;

/** What bears on the flame at the tip. */
const flame: readonly Id[] = [
  'gas.supply',
  'gas.working',
  'pilot.opening',
  'igniter.spark',
  'air.way',
  'air.room',
  'tip.engagement',
];

const circuit: readonly Id[] = [
  'generator.output',
  'generator.ohm',
  'joint.ohm',
  'holder.ohm',
  'lead.leak-ohm',
  'sheath.leak-ohm',
  'cutout.ohm',
  'energy-cutoff.ohm',
];

const hold: readonly Id[] = [...flame, ...circuit, 'magnet.let-go', 'electronics.alive'];
const burner: readonly Id[] = [
  ...hold,
  'valve.opens',
  'valve.shuts',
  'valve.early-kelvin',
  'dial.celsius',
  'knob.on',
];

/**
 * Which elements each reading follows, and whether how the unit was found bears on it. Units that are alike in these read
 * alike: a test moves every other element and sees no reading move.
 */
export const followed: Followed = {
  probe: { elements: [...flame, ...circuit], byStanding: true },
  signals: {
    'let-go.seconds': { elements: hold, byStanding: true },
    'let-go.volt': { elements: ['magnet.let-go'], byStanding: false },
    inlet: { elements: [...burner, 'gas.static'], byStanding: true },
    manifold: { elements: [...burner, 'gas.regulated'], byStanding: true },
    flow: { elements: [...burner, 'gas.regulated', 'burner.orifice'], byStanding: true },
    co: {
      elements: [
        'burner.ports',
        'burner.orifice',
        'gas.regulated',
        'gas.working',
        'air.way',
        'air.room',
        'flue.spill',
      ],
      byStanding: false,
    },
    'outlet.first': { elements: [], byStanding: true },
    'outlet.drawn': { elements: ['tank.sediment', 'tank.dip-tube'], byStanding: true },
    'outlet.recovered': {
      elements: [...burner, 'gas.regulated', 'burner.orifice', 'burner.ports', 'tank.sediment'],
      byStanding: true,
    },
    'cold.celsius': { elements: [], byStanding: false },
    'cold.pressure': { elements: ['cold.pressure-pascal'], byStanding: false },
    'pair.difference': {
      elements: ['pair.nearer-share', 'pair.other-heats', 'tank.sediment', 'tank.dip-tube'],
      byStanding: true,
    },
    'series.difference': { elements: ['pair.other-heats'], byStanding: true },
  },
};
