import { solveOhms, type SolvedCircuit } from '../../circuit';
import {
  branchOhms,
  ohmsWith,
  openBranches,
  type BranchOhms,
  type OpenBranches,
  type SwitchPositions,
} from './circuit-of';
import type { ElectricalDeclaration } from './declaration';
import type { UnitHypothesis } from './unit-hypothesis';
import type { UnitView } from './observation';
import type { Plate } from './plate';
import { plateCircuit } from './plate-circuit';
import { waterView } from './water';
import { isDone, wiresOf, type UnitState } from '../kit/unit-state';
import {
  breakerCycled,
  dialOf,
  isLimitHeldOpen,
  isPowered,
  readDialOf,
  resetPressed,
  waterOf,
} from './state';

/** The same with what the model needs to go through thousands of hypotheses fast. */
export interface FastUnitView extends UnitView {
  readonly ohmsOf: (hypothesis: UnitHypothesis) => BranchOhms;
  /** The switches in the position of a code, with the wires of the state lifted. */
  opener(state: UnitState): (code: number) => OpenBranches;
  /** Good until it is called again. */
  solveOpen(ohms: BranchOhms, open: OpenBranches): SolvedCircuit;
}

export function unitView(declaration: ElectricalDeclaration, plate: Plate): FastUnitView {
  const circuit = plateCircuit(declaration, plate);
  const ohms: BranchOhms[] = [];
  const ohmsOf = ({ circuit, changes }: UnitHypothesis): BranchOhms =>
    // A good unit that is none of the hypotheses has the number before the first.
    (ohms[circuit + 1] ??= branchOhms(declaration, plate, changes));
  const halves = declaration.elements.map(({ id }) =>
    declaration.branches.filter((each) => each.element === id).map((each) => each.id),
  );
  const solveAgain = circuit.solver();
  const room = new Float64Array(declaration.branches.length);
  const solveOpen = (base: BranchOhms, open: OpenBranches) =>
    solveAgain(ohmsWith(base, open, room));
  const solve = (hypothesis: UnitHypothesis, state: UnitState) => {
    const positions = switchPositions(declaration, hypothesis, state);
    const open = openBranches(declaration, plate, positions);
    return solveOhms(ohmsWith(ohmsOf(hypothesis), open), circuit.sources, circuit.numbering);
  };
  const callingOpen: OpenBranches[] = [];
  const known: (readonly number[])[] = [];
  function wattsOf(hypothesis: UnitHypothesis, calling: number): readonly number[] {
    const key = (hypothesis.circuit + 1) * 2 ** mostThermostats + calling;
    return (known[key] ??= wattsAnew(hypothesis, calling));
  }
  function wattsAnew(hypothesis: UnitHypothesis, calling: number): readonly number[] {
    const open = (callingOpen[calling] ??= openBranches(declaration, plate, {
      breaker: 'on',
      limit: 'closed',
      thermostats: Object.fromEntries(
        declaration.thermostats.map(({ id }, k) => [
          id,
          calling & (1 << k) ? ('calling' as const) : ('satisfied' as const),
        ]),
      ),
      lifted: [],
    }));
    const solved = solveOpen(ohmsOf(hypothesis), open);
    return halves.map((ids) => ids.reduce((sum, id) => sum + solved.powerIn(id), 0));
  }
  return {
    plate,
    solve,
    water: waterView(declaration, plate, wattsOf),
    ohmsOf,
    opener(state) {
      const found: OpenBranches[] = [];
      const lifted = wiresOf(state.apart);
      return (code) =>
        (found[code] ??= openBranches(declaration, plate, positionsOf(declaration, code, lifted)));
    },
    solveOpen,
  };
}

/** Thermostats that a switch code of 8 bits has room for, beside breaker and limit; and how many codes there are. */
export const mostThermostats = 6;
export const switchCodes = 256;

/**
 * A number for each hypothesis: whether it is powered, its limit open, and each thermostat satisfied, which it is where the
 * water that it feels is warmer than its dial; measured water overrules supposed water. It is equal where the switches stand the same in the given state: what goes through thousands
 * of hypotheses for every check reads flat arrays.
 */
export function switchCoder(
  declaration: ElectricalDeclaration,
  hypotheses: readonly UnitHypothesis[],
): (state: UnitState) => Uint8Array {
  const { thermostats, dialCelsius } = declaration;
  const flags = Uint8Array.from(
    hypotheses,
    ({ supply, situation }) =>
      (supply === 'no-supply' || situation.trips ? 1 : 0) |
      (supply === 'breaker-open' ? 2 : 0) |
      (situation.limitTripped ? 4 : 0),
  );
  const felt = thermostats.map(({ water }) =>
    Float64Array.from(hypotheses, ({ situation }) =>
      water === 'top' ? situation.topCelsius : situation.bottomCelsius,
    ),
  );
  const found = thermostats.map(({ id }) =>
    Float64Array.from(hypotheses, (each) => each.dialCelsius[id] ?? dialCelsius.usual),
  );
  return (state) => {
    const codes = new Uint8Array(hypotheses.length);
    const blocking = !isPowered(state) ? -1 : isDone(state, breakerCycled) ? 1 : 3;
    const isHeldOpen = isLimitHeldOpen(state);
    const isReset = isDone(state, resetPressed);
    for (let h = 0; h < codes.length; h++) {
      const isPowered = blocking !== -1 && (flags[h]! & blocking) === 0;
      const isOpen = isHeldOpen || ((flags[h]! & 4) !== 0 && !isReset);
      codes[h] = (isPowered ? 1 : 0) | (isOpen ? 2 : 0);
    }
    thermostats.forEach((each, t) => {
      const dial = dialOf(state, each);
      const measured = state.known[waterOf(each.id)];
      const read = state.known[readDialOf(each.id)];
      for (let h = 0; h < codes.length; h++) {
        const set = dial === 'found' ? (read ?? found[t]![h]!) + differential : dialCelsius[dial];
        if ((measured ?? felt[t]![h]!) > set) codes[h]! |= 4 << t;
      }
    });
    return codes;
  };
}

/** As found, a heated tank stands within its differential of the dial, still calling; in kelvin. */
const differential = 2;

/** Where the switches stand under a hypothesis, in a state that the technician has set. */
export const switchPositions = (
  declaration: ElectricalDeclaration,
  hypothesis: UnitHypothesis,
  state: UnitState,
): SwitchPositions =>
  positionsOf(declaration, switchCoder(declaration, [hypothesis])(state)[0]!, wiresOf(state.apart));

const positionsOf = (
  { thermostats }: Pick<ElectricalDeclaration, 'thermostats'>,
  code: number,
  lifted: readonly string[],
): SwitchPositions => ({
  breaker: code & 1 ? 'on' : 'off',
  limit: code & 2 ? 'tripped' : 'closed',
  thermostats: Object.fromEntries(
    thermostats.map(({ id }, k) => [
      id,
      code & (4 << k) ? ('satisfied' as const) : ('calling' as const),
    ]),
  ),
  lifted,
});
