import { above, mixed } from '../kit/signal/outcome-tables';
import type { Shares } from '../kit/signal/declaration';
import type { Elements } from './elements';

/** Where a call for heat ends, in the order of the sequence: the first that stops it. */
export const sequenceEnds = [
  'dark',
  'no-response',
  'blocked',
  'waits',
  'fan-silent',
  'fan-no-spark',
  'no-spark',
  'spark-no-flame',
  'flame-drops',
  'thump-or-late',
  'starves',
  'races-and-stops',
  'runs-short',
  'runs',
] as const;
export type SequenceEnd = (typeof sequenceEnds)[number];

export type Call = 'heat' | 'cylinder';

/** What the sequence meets beside its own elements. */
export interface Called {
  readonly call: Call;
  /** Chance that its board is alive: its volts are near where it goes out, or not. */
  readonly alive: number;
  /** Chance that the call reaches the board. */
  readonly called: number;
  /** Volts at the end of its safety chain are there. */
  readonly isChainClosed: boolean;
  readonly isGasOpen: boolean;
}

/** How sure the end is that the model names. Common practice. */
const named = 0.94;
const spreadEvenly: Shares = Object.fromEntries(
  sequenceEnds.map((each) => [each, 1 / sequenceEnds.length]),
);

/** Where the sequence ends, as shares of what somebody would see who watches it. */
export function sequenceOf(e: Elements, given: Called): Shares {
  const { alive, called } = given;
  const live = mixed(called, afterCall(e, given), { 'no-response': 1 });
  return mixed(named, mixed(alive, live, { dark: 1 }), spreadEvenly);
}

function afterCall(e: Elements, { call, isChainClosed, isGasOpen }: Called): Shares {
  if (e['enabled.on'] < 0.5) return { 'no-response': 1 };
  if (call === 'cylinder') {
    if (e['tank.on'] < 0.5 || e['tank.in-mode'] < 0.5) return { 'no-response': 1 };
    if (e['cylinder-sensor.whole'] < 0.5) return { 'no-response': 1 };
  }
  const isSensorOut = e['supply-sensor.whole'] < 0.5 || e['return-sensor.whole'] < 0.5;
  if (!isChainClosed || isSensorOut) return { blocked: 1 };
  if (e['flame.true'] < 0.5) return { blocked: 0.95, 'thump-or-late': 0.02 };
  if (call === 'heat') {
    if (e['start-delay.off'] < 0.5) return { waits: 0.95 };
    if (e['warm-weather.heats'] < 0.5) return { waits: 0.6, 'no-response': 0.38 };
  }
  const passes = e['gas-valve.shuts'] < 0.5;
  if (passes) return { blocked: 0.6, 'thump-or-late': 0.3, runs: 0.08 };
  if (e['fan.turns'] < 0.5) return { 'fan-silent': 1 };
  const hasAir = e['air-switch.closes'] * above(airPascal(e), leastAirPascal, 4);
  return mixed(hasAir, ignition(e, isGasOpen, call), { 'fan-no-spark': 1 });
}

/** Across the air switch at purge speed, in pascal; it opens below. Common practice. */
export const airPascal = (e: Elements): number => (e['fan.turns'] > 0.5 ? 100 * e['air.way'] : 0);
const leastAirPascal = 78;
const droppedMicroampere = 1;
/** Pressure that a burner starves below at full fire, as a share of the usual one. */
const leastRunning = 0.6;

function ignition(e: Elements, isGasOpen: boolean, call: Call): Shares {
  if (e['igniter.works'] < 0.5) return { 'no-spark': 0.8, 'thump-or-late': 0.14 };
  if (!isGasOpen || e['gas.static'] < 0.2 || e['gas-valve.opens'] < 0.5) {
    return { 'spark-no-flame': 1 };
  }
  if (e['burner.whole'] < 0.5) {
    return { 'thump-or-late': 0.6, 'spark-no-flame': 0.2, 'flame-drops': 0.12, runs: 0.08 };
  }
  if (e['burner.clean'] < 0.5) {
    return { 'thump-or-late': 0.5, 'spark-no-flame': 0.1, 'flame-drops': 0.1, runs: 0.3 };
  }
  const holds = above(e['flame.microampere'], droppedMicroampere, 0.25);
  return mixed(holds, burning(e, call), { 'flame-drops': 1 });
}

function burning(e: Elements, call: Call): Shares {
  if (e['gas.running'] < leastRunning) {
    return { starves: 0.6, 'thump-or-late': 0.12, 'flame-drops': 0.1, runs: 0.18 };
  }
  if (e['primary.flow'] < 0.2) return { 'races-and-stops': 1 };
  if (e['air-in-loop.share'] > 0.5) return { 'races-and-stops': 0.6, 'runs-short': 0.2, runs: 0.2 };
  // A sensor that reads high stops it before the water is hot.
  if (e['supply-sensor.kelvin'] > 7) return { 'runs-short': 0.75, runs: 0.25 };
  if (call === 'cylinder') {
    if (e['cylinder-pump.turns'] < 0.5) return { 'runs-short': 0.7, 'races-and-stops': 0.2 };
    if (e['coil.share'] < 0.6) return { 'runs-short': 0.6, runs: 0.38 };
    if (e['tank-limit.clear'] < 0.5) return { 'runs-short': 0.5, runs: 0.48 };
  }
  if (e['mixture.right'] < 0.5) return { runs: 0.74, 'thump-or-late': 0.15, 'flame-drops': 0.05 };
  return { runs: 1 };
}

/** Ends with a flame that stands. */
export const litEnds: readonly SequenceEnd[] = [
  'thump-or-late',
  'starves',
  'races-and-stops',
  'runs-short',
  'runs',
];
/** Ends after gas has been asked for: a trial was reached. */
export const trialEnds: readonly SequenceEnd[] = ['spark-no-flame', 'flame-drops', ...litEnds];
