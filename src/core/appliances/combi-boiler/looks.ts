import { tapClass } from '../gas-fired/course-class';
import { isDisplayLit } from '../gas-fired/fire';
import {
  above,
  blurred,
  hasDropped,
  mixed,
  rowOf,
  type OutcomeTables,
} from '../kit/signal/outcome-tables';
import type { Seen, Shares, SignalLook } from '../kit/signal/declaration';
import { stateKey } from '../kit/unit-state';
import type { Elements } from './elements';
import { run, type CombiStanding } from './model';
import namesFile from './names.json' with { type: 'json' };
import outcomes from './outcomes.json' with { type: 'json' };
import type { CombiPlate } from './plate';

export type CombiSeen = Seen<CombiPlate, CombiStanding>;
type Look = SignalLook<CombiPlate, CombiStanding>;

/**
 * What is seen, heard or felt. What it does at a tap or on heating follows from the model, up to an eye's slips; the shares of
 * everything else are common practice (outcomes.json).
 */
export const tables = outcomes as unknown as OutcomeTables;

const fromTable = (id: string): Look => ({ predict: (seen) => rowOf(tables[id]!, seen) });
const signal = ({ signals }: CombiSeen, id: string) => signals[id]!;
const elementOf = ({ elements }: CombiSeen, id: string) => elements[id]!;
const valuesOf = (check: keyof typeof namesFile.checks): readonly string[] => {
  const { values } = namesFile.checks[check] as { readonly values?: readonly string[] };
  return values ?? [];
};

/** How sure an eye is of what a boiler does. Common practice. */
const eye = 0.97;

const stagesSeen = (seen: CombiSeen): Shares => {
  const values = valuesOf('fire-attempt-tap');
  return mixed(
    eye,
    blurred(
      Object.fromEntries(values.map((each) => [each, signal(seen, `stage.${each}`)])),
      values,
    ),
    { nothing: 0.5, burns: 0.5 },
  );
};

const inState = (predict: (seen: CombiSeen) => Shares): Look => ({ keyOf: stateKey, predict });

const stageChance = (seen: CombiSeen, ...stages: readonly string[]): number =>
  stages.reduce((sum, stage) => sum + signal(seen, `stage.${stage}`), 0);

/** Circulation that a control calls too little: flow and return apart by this, in kelvin; and a rise that it calls too fast. */
const circulationKelvin = { apart: 35, spread: 5 } as const;
const fastKelvinPerMinute = { rise: 93, spread: 14 } as const;
const highPrimaryPascal = 2.7e5;

/** The same boiler as it was called on before anybody came: at a tap, and for heating. */
const calledOn = (seen: CombiSeen, controls: Readonly<Record<string, string>>): CombiSeen => {
  const unit = {
    ...seen,
    state: { ...seen.state, controls: { ...seen.state.controls, ...controls } },
  };
  return { ...unit, signals: run(unit) };
};
const atTap = { request: 'tap', hotTap: 'open' };
const onHeating = {
  request: 'heating',
  hotTap: 'closed',
  radiatorValves: 'open',
  roomThermostat: 'highest',
};

/** Codes that come while it burns: of heat that is not taken away. */
function codesBurning(seen: CombiSeen): Shares {
  const low = above(
    signal(seen, 'flow-return.difference'),
    circulationKelvin.apart,
    circulationKelvin.spread,
  );
  const fast = above(
    signal(seen, 'flow.rise'),
    fastKelvinPerMinute.rise,
    fastKelvinPerMinute.spread,
  );
  const hot = signal(seen, 'cuts') >= 1 || seen.has('diverter.stuck-tap') ? 0.35 : 0.01;
  const high =
    elementOf(seen, 'primary.pascal') > highPrimaryPascal || seen.has('vessel.flat') ? 0.4 : 0.01;
  const shares = {
    'ci-2': 0.7 * fast,
    'ci-1': 0.75 * low * (1 - 0.6 * fast),
    'ht-1': hot * (1 - fast) * (1 - 0.5 * low),
    'pr-2': high * (1 - low),
  };
  const sum = Object.values(shares).reduce((total, each) => total + each, 0);
  return { ...shares, none: Math.max(0.05, 1 - sum) };
}

