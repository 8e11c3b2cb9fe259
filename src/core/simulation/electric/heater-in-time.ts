import type { Plate } from '../../appliances/electrical/plate';
import type { SolvedCircuit } from '../../circuit';
import type { HandAction, Place, UnitInTime } from '../in-time/unit-in-time';
import type { Random } from '../random';
import { tankNumbers } from '../tank/numbers';
import { simulatedTank, type SimulatedTank } from '../tank/simulated-tank';
import { protectionActs } from './sights';
import type { SimulatedHeater, Water } from './simulated-heater';
import { trueHeater, type TrueHeater } from './true-heater';
import { breakerAmpere } from '../../appliances/electrical/plate';

/** What a heater's water is and how its thermostats feel it: drawn once for every unit. */
interface HeaterWater {
  readonly tank: SimulatedTank;
  readonly upperHeight: number;
  readonly lowerHeight: number;
  readonly thermostats: readonly {
    readonly id: string;
    readonly height: number;
    readonly offKelvin: number;
    readonly differentialKelvin: number;
    readonly lagSecond: number;
  }[];
  readonly limitHeight: number;
  readonly limitCelsius: number;
}

/** Lets a heater stand with the given water, and go on from there. */
export function heaterWater(
  family: SimulatedHeater,
  plate: Plate,
  faults: ReadonlySet<string>,
  water: Pick<Water, 'topCelsius' | 'bottomCelsius'>,
  coldCelsius: number,
  random: Random,
): HeaterWater {
  const heights = family.elements.map(({ id }) =>
    random.between(
      id === 'upper'
        ? tankNumbers.upperElement
        : id === 'lower'
          ? tankNumbers.lowerElement
          : tankNumbers.onlyElement,
    ),
  );
  const hasSediment = faults.has('sediment') || faults.has('scale');
  const upperHeight = heights[0]!;
  const lowerHeight = heights.at(-1)!;
  const isOne = heights.length === 1;
  const sedimentShare = hasSediment ? random.between(tankNumbers.sediment) : 0;
  const lag = random.between(tankNumbers.sedimentLagSecond);
  return {
    upperHeight,
    lowerHeight,
    tank: simulatedTank(
      {
        plateLitre: plate.volumeLitre,
        heaters: heights.map((height) => ({
          height,
          ...(height < sedimentShare + 0.02 && hasSediment ? { lagSecond: lag } : {}),
        })),
        hasDipTube: !faults.has('dip-tube.gone'),
        sedimentShare,
        coldCelsius,
        startCelsius: {
          top: water.topCelsius,
          bottom: water.bottomCelsius,
          split: isOne ? 0 : upperHeight,
        },
      },
      random,
    ),
    thermostats: family.thermostats.map(({ id }, k) => ({
      id,
      height: isOne
        ? random.between(tankNumbers.rodAt)
        : heights[k]! + random.between(tankNumbers.thermostatAbove),
      offKelvin: random.between(tankNumbers.dialOff),
      differentialKelvin: random.between(tankNumbers.differentialKelvin),
      lagSecond: random.between(tankNumbers.wallLagSecond),
    })),
    limitHeight: random.between(tankNumbers.limitAt),
    limitCelsius: random.between(tankNumbers.limitCelsius),
  };
}

/** Steps of the water, in seconds, while it is drawn and while it stands. */
const step = { drawn: 7.5, standing: 20 } as const;

interface Running {
  isOn: boolean;
  isTripped: boolean;
  litrePerMinute: number;
  readonly dialCelsius: Record<string, number>;
}

