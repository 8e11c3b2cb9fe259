import type { SignalModel } from '../kit/signal/declaration';
import { isDone } from '../kit/unit-state';
import type { PathState, PictureState, SymbolState } from '../picture';
import { checks } from './checks';
import { looks, type GasSeen } from './looks';
import { cutoutReset } from './model';
import namesFile from './names.json' with { type: 'json' };
import type { GasPlate } from './plate';
import type { GasStanding } from './standing';

/** Below this a point counts as carrying no millivolts. */
const leastVolt = 1e-3;
/** Chance of a main burner above which it is drawn burning. */
const burnsAbove = 0.5;

/** The heater as it stands: gas and water on their ways, the flames, the millivolts, and how warm the tank is. */
export function drawGas(
  seen: GasSeen,
  model: SignalModel<GasPlate, GasStanding>,
): Omit<PictureState, 'suspected' | 'faults' | 'readouts'> {
  const volts = (point: string) =>
    point === 'generator.minus'
      ? 0
      : (model.probe(seen, { between: [point, 'generator.minus'] }, 'voltage-dc') ?? 0);
  const { standing, state, plate } = seen;
  return {
    quantity: 'voltage-dc',
    terminals: Object.fromEntries(
      namesFile.terminals.map((point) => {
        const volt = volts(point);
        return [point, { volt, live: volt > leastVolt ? ('live' as const) : ('dead' as const) }];
      }),
    ),
    ampere: {},
    watt: {},
    liveFeeds: [],
    open: isCutoutOpen(seen) ? ['roll-out-cutout'] : [],
    strapped: plate.rollOut === 'in-lead' ? [] : ['roll-out-cutout'],
    lifted: state.apart,
    paths: pathsOf(seen),
    symbols: symbolsOf(seen),
    power: 'off',
    controls: state.controls,
    topCelsius: standing.tankCelsius,
    bottomCelsius: standing.tankCelsius,
  };
}

const isCutoutOpen = ({ plate, elements, standing, state }: GasSeen): boolean =>
  plate.rollOut === 'in-lead' &&
  (elements['cutout.ohm']! > 1e6 || (standing.isTripped && !isDone(state, cutoutReset)));

const isCockShut = ({ state, elements }: GasSeen): boolean =>
  state.controls.gasCock === 'closed' || elements['gas.supply']! < 0.5;

const knobOf = ({ state, elements }: GasSeen): string =>
  state.controls.knob ?? (elements['knob.on']! > 0.5 ? 'on' : 'pilot');

const burns = ({ signals }: GasSeen): boolean => signals['main']! > burnsAbove;

function pathsOf(seen: GasSeen): Record<string, PathState> {
  const { signals, state } = seen;
  const isLit = signals['pilot.burns']! > 0.5;
  const hasGas = !isCockShut(seen);
  const tap = state.controls.hotTap === 'open';
  return {
    'gas-in': !hasGas ? 'empty' : isLit || burns(seen) ? 'flows' : 'stands',
    'gas-pilot': isLit ? 'flows' : 'empty',
    'gas-main': burns(seen) ? 'flows' : 'empty',
    'air-in': burns(seen) ? 'flows' : 'stands',
    flue: burns(seen) ? 'flows' : 'empty',
    'cold-in': state.controls.coldValve === 'closed' ? 'empty' : tap ? 'flows' : 'stands',
    'hot-out': tap ? 'flows' : 'stands',
  };
}

const knobWords: Readonly<Record<string, string>> = {
  off: 'off',
  pilot: 'pilot',
  'pilot-held': 'pressed',
  on: 'on',
};

function symbolsOf(seen: GasSeen): Record<string, SymbolState> {
  const { signals, state, plate, elements } = seen;
  const valve = (isShut: boolean): SymbolState => ({
    look: isShut ? 'off' : 'on',
    words: isShut ? 'shut' : 'open',
    position: isShut ? 'closed' : 'open',
  });
  const knob = knobOf(seen);
  return {
    'gas-meter': burns(seen)
      ? { look: 'on', words: 'turns' }
      : { look: 'off', words: 'stands still' },
    'gas-cock': valve(isCockShut(seen)),
    knob: {
      look: knob === 'on' ? 'on' : knob === 'off' ? 'off' : 'weak',
      words: knobWords[knob] ?? knob,
      position: knob,
    },
    ...(plate.valve === 'thermopile' ? { light: lightOf(seen) } : {}),
    pilot:
      signals['pilot.burns']! < 0.5
        ? { look: 'off', words: 'out', position: 'put-out' }
        : signals['pilot.share']! < 0.6
          ? { look: 'weak', words: 'small', position: 'lit' }
          : { look: 'on', words: 'burns', position: 'lit' },
    tip:
      signals['tip.kelvin']! > 300
        ? { look: 'on', words: 'hot' }
        : signals['tip.kelvin']! > 60
          ? { look: 'weak', words: 'warm' }
          : { look: 'off', words: 'cold' },
    burner: burns(seen)
      ? {
          look: signals['rate']! < 0.8 ? 'weak' : 'on',
          words: signals['rate']! < 0.8 ? 'burns low' : 'burns',
        }
      : { look: 'off', words: 'off' },
    filter:
      elements['air.way']! < 0.6
        ? { look: 'weak', words: 'choked' }
        : { look: 'on', words: 'clear' },
    hood:
      elements['flue.spill']! > 0.5
        ? { look: 'off', words: 'spills into the room' }
        : { look: 'on', words: 'draws' },
    'cold-valve': valve(state.controls.coldValve === 'closed'),
    tap: valve(state.controls.hotTap !== 'open'),
  };
}

/** What the light most likely shows. */
function lightOf(seen: GasSeen): SymbolState {
  const shares = Object.entries(looks['status-light']!.predict(seen));
  const [pattern] = shares.reduce((best, each) => (each[1] > best[1] ? each : best));
  return {
    look: pattern === 'dark' ? 'off' : pattern === 'on' ? 'on' : 'weak',
    words: checks['status-light']!.answers?.[pattern] ?? pattern,
  };
}
