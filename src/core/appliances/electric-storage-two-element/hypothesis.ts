import type { Hypothesis } from '../../diagnosis/model';
import { faultModes, repairOf, type FaultId, type FaultVariant } from './faults';
import { wiresOf, type ReadingState } from './observable';
import { situationsOf, temperatures, type Situation } from './situation';
import type { Plate, SwitchPositions } from './topology';

/** A hypothesis about this heater: what is broken, how, and how the unit stands because of it. */
export interface HeaterHypothesis extends Hypothesis {
  readonly fault: FaultId;
  readonly variant: FaultVariant;
  readonly situation: Situation;
  /** Equal where the circuit is equal, whatever the situation. */
  readonly variantKey: string;
}

/** Every way this heater may be, with prior weights. */
export function listHypotheses(plate: Plate): HeaterHypothesis[] {
  return faultModes.flatMap(({ id: fault, weight, variants }) =>
    variants.flatMap((variant, v) =>
      situationsOf(plate, fault, variant).map((situation, s) => ({
        id: `${fault}/${v}/${s}`,
        variantKey: `${fault}/${v}`,
        faults: fault === 'no-fault' ? [] : [fault],
        repairs: [repairOf[fault]],
        weight: weight * variant.share * situation.share,
        fault,
        variant,
        situation,
      })),
    ),
  );
}

/** Where the switches stand under a hypothesis, in a state that the technician has set. */
export function switchPositions(
  { fault, variant, situation }: Pick<HeaterHypothesis, 'fault' | 'variant' | 'situation'>,
  state: ReadingState,
): SwitchPositions {
  const noSupply =
    variant.supply === 'no-supply' || (variant.supply === 'breaker-open' && !state.breakerCycled);
  return {
    breaker: state.power === 'on' && !noSupply && !situation.breakerTrips ? 'on' : 'off',
    limit: situation.limitTripped && !state.limitReset ? 'tripped' : 'closed',
    upperThermostat: thermostat(situation.topCelsius, state.upperDial, foundDial(fault, 'upper')),
    lowerThermostat: thermostat(
      situation.bottomCelsius,
      state.lowerDial,
      foundDial(fault, 'lower'),
    ),
    lifted: wiresOf(state.lifted),
  };
}

function foundDial(fault: FaultId, which: 'upper' | 'lower'): number {
  if (fault === 'dials.low') return 38;
  return fault === 'dials.unequal' && which === 'lower' ? 38 : temperatures.usualDialCelsius;
}

function thermostat(
  waterCelsius: number,
  dial: ReadingState['upperDial'],
  foundCelsius: number,
): 'calling' | 'satisfied' {
  const setCelsius =
    dial === 'high'
      ? temperatures.highDialCelsius
      : dial === 'low'
        ? temperatures.lowDialCelsius
        : foundCelsius + 2;
  return waterCelsius > setCelsius ? 'satisfied' : 'calling';
}
