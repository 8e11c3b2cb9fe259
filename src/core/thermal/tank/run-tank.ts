import { celsiusOfEnthalpy, waterDensity, waterEnthalpy } from '../water';
import { layerCount, type Draw, type MixedDraw, type Power, type TankDesign } from './design';
import { drawUpward, heatIn, layerAt, layersOf, mixZone, settle, type Layers } from './layers';

/** What is done with a tank, from second 0. */
export interface TankCourse {
  readonly seconds: number;
  /** Throughout, or from the bottom up, evenly spaced. */
  readonly startCelsius: number | readonly number[];
  readonly coldCelsius: number;
  readonly roomCelsius: number;
  readonly draws: readonly (Draw | MixedDraw)[];
  readonly power: Power;
  /** Times at which the supply goes off and on again; on at the start where the first is not at 0. */
  readonly switches?: readonly { readonly atSecond: number; readonly isOn: boolean }[];
  readonly limitTripped?: boolean;
  /** Dials that are turned meanwhile: which thermostat, by its place, opens where from then on. */
  readonly dials?: readonly {
    readonly atSecond: number;
    readonly thermostat: number;
    readonly cutOutCelsius: number;
  }[];
  /** When the limit's reset is pressed. */
  readonly resets?: readonly number[];
  /** Thermostats that stand closed at the start; by their temperature where not said. */
  readonly calling?: number;
  readonly sampleEverySecond?: number;
  /** The longest step of the model, in seconds; 30 where not said: layers and thermostats change little in it. */
  readonly longestStepSecond?: number;
  /** Ends the course before its time, asked with every sample. */
  readonly stopWhen?: (energy: { readonly heated: number }) => boolean;
  /** Heights whose temperature is sampled; the outlet always is. */
  readonly probes?: readonly number[];
}

export interface TankSample {
  readonly second: number;
  readonly outletCelsius: number;
  /** What comes out of the mixed draw that runs: the wanted temperature, or the outlet's where it is colder. */
  readonly mixedCelsius?: number;
  readonly probeCelsius: readonly number[];
  readonly calling: number;
  readonly watt: readonly number[];
  readonly litrePerMinute: number;
}

export interface TankResult {
  readonly samples: readonly TankSample[];
  readonly endCelsius: readonly number[];
  readonly calling: number;
  readonly limitTrippedAtSecond?: number;
  /** In joules: what went in as heat, came out as water above its cold, was lost, and what the tank holds more than before. */
  readonly energy: {
    readonly heated: number;
    readonly drawn: number;
    readonly lost: number;
    readonly stored: number;
  };
}

const usualLongestStep = 30;
/** Height of the layers at the inlet that the incoming cold stirs. */
const inletZone = 0.08;
/** Heat that still water and the steel round it pass on between layers, in W/(m·K). Common practice: steel carries most of it. */
const conductivity = 1.6;
/** Height over width of a usual tank. */
const slenderness = 2.6;
/** Specific heat of water where half a percent does not matter, in J/(kg·K). */
const usualHeat = 4186;
/** Without a dip tube the cold falls through this upper part and mixes it; so much of it goes straight out again. */
const plumeZone = 0.65;
const shortCircuit = 0.18;

/**
 * Runs an upright tank: layers, of which the hotter rise; heat that goes in where the heaters are; cold that comes in below as
 * water is drawn above; thermostats with their differential at their heights; losses to the room. Heat is kept to rounding.
 * Water hotter than 95 °C at its start, where a relief valve has opened long since, counts as 95.
 * @throws RangeError for a course of no length, or water below 0 °C at its start.
 */
