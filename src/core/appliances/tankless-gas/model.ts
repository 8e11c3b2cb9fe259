import {
  grossJoulePerCubicMetre,
  litrePerMinute,
  resistance,
  solveNet,
  streamWattPerKelvin,
  tapCourse,
  tapFeatures,
  turbineShows,
  type Link,
  type TapCourse,
  type TapDraw,
  type TapHeater,
} from '../../water';
import { fireSignals, isDisplayLit, runFire, type GasPressures } from '../gas-fired/fire';
import { aboveByShare } from '../kit/signal/outcome-tables';
import { isDone } from '../kit/unit-state';
import { runnerOf, type Signals, type Stage } from '../kit/stages';
import type { Running, Standing } from '../kit/signal/declaration';
import type { Elements } from './elements';
import type { TanklessPlate } from './plate';

export type TanklessStanding = Standing;
export type TanklessUnit = Running<TanklessPlate, TanklessStanding> & {
  readonly elements: Elements;
};

/** Natural gas and LPG at the valve, in pascal: what stands there, what full output needs, and what the burner gets. */
export const pressures: Readonly<Record<TanklessPlate['fuel'], GasPressures>> = {
  'natural-gas': { inlet: 1740, needed: 1250, burner: 808 },
  lpg: { inlet: 2740, needed: 2200, burner: 1700 },
};

/** How wide taps stand, against one that is wide open. */
const tapOpening: Readonly<Record<string, number>> = {
  'one-open': 1,
  'two-open': 2.2,
  throttled: 0.3,
};

/** What a flow sensor's threshold differs by from unit to unit, natural logarithm. */
const startSpread = 0.13;
/** Flow below which nothing comes. */
const leastFlow = 0.05;

interface Way {
  readonly tap: number;
  readonly isPort: boolean;
  readonly isHotShut: boolean;
  readonly isColdShut: boolean;
  readonly isLineShut: boolean;
}

function wayOf({ state: { controls } }: Pick<TanklessUnit, 'state'>): Way {
  return {
    tap: tapOpening[controls.hotTap ?? 'closed'] ?? 0,
    isPort: controls.hotPort === 'open',
    isHotShut: controls.hotIsolation === 'shut',
    isColdShut: controls.coldIsolation === 'shut',
    isLineShut: controls.recirculation === 'shut',
  };
}

/** The heater's water: what flows through it and past it. */
export function flowsOf(
  e: Elements,
  way: Way,
): { heater: number; past: number; coldPortPascal: number } {
  // Crossed lines: the hot isolation is then where the cold comes in, and shuts it.
  const isCrossed = e['lines.crossed'] > 0.5;
  const cut = {
    in: way.isColdShut || e['inlet.open'] < 0.5 || (isCrossed && way.isHotShut),
    out: way.isHotShut,
  };
  const links: Link[] = [
    resistance('main', ['mains', 'cold'], e['main.conductance']),
    resistance('strainer', ['cold', 'in'], cut.in ? 0 : e['strainer.conductance']),
    resistance('heater', ['in', 'out'], cut.in ? 0 : e['heater.conductance']),
    resistance('isolation', ['out', 'hot'], cut.out || cut.in ? 0 : 60),
    resistance('crossing', ['cold', 'hot'], e['crossing.conductance']),
    resistance('line', ['cold', 'hot'], way.isLineShut ? 0 : e['recirculation.conductance']),
    resistance('house', ['hot', 'room'], way.tap > 0 ? e['house.conductance'] : 0),
    resistance('tap', ['room', 'sink'], way.tap > 0 ? e['tap.conductance'] * way.tap : 0),
    resistance('port', ['out', 'bucket'], way.isPort && !cut.in ? e['port.conductance'] : 0),
  ];
  const fixed = { mains: e['mains.pascal'], sink: 0, bucket: 0 };
  const reached = reachable(links, fixed);
  const { flow, pascal } = solveNet({
    links: links.map((each) => (reached.has(each.from) ? each : { ...each, isShut: true })),
    fixed,
  });
  const of = (id: string) => {
    const litre = litrePerMinute(flow[id] ?? 0);
    return litre > leastFlow ? litre : 0;
  };
  return {
    heater: of('heater'),
    past: of('crossing') + of('line'),
    coldPortPascal: pascal.cold ?? e['mains.pascal'],
  };
}

