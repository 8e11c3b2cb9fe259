import { branchFlows, branchFlowSlopes } from './branches';
import { kvAt, kvSlopeByTurnsToOpen, usualTurnsToOpen } from './lockshield';
import { excessOut, excessOutSlopes, kilowattPerKelvin, strengthOf } from './radiator';
import { surfaces, type Surfaces } from './surface';

/** A radiator as it is listed: what does not change while it is balanced. */
export interface ListedRadiator {
  readonly id: string;
  readonly ratedWatt: number;
  readonly widthMetre: number;
  readonly roomCelsius: number;
}

/** What a fit finds of a house; resistances in bar/(m³/h)². */
export interface HouseValues {
  readonly headBar: number;
  readonly shared: number;
  readonly radiators: readonly RadiatorValues[];
}

export interface RadiatorValues {
  /** Branch pipes, valve body and radiator. */
  readonly resistance: number;
  /** Of its lockshield. */
  readonly turnsToOpen: number;
  /** True output over what its size says. */
  readonly outputShare: number;
}

/** How a house is set: the flow at the boiler, and each lockshield's turns from shut. */
export interface HouseSetting {
  readonly flowCelsius: number;
  readonly turns: readonly number[];
}

export interface RunningRadiator extends Surfaces {
  readonly cubicMetrePerHour: number;
  readonly inCelsius: number;
  readonly outCelsius: number;
  /** Of the water, in and out: what balancing evens. */
  readonly meanCelsius: number;
}

/** What the branch pipes lose on the way, kW per kelvin. Common practice. */
const lossOnTheWay = 0.0025;

/** Every radiator of a house as it runs when it has settled. */
export function runHouse(
  listed: readonly ListedRadiator[],
  { headBar, shared, radiators }: HouseValues,
  { flowCelsius, turns }: HouseSetting,
): RunningRadiator[] {
  const flows = branchFlows({
    headBar,
    shared,
    branches: radiators.map(
      ({ resistance, turnsToOpen }, k) => resistance + 1 / kvAt(turns[k]!, turnsToOpen) ** 2,
    ),
  });
  return listed.map(({ ratedWatt, widthMetre, roomCelsius }, k) => {
    const cubicMetrePerHour = flows[k]!;
    const arriving =
      (flowCelsius - roomCelsius) *
      Math.exp(-lossOnTheWay / (kilowattPerKelvin * cubicMetrePerHour));
    const strength = strengthOf(ratedWatt) * radiators[k]!.outputShare;
    const inCelsius = roomCelsius + arriving;
    const outCelsius = roomCelsius + excessOut(arriving, cubicMetrePerHour, strength);
    return {
      ...surfaces(inCelsius, outCelsius, widthMetre, roomCelsius),
      cubicMetrePerHour,
      inCelsius,
      outCelsius,
      meanCelsius: (inCelsius + outCelsius) / 2,
    };
  });
}

/** How the water of each radiator moves, in and out, K by the logarithm of each value of the house: in the order of `valueCount`. */
export interface WaterSlopes {
  readonly byIn: Float64Array;
  readonly byOut: Float64Array;
  readonly byFlow: Float64Array;
}

/** Head, what is shared, and three values of each radiator: resistances, then lockshields, then outputs. */
export const valueCount = (radiators: number): number => 2 + 3 * radiators;

export function houseSlopes(
  listed: readonly ListedRadiator[],
  { headBar, shared, radiators }: HouseValues,
  { flowCelsius, turns }: HouseSetting,
): WaterSlopes[] {
  const kvs = radiators.map(({ turnsToOpen }, k) => kvAt(turns[k]!, turnsToOpen));
  const branches = radiators.map(({ resistance }, k) => resistance + 1 / kvs[k]! ** 2);
  const flows = branchFlows({ headBar, shared, branches });
  const slopes = branchFlowSlopes({ headBar, shared, branches });
  const count = listed.length;
  return listed.map(({ ratedWatt, roomCelsius }, k) => {
    const flow = flows[k]!;
    const loss = lossOnTheWay / (kilowattPerKelvin * flow);
    const arriving = (flowCelsius - roomCelsius) * Math.exp(-loss);
    const strength = strengthOf(ratedWatt) * radiators[k]!.outputShare;
    const out = excessOutSlopes(arriving, flow, strength);
    const inByFlow = (arriving * loss) / flow;
    const outByFlow = out.byIn * inByFlow + out.byFlow;
    const byFlow = new Float64Array(valueCount(count));
    byFlow[0] = slopes.byHead[k]!;
    byFlow[1] = slopes.byShared[k]!;
    for (let branch = 0; branch < count; branch++) {
      const { resistance, turnsToOpen } = radiators[branch]!;
      const byBranch = slopes.byBranch(k, branch);
      byFlow[2 + branch] = (byBranch * resistance) / branches[branch]!;
      const byKv = -2 / kvs[branch]! ** 3 / branches[branch]!;
      byFlow[2 + count + branch] =
        byBranch * byKv * kvSlopeByTurnsToOpen(turns[branch]!, turnsToOpen);
    }
    const byOut = byFlow.map((each) => each * outByFlow);
    byOut[2 + 2 * count + k] = out.byStrength * strength;
    return { byFlow, byIn: byFlow.map((each) => each * inByFlow), byOut };
  });
}

/** What comes back to the boiler, °C. */
export function returnCelsius(running: readonly RunningRadiator[]): number {
  const flow = running.reduce((sum, { cubicMetrePerHour }) => sum + cubicMetrePerHour, 0);
  const heat = running.reduce((sum, each) => sum + each.cubicMetrePerHour * each.outCelsius, 0);
  return heat / flow;
}

/** What is taken for granted of a house before anything is read, natural logarithms with their spread. Common practice. */
export const houseBeliefs = {
  resistance: { middle: 2.5, spread: 0.9 },
  shared: { middle: 0.3, spread: 0.8 },
  headBar: { middle: 0.4, spread: 0.3 },
  turnsToOpen: { middle: Math.log(usualTurnsToOpen), spread: 0.25 },
  outputShare: { middle: 0, spread: 0.07 },
} as const;
