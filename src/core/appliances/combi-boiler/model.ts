import {
  flowThrough,
  grossJoulePerCubicMetre,
  hotPascal,
  inSeries,
  litrePerMinute,
  overRoomKelvin,
  pipeLink,
  plateTransfer,
  pump,
  reducedBore,
  resistanceOfLoss,
  solveNet,
  streamWattPerKelvin,
  tapCourse,
  tapFeatures,
  throughRadiator,
  turbineShows,
  type CourseFeatures,
  type FlowLimit,
  type TapCourse,
  type TapDraw,
  type TapHeater,
} from '../../water';
import { fireSignals, isDisplayLit, runFire, type GasPressures } from '../gas-fired/fire';
import { above, aboveByShare } from '../kit/signal/outcome-tables';
import type { Running, Standing } from '../kit/signal/declaration';
import { runnerOf, type Signals, type Stage } from '../kit/stages';
import type { Elements } from './elements';
import type { CombiPlate } from './plate';

/** How the limit of the flow temperature is built is nobody's fault, and seen on no plate. */
export interface CombiStanding extends Standing {
  readonly limit: FlowLimit['kind'];
}
export type CombiUnit = Running<CombiPlate, CombiStanding> & { readonly elements: Elements };

export const pressures: Readonly<Record<CombiPlate['fuel'], GasPressures>> = {
  'natural-gas': { inlet: 2100, needed: 1500, burner: 1000 },
  lpg: { inlet: 3700, needed: 2900, burner: 2000 },
};

/** How wide the tap stands, against one that is open. */
const throttledLitrePerMinute = 5;
const startSpread = 0.13;
const roomCelsius = 20;
/** Bodies, for a boiler of so much input. Common practice. */
const rated = { inputWatt: 26_500, flow: 12_000, back: 5000, tap: 3000 } as const;
const plates = { primaryWattPerKelvin: 2900, tapWattPerKelvin: 2350 } as const;
/** Fall of the pump's curve, in kPa at 1 L/min; the pipes that every way shares lie in the cell's loss. */
const pumpFall = 0.1;
const hose = { lengthMetre: 0.12, wideMetre: 0.0202, roughnessMetre: 0.2e-3 } as const;
/** Radiators of a usual house at 50 K over the room, for each watt of input. Common practice. */
const radiatorShare = 0.67;
const startFlowCelsius = 32;
const startSecond = 6;
const watchedSeconds = 120;
/** Coarse enough for thousands of runs: a test holds it against a quarter of a second. */
const stepSecond = 0.5;
/** Pressure below which it locks out, and above which it warns, gauge. */
const leastPrimaryPascal = 5e4;
const primarySpread = 6e3;
const systemLitre = 75;
const vesselLitre = 8;

const isTap = ({ state: { controls } }: Pick<CombiUnit, 'state'>): boolean =>
  (controls.hotTap ?? 'closed') !== 'closed' && controls.request !== 'heating';
const isHeating = ({ state: { controls } }: Pick<CombiUnit, 'state'>): boolean =>
  controls.request === 'heating';

/** Loops that were solved: most of what is moved to see what it does lies elsewhere. */
const loops = new Map<string, number>();
const mostLoops = 5000;

function loopFlow(e: Elements, wayKilopascal: number): number {
  const key = `${e['pump.head']} ${e['cell.loss']} ${e['hose.millimetre']} ${wayKilopascal}`;
  let flow = loops.get(key);
  if (flow === undefined) {
    if (loops.size >= mostLoops) loops.clear();
    flow = solveLoop(e, wayKilopascal);
    loops.set(key, flow);
  }
  return flow;
}

/** Flow of the loop, in L/min: the pump against cell, hose and the way that the diverter has opened. */
function solveLoop(e: Elements, wayKilopascal: number): number {
  const { flow } = solveNet({
    links: [
      pump('pump', ['back', 'cell'], e['pump.head'], pumpFall),
      resistanceOfLoss('cell', ['cell', 'hose'], e['cell.loss']),
      pipeLink(
        'hose',
        ['hose', 'way'],
        reducedBore(
          hose.lengthMetre,
          Math.min(hose.wideMetre, e['hose.millimetre'] / 1000),
          hose.wideMetre,
          hose.roughnessMetre,
        ),
        60,
      ),
      resistanceOfLoss('way', ['way', 'back'], wayKilopascal),
    ],
    fixed: { back: 0 },
  });
  return Math.max(0.01, litrePerMinute(flow.pump!));
}