/** Nodes that an open way joins to a fixed pressure. */
function reachable(links: readonly Link[], fixed: Readonly<Record<string, number>>): Set<string> {
  const reached = new Set(Object.keys(fixed));
  for (let grew = true; grew;) {
    grew = false;
    for (const { from, to, isShut } of links) {
      if (!isShut && reached.has(from) !== reached.has(to)) {
        reached.add(from).add(to);
        grew = true;
      }
    }
  }
  return reached;
}

/** What was done to it on the way: a strainer that was rinsed, a plug that was pulled and pushed home. */
function asLeft({ elements, state }: Running<TanklessPlate, TanklessStanding>): Elements {
  const e = elements as Elements;
  const isRinsed = isDone(state, strainerRinsed) && e['strainer.conductance'] < cleanStrainer;
  const isReseated = isDone(state, connectorReseated) && e['flow-sensor.contact'] < 1;
  if (!isRinsed && !isReseated) return e;
  return {
    ...e,
    ...(isRinsed ? { 'strainer.conductance': cleanStrainer } : {}),
    ...(isReseated ? { 'flow-sensor.contact': 1 } : {}),
  };
}
const cleanStrainer = 40;
export const strainerRinsed = 'strainer-rinsed';
export const connectorReseated = 'connector-reseated';

/** What a readout makes of a flow: the turbine, its pick-up and its plug. */
const gainOf = (e: Elements): number =>
  e['turbine.gain'] * e['flow-sensor.contact'] * e['flow-sensor.pick-up'];

const water: Stage<TanklessUnit> = {
  id: 'water',
  takes: [],
  gives: [
    'heater.flow',
    'past.flow',
    'outlet.flow',
    'shown.flow',
    'cold-port.pascal',
    'asked',
    'cold.celsius',
  ],
  run(unit, signals) {
    const { elements: e, state } = unit;
    const { heater, past, coldPortPascal } = flowsOf(e, wayOf(unit));
    // Backwards the vanes give no spin.
    const shown = turbineShows(heater, e['lines.crossed'] > 0.5 ? 0 : gainOf(e));
    signals['heater.flow'] = heater;
    signals['past.flow'] = past;
    signals['outlet.flow'] = heater + past;
    signals['shown.flow'] = isDisplayLit(e, state.controls.power) ? shown : 0;
    signals['cold-port.pascal'] = coldPortPascal;
    signals.asked = aboveByShare(shown, e['start.flow'], startSpread);
    signals['cold.celsius'] = e['mains.celsius'];
  },
};

const fire: Stage<TanklessUnit> = {
  id: 'fire',
  takes: ['asked'],
  gives: fireSignals,
  run({ elements: e, state: { controls }, plate }, signals) {
    runFire(
      e,
      {
        asked: signals.asked!,
        isStandby: controls.request === 'standby' || e['request.on'] < 0.5,
        isPowered: controls.power !== 'off',
        isGasOpen: controls.gas !== 'shut',
        isBarred: e['inlet-sensor.whole'] < 0.5 || e['outlet-sensor.whole'] < 0.5,
      },
      pressures[plate.fuel],
      signals,
    );
  },
};

/** Heat that the exchanger holds for each watt of input, in J/K; and where its wall trips the control. */
const bodyPerWatt = 6000 / 44_000;
const wallLimitCelsius = 95;
const watchedSeconds = 120;
/** Coarse enough for thousands of runs: a test holds it against a quarter of a second. */
const stepSecond = 0.5;
const startSecond = 4;

/** The burner as it runs at a tap. */
function tapHeaterOf(
  plate: TanklessPlate,
  e: Elements,
  outputShare: number,
  setCelsius: number,
): TapHeater {
  const efficiency = plate.efficiency * e['exchanger.efficiency'];
  return {
    tapBodyJoulePerKelvin: bodyPerWatt * plate.inputWatt,
    burner: {
      mostWatt: plate.inputWatt * efficiency * outputShare,
      leastWatt: Math.min(plate.leastInputWatt, plate.inputWatt * outputShare) * efficiency,
    },
    startSecond,
    limit: { celsius: wallLimitCelsius, kind: 'cuts' },
    setCelsius,
    tapOffsetKelvin: e['outlet-sensor.kelvin'],
    flowOffsetKelvin: 0,
    inletOffsetKelvin: e['inlet-sensor.kelvin'],
    flowGain: gainOf(e),
    wallKelvinPerWatt: e['exchanger.scale'] / 1000,
  };
}

/** The two minutes after a tap or port was opened; undefined where it does not burn. @param signals of the unit. */
export function courseOf(unit: TanklessUnit, signals: Readonly<Signals>): TapCourse | undefined {
  const drawn = drawnFrom(unit, signals);
  return drawn && tapCourse(...drawn);
}