function codesLocked(seen: CombiSeen): Shares {
  if (elementOf(seen, 'flow-sensor.whole') < 0.5) return { 'se-1': 0.95 };
  if (elementOf(seen, 'tap-sensor.whole') < 0.5) return { 'se-3': 0.95 };
  if (elementOf(seen, 'condensate.drains') < 0.5)
    return { 'co-1': 0.75, 'fl-1': 0.12, 'fl-2': 0.08 };
  if (!(elementOf(seen, 'limit.ohm') < 1e3)) return { 'ht-1': 0.93 };
  return { 'pr-1': 0.95 };
}

/** Chance that somebody has cleared the code before anybody else read it. Common practice. */
const cleared = 0.06;

/** What the control shows as it is found: of the last draw, or of the heating where the tap left nothing. */
function codes(seen: CombiSeen): Shares {
  const tap = codesAt(calledOn(seen, atTap));
  const shown = mixed(1 - (tap.none ?? 0), withoutNone(tap), codesAt(calledOn(seen, onHeating)));
  return mixed(cleared, { none: 1 }, shown);
}

const withoutNone = (shares: Shares): Shares => {
  const rest = 1 - (shares.none ?? 0);
  return Object.fromEntries(
    Object.entries(shares).map(([code, share]) => [code, code === 'none' ? 0 : share / rest]),
  );
};

const isDark = ({ elements }: CombiSeen): boolean => !isDisplayLit(elements as Elements, 'on');

/** What the control would show, by what it sees. */
function codesAt(seen: CombiSeen): Shares {
  if (isDark(seen)) return blurred({ none: 0.99 }, valuesOf('code-read'));
  const byStage: readonly (readonly [string, Shares])[] = [
    ['nothing', seen.has('control.dead') ? { 'ct-1': 0.3, none: 0.69 } : { none: 0.97 }],
    ['locked', codesLocked(seen)],
    ['fan-fails', { 'ai-1': 0.93 }],
    ['sparks-no-flame', { 'fl-1': 0.93 }],
    ['lights-and-drops', { 'fl-2': 0.85, 'fl-1': 0.08 }],
    ['burns', mixed(hasDropped(seen.signals), { 'fl-2': 0.9 }, codesBurning(seen))],
  ];
  const shares: Record<string, number> = {};
  for (const [stage, row] of byStage) {
    for (const [code, share] of Object.entries(row)) {
      shares[code] = (shares[code] ?? 0) + signal(seen, `stage.${stage}`) * share;
    }
  }
  return blurred(shares, valuesOf('code-read'));
}

function display(seen: CombiSeen): Shares {
  const code = 0.85 * (1 - (codes(seen).none ?? 0));
  const dark = isDark(seen) ? 1 : 0;
  return blurred(mixed(dark, { dark: 1 }, { code, normal: 1 - code }), valuesOf('display-look'));
}

/** What the display says that it works for. */
function requested(seen: CombiSeen): Shares {
  const dark = isDark(seen) ? 1 : 0;
  const dead = seen.has('control.dead') ? 1 : 0;
  const asked = signal(seen, 'asked') * (1 - dead);
  return blurred(
    mixed(dark, { dark: 1 }, { tap: asked, none: (1 - asked) * 0.85, heating: (1 - asked) * 0.15 }),
    valuesOf('display-request'),
  );
}

/** Output that counts as flat out, as a share of the most. */
const flatOut = { share: 0.93, spread: 0.05 } as const;

function burner(seen: CombiSeen): Shares {
  const lit = signal(seen, 'lit') > 0.5;
  if (!lit) return { 'no-burner': 0.96, modulates: 0.02 };
  const most = seen.plate.inputWatt * seen.plate.efficiency * signal(seen, 'output.share');
  const full = above(signal(seen, 'watt') / most, flatOut.share, flatOut.spread);
  const cut = signal(seen, 'cuts') >= 1 ? 0.92 : 0.03;
  return blurred(
    mixed(cut, { cuts: 1 }, { 'flat-out': full, modulates: 1 - full }),
    valuesOf('burner-two-minutes'),
  );
}

/** Kelvin below its setpoint that somebody calls low. */
const lowKelvin = { below: 5, spread: 1.5 } as const;

