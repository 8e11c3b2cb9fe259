import type { SignalModel } from '../kit/signal/declaration';
import type { PictureState } from '../picture';
import type { GasSeen } from './looks';
import namesFile from './names.json' with { type: 'json' };
import type { GasPlate } from './plate';
import type { GasStanding } from './standing';

/** The millivolt circuit as it stands: what is fed, what is open, and how warm the tank is. */
export function drawGas(
  seen: GasSeen,
  model: SignalModel<GasPlate, GasStanding>,
): Omit<PictureState, 'suspected' | 'faults'> {
  const volts = (point: string) =>
    point === 'generator.minus'
      ? 0
      : (model.probe(seen, { between: [point, 'generator.minus'] }, 'voltage-dc') ?? 0);
  const { standing, state, elements, plate } = seen;
  const isOpen =
    plate.rollOut === 'in-lead' &&
    (elements['cutout.ohm']! > 1e6 || (standing.isTripped && !state.done.includes('cutout-reset')));
  const fed = 1e-3;
  return {
    quantity: 'voltage-dc',
    terminals: Object.fromEntries(
      namesFile.terminals.map((point) => {
        const volt = volts(point);
        return [point, { volt, live: volt > fed ? ('live' as const) : ('dead' as const) }];
      }),
    ),
    ampere: {},
    watt: {},
    liveFeeds: [],
    open: isOpen ? ['roll-out-cutout'] : [],
    strapped: [],
    lifted: state.apart,
    power: 'off',
    controls: state.controls,
    topCelsius: standing.tankCelsius,
    bottomCelsius: standing.tankCelsius,
  };
}
