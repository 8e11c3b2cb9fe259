import type { SolvedCircuit } from '../../circuit';
import type {
  FamilyModel,
  MeterModel,
  Prediction,
  QuantityPrediction,
  SharedUnknown,
} from '../../diagnosis/model';
import type { BranchOhms } from './circuit-of';
import { dangersOf, usualDangerMinutes } from './dangers';
import type { ElectricalDeclaration } from './declaration';
import { heaterHypotheses } from './hypotheses';
import type { UnitHypothesis } from './unit-hypothesis';
import { logPredictor } from '../kit/logged-water';
import { floatingOhm, meterInputOhm, meters, usualLeadOhm } from '../kit/meters';
import type { CircuitObservable, ElectricalObservable } from './observable';
import type { FamilyParameters } from '../kit/parameters';
import type { Plate } from './plate';
import { isPowered } from './state';
import { unlistedRepairId } from '../kit/unlisted-repair';
import { repairOfFault, unlistedShare } from './unlisted';
import { mostThermostats, switchCoder, switchCodes, unitView } from './unit-view';

export interface ElectricalModel extends FamilyModel<ElectricalObservable> {
  readonly hypotheses: readonly UnitHypothesis[];
}

/**
 * A family of electric heaters as the engine sees it, for one rating plate and one set of parameters.
 * @throws RangeError for a plate without volts or watts.
 */
export function electricalModel(
  declaration: ElectricalDeclaration,
  plate: Plate,
  parameters: FamilyParameters,
): ElectricalModel {
  for (const each of [plate.ratedVolt, plate.nominalVolt, ...Object.values(plate.elementWatt)]) {
    if (!(each > 0)) throw new RangeError('a plate needs volts and watts above zero');
  }
  if (declaration.thermostats.length > mostThermostats) {
    throw new RangeError(`at most ${mostThermostats} thermostats are told apart`);
  }
  const hypotheses = heaterHypotheses(declaration, plate, parameters);
  const byFaults = new Map<string, number[]>();
  hypotheses.forEach(({ faults }, index) => {
    const key = faults.join(' ');
    byFaults.set(key, [...(byFaults.get(key) ?? []), index]);
  });
  const healthy = byFaults.get('')!;
  const healthyIndex = healthy[0]!;
  const view = unitView(declaration, plate);
  const codesIn = switchCoder(declaration, hypotheses);
  const circuitOf = Uint32Array.from(hypotheses, (each) => each.circuit);
  const spreads = branchSpreads(declaration);
  const elements = declaration.elements.map(({ id }) => id);
  const sharedOf = declaration.branches.map(({ element }) =>
    element === undefined ? -1 : elements.indexOf(element as (typeof elements)[number]),
  );
  const predictCircuit = circuitPredictor(declaration, sharedOf, elements.length);

  return {
    hypotheses,
    unknowns: unknownsOf(declaration, parameters),
    repairOf: Object.fromEntries(
      hypotheses.flatMap(({ faults }) =>
        faults.map((each) => [each, repairOfFault(declaration, each)] as const),
      ),
    ),
    healthyIndex,
    unlisted: { share: (parameters.unlistedShare ?? unlistedShare) / 2, repair: unlistedRepairId },
    statesAfterRepairs: (observable) =>
      observable?.kind === 'probe' || observable?.kind === 'clamp' ? atOnce : onceItIsHot,
    repairFails: parameters.repairFails ?? repairFails,
    dangers: dangersOf(declaration, plate, hypotheses, {
      ...usualDangerMinutes,
      ...parameters.dangerMinutes,
    }),
    predictor(observable) {
      if (observable.kind === 'question') {
        const answers = declaration.answers[observable.question]!;
        const { values } = declaration.questions[observable.question]!;
        return (index) => ({
          kind: 'outcomes',
          probabilities: spreadOver(values, answers(hypotheses[index]!, plate, view)),
        });
      }
      const { state } = observable;
      if (observable.kind === 'log') {
        return logPredictor(
          hypotheses.length,
          (index) => view.water.logTank(hypotheses[index]!, state),
          observable.log,
        );
      }
      if (observable.kind === 'check') {
        const observation = declaration.observations[observable.check];
        if (!observation)
          throw new RangeError(`"${observable.check}" is read from the circuit, not from a table`);
        return typeof observation === 'function'
          ? (index) => observation(hypotheses[index]!)
          : (index) => observation.predict(hypotheses[index]!, state, view);
      }
      const open = view.opener(state);
      const codes = codesIn(state);
      const found = new Map<number, QuantityPrediction>();
      return (index) => {
        const key = circuitOf[index]! * switchCodes + codes[index]!;
        let prediction = found.get(key);
        if (!prediction) {
          const hypothesis = hypotheses[index]!;
          const ohms = view.ohmsOf(hypothesis);
          const solved = view.solveOpen(ohms, open(codes[index]!));
          prediction = predictCircuit(solved, ohms, spreads(hypothesis), observable);
          found.set(key, prediction);
        }
        return prediction;
      };
    },
    afterRepairs(index, repairs) {
      const { faults, situation } = hypotheses[index]!;
      const left = faults.filter((fault) => !repairs.includes(repairOfFault(declaration, fault)));
      // A good unit is filled anew, then warms up from the top: it may stand in any water that a good one has.
      if (left.length === 0) return healthy;
      if (left.length === faults.length) return [index];
      const candidates = byFaults.get(left.join(' ')) ?? healthy;
      // The likeliest way for what remains, standing as the unit stood.
      const best = candidates.reduce((best, each) =>
        sameStanding(hypotheses[each]!, situation) > sameStanding(hypotheses[best]!, situation)
          ? each
          : best,
      );
      return [best];
    },
  };
}

