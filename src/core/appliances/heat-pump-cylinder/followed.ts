import type { Followed, Follows } from '../kit/signal/declaration';
import type { ElementId } from './elements';

const own = (...elements: readonly ElementId[]): Follows => ({ elements, byStanding: false });
const stored = (...elements: readonly ElementId[]): Follows => ({
  elements: ['stored.share', ...elements],
  byStanding: true,
});

/** What a call for heating hangs on: whether it runs, what the controller hears, what the machine gives. */
const callOfRooms: readonly ElementId[] = [
  'target.share',
  'heating-curve.celsius',
  'control.free',
  'buffer-sensor.share',
  'buffer-sensor.offset',
  'buffer-sensor.whole',
  'flow-sensor.offset',
  'flow-sensor.whole',
  'outdoor.output',
  'refrigerant.output',
  'compressor.works',
  'supply.on',
  'season.output',
  'machine.output',
  'diverter.heating',
  'plant.left',
];
const flow: readonly ElementId[] = ['strainer.flow', 'pump.flow', 'primary.flow'];
const rooms = (...elements: readonly ElementId[]): Follows => ({
  elements: [...callOfRooms, ...elements],
  byStanding: true,
});
const machine: readonly ElementId[] = [
  'compressor.works',
  'supply.on',
  'flow-sensor.whole',
  'control.free',
];
const valve: readonly ElementId[] = [
  'cold.celsius',
  'mixing-valve.celsius',
  'mixing-valve.most',
  'mixing-valve.holds',
];
const tap: readonly ElementId[] = [...valve, 'cross-flow.kelvin', 'outlet.celsius'];
const immersion: readonly ElementId[] = [
  'supply.volt',
  'immersion.ohm',
  'immersion-limit.closed',
  'relay.closes',
  'relay.opens',
];

/** Which elements each reading follows: units that are alike in these read alike. */
export const followed: Followed = {
  probe: own(),
  signals: {
    'shown.setpoint': own('hot-water-setpoint.celsius'),
    'shown.differential': own('restart-differential.kelvin'),
    'shown.cylinder': stored(
      'cylinder-sensor.share',
      'cylinder-sensor.offset',
      'cylinder-sensor.whole',
    ),
    'shown.buffer': rooms(),
    'shown.target': own('heating-curve.celsius', 'target.share'),
    'shown.flow': rooms(...flow, 'cycle.stands'),
    'shown.return': rooms(...flow, 'cycle.stands'),
    'flow.rate': own('plant.flow', ...flow),
    'power.watt': rooms(...flow, 'cycle.stands'),
    'defrosts.count': own('outdoor.defrosts', ...machine),
    'overnight.kelvin': own('circulation.fall'),
    'buffer.celsius': rooms(),
    'cylinder.celsius': stored(),
    'flow.celsius': rooms(...flow, 'cycle.stands'),
    'return.celsius': rooms(...flow, 'cycle.stands'),
    'radiator.celsius': rooms(),
    'room.kelvin': rooms('room-sensor.extra'),
    'buffer-sensor.cup': own('buffer-sensor.offset', 'buffer-sensor.whole'),
    'cylinder-sensor.cup': own('cylinder-sensor.offset', 'cylinder-sensor.whole'),
    'flow-sensor.difference': own('flow-sensor.offset', 'flow-sensor.whole'),
    'tap.celsius': stored(...tap),
    'hot-port.celsius': stored(),
    'mixed-port.celsius': stored(...valve),
    'step-open.kelvin': stored(...tap),
    'step-shut.kelvin': stored(...tap),
    'primary.pascal': own('primary.pascal'),
    'rise.kelvin': stored(
      ...machine,
      ...flow,
      'cylinder-sensor.whole',
      'cylinder-sensor.share',
      'outdoor.output',
      'refrigerant.output',
      'season.output',
      'machine.output',
      'diverter.cylinder',
      'coil.output',
    ),
    'approach.kelvin': own(...machine, 'diverter.cylinder', 'coil.approach'),
    'outdoor.volt': own('supply.on', 'supply.volt'),
    'immersion.ampere': own(...immersion),
    'immersion.ohm': own('immersion.ohm'),
  },
};
