import { exchangedPerKelvin } from './exchanger';
import { streamWattPerKelvin } from './properties';
import { TapControl, type BurnerRange, type FlowLimit } from './tap-control';

/** Warm water that stands between a heater and its tap is not in here: it is a delay, and the house's. */

/** A heater that warms the tap straight, or over a primary loop and plates, from the moment that the tap opens. */
export interface TapHeater {
  /** Heat that its bodies hold, in J/K. */
  readonly tapBodyJoulePerKelvin: number;
  readonly primary?: PrimarySide;
  readonly burner: BurnerRange;
  /** Seconds from the opened tap to the flame. */
  readonly startSecond: number;
  readonly limit?: FlowLimit;
  readonly setCelsius: number;
  /** What its sensors add to the truth, in kelvin; and what the flow sensor makes of the flow. */
  readonly tapOffsetKelvin: number;
  readonly flowOffsetKelvin: number;
  readonly inletOffsetKelvin: number;
  readonly flowGain: number;
  /** How much hotter than its water the wall of an exchanger without a primary is, in K/W: scale. None where absent. */
  readonly wallKelvinPerWatt?: number;
}

export interface PrimarySide {
  readonly litrePerMinute: number;
  readonly flowBodyJoulePerKelvin: number;
  readonly returnBodyJoulePerKelvin: number;
  /** Heat transfer of the plates, in W/K. */
  readonly transferWattPerKelvin: number;
  /** Share of the primary flow that goes past the plates into the heating pipes, and what stands there. */
  readonly straysShare: number;
  readonly straysCelsius: number;
}

export interface TapDraw {
  readonly litrePerMinute: number;
  readonly coldCelsius: number;
  readonly startFlowCelsius: number;
  readonly startTapCelsius: number;
  readonly seconds: number;
  /** A quarter of a second where absent. */
  readonly stepSecond?: number;
}

/** What a display and a tap show, moment by moment, from the opening on. */
export interface TapCourse {
  readonly stepSecond: number;
  /** True temperatures at the heater. */
  readonly flowCelsius: Float64Array;
  readonly returnCelsius: Float64Array;
  readonly tapCelsius: Float64Array;
  readonly watt: Float64Array;
  readonly cuts: number;
  /** Somewhere the water boiled: it bumps. */
  readonly boils: boolean;
}

/** Explicit, and stable for bodies whose heat is more than a second of what flows through them. */
const usualStepSecond = 0.25;
const boilsAtCelsius = 103;