function drawnFrom(
  { elements: e, plate, state: { controls } }: TanklessUnit,
  signals: Readonly<Signals>,
): readonly [TapHeater, TapDraw] | undefined {
  const heater = signals['heater.flow']!;
  if (signals.lit! < 0.5 || !(heater > 0)) return undefined;
  const setCelsius = Number(controls.setpoint ?? e['setpoint.celsius']);
  const cold = e['mains.celsius'];
  const draw = {
    litrePerMinute: heater,
    coldCelsius: cold,
    startFlowCelsius: cold,
    startTapCelsius: cold,
    seconds: watchedSeconds,
    stepSecond,
  };
  return [tapHeaterOf(plate, e, signals['output.share']!, setCelsius), draw];
}

const heat: Stage<TanklessUnit> = {
  id: 'heat',
  takes: ['lit', 'output.share', 'heater.flow', 'past.flow', 'outlet.flow'],
  gives: [
    'outlet.celsius',
    'shown.outlet',
    'shown.inlet',
    'swing',
    'cuts',
    'watt',
    'gas.flow',
    'hot.seconds',
    'inlet-sensor.difference',
    'outlet-sensor.difference',
  ],
  run(unit, signals) {
    const { elements: e, plate } = unit;
    const cold = e['mains.celsius'];
    const heater = signals['heater.flow']!;
    const past = signals['past.flow']!;
    const drawn = drawnFrom(unit, signals);
    const features = drawn && tapFeatures(...drawn);
    const isLit = features !== undefined;
    const before = features?.tapCelsius ?? cold;
    const mixed = heater + past > 0 ? (before * heater + cold * past) / (heater + past) : cold;
    signals['outlet.celsius'] = mixed;
    const isRead = isDisplayLit(e, unit.state.controls.power);
    const shows = (whole: number, celsius: number) => (!isRead ? 0 : whole < 0.5 ? -40 : celsius);
    signals['shown.outlet'] = shows(e['outlet-sensor.whole'], before + e['outlet-sensor.kelvin']);
    signals['shown.inlet'] = shows(e['inlet-sensor.whole'], cold + e['inlet-sensor.kelvin']);
    signals.swing = features
      ? features.tapSwingKelvin * (heater / Math.max(0.1, heater + past))
      : 0;
    signals.cuts = features?.cuts ?? 0;
    signals.watt = features?.meanWatt ?? 0;
    // Read at full output, as the check is taken.
    const full = plate.inputWatt * signals['output.share']!;
    signals['gas.flow'] = isLit ? (full * 3600) / grossJoulePerCubicMetre[plate.fuel] : 0;
    const outlet = signals['outlet.flow']!;
    const body = bodyPerWatt * plate.inputWatt;
    signals['hot.seconds'] = isLit
      ? (e['pipe.litre'] / outlet) * 60 + startSecond + body / streamWattPerKelvin(heater)
      : 120;
    signals['inlet-sensor.difference'] =
      e['inlet-sensor.whole'] < 0.5 ? -60 : e['inlet-sensor.kelvin'];
    signals['outlet-sensor.difference'] =
      e['outlet-sensor.whole'] < 0.5 ? -60 : e['outlet-sensor.kelvin'];
  },
};

const runAsLeft = runnerOf([water, fire, heat]);
/** As much of it as a draw needs. */
const runBeforeHeat = runnerOf([water, fire]);

/** The physics of a heater, in a state. */
export const run = (unit: Running<TanklessPlate, TanklessStanding>): Signals =>
  runAsLeft({ ...unit, elements: asLeft(unit) });

/** What is watched at its tap: the two minutes, and what stands there where it does not burn. */
export function watchTap(unit: Running<TanklessPlate, TanklessStanding>) {
  const elements = asLeft(unit);
  const own = { ...unit, elements };
  const signals = runBeforeHeat(own);
  const cold = elements['mains.celsius'];
  const [through, past] = [signals['heater.flow']!, signals['past.flow']!];
  const share = through + past > 0 ? through / (through + past) : 1;
  return {
    course: courseOf(own, signals),
    litrePerMinute: through + past,
    still: { flowCelsius: cold, tapCelsius: cold },
    tapShare: (celsius: number) => celsius * share + cold * (1 - share),
    readoutKelvin: { flow: 0, tap: elements['outlet-sensor.kelvin'] },
  };
}
