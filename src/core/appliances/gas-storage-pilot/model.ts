import { isDone, wiresOf, type UnitState } from '../kit/unit-state';
import { runnerOf, type Signals, type Stage } from '../kit/stages';
import { openOhm } from '../../circuit';
import { generators, letGoVolt, mainGasVolt, tipSeconds, type Elements } from './elements';
import { millivoltCircuit, type MillivoltCircuit } from './millivolts';
import { gasPressurePascal, ratedGasFlow, type GasPlate } from './plate';
import { coldCelsius, type GasStanding } from './standing';
import { gasWater, type GasWaterModel } from './water';

/** What is done once: the button of the roll-out cutout pressed. */
export const cutoutReset = 'cutout-reset';

/** A unit to be run: what it is made of, how it stood on arrival, and how it is set for a reading. */
export interface GasUnit {
  readonly plate: GasPlate;
  readonly elements: Elements;
  readonly standing: GasStanding;
  readonly state: UnitState;
}

/** Dial marks, in °C: about 5.6 K a mark. Common practice; the label wins. */
export const dialCelsius: Readonly<Record<string, number>> = {
  vacation: 15,
  low: 35,
  hot: 49,
  a: 54,
  b: 60,
  c: 66,
};

/** Hottest end of a tip above its cold end in a good pilot flame, in kelvin. Common practice. */
const tipKelvin = 620;
/** A pilot smaller than this share does not burn. */
const leastPilot = 0.12;

/** Below this chance of a hold nobody measures a burner. */
const leastMain = 0.05;

const knobOf = ({ state, elements }: GasUnit): string =>
  state.controls.knob ?? (elements['knob.on'] > 0.5 ? 'on' : 'pilot');

/** Gas, air and flame up to the tip. */
const lighting: Stage<GasUnit> = {
  id: 'lighting',
  takes: [],
  gives: ['pilot.share', 'pilot.burns', 'air.share', 'tip.kelvin'],
  run(unit, signals) {
    const { elements: e, state, standing } = unit;
    const isShut = state.controls.gasCock === 'closed' || knobOf(unit) === 'off';
    const gas = isShut ? 0 : e['gas.supply'];
    const share = gas * Math.sqrt(e['gas.working'] / 0.94) * e['pilot.opening'];
    const air = e['air.way'] * (0.7 + 0.3 * e['air.room']);
    const canLight = share > leastPilot && e['igniter.spark'] > 0.5;
    // What was not touched burns as it was found; what somebody lights burns where it can.
    const touched = state.controls.pilot;
    const isLit =
      touched === 'put-out'
        ? false
        : (touched === 'lit' && canLight) || (standing.pilot === 'lit' && share > leastPilot);
    const quality = 1 - 0.55 * (1 - air);
    const kelvin = isLit
      ? tipKelvin * Math.min(1.06, share) ** 0.6 * quality * e['tip.engagement']
      : 0;
    signals['pilot.share'] = share;
    signals['pilot.burns'] = isLit ? 1 : 0;
    signals['air.share'] = air;
    signals['tip.kelvin'] = kelvin;
  },
};

/** The generator and what it holds, by the circuit. */
const millivolts = (circuit: MillivoltCircuit): Stage<GasUnit> => ({
  id: 'millivolts',
  takes: ['tip.kelvin'],
  gives: ['generator.volt', 'valve.volt'],
  run(unit, signals) {
    const volt = emfOf(unit, signals['tip.kelvin']!);
    signals['generator.volt'] = volt;
    signals['valve.volt'] =
      volt === 0
        ? 0
        : circuit
            .solve(standingOhms(unit), wiresOf(unit.state.apart), volt)
            .probeVoltage('valve.plus', 'valve.minus').value;
  },
});

export const emfOf = ({ plate, elements }: GasUnit, kelvin: number): number =>
  generators[plate.valve].voltPerKelvin * elements['generator.output'] * kelvin;

/** Ohms with what has tripped or opened on the way here. */
export function standingOhms({ elements, standing, state }: GasUnit): Elements {
  const isTripped = standing.isTripped && !isDone(state, cutoutReset);
  if (!isTripped && !standing.isCutOff) return elements;
  return {
    ...elements,
    ...(isTripped ? { 'cutout.ohm': openOhm } : {}),
    ...(standing.isCutOff ? { 'energy-cutoff.ohm': openOhm } : {}),
  };
}

/** Spread of where a magnet lets go, natural logarithm. Common practice. */
const letGoSpread = 0.2;

