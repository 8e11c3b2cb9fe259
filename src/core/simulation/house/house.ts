import type { Random } from '../random';
import { houseNumbers as numbers } from './numbers';

/** A radiator of a simulated house: what can be seen of it, and what cannot. */
export interface SimulatedRadiator {
  readonly id: string;
  readonly widthMetre: number;
  readonly ratedWatt: number;
  readonly trueWatt: number;
  readonly exponent: number;
  readonly roomCelsius: number;
  readonly branch: number;
  readonly lockshieldKv: number;
  readonly turnsToOpen: number;
  readonly deadTurns: number;
  readonly leg: number;
}

export interface SimulatedHouse {
  readonly radiators: readonly SimulatedRadiator[];
  /** Trunk ahead of each radiator of a leg, in order from the boiler. */
  readonly trunks: readonly number[];
  readonly headBar: number;
  readonly headFallBar: number;
  readonly shared: number;
  readonly flowCelsius: number;
  readonly pipeLoss: number;
  readonly surface: Readonly<Record<'paint' | 'top' | 'bottom' | 'wide', number>>;
  readonly settlesInSeconds: number;
}

export interface SettledRadiator {
  readonly inCelsius: number;
  readonly outCelsius: number;
  readonly litrePerMinute: number;
}

/** @param stuck Draws one whose lockshield hardly lets anything by, whatever its spindle says. */
export function drawHouse(random: Random, stuck = false): SimulatedHouse {
  const isNarrow = random.chance(numbers.narrow);
  const legs = random.pick(numbers.legs);
  const { least, most } = numbers.radiators;
  const count = least + Math.floor(random.next() * (most - least + 1));
  const stuckAt = stuck ? Math.floor(random.next() * count) : -1;
  const radiators = Array.from({ length: count }, (_, k): SimulatedRadiator => {
    const ratedWatt = Math.round(random.between(numbers.ratedWatt) / 10) * 10;
    const branch = random.near(isNarrow ? numbers.narrowBranch : numbers.branch);
    return {
      id: `r${k + 1}`,
      ratedWatt,
      widthMetre: Math.round(ratedWatt * random.between(numbers.widthPerWatt) * 10) / 10,
      trueWatt: ratedWatt * Math.exp(numbers.ratedError * random.normal()),
      exponent: random.between(numbers.exponent),
      roomCelsius: random.between(numbers.roomCelsius),
      branch: k === stuckAt ? branch * 12 : branch,
      lockshieldKv: random.between(numbers.lockshieldKv),
      turnsToOpen: random.near(numbers.turnsToOpen),
      deadTurns: random.between(numbers.deadTurns),
      leg: Math.floor((k * legs) / count),
    };
  });
  return {
    radiators,
    trunks: radiators.map(() => random.near(isNarrow ? numbers.narrowTrunk : numbers.trunk)),
    headBar: random.between(numbers.headBar),
    headFallBar: random.between(numbers.headFallBar),
    shared: random.between(numbers.sharedOhm),
    flowCelsius: random.between(numbers.flowCelsius),
    pipeLoss: random.between(numbers.pipeLoss),
    surface: {
      paint: random.between(numbers.surface.paint),
      top: random.between(numbers.surface.top),
      bottom: random.between(numbers.surface.bottom),
      wide: random.between(numbers.surface.wide),
    },
    settlesInSeconds: random.between(numbers.settlesIn),
  };
}

const kvOf = ({ lockshieldKv, turnsToOpen, deadTurns }: SimulatedRadiator, turns: number) =>
  Math.max(2e-3, lockshieldKv * (1 - Math.exp(-Math.max(0, turns - deadTurns) / turnsToOpen)));

/** Flows of all branches, m³/h: legs are folded together from their far ends, and water is shared out from the boiler on. */
export function houseFlows(house: SimulatedHouse, turns: readonly number[]): number[] {
  const { radiators, trunks, headBar, headFallBar, shared } = house;
  const branch = radiators.map((each, k) => each.branch + 1 / kvOf(each, turns[k]!) ** 2);
  const legs = [...new Set(radiators.map(({ leg }) => leg))].map((leg) =>
    radiators.flatMap((each, k) => (each.leg === leg ? [k] : [])),
  );
  /** Resistance of a leg from each of its radiators on. */
  const onward = new Map<number, number>();
  for (const leg of legs) {
    let behind = Infinity;
    for (const k of [...leg].reverse()) {
      const together =
        1 / Math.sqrt(branch[k]!) + (behind === Infinity ? 0 : 1 / Math.sqrt(behind));
      behind = trunks[k]! + 1 / together ** 2;
      onward.set(k, behind);
    }
  }
  const conductance = legs.reduce((sum, leg) => sum + 1 / Math.sqrt(onward.get(leg[0]!)!), 0);
  const all = shared + headFallBar + 1 / conductance ** 2;
  const total = Math.sqrt(headBar / all);
  const flows = radiators.map(() => 0);
  for (const leg of legs) {
    let arriving = (total / conductance) * (1 / Math.sqrt(onward.get(leg[0]!)!));
    leg.forEach((k, place) => {
      const own = 1 / Math.sqrt(branch[k]!);
      const next = leg[place + 1];
      const beyond = next === undefined ? 0 : 1 / Math.sqrt(onward.get(next)!);
      flows[k] = (arriving * own) / (own + beyond);
      arriving -= flows[k]!;
    });
  }
  return flows;
}

const slices = 60;

/** The radiators as they are when everything has settled: water that cools slice by slice on its way through. */
export function settledHouse(house: SimulatedHouse, turns: readonly number[]): SettledRadiator[] {
  const flows = houseFlows(house, turns);
  return house.radiators.map(({ trueWatt, exponent, roomCelsius }, k) => {
    const litrePerMinute = (flows[k]! * 1000) / 60;
    const inCelsius = Math.max(
      roomCelsius,
      house.flowCelsius - house.pipeLoss / Math.max(0.2, litrePerMinute),
    );
    const perKelvin = (litrePerMinute / 60) * 4186;
    let celsius = inCelsius;
    for (let slice = 0; slice < slices; slice++) {
      const excess = Math.max(0, celsius - roomCelsius);
      const watt = (trueWatt / slices) * (excess / 49.8329) ** exponent;
      // A step cannot cool it below the room.
      celsius = Math.max(roomCelsius, celsius - Math.min(excess, watt / Math.max(1e-6, perKelvin)));
    }
    return { inCelsius, outCelsius: celsius, litrePerMinute };
  });
}