/** The circuit and the water together, one step after the other. */
export function runHeater(
  family: SimulatedHeater,
  heater: TrueHeater,
  body: HeaterWater,
  running: Running,
) {
  const felt = body.thermostats.map(({ height }) => body.tank.celsiusAt(height));
  const isClosed = body.thermostats.map(
    ({ id, offKelvin }, k) => felt[k]! < (running.dialCelsius[id] ?? 50) + offKelvin,
  );
  let solved = new Map<string, { readonly circuit: SolvedCircuit; readonly watts: number[] }>();
  const solvedNow = () => {
    const breaker = running.isOn ? ('on' as const) : ('off' as const);
    const limit = running.isTripped ? ('tripped' as const) : ('closed' as const);
    const key = `${breaker} ${limit} ${isClosed.join()}`;
    let found = solved.get(key);
    if (!found) {
      const circuit = heater.solve({
        breaker,
        limit,
        thermostats: Object.fromEntries(
          body.thermostats.map(({ id }, k) => [
            id,
            isClosed[k] ? ('calling' as const) : ('satisfied' as const),
          ]),
        ),
        lifted: [],
      });
      const watts = running.isOn ? family.elements.map(({ id }) => heater.watt(circuit, id)) : [];
      solved.set(key, (found = { circuit, watts }));
    }
    return found;
  };
  const circuit = () => solvedNow().circuit;
  const watts = () => solvedNow().watts;
  return {
    watts,
    circuit,
    /** The circuit has changed: a part was exchanged. */
    forget() {
      solved = new Map();
    },
    advance(seconds: number) {
      const longest = running.litrePerMinute > 0 ? step.drawn : step.standing;
      for (let left = seconds; left > 1e-9; left -= longest) {
        const now = Math.min(longest, left);
        body.tank.advance(now, watts(), running.litrePerMinute);
        body.thermostats.forEach(({ id, height, offKelvin, differentialKelvin, lagSecond }, k) => {
          felt[k]! += (body.tank.celsiusAt(height) - felt[k]!) * (1 - Math.exp(-now / lagSecond));
          const set = (running.dialCelsius[id] ?? 50) + offKelvin;
          if (felt[k]! >= set) isClosed[k] = false;
          else if (felt[k]! < set - differentialKelvin) isClosed[k] = true;
        });
        if (
          body.tank.celsiusAt(body.limitHeight) > body.limitCelsius &&
          !heater.standing.some(({ limit }) => limit === 'never-trips')
        ) {
          running.isTripped = true;
        }
      }
    },
  };
}