const water: Stage<CombiUnit> = {
  id: 'water',
  takes: [],
  gives: ['tap.flow', 'boiler.flow', 'shown.flow', 'asked', 'loop.flow', 'cold.celsius'],
  run(unit, signals) {
    const { elements: e, state } = unit;
    const wide = inSeries(
      e['cold-valve.conductance'],
      e['tap-filter.conductance'],
      e['plate.conductance'],
      e['tap.conductance'],
    );
    const open = isTap(unit) ? flowThrough(wide, e['mains.pascal']) : 0;
    const tap =
      state.controls.hotTap === 'throttled' ? Math.min(throttledLitrePerMinute, open) : open;
    const boiler = tap * (1 - e['outlet.past']);
    const shown = turbineShows(boiler, e['turbine.gain']);
    signals['tap.flow'] = tap;
    signals['boiler.flow'] = boiler;
    signals['shown.flow'] = isDisplayLit(e, state.controls.power) ? shown : 0;
    const called = isHeating(unit) && state.controls.roomThermostat !== 'lowest';
    signals.asked = called
      ? e['heat-call.there']
      : isTap(unit)
        ? aboveByShare(shown, e['start.flow'], startSpread)
        : 0;
    const heats = isHeating(unit) ? e['diverter.heats'] : e['diverter.strays'];
    const heatingLoss = e['heating.loss'] + e['filter.loss'];
    signals['loop.flow'] = loopFlow(e, heats > 0.5 ? heatingLoss : e['plate.loss']);
    signals['cold.celsius'] = e['mains.celsius'];
  },
};

const fire: Stage<CombiUnit> = {
  id: 'fire',
  takes: ['asked'],
  gives: fireSignals,
  run({ elements: e, state: { controls }, plate }, signals) {
    const asRead = e['primary.pascal'] + e['pressure-sensor.pascal'];
    const tapBarred = e['tap-sensor.whole'] < 0.5 && controls.request !== 'heating';
    runFire(
      e,
      {
        asked: signals.asked!,
        isStandby: false,
        isPowered: controls.power !== 'off',
        isGasOpen: controls.gas !== 'shut',
        isBarred:
          e['flow-sensor.whole'] < 0.5 ||
          tapBarred ||
          above(asRead, leastPrimaryPascal, primarySpread) < 0.5,
      },
      pressures[plate.fuel],
      signals,
    );
  },
};

/** The boiler as a tap finds it. */
function tapHeaterOf(unit: CombiUnit, signals: Readonly<Signals>): TapHeater {
  const { elements: e, plate, standing, state } = unit;
  const size = plate.inputWatt / rated.inputWatt;
  const loop = signals['loop.flow']!;
  const strays = e['diverter.strays'];
  const efficiency = plate.efficiency * e['cell.efficiency'];
  return {
    tapBodyJoulePerKelvin: rated.tap * size,
    primary: {
      litrePerMinute: loop,
      flowBodyJoulePerKelvin: rated.flow * size,
      returnBodyJoulePerKelvin: rated.back * size,
      transferWattPerKelvin: transferOf(e, size, loop * (1 - strays), signals['boiler.flow']!),
      straysShare: strays,
      straysCelsius: roomCelsius + 12,
    },
    burner: {
      mostWatt: plate.inputWatt * efficiency * signals['output.share']!,
      leastWatt:
        Math.min(plate.leastInputWatt, plate.inputWatt * signals['output.share']!) * efficiency,
    },
    startSecond,
    limit: { celsius: plate.flowLimitCelsius, kind: standing.limit },
    setCelsius: Number(state.controls.tapSetpoint ?? e['tap-setpoint.celsius']),
    tapOffsetKelvin: e['tap-sensor.kelvin'],
    flowOffsetKelvin: e['flow-sensor.kelvin'],
    inletOffsetKelvin: 0,
    flowGain: e['turbine.gain'],
  };
}

const transferOf = (e: Elements, size: number, primary: number, tap: number): number =>
  plateTransfer(
    {
      primaryWattPerKelvin: plates.primaryWattPerKelvin * size,
      tapWattPerKelvin: plates.tapWattPerKelvin * size,
      scaleKelvinPerWatt: e['plate.scale'] / 1000 / size,
      blockedShare: Math.min(0.97, e['plate.blocked']),
    },
    primary,
    tap,
  );

/** The two minutes after a tap was opened; undefined where it does not burn for it. @param signals of the unit. */
export function courseOf(unit: CombiUnit, signals: Readonly<Signals>): TapCourse | undefined {
  const drawn = drawnFrom(unit, signals);
  return drawn && tapCourse(...drawn);
}

