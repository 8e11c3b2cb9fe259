import { carbonDioxidePercent, outputShare } from '../../water';
import type { Follows } from '../kit/signal/declaration';
import type { Signals } from '../kit/stages';
import { aboveByShare } from '../kit/signal/outcome-tables';

/**
 * What every fan-assisted burner is made of: volts to its control, air, spark, gas, flame, and the order in which one is proved
 * after the other. Instantaneous heaters and boilers share it.
 */
export const fireElements = {
  /** Shares: one where it is there. */
  'supply.on': 1,
  'fuse.whole': 1,
  'control.alive': 1,
  'display.lit': 1,
  'gas.supply': 1,
  /** Of the pressure with nothing burning, of the usual one; and what is left of it at full fire. */
  'gas.static': 1,
  'gas.running': 0.93,
  'gas-valve.opens': 1,
  /** Of what the plate asks for behind the valve, and of the heat that the burner makes of it. */
  'burner.pressure': 1,
  'burner.scale': 1,
  'igniter.spark': 1,
  'flame.microampere': 4.5,
  'earth.path': 1,
  'fan.speed': 1,
  /** Share of the air that gets through; whether the switch that proves it closes. */
  'air.way': 1,
  'air-switch.closes': 1,
  'air.excess': 1.28,
  'flue.recirculates': 0,
  'flue.co-share': 0.0007,
  'limit.ohm': 0.1,
  'condensate.drains': 1,
};

export type FireElements = Readonly<Record<keyof typeof fireElements, number>>;

export const fireEnds = { 'limit.ohm': { open: 1e12, closed: 0.1 } } as const;

export const fireTolerances = {
  'gas.static': 0.07,
  'gas.running': 0.05,
  'burner.pressure': 0.05,
  'flame.microampere': 0.3,
  'air.excess': 0.03,
  'flue.co-share': 0.5,
} as const;

/** Nothing is read off a display that is dark: whatever it would have shown reads as nought. */
export const isDisplayLit = (e: FireElements, power: string | undefined): boolean =>
  power !== 'off' && e['supply.on'] > 0.5 && e['fuse.whole'] > 0.5 && e['display.lit'] > 0.5;

/** What every readout follows beside what it shows. */
export const displayElements = ['supply.on', 'fuse.whole', 'display.lit'] as const;

/** Pressures of natural gas that a burner is made for, in pascal. Common practice; the plate wins. */
export interface GasPressures {
  readonly inlet: number;
  /** That full output needs at the inlet, and behind the valve. */
  readonly needed: number;
  readonly burner: number;
}

/** Stages that a call for heat ends in, the earliest that fails. */
export const callStages = [
  'dark',
  'standby',
  'nothing',
  'locked',
  'fan-fails',
  'sparks-no-flame',
  'lights-and-drops',
  'burns',
] as const;
export type CallStage = (typeof callStages)[number];

export const stageSignals = callStages.map((each) => `stage.${each}`);
export const fireSignals = [
  ...stageSignals,
  'lit',
  'tries',
  'reaches-gas',
  'output.share',
  'gas.static',
  'gas.running',
  'gas.burner',
  'flame.seen',
  'flame.ampere',
  'fan.percent',
  'air-switch.ohm',
  'limit.ohm',
  'supply.volt',
  'control.volt',
  'valve.volt',
  'flue.co2',
  'flue.co-ratio',
] as const;

/** What is asked of the fire, beside its own elements. */
export interface Call {
  /** Chance that the control asks for a flame: its own threshold is known to a share. */
  readonly asked: number;
  readonly isStandby: boolean;
  readonly isPowered: boolean;
  readonly isGasOpen: boolean;
  /** Something else keeps it from trying: a sensor out of range, no pressure. */
  readonly isBarred: boolean;
}

/** A flame is lost below this signal, and gas pressure at full fire below this puts it out. Common practice. */
const dropoutMicroampere = 0.7;
const leastRunningPascal = 300;
const mainsVolt = 230;
const leastFan = 0.6;
const leastAir = 0.5;
/** A stage that counts as certain. */
const likely = 0.5;

