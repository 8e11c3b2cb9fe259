import { signalWords } from '../../radio';
import type { PictureState, SymbolState } from '../picture';
import type { Elements } from './elements';
import type { WirelessSeen } from './looks';
import { hears, isHeard, isLit, receiverMargin, sensorMargin } from './model';
import namesFile from './names.json' with { type: 'json' };

const lamp = (isOn: boolean): SymbolState => ({
  look: isOn ? 'on' : 'off',
  words: isOn ? 'lit' : 'dark',
});

/** The control as it stands: what is heard over the air, what is live, what flows. */
export function drawWireless(
  seen: WirelessSeen,
): Omit<PictureState, 'suspected' | 'faults' | 'readouts'> {
  const { state, signals, plate } = seen;
  const e = seen.elements as Elements;
  const on = (id: string) => signals[id]! > 0.5;
  const volt = (id: string) => signals[`${id}.volt`]!;
  const live: Readonly<Record<string, number>> = {
    'spur.l': state.controls.power === 'off' ? 0 : e['feed.volt'],
    'receiver.l': volt('receiver-supply'),
    'receiver.common': volt('receiver-supply'),
    'receiver.normally-open': volt('receiver-out'),
    'cutout.1': volt('receiver-out'),
    'cutout.2': volt('receiver-out') * (e['cutout.closed'] > 0.5 ? 1 : 0),
    'valve.motor': volt('motor'),
    'valve.switch-feed': volt('switch-feed'),
    'valve.switch-out': volt('switch-out'),
    'boiler.switched-live': volt('boiler-call'),
    'pump.l': volt('boiler-call'),
    'sensor.battery+': e['sensor.volt'],
    'controller.battery+': e['controller.volt'],
  };
  const heardSensor = hears(e, state);
  const heardReceiver = isLit(e) && isHeard(e, state);
  const isPowered = state.controls.power !== 'off';
  const radio = (isHere: boolean, decibel: number): SymbolState => ({
    look: !isHere ? 'off' : signalWords(decibel) === 'good' ? 'on' : 'weak',
    words: isHere ? `heard, ${signalWords(decibel)}` : 'not heard',
  });
  const runs = (isDriven: boolean): SymbolState => ({
    look: isDriven ? 'on' : 'off',
    words: isDriven ? 'runs' : 'stands still',
  });
  const isWet = plate.arrangement !== 'immersion';
  return {
    quantity: 'voltage-ac',
    terminals: Object.fromEntries(
      namesFile.terminals.map((terminal) => {
        const volt = live[terminal] ?? 0;
        return [terminal, { volt, live: volt > 40 ? ('live' as const) : ('dead' as const) }];
      }),
    ),
    ampere: {},
    watt: {},
    liveFeeds: isPowered ? [] : ['spur.l'],
    open: [
      ...(on('relay') ? [] : ['receiver-relay']),
      ...(e['cutout.closed'] > 0.5 ? [] : ['cutout']),
      ...(on('end.closed') ? [] : ['end-switch']),
    ],
    strapped: [],
    lifted: state.apart,
    paths: {
      'radio-sensor': heardSensor ? 'flows' : 'empty',
      'radio-receiver': heardReceiver ? 'flows' : 'empty',
      'coil-flow': on('flows') ? 'flows' : 'stands',
    },
    symbols: {
      light: lamp(on('light')),
      symbol: lamp(on('call')),
      'sensor-radio': radio(heardSensor, sensorMargin(e)),
      'receiver-radio': radio(heardReceiver, receiverMargin(e)),
      ...(isWet
        ? {
            valve: {
              look: on('through') ? ('on' as const) : ('off' as const),
              words: on('through') ? 'open' : 'shut',
            },
            pump: runs(on('pump')),
            flame: {
              look: on('fires') ? ('on' as const) : ('off' as const),
              words: on('fires') ? 'fires' : 'out',
            },
          }
        : {}),
    },
    power: isPowered ? 'on' : 'off',
    controls: state.controls,
    topCelsius: signals['cylinder.celsius']!,
    bottomCelsius: signals['cylinder.celsius']! - 6,
  };
}
