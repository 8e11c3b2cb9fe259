import { above } from '../kit/signal/outcome-tables';
import { runnerOf, type Signals, type Stage } from '../kit/stages';
import { wiresOf, type UnitState } from '../kit/unit-state';
import type { Target } from '../appliance-family';
import type { Quantity } from '../../quantities';
import { chainOf, type Chain, type ChainSetting } from './chain';
import { chainElements, type Elements } from './elements';
import type { SystemPlate } from './plate';
import {
  airPascal,
  litEnds,
  sequenceEnds,
  sequenceOf,
  trialEnds,
  type Call,
  type SequenceEnd,
} from './sequence';

/** One way only that it stands on arrival. */
export interface SystemStanding {
  readonly share: number;
}

export interface SystemUnit {
  readonly plate: SystemPlate;
  readonly elements: Elements;
  readonly standing: SystemStanding;
  readonly state: UnitState;
}

/** The signal of each end, by its name: made once, for it is looked up for every end of every unit that is weighed. */
export const stageSignals = Object.fromEntries(
  sequenceEnds.map((end) => [end, `stage.${end}`]),
) as Readonly<Record<SequenceEnd, string>>;

/** Volts below which its board goes out, with how much boards differ. Common practice. */
const leastBoardVolt = { volt: 17, spread: 0.7 } as const;
/** A call is seen below this across its own terminals. */
const calledVolt = 5;
const mainsPumpVolt = 0.8;

/** What a check asks of the unit: the call that is made, and how the chain is set. */
export function callOf({ controls }: UnitState): Call {
  return controls.aquastat === 'up' && controls.thermostat1 !== 'up' ? 'cylinder' : 'heat';
}

export function settingOf({ controls, apart }: UnitState): ChainSetting {
  return {
    isPowered: controls.power !== 'off',
    isZone1Up: controls.thermostat1 !== 'down',
    isZone2Up: controls.thermostat2 !== 'down' && callOf({ controls } as UnitState) === 'heat',
    isAquastatUp: controls.aquastat === 'up',
    isFuseOut: controls.panelFuse === 'out',
    jumper: controls.jumper === 'zone-1' || controls.jumper === 'tt' ? controls.jumper : 'none',
    lifted: wiresOf(apart),
  };
}

/** What relays, lamps and board are at, of chains that are alike: most of what is moved lies elsewhere. */
const mostKept = 6000;
interface ChainSignals {
  readonly boardVolt: number;
  readonly ttVolt: number;
  readonly dhwVolt: number;
  readonly chainVolt: number;
  readonly zone1: boolean;
  readonly zone2: boolean;
  readonly zoneDhw: boolean;
  readonly pump1: boolean;
  readonly pumpDhw: boolean;
  readonly chatters: boolean;
  readonly panelVolt: number;
}