function drawnFrom(
  unit: CombiUnit,
  signals: Readonly<Signals>,
): readonly [TapHeater, TapDraw] | undefined {
  if (!isTap(unit) || signals.lit! < 0.5 || !(signals['boiler.flow']! > 0)) return undefined;
  const cold = unit.elements['mains.celsius'];
  const draw = {
    litrePerMinute: signals['boiler.flow']!,
    coldCelsius: cold,
    startFlowCelsius: unit.state.known['flow.start'] ?? startFlowCelsius,
    startTapCelsius: cold,
    seconds: watchedSeconds,
    stepSecond,
  };
  return [tapHeaterOf(unit, signals), draw];
}

const heat: Stage<CombiUnit> = {
  id: 'heat',
  takes: ['lit', 'output.share', 'loop.flow', 'tap.flow', 'boiler.flow', 'asked', 'control.volt'],
  gives: [
    'tap.celsius',
    'tap.difference',
    'flow.rise',
    'flow.peak',
    'flow.shown',
    'flow.celsius',
    'return.celsius',
    'flow-return.difference',
    'tap.flow-return',
    'tap.heating-pipe',
    'heating.flow-return',
    'heating.flow',
    'heating.shown',
    'swing',
    'cuts',
    'boils',
    'watt',
    'gas.flow',
    'heating.celsius',
    'radiators.celsius',
    'driven',
    'pump.watt',
    'hot.pascal',
    'gauge.pascal',
    'shown.pascal',
    'vessel.pascal',
    'day.pascal',
    'hose.millimetre',
    'tap-sensor.difference',
    'flow-sensor.difference',
  ],
  run(unit, signals) {
    const { elements: e, plate } = unit;
    const cold = e['mains.celsius'];
    const drawn = drawnFrom(unit, signals);
    const features = drawn && tapFeatures(...drawn);
    const isLit = signals.lit! > 0.5;
    const isRead = isDisplayLit(e, unit.state.controls.power);
    const heating = isHeating(unit) && isLit ? heatingOf(unit, signals) : undefined;
    tapSignals(unit, signals, features, cold);
    signals.boils = features?.boils || heating?.boils ? 1 : 0;
    const flow = heating?.flow ?? features?.flowCelsius ?? startFlowCelsius;
    const back = heating?.back ?? features?.returnCelsius ?? startFlowCelsius;
    signals['flow.celsius'] = flow;
    signals['return.celsius'] = back;
    signals['flow.shown'] = isRead ? flowShown(e, flow) : 0;
    signals['flow-return.difference'] = flow - back;
    signals['tap.flow-return'] = features ? features.flowCelsius - features.returnCelsius : 0;
    signals['heating.flow-return'] = heating ? heating.flow - heating.back : 0;
    signals['heating.flow'] = heating?.flow ?? roomCelsius;
    signals['heating.shown'] = isRead ? flowShown(e, heating?.flow ?? roomCelsius) : 0;
    signals['tap.heating-pipe'] = strayWarm(e, features);
    signals['radiators.celsius'] = heating?.radiators ?? roomCelsius;
    signals['heating.celsius'] = heating ? heating.pipe : strayWarm(e, features);
    const full = plate.inputWatt * signals['output.share']!;
    signals['gas.flow'] = isLit ? (full * 3600) / grossJoulePerCubicMetre[plate.fuel] : 0;
    const isDriven = signals.asked! > 0.5 && signals['control.volt']! > 0;
    signals.driven = isDriven ? 1 : 0;
    signals['pump.watt'] = isDriven ? e['pump.watt'] : 0;
    const coldPascal = e['primary.pascal'];
    const warm = heating ? (flow + back) / 2 : 20;
    signals['hot.pascal'] =
      heating && warm > 25
        ? hotPascal(
            {
              systemLitre,
              vesselLitre: vesselLitre * e['vessel.cushion'],
              chargePascal: e['vessel.pascal'],
              coldPascal,
            },
            15,
            Math.min(95, warm),
          )
        : coldPascal;
    signals['gauge.pascal'] = coldPascal;
    signals['shown.pascal'] = isRead ? Math.max(0, coldPascal + e['pressure-sensor.pascal']) : 0;
    signals['vessel.pascal'] = e['vessel.pascal'];
    signals['day.pascal'] = e['primary.pascal-a-day'];
    signals['hose.millimetre'] = e['hose.millimetre'];
    signals['tap-sensor.difference'] = e['tap-sensor.whole'] < 0.5 ? -60 : e['tap-sensor.kelvin'];
    signals['flow-sensor.difference'] =
      e['flow-sensor.whole'] < 0.5 ? -60 : e['flow-sensor.kelvin'];
  },
};

/** What the display makes of a flow temperature: −40 °C of an open sensor. */
const flowShown = (e: Elements, celsius: number): number =>
  e['flow-sensor.whole'] < 0.5 ? -40 : celsius + e['flow-sensor.kelvin'];