/**
 * Shares of looks after a repair that find the tank hot, half hot, and cold as it was filled: a meter is put on at once, a tap
 * is opened when there should be hot water. Common practice.
 */
const atOnce = [0.65, 0.1, 0.25];
const onceItIsHot = [0.9, 0.05, 0.05];

/** One repair in sixty does not end its fault: a new part that is bad, a wire on the wrong screw. Common practice. */
const repairFails = 1 / 60;

const sameStanding = ({ situation, weight }: UnitHypothesis, other: UnitHypothesis['situation']) =>
  (situation.limitTripped === other.limitTripped && situation.trips === other.trips ? 1e6 : 0) +
  weight;

/** What the table names keeps its share; the rest is spread evenly over what it does not name. */
function spreadOver(
  values: readonly string[],
  named: Readonly<Record<string, number>>,
): Record<string, number> {
  let sum = 0;
  for (const value in named) sum += named[value]!;
  let unnamed = 0;
  for (const value of values) if (named[value] === undefined) unnamed += 1;
  const rest = unnamed > 0 ? Math.max(0, 1 - sum) / unnamed : 0;
  const shares: Record<string, number> = {};
  for (const value of values) shares[value] = named[value] ?? rest;
  return shares;
}

/** Standard normal grid points with shares in proportion to the density; `within` is the spread left inside a cell. */
const fivePoints = {
  at: [-1.8, -0.9, 0, 0.9, 1.8],
  shares: [0.073, 0.244, 0.366, 0.244, 0.073],
  within: 0.26,
};
const threePoints = { at: [-1.22, 0, 1.22], shares: [0.29, 0.42, 0.29], within: 0.35 };
const onePoint = { at: [0], shares: [1], within: 1 };

function unknownsOf(
  { elements }: ElectricalDeclaration,
  { values }: FamilyParameters,
): SharedUnknown[] {
  const { elementLogMean = 0, elementLogSpread = 0, supplyLogSpread = 0 } = values;
  const grid = (
    mean: number,
    spread: number,
    { at, shares, within }: { at: readonly number[]; shares: readonly number[]; within: number },
  ) => ({
    points: at.map((z, index) => ({ logRatio: mean + spread * z, share: shares[index]! })),
    within: spread * within,
  });
  return [
    ...elements.map(({ part }) => ({
      id: `${part}-ohm`,
      fine: grid(elementLogMean, elementLogSpread, fivePoints),
      coarse: grid(elementLogMean, elementLogSpread, threePoints),
    })),
    {
      id: 'supply-volt',
      fine: grid(0, supplyLogSpread, threePoints),
      coarse: grid(0, supplyLogSpread, onePoint),
    },
  ];
}