function chainStage(plate: SystemPlate, chain: Chain): Stage<SystemUnit> {
  const kept = new Map<string, ChainSignals>();
  // Short words for long ones, which are looked up for every unit in every setting. No number is given twice.
  const numbers = { chain: new Map<string, number>(), setting: new Map<string, number>() };
  let given = 0;
  const numberOf = (of: keyof typeof numbers, text: string): number => {
    const known = numbers[of].get(text) ?? ++given;
    numbers[of].set(text, known);
    return known;
  };
  const chains = new WeakMap<Elements, number>();
  const chainNumber = (e: Elements) => {
    const number =
      chains.get(e) ?? numberOf('chain', chainElements.map((each) => e[each]).join(' '));
    chains.set(e, number);
    return number;
  };
  const settings = new WeakMap<UnitState, { set: ChainSetting; number: number }>();
  const settingIn = (state: UnitState) => {
    let known = settings.get(state);
    if (!known) {
      const set = settingOf(state);
      known = { set, number: numberOf('setting', Object.values(set).join(' ')) };
      settings.set(state, known);
    }
    return known;
  };
  const solved = (e: Elements, state: UnitState): ChainSignals => {
    const { set, number } = settingIn(state);
    const key = `${chainNumber(e)} ${number}`;
    const known = kept.get(key);
    if (known) return known;
    const at = chain.solve(e, set);
    const volt = (from: string, to: string) => at.volt(from, to) ?? 0;
    const pumpVolt = (zone: string) => volt(`${zone}.pump`, 'panel.n');
    const made: ChainSignals = {
      boardVolt: volt('boiler.r-fused', 'boiler.c'),
      ttVolt: volt('boiler.tt-1', 'boiler.tt-2'),
      dhwVolt: plate.cylinderControl === 'aquastat' ? volt('boiler.dhw-1', 'boiler.dhw-2') : 0,
      chainVolt: volt('drain-switch.out', 'boiler.c'),
      panelVolt: volt('panel.bus', 'panel.c'),
      zone1: at.isPicked('zone-1'),
      zone2: at.isPicked('zone-2'),
      zoneDhw: at.isPicked('zone-dhw'),
      pump1: pumpVolt('zone-1') > mainsPumpVolt * plate.lineVolt,
      pumpDhw: pumpVolt('zone-dhw') > mainsPumpVolt * plate.lineVolt,
      chatters: at.chatters,
    };
    if (kept.size >= mostKept) {
      kept.clear();
      numbers.chain.clear();
    }
    kept.set(key, made);
    return made;
  };
  return {
    id: 'chain',
    takes: [],
    gives: [
      'board.alive',
      'board.volt',
      'called',
      'chain.closed',
      'panel.volt',
      'relay.zone-1',
      'relay.zone-2',
      'relay.zone-dhw',
      'pump.zone-1',
      'pump.zone-dhw',
      'chatters',
    ],
    run({ elements: e, state }, signals) {
      const made = solved(e, state);
      const bit = (is: boolean) => (is ? 1 : 0);
      const alive =
        above(made.boardVolt, leastBoardVolt.volt, leastBoardVolt.spread) * e['control.alive'];
      signals['board.volt'] = made.boardVolt;
      signals['board.alive'] = alive;
      // A board that is dark sees no call; its own supply makes the volts that a call pulls down.
      const isHeat = callOf(state) === 'heat';
      const volt = isHeat ? made.ttVolt : made.dhwVolt;
      const called = !isHeat && plate.cylinderControl === 'sensor' ? 1 : bit(volt < calledVolt);
      signals['called'] = made.boardVolt > 1 ? called : 0;
      signals['chain.closed'] = bit(made.boardVolt <= 1 || made.chainVolt > made.boardVolt / 2);
      signals['panel.volt'] = made.panelVolt;
      signals['relay.zone-1'] = bit(made.zone1);
      signals['relay.zone-2'] = bit(made.zone2);
      signals['relay.zone-dhw'] = bit(made.zoneDhw);
      signals['pump.zone-1'] = bit(made.pump1);
      signals['pump.zone-dhw'] = bit(made.pumpDhw);
      signals['chatters'] = bit(made.chatters);
    },
  };
}

const sequence: Stage<SystemUnit> = {
  id: 'sequence',
  takes: ['board.alive', 'called', 'chain.closed'],
  gives: [...Object.values(stageSignals), 'lit', 'trial'],
  run({ elements: e, state }, signals) {
    const shares = sequenceOf(e, {
      call: callOf(state),
      alive: signals['board.alive']!,
      called: signals['called']!,
      isChainClosed: signals['chain.closed']! > 0.5,
      isGasOpen: state.controls.gasCock !== 'closed',
    });
    const of = (ends: readonly SequenceEnd[]) =>
      ends.reduce((sum, each) => sum + (shares[each] ?? 0), 0);
    for (const end of sequenceEnds) signals[stageSignals[end]] = shares[end] ?? 0;
    signals['lit'] = of(litEnds) > 0.5 ? 1 : 0;
    signals['trial'] = of(trialEnds) > 0.5 ? 1 : 0;
  },
};

/** Pressures of gas at the inlet, in pascal. Common practice; the plate wins. */
const inletPascal = { 'natural-gas': 2000, lpg: 3700 } as const;
/** Of the air that a control proves, and of a hot surface, cold. */
const igniterOhm = 60;
/** Water through the boiler at the flow that its maker asks for, in K at full fire. Common practice: 10 to 24. */
const loopKelvin = 17;
/** Water and metal that warm with the supply, in J/K, for a boiler of 24 kW. */
const bodyJoulePerKelvin = 230_000;
const roomCelsius = 20;
const coldCelsius = 18;
const supplyToCylinder = 78;
/** Of what it takes, a coil of usual size at a difference of 1 K, for a cylinder of 150 L. */
const coilWattPerKelvin = 900;
/** The wire of the pair that no fault touches. */
const otherWireOhm = 0.1;
/** Readings of a sensor that is open or short are at the ends of what is told apart, in kelvin. */
export const farKelvin = 95;

function cylinderCelsius(e: Elements, heats: boolean): number {
  if (!heats) return roomCelsius + 5;
  const set = e['tank-setpoint.celsius'];
  const off = e['cylinder-sensor.kelvin'];
  // It calls for ever: the cylinder goes as far as the water that heats it.
  if (e['aquastat.open-ohm'] < 1) return supplyToCylinder - 4;
  if (off < -5) return Math.min(supplyToCylinder, set - off * 0.6);
  const short = e['tank-limit.clear'] < 0.5 ? 9 : 0;
  const slow = e['coil.share'] < 0.6 || e['cylinder-pump.turns'] < 0.5 ? 14 : 0;
  return Math.max(roomCelsius + 5, set - Math.max(0, off) - short - slow);
}

