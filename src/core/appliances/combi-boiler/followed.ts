import { displayElements, fireFollows, outputElements } from '../gas-fired/fire';
import type { Followed, Follows } from '../kit/signal/declaration';

const tapWater: readonly string[] = [
  'mains.pascal',
  'cold-valve.conductance',
  'tap-filter.conductance',
  'plate.conductance',
  'tap.conductance',
];
const loop: readonly string[] = ['pump.head', 'hose.millimetre', 'cell.loss'];
/** What a course at the tap follows. */
export const atTap: readonly string[] = [
  ...tapWater,
  ...loop,
  ...outputElements,
  'plate.loss',
  'heating.loss',
  'filter.loss',
  'diverter.strays',
  'outlet.past',
  'mains.celsius',
  'turbine.gain',
  'plate.scale',
  'plate.blocked',
  'cell.efficiency',
  'tap-setpoint.celsius',
  'tap-sensor.kelvin',
  'flow-sensor.kelvin',
];
/** And a house on its heating. */
const onHeating: readonly string[] = [
  ...loop,
  ...outputElements,
  'plate.loss',
  'heating.loss',
  'filter.loss',
  'diverter.heats',
  'cell.efficiency',
  'flow-setpoint.celsius',
  'flow-sensor.kelvin',
  'radiators.share',
];

const follows = (elements: readonly string[], ...gates: string[]): Follows => ({
  elements,
  byStanding: false,
  gates,
});
/** How the limit is built bears on it too. */
const followsLimit = (elements: readonly string[], ...gates: string[]): Follows => ({
  ...follows(elements, ...gates),
  byStanding: true,
});

/**
 * Which elements each reading follows. Units that are alike in these read alike: a test moves every other element and sees no
 * reading move.
 */
export const followed: Followed = {
  probe: follows([]),
  signals: {
    ...fireFollows,
    'tap.flow': follows(tapWater),
    'shown.flow': follows([...tapWater, 'outlet.past', 'turbine.gain', ...displayElements]),
    'cold.celsius': follows(['mains.celsius']),
    'tap.celsius': followsLimit(atTap, 'lit'),
    'tap.difference': followsLimit(atTap, 'lit'),
    'flow.rise': followsLimit(atTap, 'lit'),
    'flow.peak': followsLimit([...atTap, 'flow-sensor.whole', ...displayElements], 'lit'),
    'tap.flow-return': followsLimit(atTap, 'lit'),
    'tap.heating-pipe': followsLimit(atTap, 'lit'),
    'heating.flow-return': follows(onHeating, 'lit'),
    'heating.flow': follows(onHeating, 'lit'),
    'heating.shown': follows([...onHeating, 'flow-sensor.whole', ...displayElements], 'lit'),
    'radiators.celsius': follows(onHeating, 'lit'),
    'flow.shown': followsLimit(
      [...atTap, ...onHeating, 'flow-sensor.whole', ...displayElements],
      'lit',
    ),
    'flow.celsius': followsLimit([...atTap, ...onHeating], 'lit'),
    'flow-return.difference': followsLimit([...atTap, ...onHeating], 'lit'),
    'heating.celsius': followsLimit([...atTap, ...onHeating], 'lit'),
    'gas.flow': follows(outputElements, 'lit'),
    'pump.watt': follows(['pump.watt'], 'driven'),
    'hot.pascal': follows(
      [...onHeating, 'primary.pascal', 'vessel.pascal', 'vessel.cushion'],
      'lit',
    ),
    'gauge.pascal': follows(['primary.pascal']),
    'shown.pascal': follows(['primary.pascal', 'pressure-sensor.pascal', ...displayElements]),
    'vessel.pascal': follows(['vessel.pascal']),
    'day.pascal': follows(['primary.pascal-a-day']),
    'hose.millimetre': follows(['hose.millimetre']),
    'tap-sensor.difference': follows(['tap-sensor.kelvin', 'tap-sensor.whole']),
    'flow-sensor.difference': follows(['flow-sensor.kelvin', 'flow-sensor.whole']),
  },
};
