import type { SignalModel } from '../kit/signal/declaration';
import type { CombiStanding } from './model';
import type { CombiPlate } from './plate';

/** Of makes, half ease off ahead of their flow limit, and half cut hard. Common practice. */
const either: readonly CombiStanding[] = [
  { share: 0.5, limit: 'cuts' },
  { share: 0.5, limit: 'eases' },
];

/** A flow temperature this far below its limit meets neither kind, in kelvin. */
const nearKelvin = 9;

/** How the limit is built, where a tap drives the flow temperature near it; anywhere else it makes no difference. */
export function situations(
  model: SignalModel<CombiPlate, CombiStanding>,
  plate: CombiPlate,
  elements: Readonly<Record<string, number>>,
): readonly CombiStanding[] {
  const at = (hotTap: string, tapSetpoint?: string) =>
    model.run({
      plate,
      elements,
      standing: { share: 1, limit: 'cuts' },
      state: {
        controls: { request: 'tap', hotTap, ...(tapSetpoint ? { tapSetpoint } : {}) },
        apart: [],
        done: [],
        known: {},
      },
    })['flow.peak']!;
  const peak = Math.max(at('open'), at('throttled', '60'));
  return peak > plate.flowLimitCelsius - nearKelvin ? either : [{ share: 1, limit: 'cuts' }];
}