/** Spread of every branch's own value, natural logarithm; 0 for a branch that a fault has fixed. */
function branchSpreads({ branches }: ElectricalDeclaration) {
  const byCircuit = new Map<number, Float64Array>();
  return ({ circuit, changes, spread }: UnitHypothesis): Float64Array => {
    let found = byCircuit.get(circuit);
    if (!found) {
      found = Float64Array.from(
        branches,
        ({ id, tolerance }) => spread[id] ?? (changes[id] === undefined ? tolerance : 0),
      );
      byCircuit.set(circuit, found);
    }
    return found;
  };
}

function circuitPredictor(
  { twins }: ElectricalDeclaration,
  sharedOf: readonly number[],
  elementCount: number,
) {
  /** Splits the sensitivities into what the shared unknowns carry and what is each branch's own spread. */
  const propagate = (
    { closed }: BranchOhms,
    spread: Float64Array,
    sensitivity: (branch: number) => number,
    scale: number,
  ): { gradients: number[]; variance: number } => {
    const gradients = new Array<number>(elementCount).fill(0);
    let variance = 0;
    for (let branch = 0; branch < spread.length; branch++) {
      const shared = sharedOf[branch]!;
      const own = spread[branch]!;
      if (shared < 0 && own === 0) continue;
      // An open path has no spread that a meter could show.
      if (closed[branch]! > 1e8) continue;
      const perLog = closed[branch]! * sensitivity(branch) * scale;
      if (shared >= 0) gradients[shared]! += perLog;
      variance += (own * perLog) ** 2;
    }
    return { gradients: gradients.map((each) => (Math.abs(each) < 1e-6 ? 0 : each)), variance };
  };

  return (
    circuit: SolvedCircuit,
    ohms: BranchOhms,
    spread: Float64Array,
    observable: CircuitObservable,
  ): QuantityPrediction => {
    if (observable.kind === 'clamp') {
      const { value, sensitivity } = clamped(circuit, observable.wires, twins);
      const { gradients, variance } = propagate(ohms, spread, sensitivity, 1);
      return quantity(meters['current-ac'], value, [...gradients, value], variance, false);
    }
    const { from, to } = observable;
    const seen = circuit.probeResistance(from, to);
    if (observable.quantity === 'resistance') {
      const { gradients, variance } = propagate(ohms, spread, seen.sensitivity, 1);
      const value = Math.max(0, seen.value) + usualLeadOhm;
      return quantity(meters.resistance, value, [...gradients, 0], variance, false);
    }
    const open = circuit.probeVoltage(from, to);
    const loading = meterInputOhm / (meterInputOhm + Math.max(0, seen.value));
    const { gradients, variance } = propagate(ohms, spread, open.sensitivity, loading);
    const value = open.value * loading;
    const floats = seen.value > floatingOhm && isPowered(observable.state) && value > 1;
    return quantity(meters['voltage-ac'], value, [...gradients, value], variance, floats);
  };
}

/** A clamp sees the wire that is there: after crossed wires, the crossed one. Round several wires, their sum. */
function clamped(
  circuit: SolvedCircuit,
  wires: readonly string[],
  twins: ElectricalDeclaration['twins'],
): { value: number; sensitivity(branch: number): number } {
  const carrying = wires.map((wire) => {
    const twin = twins[wire];
    return twin && circuit.currentThrough(twin) > circuit.currentThrough(wire) ? twin : wire;
  });
  if (carrying.length === 1) return circuit.probeCurrent(carrying[0]!);
  // Both wires of one element in the jaws: what goes in comes out, and only what leaks to earth is left.
  const phasors = carrying.map((wire) => circuit.phasorThrough(wire));
  const sum = (part: 'inPhase' | 'quadrature') =>
    phasors.reduce((total, each) => total + each[part], 0);
  return { value: Math.hypot(sum('inPhase'), sum('quadrature')), sensitivity: () => 0 };
}

function quantity(
  meter: MeterModel,
  value: number,
  gradients: readonly number[],
  variance: number,
  floats: boolean,
): QuantityPrediction {
  return { kind: 'quantity', meter, value, gradients, variance, floats };
}

export const outcomes = (probabilities: Record<string, number>): Prediction => ({
  kind: 'outcomes',
  probabilities,
});

/** How much the cold feed differs from house to house and over a year, in kelvin. Common practice. */
export const coldSpread = 6;

/** A water temperature with its spread. */
export const celsius = (value: number, spreadKelvin: number): QuantityPrediction =>
  quantity(meters.temperature, value, [], spreadKelvin ** 2, false);
