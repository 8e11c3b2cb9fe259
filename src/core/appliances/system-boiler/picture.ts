import type { PictureState, SymbolState } from '../picture';
import type { SystemSeen } from './looks';
import { modelOfPlate, settingOf, stageSignals } from './model';
import namesFile from './names.json' with { type: 'json' };
import type { Elements } from './elements';
import { sequenceEnds } from './sequence';
import { sequenceWords } from './sequence-words';

/** Volts above which a 24 V screw counts as alive; and a line screw. */
const liveVolt = { low: 8, line: 40 } as const;
const valveSymbol = (isOpen: boolean, position: string): SymbolState => ({
  look: isOpen ? 'on' : 'off',
  words: isOpen ? 'open' : 'shut',
  position,
});
const lamp = (isLit: boolean): SymbolState => ({
  look: isLit ? 'on' : 'off',
  words: isLit ? 'lit' : 'dark',
});
const pump = (isDriven: boolean, turns: boolean): SymbolState => ({
  look: isDriven ? (turns ? 'on' : 'weak') : 'off',
  words: isDriven ? (turns ? 'runs' : 'driven, stands still') : 'stands still',
});

/** The chain as it stands: live as far as the volts go, contacts as its relays have put them. */
export function drawSystem(
  seen: SystemSeen,
): Omit<PictureState, 'suspected' | 'faults' | 'readouts'> {
  const { plate, state, signals } = seen;
  const e = seen.elements as Elements;
  const set = settingOf(state);
  const { chain } = modelOfPlate(plate);
  const at = chain.solve(e, set);
  const isLow = (point: string) => chain.netOf(point) === 'low';
  const volt = (point: string): number => at.volt(point, isLow(point) ? 'panel.c' : 'feed.n') ?? 0;
  const isPowered = state.controls.power !== 'off';
  const relay = (name: 'zone-1' | 'zone-2' | 'zone-dhw') => at.isPicked(name);
  const has = (point: string) => chain.netOf(point) !== undefined;
  const few = (ohm: number) => ohm < 10;
  const open: string[] = [
    ...(isPowered && few(e['line-switch.ohm']) ? [] : ['line-switch']),
    ...(!relay('zone-dhw') && few(e['priority.closed-ohm']) ? [] : ['priority']),
    ...((relay('zone-1') ? few(e['pump-contact-1.closed-ohm']) : few(e['pump-contact-1.open-ohm']))
      ? []
      : ['pump-contact-1']),
    ...(relay('zone-2') ? [] : ['pump-contact-2']),
    ...(relay('zone-dhw') ? [] : ['pump-contact-dhw']),
    ...(set.isFuseOut || !few(e['panel-fuse.ohm']) ? ['panel-fuse'] : []),
    ...(few(e['panel-joint.ohm']) ? [] : ['panel-joint']),
    ...((set.isZone1Up ? few(e['thermostat-1.closed-ohm']) : few(e['thermostat-1.open-ohm']))
      ? []
      : ['thermostat-1']),
    ...(set.isZone2Up ? [] : ['thermostat-2']),
    ...((set.isAquastatUp ? few(e['aquastat.closed-ohm']) : few(e['aquastat.open-ohm']))
      ? []
      : ['aquastat']),
    ...((
      relay('zone-1') || relay('zone-2')
        ? few(e['end-heat.closed-ohm'])
        : few(e['end-heat.open-ohm'])
    )
      ? []
      : ['end-heat']),
    ...(relay('zone-dhw') && few(e['end-dhw.closed-ohm']) ? [] : ['end-dhw']),
    ...(few(e['limit.ohm']) ? [] : ['limit']),
    ...(e['system.pascal'] >= 5e4 ? [] : ['pressure-switch']),
    ...(e['drain.runs'] > 0.5 ? [] : ['drain-switch']),
    ...(signals['trial']! > 0.5 ? [] : ['gas-output']),
    ...(signals['trial']! > 0.5 && e['air-switch.closes'] > 0.5 ? [] : ['air-switch']),
  ];
  const likeliest = sequenceEnds.reduce((best, each) =>
    signals[stageSignals[each]]! > signals[stageSignals[best]]! ? each : best,
  );
  const isLit = signals['lit']! > 0.5;
  const isShown = signals['board.alive']! > 0.5 && e['display.lit'] > 0.5;
  return {
    quantity: 'voltage-ac',
    terminals: Object.fromEntries(
      namesFile.terminals.map((point) => {
        const value = has(point) ? volt(point) : 0;
        const least = isLow(point) ? liveVolt.low : liveVolt.line;
        return [
          point,
          { volt: value, live: value > least ? ('live' as const) : ('dead' as const) },
        ];
      }),
    ),
    ampere: {},
    watt: {},
    liveFeeds: isPowered ? [] : ['feed.l'],
    open,
    strapped: [],
    lifted: state.apart,
    paths: {
      'gas-in': state.controls.gasCock === 'closed' ? 'empty' : isLit ? 'flows' : 'stands',
      supply: isLit && e['primary.flow'] > 0.2 ? 'flows' : 'stands',
      flue: isLit ? 'flows' : 'empty',
    },
    symbols: {
      'zone-pump-1': pump(signals['pump.zone-1']! > 0.5, e['zone-1-pump.turns'] > 0.5),
      'zone-pump-2': pump(relay('zone-2'), true),
      'cylinder-pump': pump(signals['pump.zone-dhw']! > 0.5, e['cylinder-pump.turns'] > 0.5),
      'gas-cock': valveSymbol(
        state.controls.gasCock !== 'closed' && e['gas.static'] > 0.2,
        state.controls.gasCock ?? 'open',
      ),
      burner: isLit
        ? { look: e['gas.running'] < 0.6 ? 'weak' : 'on', words: 'burns' }
        : { look: 'off', words: 'out' },
      'lamp-1': lamp(relay('zone-1')),
      'lamp-2': lamp(relay('zone-2')),
      'lamp-dhw': lamp(relay('zone-dhw')),
      display: {
        look: isShown ? 'on' : 'off',
        words: isShown ? sequenceWords[likeliest] : 'dark',
      },
      'zone-1-call': knob(set.isZone1Up),
      'zone-2-call': knob(set.isZone2Up),
      'cylinder-call': knob(set.isAquastatUp),
    },
    power: isPowered ? 'on' : 'off',
    controls: state.controls,
    topCelsius: signals['supply.celsius']!,
    bottomCelsius: signals['return.celsius']!,
  };
}

const knob = (isUp: boolean): SymbolState => ({
  look: isUp ? 'on' : 'off',
  words: isUp ? 'calls' : 'does not call',
  position: isUp ? 'up' : 'down',
});
