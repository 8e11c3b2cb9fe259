import { waterOf, type Thermostat } from './state';
import type { ElectricalObservable } from './observable';
import type { UnitHypothesis } from './unit-hypothesis';

/** Equal for heaters whose water stands alike. */
export const waterKey = ({ situation }: UnitHypothesis): number =>
  situation.topCelsius * 1000 + situation.bottomCelsius;

/** The same reading of the circuit with the water of a hypothesis. Water that was measured stays as it was measured. */
export function inWater(
  thermostats: readonly Thermostat[],
  observable: ElectricalObservable,
  { situation: { topCelsius, bottomCelsius } }: UnitHypothesis,
): ElectricalObservable | undefined {
  if (observable.kind !== 'probe' && observable.kind !== 'clamp') return undefined;
  const supposed = Object.fromEntries(
    thermostats.map(({ id, water }) => [waterOf(id), water === 'top' ? topCelsius : bottomCelsius]),
  );
  const state = { ...observable.state, known: { ...supposed, ...observable.state.known } };
  return { ...observable, state, key: `${observable.key} in ${JSON.stringify(state.known)}` };
}