/** With a tap open the heating pipe stays as it was, but for what strays into it. */
const strayWarm = (e: Elements, features: CourseFeatures | undefined): number => {
  const still = roomCelsius + 2;
  const share = Math.min(1, 1.6 * e['diverter.strays']);
  return features ? still + (features.flowCelsius - still) * share : still;
};

function tapSignals(
  { elements: e, state }: CombiUnit,
  signals: Signals,
  features: CourseFeatures | undefined,
  cold: number,
): void {
  const before = features?.tapCelsius ?? cold;
  const past = e['outlet.past'];
  const tap = before * (1 - past) + cold * past;
  signals['tap.celsius'] = tap;
  signals['tap.difference'] = tap - Number(state.controls.tapSetpoint ?? e['tap-setpoint.celsius']);
  signals['flow.rise'] = (features?.riseKelvinPerSecond ?? 0) * 60;
  signals['flow.peak'] = isDisplayLit(e, state.controls.power)
    ? flowShown(e, features?.peakCelsius ?? startFlowCelsius)
    : 0;
  signals.swing = (features?.tapSwingKelvin ?? 0) * (1 - past);
  signals.cuts = features?.cuts ?? 0;
  signals.watt = features?.meanWatt ?? 0;
}

interface Heating {
  readonly flow: number;
  readonly back: number;
  readonly pipe: number;
  readonly radiators: number;
  readonly boils: boolean;
}

/** Heating once everything is warm: the flow at its setpoint, or what the burner, the limit and the loop leave of it. */
function heatingOf({ elements: e, plate, state }: CombiUnit, signals: Readonly<Signals>): Heating {
  const loop = signals['loop.flow']!;
  const efficiency = plate.efficiency * e['cell.efficiency'];
  const most = plate.inputWatt * efficiency * signals['output.share']!;
  if (e['diverter.heats'] < 0.5) {
    // All of it goes round the plates: nothing takes the heat.
    return {
      flow: plate.flowLimitCelsius - 1,
      back: plate.flowLimitCelsius - 2,
      pipe: roomCelsius + 2,
      radiators: roomCelsius,
      boils: false,
    };
  }
  const rated50 = plate.inputWatt * radiatorShare * e['radiators.share'];
  const set =
    Number(state.controls.flowSetpoint ?? e['flow-setpoint.celsius']) - e['flow-sensor.kelvin'];
  const limit = plate.flowLimitCelsius - e['flow-sensor.kelvin'];
  const highest = Math.min(set, limit);
  const at = (flow: number) => throughRadiator({ ratedWatt: rated50 }, flow, roomCelsius, loop);
  let flow = highest;
  // A burner that cannot reach it settles where the radiators take all that it has.
  if (at(highest).watt > most) {
    let [low, high] = [roomCelsius, highest];
    for (let k = 0; k < 30; k++) {
      const middle = (low + high) / 2;
      if (at(middle).watt > most) high = middle;
      else low = middle;
    }
    flow = (low + high) / 2;
  }
  const { returnCelsius, watt } = at(flow);
  // Its least burns into little flow: the cell runs ahead of its setpoint until it cuts.
  const least = Math.min(plate.leastInputWatt * efficiency, most);
  const ahead = watt < least ? (least - watt) / streamWattPerKelvin(loop) : 0;
  const shownFlow = Math.min(limit, flow + ahead);
  return {
    flow: shownFlow,
    back: returnCelsius,
    pipe: flow,
    radiators: roomCelsius + overRoomKelvin(flow, returnCelsius, roomCelsius),
    boils: loop < 2,
  };
}

const runner = runnerOf([water, fire, heat]);
/** As much of it as a draw needs. */
const runBeforeHeat = runnerOf([water, fire]);

/** The physics of a boiler, in a state. */
export const run = (unit: Running<CombiPlate, CombiStanding>): Signals =>
  runner({ ...unit, elements: unit.elements as Elements });

/** What is watched at its tap: the two minutes, and what stands there where it does not burn. */
export function watchTap(unit: Running<CombiPlate, CombiStanding>) {
  const elements = unit.elements as Elements;
  const own = { ...unit, elements };
  const cold = elements['mains.celsius'];
  const past = elements['outlet.past'];
  const signals = runBeforeHeat(own);
  return {
    course: courseOf(own, signals),
    litrePerMinute: signals['tap.flow']!,
    still: { flowCelsius: unit.state.known['flow.start'] ?? startFlowCelsius, tapCelsius: cold },
    tapShare: (celsius: number) => celsius * (1 - past) + cold * past,
    readoutKelvin: {
      flow: elements['flow-sensor.kelvin'],
      tap: elements['tap-sensor.kelvin'],
    },
  };
}
