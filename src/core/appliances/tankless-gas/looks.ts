import { callStages, isDisplayLit } from '../gas-fired/fire';
import type { Elements } from './elements';
import { tapClass } from '../gas-fired/course-class';
import {
  blurred,
  hasDropped,
  mixed,
  rowOf,
  type OutcomeTables,
} from '../kit/signal/outcome-tables';
import type { Seen, Shares, SignalLook } from '../kit/signal/declaration';
import { isDone, stateKey } from '../kit/unit-state';
import outcomes from './outcomes.json' with { type: 'json' };
import namesFile from './names.json' with { type: 'json' };
import { connectorReseated, run, strainerRinsed, type TanklessStanding } from './model';
import type { TanklessPlate } from './plate';

export type TanklessSeen = Seen<TanklessPlate, TanklessStanding>;
type Look = SignalLook<TanklessPlate, TanklessStanding>;

/**
 * What is seen, heard or felt. What it does at a tap follows from the model, up to an eye's slips; the shares of everything else
 * are common practice (outcomes.json).
 */
export const tables = outcomes as unknown as OutcomeTables;

/** Seen on the unit itself, however it is set. */
const fromTable = (id: string): Look => ({ predict: (seen) => rowOf(tables[id]!, seen) });

const signal = ({ signals }: TanklessSeen, id: string) => signals[id]!;

/** How sure an eye is of what a heater does. Common practice. */
const eye = 0.97;

const stagesSeen = (seen: TanklessSeen): Shares =>
  blurred(Object.fromEntries(callStages.map((stage) => [stage, signal(seen, `stage.${stage}`)])), [
    ...callStages,
  ]);

/** In a state: many looks are taken in the same one. */
const inState = (predict: (seen: TanklessSeen) => Shares): Look => ({ keyOf: stateKey, predict });

/** Nothing was tried where the sequence stops before the spark. */
const triesNot = (seen: TanklessSeen): number =>
  ['dark', 'standby', 'nothing', 'locked', 'fan-fails'].reduce(
    (sum, stage) => sum + signal(seen, `stage.${stage}`),
    0,
  );

const elementOf = ({ elements }: TanklessSeen, id: string) => elements[id]!;

/** What a control would show at a tap, by what it sees. */
const isDark = ({ elements }: TanklessSeen): boolean => !isDisplayLit(elements as Elements, 'on');

function codes(seen: TanklessSeen): Shares {
  if (isDark(seen)) return blurred({ none: 0.99 }, namesFile.checks['code-read'].values);
  const of = (stage: string) => signal(seen, `stage.${stage}`);
  const whenBurning: Shares = seen.has('exchanger.scaled')
    ? signal(seen, 'cuts') >= 1
      ? { 'ht-1': 0.45, 'sc-1': 0.3, none: 0.2 }
      : { none: 0.6, 'sc-1': 0.25, 'ht-1': 0.1 }
    : seen.has('inlet-sensor.drift', 'flow-control.stuck')
      ? { none: 0.75, 'sc-1': 0.15, 'ht-1': 0.05 }
      : signal(seen, 'output.share') < 0.8
        ? { 'ou-1': 0.45, none: 0.5 }
        : { none: 0.96 };
  const whenLocked: Shares =
    elementOf(seen, 'inlet-sensor.whole') < 0.5
      ? { 'se-1': 0.95 }
      : elementOf(seen, 'outlet-sensor.whole') < 0.5
        ? { 'se-2': 0.95 }
        : seen.has('condensate.blocked')
          ? { 'co-1': 0.9, 'fl-1': 0.06 }
          : { 'ht-2': 0.9, none: 0.05 };
  const byStage: readonly (readonly [string, Shares])[] = [
    ['standby', { none: 0.97 }],
    ['nothing', seen.has('control.dead') ? { 'ct-1': 0.15, none: 0.84 } : { none: 0.97 }],
    ['locked', whenLocked],
    [
      'fan-fails',
      seen.has('fan.failed') ? { 'ai-1': 0.88, 'ai-2': 0.08 } : { 'ai-2': 0.9, 'ai-1': 0.04 },
    ],
    ['sparks-no-flame', { 'fl-1': 0.92, none: 0.04 }],
    ['lights-and-drops', { 'fl-2': 0.82, 'fl-1': 0.1, none: 0.05 }],
    ['burns', mixed(hasDropped(seen.signals), { 'fl-2': 0.9 }, whenBurning)],
  ];
  const shares: Record<string, number> = {};
  for (const [stage, row] of byStage) {
    for (const [code, share] of Object.entries(row)) {
      shares[code] = (shares[code] ?? 0) + of(stage) * share;
    }
  }
  return blurred(shares, namesFile.checks['code-read'].values);
}

