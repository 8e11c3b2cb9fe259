import type { Followed, Follows } from '../kit/signal/declaration';
import { allElements, type ElementId } from './elements';

const own = (...elements: readonly ElementId[]): Follows => ({ elements, byStanding: false });
/** What the whole chain bears on, and the water that calls or does not. */
const chain: Follows = { elements: allElements, byStanding: true };

/** Which elements each reading follows; the chain is so short that everything behind a call follows all of it. */
export const followed: Followed = {
  probe: chain,
  signals: {
    'shown.stored': { elements: ['sensor.contact', 'sensor.offset'], byStanding: true },
    'shown.setpoint': own('setpoint.celsius'),
    'shown.differential': own('differential.kelvin'),
    'shown.overrun': own('overrun.second'),
    'sensor.volt': own('sensor.volt'),
    'controller.volt': own('controller.volt'),
    'receiver.spacing': own('receiver.spacing-mm'),
    'sensor.metal': own('sensor.metal-mm'),
    'cylinder.celsius': { elements: [], byStanding: true },
    'tap.celsius': { elements: [], byStanding: true },
    'receiver-supply.volt': own('receiver.supply', 'feed.volt'),
    'receiver-out.volt': chain,
    'motor.volt': chain,
    'switch-feed.volt': own('w-feed.whole', 'feed.volt'),
    'switch-out.volt': chain,
    'boiler-call.volt': chain,
    'end-switch.ohm': own('end-switch.closes', 'end-switch.opens'),
  },
};