function tap(seen: CombiSeen): Shares {
  const lit = signal(seen, 'lit') > 0.5;
  const course = tapClass(lit, signal(seen, 'swing'), signal(seen, 'cuts'), {
    steady: 'steady',
    swings: 'swings',
    cold: 'cold',
  });
  if (!lit) return course;
  const usual = 48;
  const low = above(usual - signal(seen, 'tap.celsius'), lowKelvin.below, lowKelvin.spread);
  const steady = course.steady ?? 0;
  return blurred(
    { swings: course.swings ?? 0, steady: steady * (1 - low), 'settles-low': steady * low },
    valuesOf('tap-two-minutes'),
  );
}

/** Below these a hand calls a radiator cold, and lukewarm; a flow that is set low is expected to be less warm. */
const handCelsius = { cold: 30, lukewarm: 45, lukewarmSetLow: 42, spread: 2.5 } as const;

/** What radiators are by their warmth alone. */
function radiators(seen: CombiSeen): Shares {
  const celsius = signal(seen, 'radiators.celsius');
  const isSetLow = elementOf(seen, 'flow-setpoint.celsius') < 55;
  const warm = above(
    celsius,
    isSetLow ? handCelsius.lukewarmSetLow : handCelsius.lukewarm,
    handCelsius.spread,
  );
  const lukewarm: Shares = isSetLow
    ? { 'all-lukewarm': 0.87, even: 0.13 }
    : { 'all-lukewarm': 0.92, uneven: 0.06, 'all-cold': 0.02 };
  return mixed(
    above(celsius, handCelsius.cold, handCelsius.spread),
    mixed(warm, rowOf(tables['radiator-look']!, seen), lukewarm),
    { 'all-cold': 0.95, uneven: 0.03, 'all-lukewarm': 0.02 },
  );
}

/** Kelvin that a hand feels at a tap. */
const feltKelvin = { more: 3, spread: 2.5 } as const;

/** What a tap does that is throttled from wide open: hotter where the burner was at its most, out where too little runs. */
function throttled(seen: CombiSeen): Shares {
  const wide = calledOn(seen, atTap);
  const little = calledOn(seen, { ...atTap, hotTap: 'throttled' });
  const lit = signal(wide, 'lit');
  const goesOut = lit * (1 - signal(little, 'lit'));
  const hotter =
    lit *
    above(
      signal(little, 'tap.celsius') - signal(wide, 'tap.celsius'),
      feltKelvin.more,
      feltKelvin.spread,
    );
  const { 'goes-out': out = 0 } = rowOf(tables['throttle-tap']!, seen);
  return blurred(
    mixed(
      Math.max(goesOut, out),
      { 'goes-out': 1 },
      mixed(eye, { hotter, 'no-change': 1 - hotter }, { hotter: 0.5, 'no-change': 0.5 }),
    ),
    valuesOf('throttle-tap'),
  );
}

export const looks: Readonly<Record<string, Look>> = {
  ...Object.fromEntries(
    Object.keys(outcomes)
      .filter((id) => Object.hasOwn(namesFile.checks, id))
      .map((id) => [id, fromTable(id)]),
  ),
  // A record of safety: it tells no fault from another.
  'gas-smell-sniff': { predict: () => ({ none: 0.97, smell: 0.03 }) },
  'display-look': { predict: display },
  'code-read': { predict: codes },
  'lockout-reset': inState((seen) => {
    const nothing = 0.97 * (codes(seen).none ?? 0);
    return mixed(nothing, { 'nothing-to-reset': 1 }, rowOf(tables['lockout-reset']!, seen));
  }),
  'display-request': inState(requested),
  'fire-attempt-tap': inState(stagesSeen),
  'fire-attempt-heating': inState(stagesSeen),
  'burner-two-minutes': inState(burner),
  'tap-two-minutes': inState(tap),
  'radiator-look': inState(radiators),
  'throttle-tap': { predict: throttled },
  'pump-feel': inState((seen) =>
    mixed(
      0.97 * stageChance(seen, 'dark', 'nothing', 'locked'),
      { silent: 1 },
      rowOf(tables['pump-feel']!, seen),
    ),
  ),
  'spark-look': inState((seen) =>
    mixed(
      0.97 * stageChance(seen, 'dark', 'nothing', 'locked', 'fan-fails'),
      { 'no-try': 1 },
      rowOf(tables['spark-look']!, seen),
    ),
  ),
};
