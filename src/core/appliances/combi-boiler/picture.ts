import { displaySymbol, fanSymbol, flameSymbol, valveSymbol } from '../gas-fired/picture';
import type { PathState, PictureState, SymbolState } from '../picture';
import type { CombiSeen } from './looks';
import namesFile from './names.json' with { type: 'json' };

/** The boiler as it stands: the loop, the tap, the flame, what its wires carry. */
export function drawCombi(
  seen: CombiSeen,
): Omit<PictureState, 'suspected' | 'faults' | 'readouts'> {
  const { state, signals, elements } = seen;
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
      ...(!(signals['limit.ohm']! < 1e3) ? ['limit'] : []),
      ...(elements['fuse.whole']! < 0.5 ? ['fuse'] : []),
      ...(elements['heat-call.there']! < 0.5 || state.controls.roomThermostat === 'lowest'
        ? ['room']
        : []),
    ],
    strapped: [],
    lifted: state.apart,
    paths: pathsOf(seen),
    symbols: symbolsOf(seen),
    power: state.controls.power === 'off' ? 'off' : 'on',
    controls: state.controls,
    topCelsius: signals['flow.celsius']!,
    bottomCelsius: signals['return.celsius']!,
  };
}

/** Volts to earth: mains up to the control, and at the pump while it is driven. */
function voltOf({ elements, state, signals }: CombiSeen, point: string): number {
  if (state.controls.power === 'off' || elements['supply.on']! < 0.5) return 0;
  if (point === 'supply.L' || point === 'fuse.1') return mainsVolt;
  if (point === 'fuse.2' || point === 'control.l') {
    return elements['fuse.whole']! > 0.5 ? mainsVolt : 0;
  }
  if (point === 'control.pump' || point === 'pump.L') return signals.driven! > 0.5 ? mainsVolt : 0;
  return 0;
}
const mainsVolt = 230;

/** A loop that moves less than this is drawn as standing, in L/min. */
const leastLoop = 0.3;

const moving = (is: boolean): PathState => (is ? 'flows' : 'stands');

function pathsOf({ signals, state, elements }: CombiSeen): Record<string, PathState> {
  const { controls } = state;
  const burns = signals.lit! > 0.5;
  const isHeating = controls.request === 'heating';
  const toHeating = isHeating ? elements['diverter.heats']! : elements['diverter.strays']!;
  const loops = signals.driven! > 0.5 && signals['loop.flow']! > leastLoop;
  const tap = signals['tap.flow']! > 0;
  return {
    flow: moving(loops),
    return: moving(loops),
    'to-plates': moving(loops && toHeating < 1),
    'from-plates': moving(loops && toHeating < 1),
    'to-heating': moving(loops && toHeating > 0),
    'from-heating': moving(loops && toHeating > 0),
    'cold-in': moving(tap),
    'hot-out': moving(tap),
    'gas-in': burns ? 'flows' : signals['gas.static']! > 0 ? 'stands' : 'empty',
    'gas-burner': burns ? 'flows' : 'empty',
    'air-in': moving(signals['fan.percent']! > 0),
    flue: burns ? 'flows' : 'empty',
  };
}

/** Bore of a hose that is choked, in mm. */
const chokedMillimetre = 15;

const clear = (isClear: boolean, words: string): SymbolState =>
  isClear ? { look: 'on', words: 'clear' } : { look: 'weak', words };

function symbolsOf({ signals, state, elements, plate }: CombiSeen): Record<string, SymbolState> {
  const { controls } = state;
  const isHeating = controls.request === 'heating';
  const heats = isHeating ? elements['diverter.heats']! : elements['diverter.strays']!;
  return {
    pump:
      signals.driven! < 0.5
        ? { look: 'off', words: 'stands still' }
        : elements['pump.head']! < 30
          ? { look: 'weak', words: 'pushes little' }
          : { look: 'on', words: 'runs' },
    vent: valveSymbol(true),
    gauge: {
      look: elements['primary.pascal']! < 5e4 ? 'weak' : 'on',
      words: `${(elements['primary.pascal']! / 1e5).toFixed(1)} bar`,
    },
    ...(plate.primaryHose === 'true'
      ? { hose: clear(elements['hose.millimetre']! > chokedMillimetre, 'choked') }
      : {}),
    diverter: {
      look: heats > 0 && heats < 1 ? 'weak' : 'on',
      words: heats >= 1 ? 'to the radiators' : heats > 0 ? 'to both' : 'to the plates',
    },
    filter: clear(elements['filter.loss']! < 0.4, 'blocked'),
    'flow-valve': valveSymbol(controls.flowIsolation === 'shut', controls.flowIsolation ?? 'open'),
    'return-valve':
      elements['heating.loss']! > 0.9
        ? { look: 'weak', words: 'not full open', position: controls.returnIsolation ?? 'open' }
        : valveSymbol(controls.returnIsolation === 'shut', controls.returnIsolation ?? 'open'),
    turbine:
      signals['shown.flow']! > 0
        ? { look: 'on', words: 'turns' }
        : { look: 'off', words: signals['tap.flow']! > 0 ? 'shows nothing' : 'stands still' },
    'tap-filter': clear(elements['tap-filter.conductance']! > 5, 'blocked'),
    'cold-valve': valveSymbol(controls.coldIsolation === 'shut', controls.coldIsolation ?? 'open'),
    tap: valveSymbol((controls.hotTap ?? 'closed') === 'closed', controls.hotTap ?? 'closed'),
    'gas-meter':
      signals.lit! > 0.5 ? { look: 'on', words: 'turns' } : { look: 'off', words: 'stands still' },
    'gas-cock': valveSymbol(signals['gas.static'] === 0, controls.gas ?? 'open'),
    'gas-valve': valveSymbol(signals.lit! < 0.5),
    burner: flameSymbol(signals),
    flame: flameSymbol(signals),
    fan: fanSymbol(signals['fan.percent']!),
    'filling-valve': valveSymbol(controls.fillingValve !== 'open', controls.fillingValve ?? 'shut'),
    relief: valveSymbol(true),
    display: displaySymbol(signals, controls.request ?? 'none'),
    room: {
      look: signals.asked! > 0.5 && isHeating ? 'on' : 'off',
      words: isHeating ? (signals.asked! > 0.5 ? 'calls' : 'no call arrives') : 'no call',
      position: controls.roomThermostat ?? 'as-found',
    },
  };
}
