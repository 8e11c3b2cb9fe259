import { blurred, mixed, rowOf, type OutcomeTables } from '../kit/signal/outcome-tables';
import type { Seen, Shares, SignalLook } from '../kit/signal/declaration';
import { stateKey, type UnitState } from '../kit/unit-state';
import type { Elements } from './elements';
import { modelOfPlate, stageSignals, type SystemStanding } from './model';
import namesFile from './names.json' with { type: 'json' };
import outcomes from './outcomes.json' with { type: 'json' };
import type { SystemPlate } from './plate';
import { litEnds, sequenceEnds, type SequenceEnd } from './sequence';

export type SystemSeen = Seen<SystemPlate, SystemStanding>;
type Look = SignalLook<SystemPlate, SystemStanding>;

/**
 * What is seen, heard or felt. Lamps, clicks and where a sequence ends follow from chain and sequence, up to an eye's slips; the
 * shares of everything else are common practice (outcomes.json).
 */
export const tables = outcomes as unknown as OutcomeTables;

const signal = ({ signals }: SystemSeen, id: string) => signals[id]!;
const elementOf = ({ elements }: SystemSeen, id: string) => elements[id]!;
const valuesOf = (check: keyof typeof namesFile.checks): readonly string[] =>
  (namesFile.checks[check] as { readonly values?: readonly string[] }).values ?? [];
const fromTable = (id: string): Look => ({ predict: (seen) => rowOf(tables[id]!, seen) });
const inState = (predict: (seen: SystemSeen) => Shares): Look => ({ keyOf: stateKey, predict });
const either = (yes: string, no: string, is: boolean, sure = 0.96): Shares => ({
  [yes]: is ? sure : 1 - sure,
  [no]: is ? 1 - sure : sure,
});

/**
 * The same boiler with other calls made. What is said of one boiler asks for the same call several times in a row: the last
 * answer to each is kept.
 */
export function called(seen: SystemSeen, controls: UnitState['controls']): SystemSeen {
  const last = lastCalled.get(controls);
  if (last && isSameUnit(last.from, seen)) {
    return { ...seen, state: last.state, signals: last.signals };
  }
  const state = calledState(seen.state, controls);
  const elements = seen.elements as Elements;
  const { plate, standing } = seen;
  const signals = modelOfPlate(plate).run({ plate, elements, standing, state });
  lastCalled.set(controls, { from: seen, state, signals });
  return { ...seen, state, signals };
}

const lastCalled = new WeakMap<
  UnitState['controls'],
  Pick<SystemSeen, 'state' | 'signals'> & { readonly from: SystemSeen }
>();

/** One and the same for every unit that is asked in a state. */
function calledState(from: UnitState, controls: UnitState['controls']): UnitState {
  const known = calledStates.get(from) ?? new Map<UnitState['controls'], UnitState>();
  calledStates.set(from, known);
  const state = known.get(controls) ?? {
    ...from,
    controls: { ...from.controls, ...controls },
  };
  known.set(controls, state);
  return state;
}

const calledStates = new WeakMap<UnitState, Map<UnitState['controls'], UnitState>>();

/** What several looks and questions ask of a unit in a state: worked out once, as its elements alone decide it. */
export function oncePerUnit<T>(work: (seen: SystemSeen) => T): (seen: SystemSeen) => T {
  const kept = new WeakMap<
    object,
    { readonly state: string; readonly plate: SystemPlate; readonly made: T }
  >();
  return (seen) => {
    const { elements, plate } = seen;
    const state = keyOfState(seen.state);
    const known = kept.get(elements);
    if (known?.state === state && known.plate === plate) return known.made;
    const made = work(seen);
    kept.set(elements, { state, plate, made });
    return made;
  };
}

const stateKeys = new WeakMap<UnitState, string>();
function keyOfState(state: UnitState): string {
  const key = stateKeys.get(state) ?? stateKey(state);
  stateKeys.set(state, key);
  return key;
}