export function runTank(design: TankDesign, course: TankCourse): TankResult {
  if (!(course.seconds > 0)) throw new RangeError('a course takes some time');
  const count = design.layers ?? layerCount(design.volumeLitre);
  const litre = design.volumeLitre * (1 - (design.sedimentShare ?? 0));
  const kilogram = (litre / 1000) * waterDensity(35);
  const layers = startLayers(course.startCelsius, kilogram, count);
  const coldHeat = waterEnthalpy(course.coldCelsius);
  const share = design.sedimentShare ?? 0;
  const inWater = (height: number) => Math.max(0, (height - share) / (1 - share));
  const heaterAt = design.heaters.map(({ height }) =>
    // The last layer runs empty as water is drawn: nothing is heated in it alone.
    Math.min(count - 1, layerAt(layers, inWater(height))),
  );
  const feelsAt = design.thermostats.map(({ height }) => layerAt(layers, inWater(height)));
  const limitAt = design.limit && layerAt(layers, inWater(design.limit.height));
  const probesAt = (course.probes ?? []).map((height) => layerAt(layers, inWater(height)));
  const celsiusAt = (layer: number) => celsiusOfEnthalpy(layers.heat[layer]!);
  const topCelsius = () => celsiusAt(layers.mass.length - 1);

  const felt = feelsAt.map(celsiusAt);
  let calling = course.calling ?? startCalling(design, felt);
  const cutOut = design.thermostats.map((each) => each.cutOutCelsius);
  let isTripped = course.limitTripped ?? false;
  let limitTrippedAtSecond: number | undefined;
  const inHeater = design.heaters.map(() => 0);
  const cold = design.heaters.map(() => 0);
  const everySecond = course.sampleEverySecond ?? 60;
  const samples: TankSample[] = [];
  const energy = { heated: 0, drawn: 0, lost: 0 };
  const heatAtStart = heatIn(layers);
  const between = exchange(litre, count);
  const lukewarm = course.roomCelsius * usualHeat;
  const draws = [...course.draws].sort((one, other) => one.atSecond - other.atSecond);
  const changes = changeTimes(course, draws);

  /** How far each thermostat follows its wall in a step. Most steps are as long as the one before. */
  const follows = design.thermostats.map(() => 0);
  let followedStep = 0;

  let second = 0;
  let nextSample = 0;
  let change = 0;
  for (;;) {
    const draw = drawnAt(draws, second);
    const outlet = topCelsius();
    const flow = draw ? hotFlow(draw, outlet, course.coldCelsius) : 0;
    const isOn = !isTripped && isSwitchedOn(course.switches, second);
    const watt = isOn ? course.power(calling) : cold;
    if (second >= nextSample - 1e-9) {
      const outletCelsius = withShortCircuit(design, outlet, course.coldCelsius, flow);
      const sample = {
        second,
        outletCelsius,
        probeCelsius: celsiusOf(layers, probesAt),
        calling,
        watt,
        litrePerMinute: flow,
      };
      samples.push(
        draw && 'wantedCelsius' in draw
          ? { ...sample, mixedCelsius: Math.min(draw.wantedCelsius, outletCelsius) }
          : sample,
      );
      nextSample += everySecond;
      if (course.stopWhen?.(energy) === true) break;
    }
    if (second >= course.seconds - 1e-9) break;

    while (change < changes.length && changes[change]! <= second + 1e-9) {
      const at = changes[change]!;
      change += 1;
      for (const each of course.dials ?? [])
        if (each.atSecond === at) cutOut[each.thermostat] = each.cutOutCelsius;
      if (course.resets?.includes(at)) isTripped = false;
    }
    const kilogramPerSecond = flow > 0 ? (flow / 60_000) * waterDensity(Math.min(95, outlet)) : 0;
    let step = Math.min(
      course.longestStepSecond ?? usualLongestStep,
      course.seconds - second,
      nextSample - second,
      (changes[change] ?? Infinity) - second,
    );
    if (kilogramPerSecond > 0 && design.inlet === 'bottom') {
      step = Math.min(step, layers.mass[layers.mass.length - 1]! / kilogramPerSecond);
    }
    step = Math.max(step, 0.05);

    if (kilogramPerSecond > 0) {
      const moved = kilogramPerSecond * step;
      energy.drawn +=
        design.inlet === 'bottom'
          ? drawThroughDipTube(layers, moved, coldHeat, count) - moved * coldHeat
          : drawWithoutDipTube(layers, moved, coldHeat) - moved * coldHeat;
    }
    for (let k = 0; k < heaterAt.length; k++) {
      const lag = design.heaters[k]!.lagSecond;
      const given = watt[k]! * step;
      energy.heated += given;
      let through = given;
      if (lag !== undefined && lag > 0) {
        inHeater[k]! += given;
        through = inHeater[k]! * (1 - Math.exp(-step / lag));
        inHeater[k]! -= through;
      }
      if (through !== 0) layers.heat[heaterAt[k]!]! += through / layers.mass[heaterAt[k]!]!;
    }
    energy.lost += lose(
      layers,
      ((design.lossWattPerKelvin / kilogram) * step) / usualHeat,
      lukewarm,
    );
    conduct(layers, between * step);
    settle(layers);
    second += step;

    for (let k = 0; k < felt.length; k++) {
      const { differentialKelvin, lagSecond = 90 } = design.thermostats[k]!;
      if (step !== followedStep) follows[k] = 1 - Math.exp(-step / lagSecond);
      const cutOutCelsius = cutOut[k]!;
      felt[k]! += (celsiusAt(feelsAt[k]!) - felt[k]!) * follows[k]!;
      if (felt[k]! >= cutOutCelsius) calling &= ~(1 << k);
      else if (felt[k]! <= cutOutCelsius - differentialKelvin) calling |= 1 << k;
    }
    followedStep = step;
    if (design.limit && !isTripped && celsiusAt(limitAt!) >= design.limit.celsius) {
      isTripped = true;
      limitTrippedAtSecond = second;
    }
  }
  return {
    samples,
    endCelsius: profileOf(layers, kilogram / count),
    calling,
    ...(limitTrippedAtSecond === undefined ? {} : { limitTrippedAtSecond }),
    energy: {
      ...energy,
      stored: heatIn(layers) - heatAtStart + inHeater.reduce((sum, each) => sum + each, 0),
    },
  };
}

