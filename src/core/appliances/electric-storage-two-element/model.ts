import { numberNodes, solveCircuit, type Numbering, type SolvedCircuit } from '../../circuit';
import type {
  FamilyModel,
  MeterModel,
  QuantityPrediction,
  SharedUnknown,
} from '../../diagnosis/model';
import { predictAnswer } from './complaint';
import { repairOf, type FaultVariant } from './faults';
import { listHypotheses, switchPositions, type HeaterHypothesis } from './hypothesis';
import { floatingOhm, meterInputOhm, meters, usualLeadOhm } from './meters';
import type { CircuitObservable, HeaterObservable } from './observable';
import { predictCheck } from './observations';
import {
  branches,
  buildNetlist,
  crossedTwin,
  indexOfBranch,
  type Plate,
  type SwitchPositions,
} from './topology';

/** Mean and spread of an element's true ohms over nominal, natural logarithm. Common practice. */
const elementRatio = { mean: 0.02, spread: 0.042 };
/** Spread of the supply voltage over nominal, natural logarithm. */
const supplySpread = 0.025;
export interface HeaterModel extends FamilyModel<HeaterObservable> {
  readonly hypotheses: readonly HeaterHypothesis[];
}

/**
 * The two-element heater as the engine sees it, for one rating plate.
 * @throws RangeError for a plate without volts or watts.
 */
export function heaterModel(plate: Plate): HeaterModel {
  for (const each of [plate.ratedVolt, plate.upperWatt, plate.lowerWatt, plate.nominalVolt]) {
    if (!(each > 0)) throw new RangeError('a plate needs volts and watts above zero');
  }
  const hypotheses = listHypotheses(plate);
  const healthyIndex = hypotheses.findIndex((each) => each.fault === 'no-fault');
  const solved = new Map<string, SolvedCircuit>();
  // One topology serves every fault and every switch position.
  let numbering: Numbering | undefined;

  const solve = (hypothesis: HeaterHypothesis, switches: SwitchPositions): SolvedCircuit => {
    const key = `${hypothesis.variantKey} ${switchKey(switches)}`;
    let found = solved.get(key);
    if (!found) {
      const netlist = buildNetlist(plate, hypothesis.variant.changes, switches);
      numbering ??= numberNodes(netlist);
      found = solveCircuit(netlist, numbering);
      solved.set(key, found);
    }
    return found;
  };

  const values = new Map<string, BranchValues>();
  const valuesOf = ({ variantKey, variant }: HeaterHypothesis): BranchValues => {
    let found = values.get(variantKey);
    if (!found) {
      found = branchValues(plate, variant);
      values.set(variantKey, found);
    }
    return found;
  };

  return {
    hypotheses,
    unknowns,
    repairOf,
    healthyIndex,
    predict(index, observable) {
      const hypothesis = hypotheses[index]!;
      if (observable.kind === 'question') return predictAnswer(observable.question, hypothesis);
      if (observable.kind === 'check') {
        return predictCheck(observable.check, observable.state, hypothesis, plate);
      }
      const switches = switchPositions(hypothesis, observable.state);
      return predictCircuit(valuesOf(hypothesis), solve(hypothesis, switches), observable);
    },
    afterRepairs: (index, repairs) =>
      repairs.includes(repairOf[hypotheses[index]!.fault]) ? healthyIndex : index,
  };
}

const switchKey = (switches: SwitchPositions) =>
  [
    switches.breaker,
    switches.limit,
    switches.upperThermostat,
    switches.lowerThermostat,
    ...[...switches.lifted].sort(),
  ].join(' ');

/** Standard normal grid points with shares in proportion to the density; the last is the spread left inside a cell. */
const grid5 = {
  at: [-1.8, -0.9, 0, 0.9, 1.8],
  shares: [0.073, 0.244, 0.366, 0.244, 0.073],
  within: 0.26,
};
const grid3 = { at: [-1.22, 0, 1.22], shares: [0.29, 0.42, 0.29], within: 0.35 };