/** Hold, thermostat and main gas. */
const burning: Stage<GasUnit> = {
  id: 'burning',
  takes: ['valve.volt', 'pilot.burns', 'pilot.share', 'air.share'],
  gives: [
    'hold',
    'let-go.volt',
    'let-go.seconds',
    'calls',
    'main',
    'manifold',
    'inlet',
    'rate',
    'flow',
    'co',
  ],
  run(unit, signals) {
    const { plate, elements: e } = unit;
    const { inlet, manifold: nominal } = gasPressurePascal[plate.fuel];
    const letGo = letGoVolt[plate.valve] * e['magnet.let-go'];
    const volt = signals['valve.volt']!;
    const burns = signals['pilot.burns']! > 0.5;
    const hold =
      burns && volt > 0
        ? e['electronics.alive'] * logistic(Math.log(volt / letGo) / (letGoSpread / 1.7))
        : 0;
    const calls = callsFor(unit);
    const drives =
      volt >= mainGasVolt[plate.valve] &&
      knobOf(unit) === 'on' &&
      calls > 0.5 &&
      e['valve.opens'] > 0.5;
    const main = e['valve.shuts'] < 0.5 ? (burns ? hold : 0) : drives ? hold : 0;
    const working = inlet * (e['gas.working'] / 0.94);
    const manifold = Math.max(0, Math.min(nominal * e['gas.regulated'], working - 100));
    const rate = e['burner.orifice'] * Math.sqrt(manifold / nominal);
    const air = signals['air.share']!;
    // Soot, short air and a blocked flue each drive carbon monoxide; the worst of them does it.
    const worst = Math.max(
      1 - e['burner.ports'] > 0.04 ? 0.5 : 0,
      rate > 1.2 ? Math.min(1, (rate - 1.1) * 1.4) : 0,
      Math.max(0, 0.9 - air),
      0.8 * e['flue.spill'],
    );
    signals['hold'] = hold;
    signals['let-go.volt'] = letGo;
    signals['let-go.seconds'] =
      hold > 0 ? Math.max(0, tipSeconds[plate.valve].cool * Math.log(volt / letGo)) : 0;
    signals['calls'] = calls;
    signals['main'] = main;
    // A burner burns or does not: what is measured on it is measured while it does.
    const on = main > leastMain ? 1 : 0;
    signals['manifold'] = manifold * on;
    signals['inlet'] = on > 0.5 ? working : inlet * e['gas.static'];
    signals['rate'] = rate * on;
    signals['flow'] = ratedGasFlow(plate) * rate * on;
    signals['co'] = 15 * Math.exp(3.2 * worst);
  },
};

/** 1 where the thermostat asks for heat. On a dial turned up it does whatever the water is, short of its end. */
function callsFor({ state, standing, elements }: GasUnit): number {
  const dial = state.controls.dial;
  const set = dial === undefined ? elements['dial.celsius'] : (dialCelsius[dial] ?? 49);
  // Drawn cold on purpose, it asks for heat whatever it had.
  const celsius = state.controls.tank === 'drawn' ? coldCelsius : standing.tankCelsius;
  return celsius < set - elements['valve.early-kelvin'] - 2 ? 1 : 0;
}

/** The tank over its burner, and what comes out of it. */
const tank = (water: GasWaterModel): Stage<GasUnit> => ({
  id: 'tank',
  takes: ['main', 'rate', 'air.share'],
  gives: [
    'heat',
    'outlet.first',
    'outlet.drawn',
    'outlet.recovered',
    'pair.difference',
    'series.difference',
    'cold.pressure',
    'cold.celsius',
  ],
  run({ plate, elements: e, standing }, signals) {
    const heat =
      plate.inputWatt *
      signals['rate']! *
      plate.efficiency *
      e['burner.ports'] *
      (1 - 0.22 * e['tank.sediment']) *
      (0.9 + 0.1 * signals['air.share']!);
    const top = standing.tankCelsius;
    const nearer = e['pair.nearer-share'];
    const hot = (share: number) => water.drawn(e, top, 225 * share, 15);
    const isPair = plate.arrangement === 'parallel';
    signals['heat'] = heat;
    signals['outlet.first'] = top;
    signals['outlet.drawn'] = water.drawn(e, top, 50, 10);
    signals['outlet.recovered'] = water.recovered(e, heat);
    signals['pair.difference'] = isPair
      ? hot(nearer) - (e['pair.other-heats'] > 0.5 ? hot(1 - nearer) : coldCelsius)
      : 0;
    signals['series.difference'] = e['pair.other-heats'] > 0.5 ? 0 : top - coldCelsius;
    signals['cold.celsius'] = coldCelsius;
    signals['cold.pressure'] = e['cold.pressure-pascal'];
  },
});

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

export interface GasModel {
  run(unit: GasUnit): Signals;
  circuit: MillivoltCircuit;
  water: GasWaterModel;
}

/** The heater of a plate, to be run with any elements, standing and setting. */
export function gasModel(plate: GasPlate): GasModel {
  const circuit = millivoltCircuit(plate);
  const water = gasWater(plate);
  return {
    circuit,
    water,
    run: runnerOf([lighting, millivolts(circuit), burning, tank(water)]),
  };
}
