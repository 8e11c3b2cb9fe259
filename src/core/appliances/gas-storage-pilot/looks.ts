import type { Seen, Shares, SignalLook } from '../kit/signal/declaration';
import type { UnitState } from '../kit/unit-state';
import type { GasPlate } from './plate';
import type { GasStanding } from './standing';

export type GasSeen = Seen<GasPlate, GasStanding>;
type Look = SignalLook<GasPlate, GasStanding>;

/**
 * What is seen, heard or felt. Flames, burners and holds follow from the model; the shares of everything else are common
 * practice.
 */

const element = ({ elements }: GasSeen, id: string): number => elements[id]!;
const signal = ({ signals }: GasSeen, id: string): number => signals[id]!;

/** Seen on the unit itself, however it is set. */
const look = (predict: (seen: GasSeen) => Shares): Look => ({ predict });

/** Seen of the flame: as found, or once it was lit. */
const flame = (predict: (seen: GasSeen) => Shares): Look => ({
  keyOf: ({ controls: { pilot = '' }, done }: UnitState) => [pilot, ...done].join(' '),
  predict,
});

const either = (yes: string, no: string, chance: number): Shares => ({
  [yes]: chance,
  [no]: 1 - chance,
});

const logistic = (x: number) => 1 / (1 + Math.exp(-x));

/** Chance that the main burner runs as it is set. */
const runs = (seen: GasSeen) => signal(seen, 'main');

const mixed = (share: number, yes: Shares, no: Shares): Shares => {
  const shares: Record<string, number> = {};
  for (const key in yes) shares[key] = share * yes[key]! + (1 - share) * (no[key] ?? 0);
  for (const key in no) shares[key] ??= (1 - share) * no[key]!;
  return shares;
};

const dialAsFound = (seen: GasSeen): string => {
  if (element(seen, 'knob.on') < 0.5) return 'pilot-or-off';
  const celsius = element(seen, 'dial.celsius');
  return celsius < 45 ? 'low' : celsius > 61 ? 'high' : 'usual';
};

const isAirShort = (seen: GasSeen) => signal(seen, 'air.share') < 0.62;
const rateOf = (seen: GasSeen) => signal(seen, 'rate');

const soot = (seen: GasSeen): number =>
  Math.max(
    seen.has('gas.pressure-high') ? 0.4 : 0,
    seen.has('gas.wrong-orifice') && seen.plate.fuel === 'lpg' ? 0.9 : 0,
    seen.has('flue.blocked') ? 0.6 : 0,
    seen.has('burner.ports-dirty') ? 0.5 : 0,
    seen.has('burner.late-ignition') ? 0.4 : 0,
    isAirShort(seen) ? 0.4 : 0,
  );

/** Chance that the true volts lie below a limit, by how much units of one kind differ: natural logarithm. */
const unitSpread = 0.1;
const below = (volt: number, limit: number) =>
  logistic((1.7 * Math.log(limit / volt)) / unitSpread);

/** What the control shows, by what it sees; `other` share is what it shows of something else. */
function statusLight(seen: GasSeen): Shares {
  const volt = signal(seen, 'valve.volt');
  const isWarming = signal(seen, 'pilot.burns') > 0.5;
  if (!isWarming || element(seen, 'electronics.alive') < 0.5 || volt < 0.09) return { dark: 0.95 };
  if (seen.has('valve.never-opens')) return { sll: 0.55, s1: 0.4 };
  if (seen.has('valve.never-shuts')) return { lss: 0.6, ssl: 0.3 };
  if (seen.has('valve.reads-low')) return { ll: 0.35, s4: 0.3, s1: 0.3 };
  // Where a part stands near a limit, the one or the other is shown.
  const waits = below(volt, 0.2);
  const isLittle = (1 - waits) * below(volt, 0.28);
  const enough = 1 - waits - isLittle;
  if (enough < 0.02) return { l3: 0.8 * waits, sl: 0.8 * isLittle };
  return mixed(enough, lightOfEnough(seen), {
    l3: (0.8 * waits) / (1 - enough),
    sl: (0.8 * isLittle) / (1 - enough),
  });
}

/** With margin: what it shows of air, dial and water. */
function lightOfEnough(seen: GasSeen): Shares {
  if (seen.has('draught.down', 'flue.blocked') || isAirShort(seen))
    return { ls: 0.4, s1: 0.35, s4: 0.2 };
  if (dialAsFound(seen) === 'pilot-or-off') return { s4: 0.7, lls: 0.2 };
  return signal(seen, 'calls') > 0.5 ? { s1: 0.9 } : { s4: 0.7, s1: 0.2 };
}