function drawnAt<D extends Draw>(draws: readonly D[], second: number): D | undefined {
  for (const draw of draws) {
    if (draw.atSecond <= second && second < draw.atSecond + draw.durationSecond) return draw;
  }
  return undefined;
}

function celsiusOf({ heat }: Layers, layers: readonly number[]): number[] {
  const found: number[] = [];
  for (const layer of layers) found.push(celsiusOfEnthalpy(heat[layer]!));
  return found;
}

const hottestStartCelsius = 95;
const startHeat = (celsius: number) => waterEnthalpy(Math.min(hottestStartCelsius, celsius));

function startLayers(start: TankCourse['startCelsius'], kilogram: number, count: number): Layers {
  if (typeof start === 'number') {
    return layersOf(kilogram, new Array<number>(count).fill(startHeat(start)));
  }
  const heats = Array.from({ length: count }, (_, k) => {
    const at = ((k + 0.5) / count) * start.length - 0.5;
    const low = Math.max(0, Math.min(start.length - 1, Math.floor(at)));
    const high = Math.min(start.length - 1, low + 1);
    const share = Math.max(0, Math.min(1, at - low));
    return startHeat(start[low]! * (1 - share) + start[high]! * share);
  });
  const layers = layersOf(kilogram, heats);
  settle(layers);
  return layers;
}

/** Temperatures from the bottom up, in evenly spaced layers: the partial ones at the ends are shared out. */
function profileOf({ mass, heat }: Layers, each: number): number[] {
  const share = mass[0]! / each;
  return Array.from({ length: mass.length - 1 }, (_, k) =>
    celsiusOfEnthalpy(share * heat[k]! + (1 - share) * heat[k + 1]!),
  );
}

const startCalling = ({ thermostats }: TankDesign, felt: readonly number[]): number =>
  thermostats.reduce(
    (bits, { cutOutCelsius }, k) => (felt[k]! < cutOutCelsius ? bits | (1 << k) : bits),
    0,
  );

/** Litres a minute out of the tank: all of a plain draw, as much as it takes of a mixed one. */
function hotFlow(draw: Draw | MixedDraw, outletCelsius: number, coldCelsius: number): number {
  if (!('wantedCelsius' in draw) || outletCelsius <= draw.wantedCelsius) return draw.litrePerMinute;
  return (draw.litrePerMinute * (draw.wantedCelsius - coldCelsius)) / (outletCelsius - coldCelsius);
}

