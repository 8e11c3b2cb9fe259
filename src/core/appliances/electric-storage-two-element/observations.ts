import type { Prediction } from '../../diagnosis/model';
import { solveCircuit } from '../../circuit';
import type { CheckId } from './checks';
import type { FaultId } from './faults';
import { switchPositions, type HeaterHypothesis } from './hypothesis';
import { meters } from './meters';
import type { ReadingState } from './observable';
import { buildNetlist, type Plate } from './topology';

/** What a look, a press, a wait or a tap shows under a hypothesis. Tables are common practice. */
export function predictCheck(
  check: CheckId,
  state: ReadingState,
  hypothesis: HeaterHypothesis,
  plate: Plate,
): Prediction {
  const predict = predictions[check];
  if (!predict) throw new RangeError(`"${check}" is read from the circuit, not from a table`);
  return predict(hypothesis, state, plate);
}

type Predict = (hypothesis: HeaterHypothesis, state: ReadingState, plate: Plate) => Prediction;

const outcomes = (probabilities: Record<string, number>): Prediction => ({
  kind: 'outcomes',
  probabilities,
});

const celsius = (value: number, spreadKelvin: number): Prediction => ({
  kind: 'quantity',
  meter: meters.temperature,
  value,
  gradients: [0, 0, 0],
  variance: spreadKelvin ** 2,
  floats: false,
});

const looks =
  (ofFault: (fault: FaultId) => 'open' | 'resistive' | undefined): Predict =>
  ({ fault }) => {
    const found = ofFault(fault);
    if (found === 'open') return outcomes({ sound: 0.25, loose: 0.5, scorched: 0.25 });
    if (found === 'resistive') return outcomes({ sound: 0.2, loose: 0.25, scorched: 0.55 });
    return outcomes({ sound: 0.96, loose: 0.025, scorched: 0.015 });
  };

const beeps =
  (element: 'upper-element' | 'lower-element'): Predict =>
  ({ fault }) => {
    if (fault === `${element}.open` || fault === `${element}.burst`) {
      return outcomes({ beeps: 0.04, silent: 0.96 });
    }
    return outcomes({ beeps: 0.95, silent: 0.05 });
  };

const warmTest =
  (thermostat: 'upper-thermostat' | 'lower-thermostat'): Predict =>
  ({ fault }) => {
    const mode = fault.startsWith(thermostat) ? fault.slice(thermostat.length + 1) : '';
    if (mode === 'welded' || mode === 'both-contacts-closed') {
      return outcomes({ opens: 0.04, 'stays-closed': 0.95, 'never-closed': 0.01 });
    }
    if (mode === 'never-closes' || mode === 'dead' || mode === 'stuck-down') {
      return outcomes({ opens: 0.04, 'stays-closed': 0.01, 'never-closed': 0.95 });
    }
    return outcomes({ opens: 0.96, 'stays-closed': 0.03, 'never-closed': 0.01 });
  };

const joint = /^(splice-[12]|w-.+|strap-limit)\.(open|resistive)$/;

function jointFault(fault: FaultId, splices: boolean): 'open' | 'resistive' | undefined {
  const match = joint.exec(fault);
  if (!match || match[1]!.startsWith('splice') !== splices) return undefined;
  return match[2] as 'open' | 'resistive';
}