function pilotFlame(seen: GasSeen): Shares {
  if (signal(seen, 'pilot.burns') < 0.5) return { small: 0.6, 'blown-about': 0.1 };
  const small = logistic((0.6 - signal(seen, 'pilot.share')) / 0.07);
  let rest = 1 - small;
  const yellow = rest * logistic((0.62 - signal(seen, 'air.share')) / 0.06);
  rest -= yellow;
  const misses = rest * 0.85 * logistic((0.66 - element(seen, 'tip.engagement')) / 0.06);
  rest -= misses;
  const blown = rest * 0.5 * element(seen, 'draught.strength');
  return blurred({
    small,
    'yellow-soft': yellow,
    'misses-tip': misses,
    'blown-about': blown,
    'wraps-upper-third': rest - blown,
  });
}

/** Nothing that an eye sees is certain. */
const blurred = (shares: Shares): Shares => {
  const keys = Object.keys(shares);
  return Object.fromEntries(keys.map((key) => [key, 0.97 * shares[key]! + 0.03 / keys.length]));
};

function burnerFlame(seen: GasSeen): Shares {
  const rate = rateOf(seen);
  if (seen.has('flue.blocked')) {
    return { 'rolls-out': 0.4, 'yellow-soot': 0.29, 'blue-even': 0.29 };
  }
  if (isAirShort(seen) || rate > 1.45) {
    return { 'yellow-soot': 0.76, lifting: 0.11, 'blue-even': 0.11 };
  }
  if (seen.has('burner.ports-dirty')) {
    return { 'weak-or-patchy': 0.59, 'yellow-soot': 0.24, 'blue-even': 0.15 };
  }
  if (rate < 0.8) return { 'weak-or-patchy': 0.61, 'blue-even': 0.36 };
  if (rate > 1.15) return { lifting: 0.39, 'blue-even': 0.39, 'yellow-soot': 0.2 };
  if (seen.has('burner.late-ignition')) {
    return { 'blue-even': 0.61, 'rolls-out': 0.21, 'weak-or-patchy': 0.16 };
  }
  return { 'blue-even': 0.94 };
}

const noises: readonly (readonly [fault: string, noise: string, share: number])[] = [
  ['sediment', 'rumble-pop', 0.74],
  ['flue-drips', 'hiss', 0.9],
  ['thermal-ticks', 'tick', 0.9],
  ['nipple.restrictor-sings', 'whistle', 0.9],
  ['burner.late-ignition', 'boom-at-start', 0.9],
];

const wornOut: readonly (readonly [faults: readonly string[], seen: string, share: number])[] = [
  [['tip.low-in-bracket'], 'tip-low', 0.87],
  [['pilot.orifice-dirty', 'pilot.flame-deflected'], 'orifice-or-hood-dirty', 0.87],
  [['air.arrestor-blocked'], 'screen-furred', 0.87],
  [
    ['burner.ports-dirty', 'burner.orifice-blocked', 'burner.late-ignition'],
    'ports-rusted-or-linty',
    0.87,
  ],
  [['thermocouple.worn'], 'tip-worn', 0.62],
];

/** The spark of a push-button igniter, and gas on its way. */
const lights = (seen: GasSeen): Shares => {
  const isHopeless = signal(seen, 'pilot.share') < 0.12 || element(seen, 'igniter.spark') < 0.5;
  if (isHopeless) return { lights: 0.02, 'lights-after-long': 0.03, 'no-flame': 0.95 };
  if (element(seen, 'gas.air-in-line') > 0.5) {
    return { lights: 0.1, 'lights-after-long': 0.88, 'no-flame': 0.02 };
  }
  return { lights: 0.95, 'lights-after-long': 0.04, 'no-flame': 0.01 };
};

const starts = (seen: GasSeen): Shares => {
  const dies =
    0.02 +
    (element(seen, 'gas.working') < 0.47 ? 0.35 : 0) +
    (signal(seen, 'air.share') < 0.5 ? 0.25 : 0) +
    (seen.has('flue.blocked') ? 0.2 : 0);
  const thump = 0.02 + (element(seen, 'pilot.opening') < 0.5 ? 0.2 : 0);
  const able: Shares =
    element(seen, 'burner.late') > 0.5
      ? { soft: 0.15, 'late-with-thump': 0.8, none: 0.02, 'pilot-goes-out': 0.03 }
      : { none: 0.01, 'pilot-goes-out': dies, 'late-with-thump': thump, soft: 0.99 - dies - thump };
  return mixed(runs(seen), able, {
    none: 0.97,
    soft: 0.01,
    'late-with-thump': 0.01,
    'pilot-goes-out': 0.01,
  });
};