/** What a display shows as it is found: a code stays until its cause is gone. */
function display(seen: TanklessSeen): Shares {
  const codeShare = 1 - (codes(seen).none ?? 0);
  const dark = isDark(seen) ? 1 : 0;
  const standby = elementOf(seen, 'request.on') < 0.5 ? 0.96 : 0.01;
  const lit: Shares = {
    code: codeShare * 0.85,
    standby: (1 - codeShare * 0.85) * standby,
    normal: (1 - codeShare * 0.85) * (1 - standby),
  };
  return blurred(mixed(dark, { dark: 1 }, lit), namesFile.checks['display-look'].values);
}

/** As it is found: what the last draw at the nearest tap left. */
const called = (look: (seen: TanklessSeen) => Shares): Look => ({
  predict(seen) {
    const controls = {
      ...seen.state.controls,
      hotTap: 'one-open',
      hotIsolation: 'open',
      hotPort: 'shut',
    };
    const unit = { ...seen, state: { ...seen.state, controls } };
    return look({ ...unit, signals: run(unit) });
  },
});

const noWater = (seen: TanklessSeen) => (signal(seen, 'heater.flow') > 0 ? 0.01 : 0.96);

/** By its table as it is found, and otherwise once something was done: to all, or to a unit with one of these faults. */
function afterDoing(done: string, id: string, then: Shares, faults?: readonly string[]): Look {
  return {
    keyOf: (state) => (isDone(state, done) ? done : ''),
    predict: (seen) =>
      isDone(seen.state, done) && (faults === undefined || seen.has(...faults))
        ? blurred(then, tables[id]!.values)
        : rowOf(tables[id]!, seen),
  };
}

export const looks: Readonly<Record<string, Look>> = {
  ...Object.fromEntries(
    Object.keys(outcomes)
      .filter((id) => Object.hasOwn(namesFile.checks, id))
      .map((id) => [id, fromTable(id)]),
  ),
  // A record of safety: it tells no fault from another.
  'gas-smell-sniff': { predict: () => ({ none: 0.97, smell: 0.03 }) },
  'display-look': called(display),
  'code-read': called(codes),
  'fire-attempt-tap': inState((seen) => mixed(eye, stagesSeen(seen), { nothing: 0.4, burns: 0.4 })),
  'fire-attempt-service-port': inState((seen) => {
    const none = noWater(seen);
    return mixed(
      none,
      { 'no-water': 1 },
      mixed(eye, stagesSeen(seen), { nothing: 0.4, burns: 0.4 }),
    );
  }),
  'outlet-over-two-minutes': inState((seen) =>
    tapClass(signal(seen, 'lit') > 0.5, signal(seen, 'swing'), signal(seen, 'cuts'), {
      steady: 'steady',
      swings: 'swings',
      cold: 'cold',
      cuts: 'cuts',
    }),
  ),
  'spark-look': inState((seen) =>
    mixed(0.97 * triesNot(seen), { 'no-try': 1 }, rowOf(tables['spark-look']!, seen)),
  ),
  // A strainer that was rinsed shows nothing of what it was; a plug pushed home has its contact.
  'strainer-look': afterDoing(strainerRinsed, 'strainer-look', { clean: 0.9, some: 0.09 }),
  'flow-sensor-blow': afterDoing(
    connectorReseated,
    'flow-sensor-blow',
    { 'spins-and-shows': 0.94 },
    ['flow-sensor.connector'],
  ),
  'flow-sensor-reseat': afterDoing(
    connectorReseated,
    'flow-sensor-reseat',
    { 'was-showing': 0.94 },
    ['flow-sensor.connector'],
  ),
};
