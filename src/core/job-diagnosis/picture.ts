import { solveCircuit } from '../circuit';
import {
  branches,
  buildNetlist,
  listHypotheses,
  readingState,
  switchPositions,
} from '../appliances/electric-storage-two-element';
import type { OpenDiagnosis } from './diagnose';

/** What the wiring picture shows of the unit as it stands, under the likeliest hypothesis. */
export interface PictureState {
  /** Terminals that would shock: fed straight from the supply, or back through an element. */
  readonly live: readonly string[];
  readonly fedBack: readonly string[];
  /** Switch contacts that stand open. */
  readonly open: readonly string[];
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  /** Parts that the leading suspect would have broken, by fault id. */
  readonly suspected?: string;
}

/** Above this a terminal is drawn live, in volts to earth. */
const liveVolt = 30;
/** A terminal fed through more than this is fed back through an element, in ohms. */
const fedBackOhm = 3;

export function pictureOf(open: OpenDiagnosis): PictureState {
  const { belief, family, plate, state } = open;
  const likeliest = belief.byHypothesis.reduce(
    (best, each, h) => (each > belief.byHypothesis[best]! ? h : best),
    0,
  );
  const repaired = family.model.afterRepairs(likeliest, state.repairsDone);
  const hypothesis = listHypotheses(plate)[repaired]!;
  const switches = switchPositions(hypothesis, readingState(state));
  const circuit = solveCircuit(buildNetlist(plate, hypothesis.variant.changes, switches));
  const terminals = [...new Set(branches.flatMap((each) => [each.from, each.to]))].filter(
    (each) => each !== 'earth' && !each.includes('middle'),
  );
  const hot = terminals.filter((each) => Math.abs(circuit.voltageAt(each)) > liveVolt);
  const fedBack = hot.filter((each) => circuit.probeResistance(each, 'earth').value > fedBackOhm);
  return {
    live: hot.filter((each) => !fedBack.includes(each)),
    fedBack,
    open: [
      ...(switches.limit === 'tripped' ? ['limit-pole-1', 'limit-pole-2'] : []),
      ...(switches.breaker === 'off' ? ['breaker-1', 'breaker-2'] : []),
      switches.upperThermostat === 'calling' ? 'changeover-contact' : 'upper-contact',
      ...(switches.lowerThermostat === 'satisfied' ? ['lower-contact'] : []),
    ],
    topCelsius: hypothesis.situation.topCelsius,
    bottomCelsius: hypothesis.situation.bottomCelsius,
    suspected: state.repairsDone.length > 0 ? undefined : hypothesis.fault,
  };
}