/** Runs the sequence of a call. @param pressures by the gas and the plate. */
export function runFire(
  e: FireElements,
  { asked, isStandby, isPowered, isGasOpen, isBarred }: Call,
  pressures: GasPressures,
  signals: Signals,
): void {
  const isFed = isPowered && e['supply.on'] > 0.5 && e['fuse.whole'] > 0.5;
  const isAlive = isFed && e['control.alive'] > 0.5;
  const gas = isGasOpen && e['gas.supply'] > 0.5 ? pressures.inlet * e['gas.static'] : 0;
  const fullRunning = pressures.inlet * e['gas.running'];
  const isLocked = isBarred || !(e['limit.ohm'] < 1e3) || e['condensate.drains'] < 0.5 || !isAlive;
  const hasAir =
    e['fan.speed'] >= leastFan && e['air-switch.closes'] > 0.5 && e['air.way'] >= leastAir;
  const canLight =
    e['igniter.spark'] > 0.5 && e['gas-valve.opens'] > 0.5 && gas > leastRunningPascal;
  const microampere = e['flame.microampere'] * e['earth.path'] * (1 - 0.4 * e['flue.recirculates']);
  const stands =
    aboveByShare(microampere, dropoutMicroampere, 0.25) *
    (1 - 0.5 * e['flue.recirculates']) *
    aboveByShare(fullRunning, leastRunningPascal, 0.1) *
    (e['burner.scale'] < 0.45 ? 0.6 : 1);
  const chance: Record<CallStage, number> = {
    dark: 0,
    standby: 0,
    nothing: 0,
    locked: 0,
    'fan-fails': 0,
    'sparks-no-flame': 0,
    'lights-and-drops': 0,
    burns: 0,
  };
  const goesOn: readonly (readonly [CallStage, number])[] = [
    ['dark', isFed ? 1 : 0],
    ['nothing', isAlive ? 1 : 0],
    ['standby', isStandby ? 0 : 1],
    ['nothing', asked],
    ['locked', isLocked ? 0 : 1],
    ['fan-fails', hasAir ? 1 : 0],
    ['sparks-no-flame', canLight ? 1 : 0],
    ['lights-and-drops', stands],
  ];
  let left = 1;
  for (const [stage, on] of goesOn) {
    chance[stage] += left * (1 - on);
    left *= on;
  }
  chance.burns = left;
  callStages.forEach((stage, k) => (signals[stageSignals[k]!] = chance[stage]));
  const isLit = chance.burns > likely;
  const share = outputShare(fullRunning, pressures.needed) * e['burner.scale'];
  const reaches = chance['sparks-no-flame'] + chance['lights-and-drops'] + chance.burns > likely;
  const tries = reaches || chance['fan-fails'] > likely;
  signals.lit = isLit ? 1 : 0;
  signals.tries = tries ? 1 : 0;
  signals['reaches-gas'] = reaches ? 1 : 0;
  signals['output.share'] = Math.max(0.05, share);
  signals['gas.static'] = gas;
  signals['gas.running'] = gas === 0 ? 0 : isLit ? fullRunning : gas;
  signals['gas.burner'] = isLit
    ? Math.min(
        pressures.burner * e['burner.pressure'] * outputShare(fullRunning, pressures.needed) ** 2,
        fullRunning,
      )
    : 0;
  // A flame that drops out was there for a moment: its signal is read before it goes.
  const isSeen = isLit || chance['lights-and-drops'] > likely;
  signals['flame.seen'] = isSeen ? 1 : 0;
  signals['flame.ampere'] = isSeen ? microampere * 1e-6 : 0;
  signals['fan.percent'] = tries ? 100 * Math.min(1, e['fan.speed']) : 0;
  signals['air-switch.ohm'] = tries && hasAir ? 0.1 : 1e12;
  signals['limit.ohm'] = e['limit.ohm'];
  signals['supply.volt'] = isPowered && e['supply.on'] > 0.5 ? mainsVolt : 0;
  signals['control.volt'] = isAlive ? 24 : 0;
  signals['valve.volt'] = reaches ? 24 : 0;
  signals['flue.co2'] = isLit ? carbonDioxidePercent(e['air.excess']) : 0;
  signals['flue.co-ratio'] = isLit ? e['flue.co-share'] : 0;
}

type FireId = keyof typeof fireElements;

const follows = (elements: readonly FireId[], ...gates: string[]): Follows => ({
  elements,
  byStanding: false,
  gates,
});

/** What each of these signals follows; whether it burns, tries or reaches its gas bears on all but a few. */
export const fireFollows: Readonly<Record<string, Follows>> = {
  'gas.static': follows(['gas.supply', 'gas.static']),
  'gas.running': follows(['gas.supply', 'gas.static', 'gas.running'], 'lit'),
  'gas.burner': follows(['gas.running', 'burner.pressure'], 'lit'),
  'flame.ampere': follows(['flame.microampere', 'earth.path', 'flue.recirculates'], 'flame.seen'),
  'fan.percent': follows(['fan.speed'], 'tries'),
  'flue.co2': follows(['air.excess'], 'lit'),
  'flue.co-ratio': follows(['flue.co-share'], 'lit'),
  'supply.volt': follows(['supply.on']),
  'control.volt': follows(['supply.on', 'fuse.whole', 'control.alive']),
  'valve.volt': follows([], 'reaches-gas'),
  'air-switch.ohm': follows(['air-switch.closes', 'fan.speed', 'air.way'], 'tries'),
  'limit.ohm': follows(['limit.ohm']),
};

/** Elements that bear on how hot the water gets while it burns. */
export const outputElements: readonly FireId[] = ['gas.running', 'burner.scale'];

/** Elements that decide whether it burns at all. */
export const lighting: readonly FireId[] = [
  'supply.on',
  'fuse.whole',
  'control.alive',
  'gas.supply',
  'gas.static',
  'gas-valve.opens',
  'igniter.spark',
  'flame.microampere',
  'earth.path',
  'fan.speed',
  'air.way',
  'air-switch.closes',
  'flue.recirculates',
  'limit.ohm',
  'condensate.drains',
];