const predictions: Partial<Record<CheckId, Predict>> = {
  'limit-reset-press': ({ fault, situation }, { limitReset }) => {
    if (fault.startsWith('limit.pole') || fault === 'limit.both-poles-open') {
      return outcomes({ clicked: 0.2, 'no-click': 0.8 });
    }
    const tripped = situation.limitTripped && !limitReset;
    return outcomes(
      tripped ? { clicked: 0.95, 'no-click': 0.05 } : { clicked: 0.04, 'no-click': 0.96 },
    );
  },
  'splices-look': looks((fault) => jointFault(fault, true)),
  'wiring-look': looks((fault) =>
    fault === 'wiring.crossed-2-4' ? 'open' : jointFault(fault, false),
  ),
  'upper-element-beep': beeps('upper-element'),
  'lower-element-beep': beeps('lower-element'),
  'upper-thermostat-warm-test': warmTest('upper-thermostat'),
  'lower-thermostat-warm-test': warmTest('lower-thermostat'),
  'breaker-recycle': ({ situation }) =>
    outcomes(situation.breakerTrips ? { holds: 0.05, trips: 0.95 } : { holds: 0.98, trips: 0.02 }),
  'recovery-after-30-min': (hypothesis, state, plate) => {
    const watt = heatingWatt(hypothesis, state, plate);
    const { topCelsius } = hypothesis.situation;
    if (watt > 1800) return outcomes({ hot: 0.8, warm: 0.17, cold: 0.03 });
    if (topCelsius > 45) return outcomes({ hot: 0.75, warm: 0.2, cold: 0.05 });
    if (watt > 250) return outcomes({ hot: 0.15, warm: 0.5, cold: 0.35 });
    return outcomes({ hot: 0.02, warm: 0.05, cold: 0.93 });
  },
  'outlet-first': ({ fault, situation }) => {
    if (fault === 'dip-tube.gone') return celsius(44, 5);
    return celsius(situation.topCelsius - 1, situation.topCelsius > 25 ? 3.5 : 3);
  },
  'outlet-after-5-min': ({ fault, situation }) => {
    const { topCelsius, bottomCelsius } = situation;
    if (fault === 'dip-tube.gone') return celsius(27, 5);
    if (fault === 'sediment') return celsius(42, 6);
    if (topCelsius < 25) return celsius(topCelsius - 1, 3);
    if (bottomCelsius < 25) return celsius(32, 8);
    return celsius(Math.min(topCelsius, bottomCelsius + 4) - 2, 4);
  },
  'dials-look': ({ fault }) => {
    if (fault === 'dials.low') return outcomes({ equal: 0.05, unequal: 0.1, low: 0.85 });
    if (fault === 'dials.unequal') return outcomes({ equal: 0.05, unequal: 0.9, low: 0.05 });
    return outcomes({ equal: 0.85, unequal: 0.12, low: 0.03 });
  },
  'other-outlet': ({ fault }) =>
    fault === 'demand'
      ? outcomes({ 'same-everywhere': 0.5, 'hot-elsewhere': 0.5 })
      : fault === 'no-fault'
        ? outcomes({ 'same-everywhere': 0.4, 'hot-elsewhere': 0.6 })
        : outcomes({ 'same-everywhere': 0.96, 'hot-elsewhere': 0.04 }),
  'use-look': ({ fault }) =>
    fault === 'demand'
      ? outcomes({ usual: 0.15, outsized: 0.85 })
      : outcomes({ usual: 0.94, outsized: 0.06 }),
  'flush-look': ({ fault }) =>
    fault === 'sediment'
      ? outcomes({ clear: 0.1, grit: 0.9 })
      : outcomes({ clear: 0.88, grit: 0.12 }),
  'dip-tube-look': ({ fault }) =>
    fault === 'dip-tube.gone'
      ? outcomes({ sound: 0.03, gone: 0.97 })
      : outcomes({ sound: 0.98, gone: 0.02 }),
};

/** Heat that goes into the water with the power on, in watts, from the circuit. */
function heatingWatt(hypothesis: HeaterHypothesis, state: ReadingState, plate: Plate): number {
  const switches = switchPositions(hypothesis, { ...state, power: 'on', lifted: [] });
  const circuit = solveCircuit(buildNetlist(plate, hypothesis.variant.changes, switches));
  return [
    'upper-element.a-half',
    'upper-element.b-half',
    'lower-element.a-half',
    'lower-element.b-half',
  ]
    .map((branch) => circuit.powerIn(branch))
    .reduce((sum, each) => sum + each, 0);
}