const isSameUnit = (one: SystemSeen, other: SystemSeen): boolean =>
  one.plate === other.plate &&
  one.elements === other.elements &&
  one.standing === other.standing &&
  one.state === other.state;

export const heatCall = { power: 'on', thermostat1: 'up', thermostat2: 'up' };
export const cylinderCall = {
  power: 'on',
  aquastat: 'up',
  thermostat1: 'down',
  thermostat2: 'down',
};

export function endsOf({ signals }: SystemSeen): Record<SequenceEnd, number> {
  const ends: Partial<Record<SequenceEnd, number>> = {};
  for (const each of sequenceEnds) ends[each] = signals[stageSignals[each]]!;
  return ends as Record<SequenceEnd, number>;
}
export const share = (ends: Readonly<Record<SequenceEnd, number>>, of: readonly SequenceEnd[]) =>
  of.reduce((sum, each) => sum + ends[each], 0);

/** Whether its display can be read. */
const litShare = (seen: SystemSeen): number =>
  signal(seen, 'board.alive') * (elementOf(seen, 'display.lit') > 0.5 ? 1 : 0);

/** Code of an end, where the control shows one: by what it saw. */
const codes = oncePerUnit((seen): Shares => {
  const at = called(seen, heatCall);
  const lit = litShare(at);
  const e = (id: string) => elementOf(seen, id);
  const volt = signal(at, 'board.volt');
  // What keeps it from trying at all, first that holds.
  const fixed: Shares | undefined =
    e('supply-sensor.whole') < 0.5
      ? { c11: 0.97 }
      : e('return-sensor.whole') < 0.5
        ? { c12: 0.97 }
        : e('drain.runs') < 0.5
          ? { c23: 0.97 }
          : !(e('limit.ohm') < 10)
            ? { c41: 0.97 }
            : e('system.pascal') < 5e4
              ? { c42: 0.97 }
              : e('flame.true') < 0.5
                ? { c33: 0.95 }
                : e('gas-valve.shuts') < 0.5
                  ? { c33: 0.7, none: 0.28 }
                  : undefined;
  const row = fixed ?? mixedCodes(seen, at);
  // Between dark and alive it starts over and over, and says so.
  const isWeak = volt > 11 && volt < 18.5;
  return blurred(
    mixed(
      lit,
      isWeak ? mixed(0.6, { c61: 1 }, row) : row,
      isWeak ? { c61: 0.4, none: 0.6 } : { none: 1 },
    ),
    valuesOf('code-read'),
  );
});

function mixedCodes(seen: SystemSeen, atHeat: SystemSeen): Shares {
  const ends = endsOf(atHeat);
  const runs = share(ends, ['runs', 'runs-short', 'waits', 'no-response', 'dark', 'blocked']);
  const dirty = elementOf(seen, 'burner.clean') < 0.5 ? 0.5 : 1;
  const races = ends['races-and-stops'];
  const failing: Shares = {
    c21: ends['fan-silent'],
    c22: ends['fan-no-spark'],
    c31: (ends['no-spark'] + ends['spark-no-flame'] + 0.5 * ends['thump-or-late']) * dirty,
    c32: (ends['flame-drops'] + 0.3 * ends['thump-or-late'] + 0.8 * ends.starves) * dirty,
    c43: 0.75 * races,
    c41: 0.2 * races,
  };
  const quiet = quietCodes(seen);
  const shown: Record<string, number> = { ...failing, none: runs * (quiet.none ?? 1) };
  // What it only mentions is seen where nothing keeps it from running.
  for (const code in quiet)
    if (code !== 'none') shown[code] = (shown[code] ?? 0) + runs * quiet[code]!;
  return shown;
}