/** Runs a heater from the opening of a tap. @throws RangeError for a draw without water. */
export function runTap(heater: TapHeater, draw: TapDraw): TapCourse {
  const { litrePerMinute, coldCelsius, seconds, stepSecond = usualStepSecond } = draw;
  if (!(litrePerMinute > 0)) throw new RangeError('a tap that is shut warms nothing');
  const count = Math.round(seconds / stepSecond);
  // One piece of memory for all four: to ask for each took longer than a third of the run.
  const memory = new Float64Array(4 * count).buffer;
  const at = (k: number) => new Float64Array(memory, k * count * 8, count);
  const [flowCelsius, returnCelsius, tapCelsius, watts] = [at(0), at(1), at(2), at(3)];
  const { primary, tapBodyJoulePerKelvin: tapBody, tapOffsetKelvin, flowOffsetKelvin } = heater;
  const cold = streamWattPerKelvin(litrePerMinute);
  const through = primary ? streamWattPerKelvin(primary.litrePerMinute) : 0;
  const strays = primary ? through * primary.straysShare : 0;
  const toPlates = through - strays;
  const exchanged = primary ? exchangedPerKelvin(primary.transferWattPerKelvin, toPlates, cold) : 0;
  const control = new TapControl(heater.burner, heater.limit, heater.startSecond);
  let flow = draw.startFlowCelsius;
  let back = draw.startFlowCelsius;
  let tap = draw.startTapCelsius;
  const inletRead = coldCelsius + heater.inletOffsetKelvin;
  const flowRead = litrePerMinute * heater.flowGain;
  const wall = heater.wallKelvinPerWatt ?? 0;
  let lastWatt = 0;
  let boils = false;
  for (let k = 0; k < count; k++) {
    const watt = control.step(
      heater.setCelsius,
      inletRead,
      tap + tapOffsetKelvin,
      flow + wall * lastWatt + flowOffsetKelvin,
      flowRead,
      k * stepSecond,
      stepSecond,
    );
    lastWatt = watt;
    if (primary) {
      const toTap = exchanged * Math.max(0, flow - coldCelsius);
      const toHeating = strays * (flow - primary.straysCelsius);
      const carried = through * (flow - back);
      flow += ((watt - carried) * stepSecond) / primary.flowBodyJoulePerKelvin;
      back += ((carried - toTap - toHeating) * stepSecond) / primary.returnBodyJoulePerKelvin;
      tap += ((toTap - cold * (tap - coldCelsius)) * stepSecond) / tapBody;
      if (flow > boilsAtCelsius) {
        boils = true;
        flow = boilsAtCelsius;
      }
    } else {
      tap += ((watt - cold * (tap - coldCelsius)) * stepSecond) / tapBody;
      if (tap > boilsAtCelsius) {
        boils = true;
        tap = boilsAtCelsius;
      }
      flow = tap;
      back = coldCelsius;
    }
    flowCelsius[k] = flow;
    returnCelsius[k] = back;
    tapCelsius[k] = tap;
    watts[k] = watt;
  }
  return {
    stepSecond,
    flowCelsius,
    returnCelsius,
    tapCelsius,
    watt: watts,
    cuts: control.cuts,
    boils,
  };
}

/** What is told of a course: evidence, one number each. */
export interface CourseFeatures {
  /** Largest rise of the flow temperature over ten seconds, in K/s. */
  readonly riseKelvinPerSecond: number;
  readonly peakCelsius: number;
  readonly cuts: number;
  /** Over what is left once it has settled. */
  readonly tapCelsius: number;
  /** Largest fall after a height: hot, cold, hot. A climb is none. */
  readonly tapSwingKelvin: number;
  readonly meanWatt: number;
  readonly flowCelsius: number;
  readonly returnCelsius: number;
  /** Somewhere the water boiled. */
  readonly boils: boolean;
}

/** Warming up takes so much of a course, and settling so much. */
const warmShare = 1 / 3;
const settledShare = 2 / 3;
const riseOverSecond = 10;

/** Features of a course, worked out alike for a model and for what was logged. */
export function featuresOf(course: TapCourse): CourseFeatures {
  const { stepSecond: step, flowCelsius, returnCelsius, tapCelsius, watt, cuts } = course;
  const count = flowCelsius.length;
  const over = Math.round(riseOverSecond / step);
  let rise = 0;
  let peak = -Infinity;
  for (let k = 0; k < count; k++) {
    if (k >= over) rise = Math.max(rise, flowCelsius[k]! - flowCelsius[k - over]!);
    peak = Math.max(peak, flowCelsius[k]!);
  }
  const from = Math.floor(count * settledShare);
  const mean = (of: Float64Array) => {
    let sum = 0;
    for (let k = from; k < count; k++) sum += of[k]!;
    return sum / (count - from);
  };
  let highest = -Infinity;
  let fall = 0;
  for (let k = Math.floor(count * warmShare); k < count; k++) {
    highest = Math.max(highest, tapCelsius[k]!);
    fall = Math.max(fall, highest - tapCelsius[k]!);
  }
  return {
    riseKelvinPerSecond: rise / riseOverSecond,
    peakCelsius: peak,
    cuts,
    tapCelsius: mean(tapCelsius),
    tapSwingKelvin: fall,
    meanWatt: mean(watt),
    flowCelsius: mean(flowCelsius),
    returnCelsius: mean(returnCelsius),
    boils: course.boils,
  };
}
