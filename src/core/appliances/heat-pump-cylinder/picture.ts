import { depthOfShare } from '../../heat-pump';
import type { PathState, PictureState, SymbolState } from '../picture';
import type { Elements } from './elements';
import type { HeatPumpSeen } from './looks';
import { done, flowShare, outputShare } from './model';
import { isDone } from '../kit/unit-state';
import namesFile from './names.json' with { type: 'json' };

const moving = (is: boolean): PathState => (is ? 'flows' : 'stands');

/** Where a sensor stands in its pocket, as it is felt. */
function pocket(share: number, isWhole: boolean): SymbolState {
  if (!isWhole) return { look: 'off', words: 'shows dashes' };
  if (share >= 0.9) return { look: 'on', words: 'home' };
  const depth = Math.round(depthOfShare(share));
  return depth < 2
    ? { look: 'off', words: 'beside its pocket' }
    : { look: 'weak', words: `${depth} mm in` };
}

/** The plant as it stands: what flows where, what each sensor sits in, what the valve lets in. */
export function drawHeatPump(
  seen: HeatPumpSeen,
): Omit<PictureState, 'suspected' | 'faults' | 'readouts'> {
  const { state, signals, standing } = seen;
  const e = seen.elements as Elements;
  const isPowered = state.controls.power !== 'off';
  const isHotWater = state.controls.request === 'hot-water';
  const isHeating = state.controls.request === 'heating' || standing.isStarved;
  const runs = signals.runs! > 0.5 && (isHotWater || isHeating);
  const toCoil = isHotWater ? e['diverter.cylinder'] : 1 - e['diverter.heating'];
  const strays = isHeating && e['diverter.cylinder'] > 0.1 && e['diverter.cylinder'] < 0.9;
  const isDrawn = state.controls.tap === 'open';
  const isMixing = isDrawn && state.controls.coldInlet !== 'shut';
  const outdoorVolt = signals['outdoor.volt']!;
  const immersionVolt = isPowered ? e['supply.volt'] : 0;
  const isCalled = state.controls.boost === 'on' || e['relay.opens'] < 0.5;
  const isContactClosed = isCalled && (e['relay.closes'] > 0.5 || e['relay.opens'] < 0.5);
  const isLimitClosed = e['immersion-limit.closed'] > 0.5 || isDone(state, done.limitPressed);
  const live: Readonly<Record<string, number>> = {
    'outdoor-isolator.l': outdoorVolt,
    'immersion-isolator.l': immersionVolt,
    'relay.in': immersionVolt,
    'relay.out': isContactClosed ? immersionVolt : 0,
    'immersion-limit.1': isContactClosed ? immersionVolt : 0,
    'immersion-limit.2': isContactClosed && isLimitClosed ? immersionVolt : 0,
    'immersion.a': isContactClosed && isLimitClosed ? immersionVolt : 0,
  };
  const ampere = signals['immersion.ampere']!;
  const flow = flowShare(e, state);
  const output = outputShare(e);
  const hotShare =
    (signals['mixed-port.celsius']! - e['cold.celsius']) /
    Math.max(1, signals['hot-port.celsius']! - e['cold.celsius']);
  return {
    quantity: 'voltage-ac',
    terminals: Object.fromEntries(
      namesFile.terminals.map((terminal) => {
        const volt = live[terminal] ?? 0;
        return [terminal, { volt, live: volt > 40 ? ('live' as const) : ('dead' as const) }];
      }),
    ),
    ampere: ampere > 0.2 ? { 'immersion-limit': ampere, relay: ampere } : {},
    watt: { immersion: ampere * e['supply.volt'] },
    liveFeeds: [],
    open: [...(isContactClosed ? [] : ['relay']), ...(isLimitClosed ? [] : ['immersion-limit'])],
    strapped: [],
    lifted: state.apart,
    paths: {
      'primary-flow': moving(runs),
      'primary-return': moving(runs),
      'to-buffer': moving(runs && toCoil < 0.9),
      'from-buffer': moving(runs && toCoil < 0.9),
      'to-coil': moving(runs && (toCoil > 0.1 || strays)),
      'from-coil': moving(runs && (toCoil > 0.1 || strays)),
      'to-radiators': moving(isHeating && isPowered),
      'cold-in': moving(isMixing),
      'cold-to-mixer': moving(isMixing && hotShare < 0.99),
      'hot-to-mixer': moving(isMixing),
      'mixed-out': moving(isMixing),
    },
    symbols: {
      compressor: !runs
        ? { look: 'off', words: signals.runs! > 0.5 ? 'waits' : 'stands' }
        : output < 0.75
          ? { look: 'weak', words: 'gives little' }
          : { look: 'on', words: 'runs' },
      diverter: {
        look: toCoil > 0.1 && toCoil < 0.9 ? 'weak' : 'on',
        words: toCoil >= 0.9 ? 'to the cylinder' : toCoil > 0.1 ? 'to both' : 'to the buffer',
      },
      strainer:
        e['strainer.flow'] > 0.8 || isDone(state, done.strainerRinsed)
          ? { look: 'on', words: 'clear' }
          : { look: 'weak', words: 'blocked' },
      pump: !runs
        ? { look: 'off', words: 'stands still' }
        : flow < 0.8
          ? { look: 'weak', words: 'moves little' }
          : { look: 'on', words: 'runs' },
      gauge: {
        look: e['primary.pascal'] < 8e4 ? 'weak' : 'on',
        words: `${(e['primary.pascal'] / 1e5).toFixed(1)} bar`,
      },
      'buffer-pocket': pocket(
        isDone(state, done.bufferSensorHome) ? 1 : e['buffer-sensor.share'],
        e['buffer-sensor.whole'] > 0.5,
      ),
      'cylinder-pocket': pocket(
        isDone(state, done.cylinderSensorHome) ? 1 : e['cylinder-sensor.share'],
        e['cylinder-sensor.whole'] > 0.5,
      ),
      'mixing-valve': {
        look: hotShare > 0.93 ? 'on' : hotShare > 0.7 ? 'weak' : 'off',
        words: `${Math.round(hotShare * 100)} % hot`,
      },
      tap: { look: isDrawn ? 'on' : 'off', words: isDrawn ? 'open' : 'shut' },
    },
    power: isPowered ? 'on' : 'off',
    controls: state.controls,
    topCelsius: signals['cylinder.celsius']!,
    bottomCelsius: signals['cylinder.celsius']! - 4,
    vesselCelsius: { buffer: signals['buffer.celsius']! },
  };
}
