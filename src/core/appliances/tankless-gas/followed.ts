import { displayElements, fireFollows, outputElements } from '../gas-fired/fire';
import type { Followed, Follows } from '../kit/signal/declaration';

/** What decides how much water goes through it and past it. */
const water: readonly string[] = [
  'mains.pascal',
  'main.conductance',
  'strainer.conductance',
  'heater.conductance',
  'house.conductance',
  'tap.conductance',
  'port.conductance',
  'crossing.conductance',
  'recirculation.conductance',
  'lines.crossed',
  'inlet.open',
];
const gain: readonly string[] = ['turbine.gain', 'flow-sensor.contact', 'flow-sensor.pick-up'];
export const heated: readonly string[] = [
  ...water,
  ...gain,
  ...outputElements,
  'mains.celsius',
  'setpoint.celsius',
  'inlet-sensor.kelvin',
  'outlet-sensor.kelvin',
  'outlet-sensor.whole',
  'exchanger.efficiency',
  'exchanger.scale',
];

const follows = (elements: readonly string[], ...gates: string[]): Follows => ({
  elements,
  byStanding: false,
  gates,
});

/**
 * Which elements each reading follows. Units that are alike in these read alike: a test moves every other element and sees no
 * reading move.
 */
export const followed: Followed = {
  probe: follows([]),
  signals: {
    ...fireFollows,
    'outlet.flow': follows(water),
    'heater.flow': follows(water),
    'shown.flow': follows([...water, ...gain, ...displayElements]),
    'cold-port.pascal': follows(water),
    'cold.celsius': follows(['mains.celsius']),
    'outlet.celsius': follows(heated, 'lit'),
    'shown.outlet': follows([...heated, ...displayElements], 'lit'),
    'shown.inlet': follows([
      'mains.celsius',
      'inlet-sensor.kelvin',
      'inlet-sensor.whole',
      ...displayElements,
    ]),
    'hot.seconds': follows([...water, 'pipe.litre'], 'lit'),
    'gas.flow': follows(outputElements, 'lit'),
    'inlet-sensor.difference': follows(['inlet-sensor.kelvin', 'inlet-sensor.whole']),
    'outlet-sensor.difference': follows(['outlet-sensor.kelvin', 'outlet-sensor.whole']),
  },
};