/** Rise in ten minutes from a cylinder that was drawn cool, in kelvin: step by step as its coil takes less. */
function cylinderRise(plate: SystemPlate, e: Elements): number {
  const heat = plate.inputWatt * plate.efficiency;
  const capacity = 4186 * plate.cylinderLitre * 0.98;
  const coil =
    coilWattPerKelvin * (plate.cylinderLitre / 150) * e['coil.share'] * e['cylinder-pump.turns'];
  const start = 40;
  let celsius = start;
  for (let k = 0; k < 60; k++) {
    celsius += (Math.min(heat, coil * Math.max(0, supplyToCylinder - celsius)) * 10) / capacity;
  }
  return celsius - start;
}

const heat: Stage<SystemUnit> = {
  id: 'heat',
  takes: ['lit', 'trial', 'called', 'board.alive', 'relay.zone-dhw', 'pump.zone-dhw', 'board.volt'],
  gives: [
    'gauge.pascal',
    'gas.static',
    'gas.running',
    'air.pascal',
    'igniter.ohm',
    'valve.volt',
    'flame.ampere',
    'supply.rise',
    'loop.difference',
    'cylinder.celsius',
    'cylinder.rise',
    'outlet.celsius',
    'supply-sensor.read',
    'return-sensor.read',
    'outdoor-sensor.read',
    'cylinder-sensor.read',
    'supply-sensor.shown',
    'outdoor-sensor.shown',
    'cylinder-sensor.shown',
    'supply.celsius',
    'return.celsius',
    'thermostat-1.ohm',
    'zone-1-wires.ohm',
    'panel-fuse.ohm',
    'boiler-fuse.ohm',
    'winding.ohm',
  ],
  run({ plate, elements: e, state }, signals) {
    const isLit = signals['lit']! > 0.5;
    const inlet = state.controls.gasCock === 'closed' ? 0 : inletPascal[plate.fuel];
    const isBurning = isLit && state.controls.power !== 'off';
    const flow = Math.max(0.02, e['primary.flow'] * (1 - 0.6 * e['air-in-loop.share']));
    signals['gauge.pascal'] = e['system.pascal'];
    signals['gas.static'] = inlet * e['gas.static'];
    signals['gas.running'] = inlet * e['gas.static'] * (isBurning ? e['gas.running'] : 1);
    signals['air.pascal'] = signals['board.alive']! > 0.5 ? airPascal(e) : 0;
    signals['igniter.ohm'] = e['igniter.works'] > 0.5 ? igniterOhm : 1e9;
    signals['valve.volt'] = signals['trial']! > 0.5 ? signals['board.volt']! : 0;
    signals['flame.ampere'] = signals['trial']! > 0.5 && isLit ? e['flame.microampere'] * 1e-6 : 0;
    const difference = isBurning ? Math.min(75, loopKelvin / flow) : 0;
    signals['loop.difference'] = difference;
    const watt = plate.inputWatt * plate.efficiency;
    // Without flow only the boiler's own water warms.
    const body = bodyJoulePerKelvin * (plate.inputWatt / 24_000) * Math.min(1, 0.16 + 0.84 * flow);
    signals['supply.rise'] = isBurning ? Math.min(60, (watt * 0.8 * 60) / body) : 0;
    const supply = isBurning ? 66 : roomCelsius + 6;
    signals['supply.celsius'] = supply;
    signals['return.celsius'] = supply - difference;
    // As it is found, its own calls have heated the cylinder where everything on the way did.
    const heats = cylinderWorks(plate, e);
    const stored = cylinderCelsius(e, heats);
    signals['cylinder.celsius'] = stored;
    signals['cylinder.rise'] =
      signals['pump.zone-dhw']! > 0.5 || plate.cylinderControl === 'sensor'
        ? isLit
          ? cylinderRise(plate, e)
          : 0
        : 0;
    const mixedTo = plate.mixingValve === 'true' ? e['mixing.celsius'] : Infinity;
    signals['outlet.celsius'] = Math.max(coldCelsius, Math.min(stored - 1.5, mixedTo));
    const read = (
      whole: `${'supply' | 'return' | 'outdoor' | 'cylinder'}-sensor.whole`,
      kelvin: number,
    ) => (e[whole] > 0.5 ? kelvin : e['sensors.break-open'] > 0.5 ? -farKelvin : farKelvin);
    signals['supply-sensor.read'] = read('supply-sensor.whole', e['supply-sensor.kelvin']);
    signals['return-sensor.read'] = read('return-sensor.whole', 0);
    // A warm spot is no fault of the sensor: its ohms are right for where it hangs.
    signals['outdoor-sensor.read'] = read('outdoor-sensor.whole', 0);
    const isOut = e['cylinder-sensor.kelvin'] < -5;
    signals['cylinder-sensor.read'] = read(
      'cylinder-sensor.whole',
      isOut ? 0 : e['cylinder-sensor.kelvin'],
    );
    const shown = (kelvin: number) => (signals['board.alive']! > 0.5 ? kelvin : 0);
    signals['supply-sensor.shown'] = shown(read('supply-sensor.whole', e['supply-sensor.kelvin']));
    signals['outdoor-sensor.shown'] = shown(
      read('outdoor-sensor.whole', e['outdoor-sensor.kelvin']),
    );
    signals['cylinder-sensor.shown'] = shown(
      read('cylinder-sensor.whole', e['cylinder-sensor.kelvin']),
    );
    // Out of their holders, a lead off: nothing else lies beside them.
    signals['panel-fuse.ohm'] = e['panel-fuse.ohm'];
    signals['boiler-fuse.ohm'] = e['boiler-fuse.ohm'];
    signals['winding.ohm'] = e['transformer-secondary.ohm'];
    // Off its base it hangs on no wire.
    signals['thermostat-1.ohm'] =
      e[
        state.controls.thermostat1 === 'down' ? 'thermostat-1.open-ohm' : 'thermostat-1.closed-ohm'
      ];
    // Off the panel at both ends, they and the thermostat are all that the meter sees.
    const loop = e['w-zone-1.ohm'] + signals['thermostat-1.ohm']! + otherWireOhm;
    signals['zone-1-wires.ohm'] = 1 / (1 / loop + 1 / e['zone-1-pair.ohm']);
  },
};

