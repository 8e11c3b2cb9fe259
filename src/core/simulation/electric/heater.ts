import {
  buildNetlist,
  type BranchChange,
  type SwitchPositions,
} from '../../appliances/electrical/circuit-of';
import type { Plate } from '../../appliances/electrical/plate';
import { isDone, type UnitState } from '../../appliances/kit/unit-state';
import { breakerCycled, dialOf, isPowered, resetPressed } from '../../appliances/electrical/state';
import { solveCircuit, type SolvedCircuit } from '../../circuit';
import { read } from './instruments';
import { simulationNumbers as numbers } from './numbers';
import type { Random } from '../random';
import type {
  SimulatedAnswer,
  SimulatedFamily,
  SimulatedUnit,
  SimulationOptions,
} from '../simulated-family';
import type { HeaterFault, SimulatedHeater, Water } from './simulated-heater';

/** A family of simulated heaters, each answering any check from its circuit, with its own continuous values. */
export const simulatedHeaters = (heater: SimulatedHeater): SimulatedFamily => ({
  names: heater.names,
  weights: heater.weights,
  strangeFaults: heater.strangeFaults,
  simulate: (plate, random, options) => simulateHeater(heater, plate as Plate, random, options),
});

function simulateHeater(
  family: SimulatedHeater,
  plate: Plate,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions = {},
): SimulatedUnit {
  const drawn = (faults ?? drawFaults(family, twoFaults, random)).map((id): HeaterFault => {
    const repair = family.names.faults[id] ?? family.strangeFaults[id];
    if (repair === undefined) throw new RangeError(`no fault is named "${id}"`);
    return { id, repair, ...family.drawFault(id, random) };
  });
  const ratios = Object.fromEntries(
    family.elements.map(({ part }) => [part, 1 / (1 + random.between(numbers.elementPower))]),
  );
  const leadOhm = random.between(numbers.leadOhm);
  const beepOhm = random.between(numbers.beepOhm);
  const truePlate: Plate = {
    ...plate,
    nominalVolt: plate.nominalVolt * (1 + random.between(numbers.supplyVolt)),
  };
  let standing: readonly HeaterFault[] = drawn;
  const changesNow = () => trueChanges(standing, ratios);
  const solve = (positions: SwitchPositions): SolvedCircuit =>
    solveCircuit(buildNetlist(family.topology, truePlate, changesNow(), positions));
  const watt = (circuit: SolvedCircuit, element: string) =>
    family.topology.branches
      .filter((each) => each.element === element)
      .reduce((sum, each) => sum + circuit.powerIn(each.id), 0);
  const settle = () => settled(family, truePlate, standing, solve, watt, random);
  let water = settle();

  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: family.complain(new Set(drawn.map((each) => each.id)), water, random),
    settings: () =>
      Object.fromEntries(
        family.thermostats.map(({ id, setting }) => [setting, water.dialCelsius[id] ?? 50]),
      ),
    repair(repairs) {
      const left = standing.filter((each) => !repairs.includes(each.repair));
      if (left.length === standing.length) return;
      standing = left;
      // Proved once it has heated: refilled, reset, and back at its dials, as far as what is left lets it.
      water = left.some(({ id }) => id !== 'no-fault') ? settle() : family.mended;
    },
    answer(check, state) {
      const names = family.names.checks[check]!;
      const circuit = solve(positionsNow(family, standing, water, state));
      const looked = () => ({
        faults: new Set(standing.map((each) => each.id)),
        details: standing,
        water,
        state,
        circuit,
        beepOhm,
        heatingWatt: family.elements.reduce((sum, { id }) => sum + watt(circuit, id), 0),
      });
      if (names.kind === 'observation') {
        return { kind: 'outcome', outcome: family.look(check, looked(), random) };
      }
      if (random.chance(wrongReadings)) return slip(names.quantity, random);
      if (names.quantity === 'temperature') {
        return read('temperature', family.outlet(check, looked(), random), random);
      }
      if (names.around) {
        const twin = family.topology.twins[names.around];
        const ampere = Math.max(
          circuit.currentThrough(names.around),
          twin ? circuit.currentThrough(twin) : 0,
        );
        return read('current-ac', ampere, random);
      }
      const [from, to] = names.between!;
      if (names.quantity === 'resistance') {
        const seen = circuit.probeResistance(from, to).value;
        return seen > 20e6 ? { kind: 'over-range' } : read('resistance', seen + leadOhm, random);
      }
      return { kind: 'number', value: voltsAt(circuit, from, to, random) };
    },
    volts([from, to], state) {
      const circuit = solve(positionsNow(family, standing, water, state));
      const seen = circuit.probeResistance(from, to).value;
      const loaded = numbers.proverOhm / (numbers.proverOhm + seen);
      return read('voltage-ac', circuit.probeVoltage(from, to).value * loaded, random).value;
    },
  };
}