/** Codes of a boiler that runs all the same. */
function quietCodes(seen: SystemSeen): Shares {
  const e = (id: string) => elementOf(seen, id);
  if (e('outdoor-sensor.whole') < 0.5) return { c13: 0.97, none: 0.03 };
  if (seen.plate.cylinderControl === 'sensor' && e('cylinder-sensor.whole') < 0.5) {
    return { c14: 0.97, none: 0.03 };
  }
  if (e('supply-sensor.kelvin') < -7) return { c44: 0.35, c41: 0.25, none: 0.4 };
  const slow =
    e('cylinder-pump.turns') < 0.5 ||
    e('coil.share') < 0.6 ||
    e('tank-limit.clear') < 0.5 ||
    e('cylinder-sensor.kelvin') < -5;
  return slow ? { c51: 0.55, none: 0.45 } : { none: 1 };
}

const display = oncePerUnit((seen): Shares => {
  const lit = litShare(called(seen, heatCall));
  const code = 0.9 * (1 - (codes(seen).none ?? 0));
  return blurred(mixed(lit, { code, lit: 1 - code }, { dark: 1 }), valuesOf('display-look'));
});

const ends = (seen: SystemSeen): Shares => endsOf(seen);

const enabled = (seen: SystemSeen): Shares =>
  mixed(litShare(seen), either('on', 'off', elementOf(seen, 'enabled.on') > 0.5), { dark: 1 });
const hotWaterSwitch = (seen: SystemSeen): Shares => {
  const isOn = elementOf(seen, 'tank.on') > 0.5 && elementOf(seen, 'tank.in-mode') > 0.5;
  return mixed(litShare(seen), either('on', 'off', isOn), { dark: 1 });
};

const lamps = (seen: SystemSeen): Shares => {
  const [one, two] = ['relay.zone-1', 'relay.zone-2'].map((id) => signal(seen, id) > 0.5);
  const seenAs = one ? 'all' : two ? 'not-zone-1' : 'none';
  return blurred({ [seenAs]: 0.97 }, valuesOf('zone-lamps-look'));
};

/** A joint that chars is closed for a while where it is knocked. Common practice. */
const clicks = (seen: SystemSeen): number =>
  seen.has('zone-panel.supply-burnt', 'zone-panel.supply-resistive')
    ? 0.8
    : seen.has('zone-panel.relay-1-pump-contact')
      ? 0.4
      : 0.03;

const settingFaults: Readonly<Record<string, string>> = {
  'settings.not-enabled': 'not-enabled',
  'settings.tank-off': 'tank-off',
  'settings.mode-without-tank': 'mode',
  'settings.start-delay': 'start-delay',
  'settings.tank-limit-too-near': 'tank-limit',
  'settings.tank-setpoint-low': 'tank-setpoint',
  'settings.curve-low': 'curve',
  'settings.curve-high': 'curve',
  'settings.warm-weather-shutdown': 'warm-weather',
};

const sheet = (seen: SystemSeen): Shares => {
  const off = Object.entries(settingFaults).filter(([fault]) => seen.has(fault));
  const row: Record<string, number> = { right: 0.96 };
  for (const [, outcome] of off) {
    row[outcome] = 0.96 / off.length;
    row.right = 0.03;
  }
  return mixed(litShare(seen), blurred(row, valuesOf('settings-sheet')), { right: 1 });
};

/** What an analysis comes to where it burns. Common practice. */
function analysis(seen: SystemSeen): Shares {
  const isLit = share(endsOf(seen), litEnds) > 0.5 || seen.has('burner.cracked', 'burner.dirty');
  if (!isLit) return blurred({ 'no-flame': 0.97 }, valuesOf('combustion-analysis'));
  return rowOf(tables['combustion-analysis']!, seen);
}

const trial = (seen: SystemSeen) => signal(seen, 'trial') > 0.5;