const isTripped = ({ standing, state, plate }: GasSeen) =>
  plate.rollOut !== 'none' && standing.isTripped && !state.done.includes('cutout-reset');

export const looks: Readonly<Record<string, Look>> = {
  // Records of safety: they tell no fault from another.
  'gas-smell-sniff': look(() => ({ none: 0.97, smell: 0.03 })),
  'gas-creep': look(() => ({ still: 0.98, moves: 0.02 })),
  'leak-static': look(() => ({ none: 0.98, bubbles: 0.02 })),
  'leak-firing': look(() => ({ none: 0.98, bubbles: 0.02 })),
  'other-gas-appliance': look((seen) =>
    seen.has('gas.off')
      ? { works: 0.3, 'none-works': 0.3, 'no-other': 0.4 }
      : { works: 0.55, 'none-works': 0.02, 'no-other': 0.43 },
  ),
  'gas-cock-look': look((seen) =>
    seen.has('gas.off')
      ? { closed: 0.58, part: 0.02, open: 0.4 }
      : seen.has('gas.inlet-low')
        ? { closed: 0.01, part: 0.24, open: 0.75 }
        : { closed: 0.01, part: 0.03, open: 0.96 },
  ),
  'other-outlet': look((seen) =>
    either('hot-elsewhere', 'same-everywhere', seen.has('crossed-fixture') ? 0.65 : 0.06),
  ),
  'dial-look': look((seen) => ({ [dialAsFound(seen)]: 0.93 })),
  // As it was found: once it has been lit, that is no look at how it was found any more.
  'pilot-look': look((seen) => either('lit', 'out', seen.standing.pilot === 'lit' ? 0.985 : 0.015)),
  'status-light': flame(statusLight),
  'floor-look': look((seen) =>
    seen.has('tank.leaks')
      ? { dry: 0.12, 'damp-at-burner': 0.8, 'damp-at-top-or-fitting': 0.08 }
      : seen.has('condensation')
        ? { dry: 0.4, 'damp-at-burner': 0.55, 'damp-at-top-or-fitting': 0.05 }
        : seen.has('fitting.weeps')
          ? { dry: 0.12, 'damp-at-burner': 0.1, 'damp-at-top-or-fitting': 0.78 }
          : seen.has('relief.drips')
            ? { dry: 0.3, 'damp-at-burner': 0.1, 'damp-at-top-or-fitting': 0.6 }
            : { dry: 0.95, 'damp-at-burner': 0.02, 'damp-at-top-or-fitting': 0.03 },
  ),
  'relief-look': look((seen) =>
    seen.has('relief.drips')
      ? { dry: 0.2, drips: 0.65, runs: 0.15 }
      : { dry: 0.96, drips: 0.03, runs: 0.01 },
  ),
  'dry-wipe-when-hot': look((seen) =>
    either('wet-again', 'stays-dry', seen.has('tank.leaks', 'fitting.weeps') ? 0.92 : 0.07),
  ),
  'filter-look': look((seen) =>
    seen.has('air.filter-blocked')
      ? { clean: 0.03, furred: 0.3, blocked: 0.65, missing: 0.02 }
      : seen.has('air.arrestor-blocked')
        ? { clean: 0.35, furred: 0.33, blocked: 0.07, missing: 0.25 }
        : { clean: 0.62, furred: 0.33, blocked: 0.02, missing: 0.03 },
  ),
  'arrestor-look': look((seen) =>
    either('furred', 'clean', seen.has('air.arrestor-blocked') ? 0.92 : 0.1),
  ),
  'room-air-look': look((seen) =>
    either('starved', 'free', seen.has('air.room-starved') ? 0.75 : 0.07),
  ),
  'flue-look': look((seen) =>
    either(
      'fault-seen',
      'sound',
      seen.has('flue.blocked') ? 0.75 : seen.has('draught.down') ? 0.45 : 0.06,
    ),
  ),
  'soot-look': look((seen) => either('soot-or-scorch', 'clean', 0.05 + 0.75 * soot(seen))),
  'spark-look': look((seen) =>
    either('none', 'spark', element(seen, 'igniter.spark') < 0.5 ? 0.96 : 0.03),
  ),
  'pilot-light-try': look(lights),
  'pilot-flame-look': flame(pilotFlame),
  'tip-look': look((seen) =>
    either('low-in-bracket', 'high-in-bracket', seen.has('tip.low-in-bracket') ? 0.88 : 0.05),
  ),
  'pilot-hold-try': flame((seen) => either('holds', 'drops', 0.01 + 0.98 * signal(seen, 'hold'))),
  'cutout-reset-press': {
    keyOf: ({ done }) => done.join(' '),
    predict: (seen) =>
      isTripped(seen)
        ? { clicked: 0.93, 'no-click': 0.06, 'no-button': 0.01 }
        : { clicked: 0.03, 'no-click': 0.95, 'no-button': 0.02 },
  },
  'thermocouple-nut-feel': look((seen) =>
    either('loose-or-dirty', 'tight', seen.has('joint.loose') ? 0.78 : 0.07),
  ),
  'known-good-thermocouple': {
    keyOf: ({ done }) => done.join(' '),
    predict: (seen) => {
      const isValveBad =
        seen.has('valve.magnet', 'valve.energy-cutoff-open') ||
        seen.standing.isCutOff ||
        (seen.plate.rollOut === 'own-leads' && (isTripped(seen) || seen.has('cutout.failed')));
      return either('drops', 'holds', isValveBad ? 0.96 : 0.05);
    },
  },
  'burner-start': flame(starts),
  'burner-flame-look': flame((seen) =>
    mixed(runs(seen), burnerFlame(seen), { 'weak-or-patchy': 0.5, 'blue-even': 0.3 }),
  ),
  'dial-through-water': flame((seen) =>
    seen.has('valve.never-shuts')
      ? { 'never-off': 0.94 }
      : mixed(
          runs(seen),
          { 'on-and-off': 0.95, 'never-on': 0.03, 'never-off': 0.02 },
          { 'never-on': 0.96 },
        ),
  ),
  'pilot-with-doors-shut-fans-on': flame((seen) =>
    either(
      'pulled',
      'steady',
      seen.has('draught.down')
        ? 0.75 * element(seen, 'draught.strength')
        : seen.has('air.room-starved')
          ? 0.75
          : 0.04,
    ),
  ),
  'spillage-check': flame((seen) =>
    either('spills', 'draws', 0.03 + 0.92 * element(seen, 'flue.spill')),
  ),
  'orifice-marking-look': look((seen) =>
    either('wrong', 'right', seen.has('gas.wrong-orifice') ? 0.97 : 0.015),
  ),
  'assembly-out-look': look((seen) => {
    const found = wornOut.find(([faults]) => seen.has(...faults));
    return found
      ? { [found[1]]: found[2], ...(found[2] < 0.8 ? { sound: 0.32 } : {}) }
      : { sound: 0.87 };
  }),
  'drain-look': look((seen) =>
    seen.has('sediment')
      ? { clear: 0.04, grit: 0.7, chokes: 0.26 }
      : { clear: 0.85, grit: 0.14, chokes: 0.01 },
  ),
  'noise-listen': look((seen) => {
    const found = noises.find(([fault]) => seen.has(fault));
    return found ? { [found[1]]: found[2], none: (1 - found[2]) * 0.6 } : { none: 0.9 };
  }),
  'cold-off-tap-check': look((seen) =>
    either('runs-on', 'stops', seen.has('crossed-fixture') ? 0.95 : 0.03),
  ),
  'use-look': look((seen) => either('outsized', 'usual', seen.has('demand') ? 0.85 : 0.08)),
  'dip-tube-look': look((seen) =>
    either('short-or-gone', 'whole', seen.has('dip-tube.gone') ? 0.97 : 0.04),
  ),
  'anode-look': look((seen) =>
    seen.has('anode.spent')
      ? { spent: 0.92, worn: 0.04, sound: 0.04 }
      : { sound: 0.5, worn: 0.4, spent: 0.1 },
  ),
  'pair-pipe-look': look((seen) =>
    seen.has('pair.unequal-runs')
      ? { 'unequal-runs': 0.86, 'equal-runs': 0.12, 'one-valve-shut': 0.02 }
      : seen.has('pair.valve-shut')
        ? { 'one-valve-shut': 0.88, 'equal-runs': 0.08, 'unequal-runs': 0.04 }
        : { 'equal-runs': 0.9, 'unequal-runs': 0.07, 'one-valve-shut': 0.03 },
  ),
  'pilot-after-a-day': flame((seen) =>
    either('lit', 'out', signal(seen, 'hold') > 0.5 && !goesOut(seen) ? 0.95 : 0.3),
  ),
};

/** What puts a pilot out again within a day although it holds now. */
const goesOut = (seen: GasSeen) =>
  seen.has(
    'draught.down',
    'air.filter-blocked',
    'air.arrestor-blocked',
    'air.room-starved',
    'tank.leaks',
    'flue.blocked',
    'gas.inlet-low',
  );