/** As a digital meter of 10 MΩ shows it; what hangs free picks something up. */
function voltsAt(circuit: SolvedCircuit, from: string, to: string, random: Random): number {
  const seen = circuit.probeResistance(from, to).value;
  const open = circuit.probeVoltage(from, to).value;
  if (seen > 150e3 && open > 1) return Math.round(random.next() * numbers.phantomVolt);
  return read('voltage-ac', (open * 10e6) / (10e6 + seen), random).value;
}

/** One fault, or now and then two of different parts. */
function drawFaults(family: SimulatedHeater, twoFaults: number, random: Random): string[] {
  if (!random.chance(twoFaults)) return [random.pick(family.weights)];
  const real = family.weights.filter(([id]) => id !== 'no-fault');
  const part = (id: string) => id.split('.')[0]!;
  const pairs = real.flatMap(([one, weight], k) =>
    real
      .slice(k + 1)
      .filter(([other]) => part(other) !== part(one))
      .map(
        ([other, otherWeight]) =>
          [[one, other], weight * otherWeight * family.together(part(one), part(other))] as const,
      ),
  );
  return [...random.pick(pairs)];
}

function settled(
  family: SimulatedHeater,
  plate: Plate,
  faults: readonly HeaterFault[],
  solve: (positions: SwitchPositions) => SolvedCircuit,
  watt: (circuit: SolvedCircuit, element: string) => number,
  random: Random,
): Water {
  const poles = family.topology.branches.filter((each) => each.openedBy === 'breaker');
  return family.settle(
    {
      faults,
      plate,
      run: (thermostats) => solve({ breaker: 'on', limit: 'closed', thermostats, lifted: [] }),
      watt,
      legAmpere: (circuit) => Math.max(...poles.map((each) => circuit.currentThrough(each.id))),
      earthAmpere: (circuit) => {
        const phasors = poles.map((each) => circuit.phasorThrough(each.id));
        return Math.hypot(
          phasors.reduce((sum, each) => sum + each.inPhase, 0),
          phasors.reduce((sum, each) => sum + each.quadrature, 0),
        );
      },
    },
    random,
  );
}

/** Every element at its own true ohms; what a fault changes on it, from there. */
function trueChanges(
  faults: readonly HeaterFault[],
  ratios: Readonly<Record<string, number>>,
): Record<string, BranchChange> {
  const changes: Record<string, BranchChange> = {};
  for (const [part, factor] of Object.entries(ratios)) {
    changes[`${part}.a-half`] = { factor };
    changes[`${part}.b-half`] = { factor };
  }
  for (const fault of faults) {
    for (const [branch, change] of Object.entries(fault.changes)) {
      const ratio = ratios[branch.split('.')[0]!] ?? 1;
      changes[branch] =
        typeof change === 'object' && 'factor' in change
          ? { factor: change.factor * ratio }
          : change;
    }
  }
  return changes;
}

function positionsNow(
  { thermostats, dialCelsius }: SimulatedHeater,
  faults: readonly HeaterFault[],
  water: Water,
  state: UnitState,
): SwitchPositions {
  const isOff = faults.some(
    ({ supply }) =>
      supply === 'controlled' || (supply === 'tripped' && !isDone(state, breakerCycled)),
  );
  return {
    breaker: isPowered(state) && !isOff && water.trips === undefined ? 'on' : 'off',
    limit: water.limitTripped && !isDone(state, resetPressed) ? 'tripped' : 'closed',
    thermostats: Object.fromEntries(
      thermostats.map(({ id, water: feels, stateKey }) => {
        const celsius = feels === 'top' ? water.topCelsius : water.bottomCelsius;
        const dial = dialOf(state, { stateKey });
        const found = faults.map((each) => each.dials?.[id]).find((each) => each !== undefined);
        const set =
          dial === 'found' ? (found ?? water.dialCelsius[id] ?? 50) + 2 : dialCelsius[dial];
        return [id, celsius > set ? 'satisfied' : 'calling'];
      }),
    ),
    lifted: state.apart.map((each) => each.wire),
  };
}

/** Over range, near zero, or a value from somewhere else. */
function slip(quantity: string | undefined, random: Random): SimulatedAnswer {
  const how = random.next();
  if (quantity === 'resistance' && how < 0.35) return { kind: 'over-range' };
  if (how < 0.6) return { kind: 'number', value: Number((0.6 * random.next()).toFixed(1)) };
  const most = quantity === 'temperature' ? 80 : quantity === 'voltage-ac' ? 250 : 60;
  return { kind: 'number', value: Number((most * random.next()).toFixed(1)) };
}