export const looks: Readonly<Record<string, Look>> = {
  ...Object.fromEntries(
    Object.keys(outcomes)
      .filter((id) => Object.hasOwn(namesFile.checks, id))
      .map((id) => [id, fromTable(id)]),
  ),
  // Records of safety: they tell no fault from another.
  'gas-smell-sniff': { predict: () => ({ none: 0.97, smell: 0.03 }) },
  // A record: what it says of high fire's mixture the pattern says, and no fault is told by it alone.
  'combustion-analysis-low': { predict: () => ({}) },
  'leak-check': { predict: () => ({ tight: 0.97, leak: 0.03 }) },
  'display-look': { predict: display },
  'code-read': { predict: codes },
  'line-switch-look': {
    predict: (seen) => either('off', 'on', seen.has('supply.off'), 0.95),
  },
  'enabled-look': inState(enabled),
  'hot-water-switch-look': inState(hotWaterSwitch),
  'settings-sheet': inState(sheet),
  'zone-lamps-look': inState(lamps),
  'zone-lamps-idle-look': inState((seen) =>
    either('zone-1', 'none', signal(seen, 'relay.zone-1') > 0.5, 0.97),
  ),
  'cylinder-lamp-look': inState((seen) =>
    either('lit', 'dark', signal(seen, 'relay.zone-dhw') > 0.5, 0.97),
  ),
  'relay-tap': { predict: (seen) => ({ clicks: clicks(seen), nothing: 1 - clicks(seen) }) },
  'sequence-watch-heat': inState(ends),
  'sequence-watch-cylinder': inState(ends),
  'zone-1-jumper': inState((seen) =>
    either('clicks', 'silent', signal(seen, 'relay.zone-1') > 0.5, 0.97),
  ),
  'tt-jumper': inState((seen) => {
    const stages = endsOf(seen);
    return either(
      'nothing',
      'starts',
      share(stages, ['dark', 'no-response', 'blocked', 'waits']) > 0.5,
    );
  }),
  'combustion-analysis': inState(analysis),
  'igniter-look': inState((seen) => {
    const stages = endsOf(seen);
    const reached = 1 - share(stages, sequenceEnds.slice(0, 6));
    const fails = elementOf(seen, 'igniter.works') < 0.5;
    return mixed(reached, either('none', 'good', fails, 0.93), { 'not-reached': 1 });
  }),
  'flame-out-look': {
    predict: (seen) => either('stays', 'out', elementOf(seen, 'gas-valve.shuts') < 0.5, 0.95),
  },
  'boiler-pump-feel': inState((seen) => {
    const runs = 1 - share(endsOf(seen), sequenceEnds.slice(0, 4));
    return mixed(runs, rowOf(tables['boiler-pump-feel']!, seen), { silent: 1 });
  }),
  'gurgle-listen': fromTable('gurgle-listen'),
  'zone-1-pump-feel': inState((seen) =>
    either(
      'runs',
      'silent',
      signal(seen, 'pump.zone-1') > 0.5 && elementOf(seen, 'zone-1-pump.turns') > 0.5,
    ),
  ),
  'cylinder-pump-feel': inState((seen) => {
    const driven =
      seen.plate.cylinderControl === 'sensor'
        ? 1 - share(endsOf(seen), sequenceEnds.slice(0, 3))
        : signal(seen, 'pump.zone-dhw');
    const runs = driven * (elementOf(seen, 'cylinder-pump.turns') > 0.5 ? 1 : 0);
    return mixed(runs, { runs: 0.96, silent: 0.04 }, { silent: 0.96, runs: 0.04 });
  }),
  'zone-1-ghost-heat': inState((seen) => {
    const isCarried = trial(seen) && elementOf(seen, 'flow-check.holds') < 0.5;
    const isDriven = signal(seen, 'pump.zone-1') > 0.5;
    return either('warm', 'cool', isCarried || isDriven, 0.93);
  }),
  'fuse-holds': {
    predict: (seen) => either('blows', 'holds', elementOf(seen, 'zone-1-to-common.ohm') < 5, 0.96),
  },
};
