import type { SwitchPositions } from '../../appliances/electrical/circuit-of';
import type { Plate } from '../../appliances/electrical/plate';
import type { SolvedCircuit } from '../../circuit';
import { isDone, type UnitState } from '../../appliances/kit/unit-state';
import { breakerCycled, dialOf, isPowered, resetPressed } from '../../appliances/electrical/state';
import { currents, heaterInTime } from './heater-in-time';
import { read } from './instruments';
import { drawnHeater, livedWith } from './lived';
import { simulationNumbers as numbers } from './numbers';
import type { Random } from '../random';
import type {
  SimulatedAnswer,
  SimulatedFamily,
  SimulatedUnit,
  SimulationOptions,
} from '../simulated-family';
import type { HeaterFault, SimulatedHeater, Water } from './simulated-heater';
import { trueHeater, type TrueHeater } from './true-heater';

/** A family of simulated heaters, each answering any check from its circuit, with its own continuous values. */
export const simulatedHeaters = (heater: SimulatedHeater): SimulatedFamily => ({
  names: heater.names,
  weights: heater.weights,
  strangeFaults: heater.strangeFaults,
  simulate: (plate, random, options) => simulateHeater(heater, plate as Plate, random, options),
  inTime: (plate, random, faults) =>
    heaterInTime(heater, plate as Plate, faults, random, (each) => settled(heater, each, random)),
});

function simulateHeater(
  family: SimulatedHeater,
  plate: Plate,
  random: Random,
  { faults, twoFaults = 0, wrongReadings = 0 }: SimulationOptions = {},
): SimulatedUnit {
  const heater = trueHeater(family, plate, faults ?? drawFaults(family, twoFaults, random), random);
  const { drawn, leadOhm, beepOhm, solve } = heater;
  const settle = () => settled(family, heater, random);
  let water = settle();

  return {
    faults: drawn,
    repairs: [...new Set(drawn.map((each) => each.repair))].sort(),
    complaint: family.complain(
      new Set(drawn.map((each) => each.id)),
      water,
      livedWith(family, heater, heater.plate, water, random),
      random,
    ),
    settings: () =>
      Object.fromEntries(
        family.thermostats.map(({ id, setting }) => [setting, water.dialCelsius[id] ?? 50]),
      ),
    repair(repairs) {
      if (!heater.mend(repairs)) return;
      // Proved once it has heated: refilled, reset, and back at its dials, as far as what is left lets it.
      water = heater.standing.some(({ id }) => id !== 'no-fault') ? settle() : family.mended;
    },
    answer(check, state) {
      const names = family.names.checks[check]!;
      const circuit = solve(positionsNow(family, heater.standing, water, state));
      const looked = () => ({
        faults: new Set(heater.standing.map((each) => each.id)),
        details: heater.standing,
        water,
        state,
        circuit,
        beepOhm,
        drawn: () =>
          drawnHeater(
            family,
            heater,
            heater.plate,
            {
              ...water,
              limitTripped: water.limitTripped && !isDone(state, resetPressed),
              dialCelsius: dialsNow(family, water, state),
            },
            positionsNow(family, heater.standing, water, state).breaker === 'on',
            random,
          ),
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
      const circuit = solve(positionsNow(family, heater.standing, water, state));
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

/** Where the dials stand for a reading: as found, or as somebody has turned them. */
const dialsNow = ({ thermostats, dialCelsius }: SimulatedHeater, water: Water, state: UnitState) =>
  Object.fromEntries(
    thermostats.map((each) => {
      const dial = dialOf(state, each);
      return [each.id, dial === 'found' ? (water.dialCelsius[each.id] ?? 50) : dialCelsius[dial]];
    }),
  );

function settled(
  family: SimulatedHeater,
  { plate, standing: faults, solve, watt }: TrueHeater,
  random: Random,
): Water {
  return family.settle(
    {
      faults,
      plate,
      run: (thermostats) => solve({ breaker: 'on', limit: 'closed', thermostats, lifted: [] }),
      watt,
      ...currents(family),
    },
    random,
  );
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