/** A heater as it is found, going on in time. */
export function heaterInTime(
  family: SimulatedHeater,
  plate: Plate,
  faults: readonly string[],
  random: Random,
  settle: (heater: TrueHeater) => Water,
): UnitInTime {
  const heater = trueHeater(family, plate, faults, random);
  const found = settle(heater);
  const coldCelsius = Math.min(found.bottomCelsius, random.between({ least: 8, most: 18 }));
  const running: Running = {
    isOn: true,
    isTripped: found.limitTripped,
    litrePerMinute: 0,
    dialCelsius: { ...found.dialCelsius },
  };
  const supply = () => heater.standing.find((each) => each.supply)?.supply;
  const names = new Set(heater.standing.map(({ id }) => id));
  const body = heaterWater(family, plate, names, found, coldCelsius, random);
  const run = runHeater(family, heater, body, running);
  let second = 0;
  let hasTripped = found.trips !== undefined;
  running.isOn = supply() === undefined && !hasTripped;
  const terminals = new Set(family.topology.branches.flatMap(({ from, to }) => [from, to]));
  const { tank } = body;
  const wall = (height: number) =>
    tank.celsiusAt(height) - 0.02 * (tank.celsiusAt(height) - tank.roomCelsius);

  const act = (action: HandAction): string | undefined => {
    switch (action.kind) {
      case 'breaker': {
        if (!action.isOn) {
          running.isOn = false;
          return undefined;
        }
        if (supply() === 'controlled') return undefined;
        running.isOn = true;
        const trips = protectionActs(
          {
            faults: heater.standing,
            plate: heater.plate,
            run: () => run.circuit(),
            watt: heater.watt,
            ...currents(family),
          },
          run.circuit(),
          breakerAmpere(heater.plate),
          random,
        );
        hasTripped = trips !== undefined;
        if (hasTripped) running.isOn = false;
        return hasTripped ? 'trips' : 'holds';
      }
      case 'dial':
        running.dialCelsius[action.thermostat] = action.celsius;
        return undefined;
      case 'tap':
        running.litrePerMinute = action.litrePerMinute;
        return undefined;
      case 'press-reset': {
        const clicks = running.isTripped;
        running.isTripped = false;
        return clicks ? 'clicked' : 'no-click';
      }
      case 'repair': {
        const before = new Set(heater.standing.map(({ id }) => id));
        if (!heater.mend([action.repair])) return undefined;
        const isMended = (id: string) =>
          before.has(id) && !heater.standing.some((each) => each.id === id);
        if (isMended('dip-tube.gone')) tank.mendDipTube();
        if (isMended('sediment') || isMended('scale')) tank.flushSediment();
        if (isMended('dials.low') || isMended('dials.unequal') || isMended('dial.low')) {
          for (const { id } of family.thermostats) running.dialCelsius[id] = 50;
        }
        if (heater.standing.every(({ limit }) => limit !== 'tripped')) running.isTripped = false;
        // The power comes back with the part in place.
        running.isOn = supply() === undefined;
        run.forget();
        return undefined;
      }
    }
  };

  return {
    family: family.names.family,
    faults: [...names],
    usualPlaces: ['tank-top', 'tank-bottom', 'outlet'],
    get repairsNeeded() {
      return [...new Set(heater.standing.map(({ repair }) => repair))].sort();
    },
    get second() {
      return second;
    },
    get isPowered() {
      return running.isOn;
    },
    get litrePerMinute() {
      return running.litrePerMinute;
    },
    advance(seconds) {
      run.advance(seconds);
      second += seconds;
    },
    act,
    celsius(place: Place) {
      switch (place) {
        case 'outlet':
          return tank.outletCelsius(running.litrePerMinute);
        case 'tank-top':
          return wall(0.93);
        case 'tank-bottom':
          return wall(body.lowerHeight + 0.06);
        case 'upper-cover':
          return wall(body.upperHeight + 0.02);
        case 'lower-cover':
          return wall(body.lowerHeight + 0.03);
        case 'cold-inlet':
          return running.litrePerMinute > 0
            ? tank.coldCelsius
            : 0.6 * tank.roomCelsius + 0.4 * tank.coldCelsius;
        case 'hot-pipe':
        case 'flow-pipe':
        case 'return-pipe':
          return running.litrePerMinute > 0
            ? tank.outletCelsius(running.litrePerMinute) - 0.5
            : tank.roomCelsius + 0.35 * (tank.celsiusAt(0.98) - tank.roomCelsius);
        default:
          return tank.roomCelsius;
      }
    },
    heatWatt: () => run.watts().reduce((sum, each) => sum + each, 0),
    volt: ([from, to]) =>
      terminals.has(from) && terminals.has(to)
        ? running.isOn
          ? run.circuit().probeVoltage(from, to).value
          : 0
        : undefined,
    ohm: ([from, to]) =>
      terminals.has(from) && terminals.has(to)
        ? heater
            .solve({ breaker: 'off', limit: 'closed', thermostats: {}, lifted: [] })
            .probeResistance(from, to).value
        : undefined,
    ampere: (around) =>
      family.topology.branches.some(({ id }) => id === around)
        ? running.isOn
          ? run.circuit().currentThrough(around)
          : 0
        : undefined,
  };
}

/** Currents of a solved circuit that its protection feels. */
export function currents({ topology }: SimulatedHeater) {
  const poles = topology.branches.filter((each) => each.openedBy === 'breaker');
  return {
    legAmpere: (circuit: SolvedCircuit) =>
      Math.max(...poles.map((each) => circuit.currentThrough(each.id))),
    earthAmpere: (circuit: SolvedCircuit) => {
      const phasors = poles.map((each) => circuit.phasorThrough(each.id));
      return Math.hypot(
        phasors.reduce((sum, each) => sum + each.inPhase, 0),
        phasors.reduce((sum, each) => sum + each.quadrature, 0),
      );
    },
  };
}