function gridOf(
  id: string,
  mean: number,
  spread: number,
  { at, shares }: { at: readonly number[]; shares: readonly number[] },
): SharedUnknown {
  return {
    id,
    points: at.map((z, index) => ({ logRatio: mean + spread * z, share: shares[index]! })),
  };
}

const unknowns: readonly SharedUnknown[] = [
  gridOf('upper-element-ohm', elementRatio.mean, elementRatio.spread, grid5),
  gridOf('lower-element-ohm', elementRatio.mean, elementRatio.spread, grid5),
  gridOf('supply-volt', 0, supplySpread, grid3),
];

const sharedBranches = ['upper-element', 'lower-element'].map(
  (element) => [indexOfBranch(`${element}.a-half`), indexOfBranch(`${element}.b-half`)] as const,
);

function predictCircuit(
  values: BranchValues,
  circuit: SolvedCircuit,
  observable: CircuitObservable,
): QuantityPrediction {
  if (observable.kind === 'clamp') {
    const probe = circuit.probeCurrent(carrying(circuit, observable.wire));
    const sign = probe.value < 0 ? -1 : 1;
    const { gradients, variance } = propagate(values, probe.sensitivity, sign, 1);
    const value = Math.abs(probe.value);
    return quantity(meters['current-ac'], value, [...gradients, value], variance, false);
  }
  const { from, to } = observable;
  const seen = circuit.probeResistance(from, to);
  if (observable.quantity === 'resistance') {
    const { gradients, variance } = propagate(values, seen.sensitivity, 1, 1);
    return quantity(
      meters.resistance,
      Math.max(0, seen.value) + usualLeadOhm,
      [...gradients, 0],
      variance,
      false,
    );
  }
  const open = circuit.probeVoltage(from, to);
  const loading = meterInputOhm / (meterInputOhm + Math.max(0, seen.value));
  const sign = open.value < 0 ? -1 : 1;
  const { gradients, variance } = propagate(values, open.sensitivity, sign, loading);
  const value = Math.abs(open.value) * loading;
  const floats = seen.value > floatingOhm && observable.state.power === 'on' && value > 1;
  return quantity(meters['voltage-ac'], value, [...gradients, value], variance, floats);
}

/** A clamp on a wire sees the wire that is there: after crossed wires, the crossed one. */
function carrying(circuit: SolvedCircuit, wire: string): string {
  const twin = crossedTwin[wire];
  if (!twin) return wire;
  return Math.abs(circuit.currentThrough(twin)) > Math.abs(circuit.currentThrough(wire))
    ? twin
    : wire;
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

/** What a variant's branches are worth and how far their true values may lie from it, branch by branch. */
interface BranchValues {
  readonly ohm: Float64Array;
  /** Spread of the natural logarithm; 0 for a branch that adds none. */
  readonly spread: Float64Array;
}

function branchValues(plate: Plate, { changes, spread }: FaultVariant): BranchValues {
  return {
    ohm: Float64Array.from(branches, ({ id, ohm }) => {
      const change = changes[id];
      if (change === 'open') return 0;
      if (change === undefined || change === 'closed') return ohm(plate);
      return 'ohm' in change ? change.ohm : ohm(plate) * change.factor;
    }),
    spread: Float64Array.from(
      branches,
      ({ id, tolerance }) => spread?.[id] ?? (changes[id] === undefined ? tolerance : 0),
    ),
  };
}

/** Splits the sensitivities into what the shared unknowns carry and what is each branch's own spread. */
function propagate(
  { ohm, spread }: BranchValues,
  sensitivity: (branch: number) => number,
  sign: number,
  scale: number,
): { gradients: number[]; variance: number } {
  const perLog = (index: number): number => ohm[index]! * sensitivity(index) * sign * scale;
  const gradients = sharedBranches.map(([a, b]) => perLog(a) + perLog(b));
  let variance = 0;
  for (let index = 0; index < spread.length; index++) {
    if (spread[index]! > 0) variance += (spread[index]! * perLog(index)) ** 2;
  }
  for (const gradient of gradients) {
    variance += (gradient * elementRatio.spread * grid5.within) ** 2;
  }
  return { gradients: gradients.map((each) => (Math.abs(each) < 1e-6 ? 0 : each)), variance };
}
