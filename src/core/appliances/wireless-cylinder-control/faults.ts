import type { SignalMode, SignalVariant } from '../kit/signal/declaration';
import { eitherSide, ladder, plain } from '../kit/signal/fault-modes';
import type { WirelessPlate } from './plate';

const dead = (id: string, element: string) => plain(id, { [element]: { value: 0 } });

/** Of a link at its edge, how many looks find it heard. Common practice. */
const heardShare = 0.5;

/** A link that is too weak: some never get through, some now and then, so many of all messages. */
const weakLink = (
  id: string,
  never: SignalVariant['changes'],
  nowAndThen: SignalVariant['changes'],
  then: SignalVariant['changes'],
): SignalMode => ({
  id,
  variants: [
    { share: 0.55, changes: never },
    { share: 0.45, changes: nowAndThen, otherwise: { changes: then, shareIn: () => heardShare } },
  ],
  beside: [{ share: 1, changes: never }],
});

const millimetre = (element: string, value: number, spread = 0.3) => ({
  changes: { [element]: { value } },
  spread: { [element]: spread },
});

/** A device too near to metal or to another: its spacing shows it, with a spread of its own. */
function tooNear(id: string, element: string): SignalMode {
  const never = millimetre(element, 62, 0.55);
  const nowAndThen = millimetre(element, 96, 0.4);
  return {
    id,
    variants: [
      { share: 0.55, ...never },
      {
        share: 0.45,
        ...nowAndThen,
        otherwise: { changes: { [element]: { value: 125 } }, shareIn: () => heardShare },
      },
    ],
    beside: [{ share: 1, ...never }],
  };
}

/** Every fault as a change of named elements. Ranges are common practice. */
export function faults({ arrangement }: WirelessPlate): readonly SignalMode[] {
  const wet: readonly SignalMode[] = [
    plain('overrun.set', { 'overrun.second': { value: 600 } }),
    dead('valve.motor-dead', 'valve.motor'),
    dead('valve.end-switch-open', 'end-switch.closes'),
    dead('valve.end-switch-welded', 'end-switch.opens'),
    dead('valve.body-seized', 'valve.body'),
    dead('valve.passing', 'valve.shuts'),
    dead('valve.lever-latched', 'valve.lever-free'),
    dead('wiring.switch-feed', 'w-feed.whole'),
    dead('wiring.to-boiler', 'w-boiler.whole'),
    dead('boiler.no-fire', 'boiler.fires'),
    dead('pump.dead', 'pump.turns'),
    dead('circuit.air-locked', 'circuit.flows'),
    dead('system-type.wrong', 'system-type.right'),
    dead('receiver.swapped', 'receiver.own-zone'),
  ];
  return [
    plain('no-fault.already-hot'),
    plain('no-fault'),
    dead('demand', 'draw.usual'),
    ladder('setpoint.low', 'setpoint.celsius', [40, 50], 2),
    ladder('differential.wide', 'differential.kelvin', [18, 25], 1),
    dead('program.wrong', 'program.on'),
    dead('mode.off', 'mode.normal'),
    ladder('sensor.battery-flat', 'sensor.volt', [1.5, 2.2], 2),
    dead('sensor.hung', 'sensor.awake'),
    dead('sensor.unbound', 'sensor.bound'),
    dead('sensor.dead', 'sensor.works'),
    eitherSide('sensor.drift', 'sensor.offset', [7, 15], 2),
    ladder('sensor.off-cylinder', 'sensor.contact', [0.3, 0.75], 2),
    tooNear('radio.sensor-at-metal', 'sensor.metal-mm'),
    tooNear('radio.receivers-too-close', 'receiver.spacing-mm'),
    weakLink(
      'radio.path-weak',
      { 'sensor.path-db': { value: -6 }, 'receiver.path-db': { value: -6 } },
      { 'sensor.path-db': { value: -1.5 }, 'receiver.path-db': { value: -1.5 } },
      { 'sensor.path-db': { value: 3 }, 'receiver.path-db': { value: 3 } },
    ),
    dead('receiver.hung', 'receiver.awake'),
    dead('receiver.unbound', 'receiver.bound'),
    dead('receiver.no-supply', 'receiver.supply'),
    dead('receiver.relay-open', 'receiver.contact'),
    dead('receiver.relay-welded', 'receiver.open'),
    dead('receiver.dead', 'receiver.works'),
    ladder('controller.no-power', 'controller.volt', [0.6, 2], 1),
    dead('controller.dead', 'controller.works'),
    dead('wiring.receiver-to-valve', 'w-valve.whole'),
    dead('cutout.tripped', 'cutout.closed'),
    ...(arrangement === 'immersion' ? [] : wet),
  ];
}
