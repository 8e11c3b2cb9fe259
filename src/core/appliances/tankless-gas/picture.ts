import { displaySymbol, fanSymbol, flameSymbol, valveSymbol } from '../gas-fired/picture';
import { isDone } from '../kit/unit-state';
import type { PathState, PictureState, SymbolState } from '../picture';
import type { TanklessSeen } from './looks';
import { strainerRinsed } from './model';
import namesFile from './names.json' with { type: 'json' };

/** The heater as it stands: water on its ways, the flame, what its wires carry. */
export function drawTankless(
  seen: TanklessSeen,
): Omit<PictureState, 'suspected' | 'faults' | 'readouts'> {
  const { state, signals, elements } = seen;
  const isOpen = (ohm: number) => !(ohm < 1e3);
  return {
    quantity: 'voltage-ac',
    terminals: Object.fromEntries(
      namesFile.terminals.map((point) => {
        const volt = voltOf(seen, point);
        return [point, { volt, live: volt > 40 ? ('live' as const) : ('dead' as const) }];
      }),
    ),
    ampere: {},
    watt: {},
    liveFeeds: [],
    open: [
      ...(isOpen(signals['limit.ohm']!) ? ['limit'] : []),
      ...(elements['fuse.whole']! < 0.5 ? ['fuse'] : []),
      ...(isOpen(signals['air-switch.ohm']!) ? ['air-switch'] : []),
    ],
    strapped: [],
    lifted: state.apart,
    paths: pathsOf(seen),
    symbols: symbolsOf(seen),
    power: state.controls.power === 'off' ? 'off' : 'on',
    controls: state.controls,
    topCelsius: signals['outlet.celsius']!,
    bottomCelsius: elements['mains.celsius']!,
  };
}

/** Volts to earth: mains up to the control; low volts are told at their points and not drawn as live. */
function voltOf({ elements, state }: TanklessSeen, point: string): number {
  if (state.controls.power === 'off' || elements['supply.on']! < 0.5) return 0;
  if (point === 'supply.L' || point === 'fuse.1') return mainsVolt;
  if (point === 'fuse.2' || point === 'control.l')
    return elements['fuse.whole']! > 0.5 ? mainsVolt : 0;
  return 0;
}
const mainsVolt = 230;

const flowing = (litre: number, isThere: boolean): PathState =>
  litre > 0 ? 'flows' : isThere ? 'stands' : 'empty';

function pathsOf({ signals, state, elements }: TanklessSeen): Record<string, PathState> {
  const { controls } = state;
  const burns = signals.lit! > 0.5;
  const hasGas = signals['gas.static']! > 0;
  const isFrozen = elements['inlet.open']! < 0.5;
  return {
    'cold-main': flowing(signals['heater.flow']!, !isFrozen),
    'hot-out': flowing(signals['heater.flow']!, true),
    house: flowing(controls.hotPort === 'open' ? 0 : signals['outlet.flow']!, true),
    crossing: flowing(
      signals['past.flow']!,
      elements['crossing.conductance']! + elements['recirculation.conductance']! > 0,
    ),
    'cold-port-way': 'stands',
    'hot-port-way': controls.hotPort === 'open' ? flowing(signals['heater.flow']!, true) : 'stands',
    'gas-in': burns ? 'flows' : hasGas ? 'stands' : 'empty',
    'gas-burner': burns ? 'flows' : 'empty',
    'air-in': signals['fan.percent']! > 0 ? 'flows' : 'stands',
    flue: burns ? 'flows' : 'empty',
  };
}

function symbolsOf({ signals, state, elements, plate }: TanklessSeen): Record<string, SymbolState> {
  const { controls } = state;
  const isChoked = elements['strainer.conductance']! < 10 && !isDone(state, strainerRinsed);
  const shown = signals['shown.flow']!;
  return {
    'cold-valve': valveSymbol(controls.coldIsolation === 'shut', controls.coldIsolation ?? 'open'),
    strainer: isChoked ? { look: 'weak', words: 'blocked' } : { look: 'on', words: 'clean' },
    'flow-sensor':
      shown > 0
        ? { look: 'on', words: 'turns' }
        : { look: 'off', words: signals['heater.flow']! > 0 ? 'shows nothing' : 'stands still' },
    'flow-control':
      elements['heater.conductance']! < 5
        ? { look: 'weak', words: 'sticks' }
        : { look: 'on', words: 'open' },
    'cold-port': valveSymbol(controls.coldPort !== 'open', controls.coldPort ?? 'shut'),
    'hot-port': valveSymbol(controls.hotPort !== 'open', controls.hotPort ?? 'shut'),
    'hot-valve': valveSymbol(controls.hotIsolation === 'shut', controls.hotIsolation ?? 'open'),
    tap: valveSymbol((controls.hotTap ?? 'closed') === 'closed', controls.hotTap ?? 'closed'),
    ...(plate.recirculation === 'true'
      ? { line: valveSymbol(controls.recirculation === 'shut', controls.recirculation ?? 'on') }
      : {}),
    'gas-meter':
      signals.lit! > 0.5 ? { look: 'on', words: 'turns' } : { look: 'off', words: 'stands still' },
    'gas-cock': valveSymbol(signals['gas.static'] === 0, controls.gas ?? 'open'),
    'gas-valve': valveSymbol(signals.lit! < 0.5),
    burner: flameSymbol(signals),
    flame: flameSymbol(signals),
    fan: fanSymbol(signals['fan.percent']!),
    display: displaySymbol(signals, controls.request ?? 'on'),
  };
}