/** Whether the cylinder has been heated, left to itself: everything on the way that a fault may change. */
function cylinderWorks(plate: SystemPlate, e: Elements): boolean {
  const settings = e['enabled.on'] > 0.5 && e['tank.on'] > 0.5 && e['tank.in-mode'] > 0.5;
  const calls =
    plate.cylinderControl === 'sensor'
      ? e['cylinder-sensor.whole'] > 0.5
      : e['aquastat.closed-ohm'] < 10 && e['end-dhw.closed-ohm'] < 10;
  return settings && calls && firesAtAll(plate, e) && e['cylinder-pump.turns'] > 0.5;
}

/** Whether a call for hot water ends in a flame that stands. */
function firesAtAll(plate: SystemPlate, e: Elements): boolean {
  const shares = sequenceOf(e, {
    call: 'cylinder',
    alive: isFed(e) ? e['control.alive'] : 0,
    called: 1,
    isChainClosed: e['limit.ohm'] < 10 && e['drain.runs'] > 0.5 && e['system.pascal'] >= 5e4,
    isGasOpen: true,
  });
  return litEnds.reduce((sum, each) => sum + (shares[each] ?? 0), 0) > 0.5 && plate.inputWatt > 0;
}

/** Of 25 V behind so many ohms the board keeps the volts that it starts on, with the load that it is. */
const mostFeedOhm = 27;

const isFed = (e: Elements): boolean =>
  (
    [
      'line-switch.ohm',
      'w-line.ohm',
      'transformer-secondary.ohm',
      'panel-fuse.ohm',
      'panel-joint.ohm',
      'w-24v.ohm',
      'boiler-fuse.ohm',
    ] as const
  ).reduce((sum, each) => sum + e[each], 0) < mostFeedOhm && e['wiring.crossed'] < 0.5;

export interface SystemModel {
  run(unit: SystemUnit): Signals;
  probe(unit: SystemUnit, target: Target, quantity: Quantity): number | undefined;
  readonly chain: Chain;
}

/** The boiler of a plate, to be run with any elements and setting. */
export function systemModel(plate: SystemPlate): SystemModel {
  const chain = chainOf(plate);
  return {
    chain,
    run: runnerOf([chainStage(plate, chain), sequence, heat]),
    probe({ elements, state }, target, quantity) {
      if (!('between' in target)) return undefined;
      const [from, to] = target.between;
      if (typeof from !== 'string' || typeof to !== 'string') return undefined;
      const set = settingOf(state);
      return quantity === 'resistance'
        ? chain.ohm(elements, set, from, to)
        : chain.solve(elements, set).volt(from, to);
    },
  };
}

const models = new WeakMap<SystemPlate, SystemModel>();

/** The physics of a plate, made once: the chains that it has solved are kept with it. */
export function modelOfPlate(plate: SystemPlate): SystemModel {
  let found = models.get(plate);
  if (!found) models.set(plate, (found = systemModel(plate)));
  return found;
}