const withShortCircuit = (design: TankDesign, outlet: number, cold: number, flow: number) =>
  design.inlet === 'top' && flow > 0 ? outlet - shortCircuit * (outlet - cold) : outlet;

function drawThroughDipTube(
  layers: Layers,
  kilogram: number,
  coldHeat: number,
  count: number,
): number {
  const left = drawUpward(layers, kilogram, coldHeat);
  const zone = Math.max(1, Math.round(inletZone * count));
  const ofZone = (zone / count) * totalOf(layers);
  mixZone(layers, 0, zone, Math.min(1, kilogram / ofZone));
  return left;
}

/** The cold falls from the top through the upper part and stirs it; part of it leaves again at once. */
function drawWithoutDipTube(layers: Layers, kilogram: number, coldHeat: number): number {
  const { mass, heat } = layers;
  const last = mass.length - 1;
  const own = kilogram * (1 - shortCircuit);
  const left = own * heat[last]! + kilogram * shortCircuit * coldHeat;
  const from = Math.max(1, Math.floor((1 - plumeZone) * last));
  heat[last] = (mass[last]! * heat[last]! + own * (coldHeat - heat[last]!)) / mass[last]!;
  mixZone(layers, from, last, 1);
  settle(layers);
  return left;
}

function totalOf({ mass }: Layers): number {
  let sum = 0;
  for (const each of mass) sum += each;
  return sum;
}

/** Heat that passes between neighbours, in W/K. */
function exchange(litre: number, count: number): number {
  const cubicMetre = litre / 1000;
  const width = ((4 * cubicMetre) / (Math.PI * slenderness)) ** (1 / 3);
  const area = (Math.PI * width ** 2) / 4;
  return (conductivity * area) / ((width * slenderness) / count);
}

/**
 * Each kilogram loses by how much warmer it is than the room; gives what all lose, in joules. A loss need not know its kelvin
 * to the hundredth.
 * @param share of the heat above the room's that is lost in this step.
 */
function lose({ mass, heat }: Layers, share: number, roomHeat: number): number {
  let lost = 0;
  for (let k = 0; k < mass.length; k++) {
    const each = share * (heat[k]! - roomHeat);
    heat[k]! -= each;
    lost += each * mass[k]!;
  }
  return lost;
}

/** @param joulePerKelvin what passes in this step for each kelvin between neighbours. */
function conduct({ mass, heat }: Layers, joulePerKelvin: number): void {
  const last = mass.length - 1;
  const perHeat = joulePerKelvin / usualHeat;
  // The inner ones all weigh the same.
  const inner = mass[1]!;
  const share = Math.min(perHeat, 0.4 * inner) / inner;
  let below = heat[1]!;
  for (let k = 2; k < last; k++) {
    const above = heat[k]!;
    const passed = share * (above - below);
    heat[k - 1] = below + passed;
    below = above - passed;
  }
  heat[last - 1] = below;
  const end = mass[last]!;
  const least = Math.min(inner, end);
  if (least < 1e-6) return;
  const passed = Math.min(perHeat, 0.4 * least) * (heat[last]! - below);
  heat[last - 1] = below + passed / inner;
  heat[last]! -= passed / end;
}

const isSwitchedOn = (switches: TankCourse['switches'], second: number): boolean => {
  let isOn = true;
  for (const each of switches ?? []) if (each.atSecond <= second + 1e-9) isOn = each.isOn;
  return isOn;
};

function changeTimes(course: TankCourse, draws: readonly Draw[]): number[] {
  return [
    ...draws.flatMap(({ atSecond, durationSecond }) => [atSecond, atSecond + durationSecond]),
    ...(course.switches ?? []).map(({ atSecond }) => atSecond),
    ...(course.dials ?? []).map(({ atSecond }) => atSecond),
    ...(course.resets ?? []),
  ].sort((one, other) => one - other);
}
