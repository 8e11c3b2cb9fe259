import { burnerProblem, type BurnerLook } from '../combustion/burner-sheet';
import { balancingProblems } from './balancing-problems';
import { mixingProblems } from './mixing-problems';
import type { FamilyCatalogue } from './catalogue';
import { effectiveEntries } from './corrections';
import { walkEntries } from './fold';
import type {
  ActionEntry,
  Entry,
  EntryState,
  JobFile,
  LogEntry,
  ObservationEntry,
  ReadingEntry,
  SettingEntry,
  StepEntry,
  VerdictEntry,
} from './generated/job-types';
import { quantityTable, type Quantity } from '../quantities';
import { isLogPlace, logPlaces } from './log-places';
import { pointerPart, type JobFileProblem } from './problem';
import { quantityOf } from './quantity';
import { timeProblems } from './sound';
import type { JobState } from './state';
import { unitProblems, valueProblems } from './value-problems';

/**
 * What no logbook of the family can hold: names that it does not know, values of another quantity, ohms under power. Each
 * with its place, counted from the first of the given entries.
 */
export function entryProblems(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const byId = new Map(entries.map((each, index) => [each.id, { entry: each, index }]));
  return [
    ...entries.flatMap((each, index) => {
      const pointer = `/entries/${index}`;
      return each.kind === 'correction'
        ? correctionProblems(each, byId.get(each.replaces)?.entry, pointer, catalogue)
        : namesProblems(each, pointer, catalogue);
    }),
    ...ohmsUnderPower(entries, catalogue).map((id) => underPowerProblem(byId.get(id)?.index ?? 0)),
  ];
}

export const underPowerProblem = (index: number): JobFileProblem => ({
  pointer: `/entries/${index}/state`,
  message:
    'Ohms were entered with power on. That reading means nothing and can destroy the meter: power off, prove dead, take it again.',
});

/** What the plate lacks, and what no plate of the family says. */
export function plateProblems(
  plate: JobFile['unit']['plate'],
  { plate: { required, known } }: FamilyCatalogue,
): { readonly missing: readonly JobFileProblem[]; readonly unknown: readonly JobFileProblem[] } {
  return {
    missing: required
      .filter((key) => !Object.hasOwn(plate, key))
      .map((key) => ({ pointer: '/unit/plate', message: `"${key}" is missing.` })),
    unknown: Object.keys(plate)
      .filter((key) => !known.has(key))
      .map((key) => ({
        pointer: `/unit/plate/${pointerPart(key)}`,
        message: 'This key is not part of the format.',
      })),
  };
}

/** Answers of the call that no question of the family has. */
export function complaintProblems(
  complaint: JobFile['complaint'],
  { answers, family }: FamilyCatalogue,
): JobFileProblem[] {
  return Object.entries(complaint?.answers ?? {}).flatMap(([question, answer]) => {
    const pointer = `/complaint/answers/${pointerPart(question)}`;
    const values = question === 'complaint' ? undefined : answers.get(question);
    if (!values) {
      return [{ pointer, message: `No question of ${family} is named "${question}".` }];
    }
    return values.includes(String(answer))
      ? []
      : [{ pointer, message: `"${question}" is answered with ${values.join(', ')}.` }];
  });
}

function correctionProblems(
  { at, entry }: Extract<Entry, { kind: 'correction' }>,
  replaced: Entry | undefined,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const time = timeProblems(at, `${pointer}/at`);
  if (time.length > 0) return time;
  if (!replaced) {
    return [{ pointer: `${pointer}/replaces`, message: 'No entry here has that id.' }];
  }
  if (entry === null) return [];
  if (entry.kind !== 'correction') return namesProblems(entry, `${pointer}/entry`, catalogue);
  return replaced.kind === 'correction'
    ? correctionProblems(entry, replaced, `${pointer}/entry`, catalogue)
    : [
        {
          pointer: `${pointer}/entry/kind`,
          message: 'Only a correction can be corrected to another correction.',
        },
      ];
}

/** Ids of the readings in ohms that were taken while the power was said to be on. */
function ohmsUnderPower(entries: readonly Entry[], catalogue: FamilyCatalogue): string[] {
  const isStated = effectiveEntries(entries).some(saysPower);
  return walkEntries(entries, catalogue).flatMap(({ entry, before }) =>
    isOhmsUnderPower(entry, before.power, isStated, catalogue) ? [entry.id] : [],
  );
}

/** Whether an entry says how the power was set: without any that does, nobody has said that it is on. */
export const saysPower = (entry: Entry): boolean =>
  entry.kind === 'action' && ['power-on', 'power-off', 'proved-dead'].includes(entry.action);

export function isOhmsUnderPower(
  entry: Entry,
  powerBefore: JobState['power'],
  isPowerStated: boolean,
  catalogue: FamilyCatalogue,
): boolean {
  if (entry.kind !== 'reading' || quantityOf(entry, catalogue) !== 'resistance') return false;
  const stated = entry.state?.power;
  return stated === 'on' || (stated === undefined && powerBefore === 'on' && isPowerStated);
}

/** A sheet of burners belongs to the check that it comes to, and to what it comes to. */
function burnerSheetProblems(
  burners: readonly BurnerLook[],
  { check, value }: ObservationEntry,
  pointer: string,
  { burnerCheck }: FamilyCatalogue,
): JobFileProblem[] {
  const message =
    check === burnerCheck ? burnerProblem(burners, value) : `"${check}" is no look at burners.`;
  return message === undefined ? [] : [{ pointer, message }];
}

/** What of one entry the family cannot hold, whatever came before it. */
export function namesProblems(
  entry: Entry,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const state = 'state' in entry ? entry.state : undefined;
  return [
    ...timeProblems(entry.at, `${pointer}/at`),
    ...ownProblems(entry, pointer, catalogue),
    ...(state ? stateProblems(state, `${pointer}/state`, catalogue) : []),
  ];
}

function ownProblems(entry: Entry, pointer: string, catalogue: FamilyCatalogue): JobFileProblem[] {
  switch (entry.kind) {
    case 'reading':
      return readingProblems(entry, pointer, catalogue);
    case 'code':
      return entry.saw === undefined || catalogue.sights.has(entry.saw)
        ? []
        : [
            {
              pointer: `${pointer}/saw`,
              message: `The control of this family sees none of "${entry.saw}"${catalogue.sights.size > 0 ? `: ${[...catalogue.sights].join(', ')}` : ''}.`,
            },
          ];
    case 'observation': {
      const check = catalogue.check(entry.check);
      if (!check) return [unknownCheck(pointer, entry.check, catalogue)];
      if (check.kind !== 'observation') {
        return [
          { pointer: `${pointer}/check`, message: `"${entry.check}" is measured, not looked at.` },
        ];
      }
      const values = check.values ?? [];
      return [
        ...(values.includes(entry.value)
          ? []
          : [
              {
                pointer: `${pointer}/value`,
                message: `"${entry.check}" is answered with ${values.join(', ')}; not with "${entry.value}".`,
              },
            ]),
        ...(entry.threshold
          ? unitProblems(entry.threshold, 'resistance', `${pointer}/threshold`)
          : []),
        ...(entry.burners
          ? burnerSheetProblems(entry.burners, entry, `${pointer}/burners`, catalogue)
          : []),
      ];
    }
    case 'series': {
      if (!catalogue.check(entry.check)) return [unknownCheck(pointer, entry.check, catalogue)];
      const quantity = quantityOf(entry, catalogue);
      return entry.samples.flatMap(({ value }, index) =>
        valueProblems(value, quantity, `${pointer}/samples/${index}/value`),
      );
    }
    case 'log':
      return logProblems(entry, pointer);
    case 'balancing':
      return balancingProblems(entry, pointer, catalogue);
    case 'mixing':
      return mixingProblems(entry, pointer, catalogue);
    case 'skip':
      return catalogue.check(entry.check) ? [] : [unknownCheck(pointer, entry.check, catalogue)];
    case 'setting':
      return settingProblems(entry, pointer, catalogue);
    case 'action':
      return actionProblems(entry, pointer, catalogue);
    case 'verdict':
      return verdictProblems(entry, pointer, catalogue);
    case 'part':
      return unknownName(entry.repair, `${pointer}/repair`, catalogue.repairs, 'repair');
    case 'wire':
      // The first versions took any word for where a wire came from.
      return endProblems(
        { wire: entry.wire, end: entry.stands === undefined ? undefined : entry.from },
        pointer,
        catalogue,
      );
    case 'step':
      return stepProblems(entry, pointer, catalogue);
    case 'service':
      return unknownName(entry.service, `${pointer}/service`, catalogue.services, 'service');
    default:
      return [];
  }
}

/** Hottest and coldest that a log may say: what no probe of ours reads is a slip of a file. */
const loggedCelsius = [-60, 300] as const;

function logProblems({ phase, place, track, due, every, rate, began }: LogEntry, pointer: string) {
  const problems: JobFileProblem[] = [];
  const say = (at: string, message: string) =>
    problems.push({ pointer: `${pointer}${at}`, message });
  if (place !== undefined && !isLogPlace(place)) {
    say('/place', `No place of a log is named "${place}": ${logPlaces.join(', ')}, readout-….`);
  }
  if ((phase === 'samples') !== (track !== undefined)) {
    say('/track', 'Readings come with the phase "samples", and only with it.');
  }
  if (phase === 'samples' && place === undefined) say('/place', 'Say where it was read.');
  if (phase === 'look-again' && due === undefined) say('/due', 'Say when to look again.');
  if (began !== undefined) problems.push(...timeProblems(began, `${pointer}/began`));
  if (due !== undefined) problems.push(...timeProblems(due, `${pointer}/due`));
  if (every !== undefined) problems.push(...unitProblems(every, 'time', `${pointer}/every`));
  if (rate !== undefined) problems.push(...unitProblems(rate, 'flow', `${pointer}/rate`));
  if (track) {
    const { second, celsius } = track;
    if (second.length !== celsius.length) {
      say(
        '/track',
        `${second.length} times and ${celsius.length} temperatures: each reading has both.`,
      );
    }
    const back = second.findIndex((each, k) => k > 0 && !(each > second[k - 1]!));
    if (back >= 0) say(`/track/second/${back}`, 'Times go forward: this one does not.');
    const [least, most] = loggedCelsius;
    const odd = celsius.findIndex((each) => !(each >= least && each <= most));
    if (odd >= 0) say(`/track/celsius/${odd}`, `${celsius[odd]} °C is no temperature of water.`);
    const far = second.findIndex((each) => Math.abs(each) > longestLogSecond);
    if (far >= 0) say(`/track/second/${far}`, 'A log is no longer than a month.');
  }
  return problems;
}

const longestLogSecond = 31 * 86_400;

function stateProblems(
  { lifted = [], water = {}, controls = {}, ...rest }: EntryState,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const keys = new Set(catalogue.dials.values());
  return [
    ...lifted.flatMap((each, index) => endProblems(each, `${pointer}/lifted/${index}`, catalogue)),
    ...Object.entries(water).flatMap(([id, value]) =>
      catalogue.dials.has(id)
        ? unitProblems(value, 'temperature', `${pointer}/water/${pointerPart(id)}`)
        : unknownName(id, `${pointer}/water/${pointerPart(id)}`, new Set(), 'thermostat'),
    ),
    ...(['upperDial', 'lowerDial', 'dial'] as const).flatMap((key) =>
      rest[key] === undefined || keys.has(key)
        ? []
        : [{ pointer: `${pointer}/${key}`, message: `${catalogue.family} has no such dial.` }],
    ),
    ...Object.entries(controls).flatMap(([id, to]) =>
      positionProblems(id, to, `${pointer}/controls/${pointerPart(id)}`, catalogue),
    ),
  ];
}

/** A control that the family does not have, or a position that the control does not have. */
function positionProblems(
  control: string,
  to: unknown,
  pointer: string,
  { controls }: FamilyCatalogue,
): JobFileProblem[] {
  const positions = controls.get(control);
  if (!positions) return unknownName(control, pointer, new Set(), 'control');
  return typeof to === 'string' && positions.includes(to)
    ? []
    : [{ pointer, message: `"${control}" stands at ${positions.join(', ')}.` }];
}

function settingProblems(
  { setting, value }: SettingEntry,
  pointer: string,
  { settings, family }: FamilyCatalogue,
): JobFileProblem[] {
  const kind = settings.get(setting);
  if (!kind) {
    return [
      { pointer: `${pointer}/setting`, message: `No setting of ${family} is named "${setting}".` },
    ];
  }
  if ('values' in kind) {
    return kind.values.includes(String(value))
      ? []
      : [{ pointer: `${pointer}/value`, message: `"${setting}" is ${kind.values.join(', ')}.` }];
  }
  if (typeof value !== 'object') {
    return [
      {
        pointer: `${pointer}/value`,
        message:
          kind.quantity === 'temperature'
            ? 'A dial is set to a temperature: {"celsius": 50}.'
            : `"${setting}" is a number with its unit.`,
      },
    ];
  }
  const problems = unitProblems(value, kind.quantity, `${pointer}/value`);
  const [least, most] = kind.range ?? [-Infinity, Infinity];
  const [number] = Object.values(value) as number[];
  return problems.length > 0 || (number! >= least && number! <= most)
    ? problems
    : [
        {
          pointer: `${pointer}/value`,
          message: `"${setting}" stands between ${least} and ${most} ${quantityTable[kind.quantity].key}.`,
        },
      ];
}

/** Nobody says of himself that no gas is smelled: the check has to have been taken. */
function claimProblems(
  fact: string | undefined,
  pointer: string,
  { facts }: FamilyCatalogue,
): JobFileProblem[] {
  const shownBy = facts.get(fact ?? '')?.shownBy;
  return shownBy === undefined
    ? []
    : [
        {
          pointer,
          message: `Only the check "${shownBy}" shows this. Take it, and enter its result.`,
        },
      ];
}

function actionProblems(
  entry: ActionEntry,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const isCover = entry.action === 'open' || entry.action === 'close';
  return [
    ...endProblems(entry, pointer, catalogue),
    ...unknownName(entry.repair, `${pointer}/repair`, catalogue.repairs, 'repair'),
    ...unknownName(entry.dial, `${pointer}/dial`, catalogue.dials, 'dial'),
    ...(isCover ? unknownName(entry.target, `${pointer}/target`, catalogue.covers, 'cover') : []),
    ...(entry.action === 'set-control' || entry.control !== undefined
      ? positionProblems(entry.control ?? '', entry.position, `${pointer}/control`, catalogue)
      : []),
    ...(entry.action === 'make-so' || entry.action === 'end-so' || entry.fact !== undefined
      ? unknownName(entry.fact ?? '', `${pointer}/fact`, catalogue.facts, 'fact')
      : []),
    ...(entry.action === 'make-so' ? claimProblems(entry.fact, `${pointer}/fact`, catalogue) : []),
    // What was typed stands as it was typed, be it no proof: only a point that is none is refused.
    ...(entry.points ?? []).flatMap(({ between }, index) =>
      between.flatMap((point, end) =>
        unknownName(
          point,
          `${pointer}/points/${index}/between/${end}`,
          catalogue.terminals,
          'terminal',
        ),
      ),
    ),
  ];
}

function stepProblems(
  { procedure, step, to, repair }: StepEntry,
  pointer: string,
  { procedures, repairs }: FamilyCatalogue,
): JobFileProblem[] {
  const named = procedures.get(procedure);
  return [
    ...unknownName(procedure, `${pointer}/procedure`, procedures, 'procedure'),
    ...(named
      ? [
          ...unknownName(step, `${pointer}/step`, named.steps, 'step'),
          ...unknownName(to, `${pointer}/to`, named.steps, 'step'),
        ]
      : []),
    ...unknownName(repair, `${pointer}/repair`, repairs, 'repair'),
  ];
}

function verdictProblems(
  { repair, suspects }: VerdictEntry,
  pointer: string,
  { repairs, faults }: FamilyCatalogue,
): JobFileProblem[] {
  return [
    ...unknownName(repair, `${pointer}/repair`, repairs, 'repair'),
    ...suspects.flatMap((each, index) => {
      const at = `${pointer}/suspects/${index}`;
      return [
        ...unknownName(each.repair, `${at}/repair`, repairs, 'repair'),
        ...(each.repairs ?? []).flatMap((name, k) =>
          unknownName(name, `${at}/repairs/${k}`, repairs, 'repair'),
        ),
        ...(each.faults ?? []).flatMap(({ id }, k) =>
          unknownName(id, `${at}/faults/${k}/id`, faults, 'fault'),
        ),
      ];
    }),
  ];
}

const unknownName = (
  name: string | undefined,
  pointer: string,
  known: { has(name: string): boolean },
  what: string,
): JobFileProblem[] =>
  name === undefined || known.has(name)
    ? []
    : [{ pointer, message: `No ${what} is named "${name}".` }];

function readingProblems(
  entry: ReadingEntry,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const check = entry.check === undefined ? undefined : catalogue.check(entry.check);
  if (entry.check !== undefined && !check) return [unknownCheck(pointer, entry.check, catalogue)];
  if (check && check.kind !== 'reading') {
    return [
      { pointer: `${pointer}/check`, message: `"${entry.check}" is looked at, not measured.` },
    ];
  }
  const quantity = quantityOf(entry, catalogue);
  const place = check
    ? checkedPlace(entry, pointer, quantity)
    : freePlace(entry, pointer, catalogue);
  if (place.length > 0) return place;
  const leads = [
    ...(entry.leads ? unitProblems(entry.leads, 'resistance', `${pointer}/leads`) : []),
    ...clockProblems(entry, quantity, pointer),
  ];
  const values = Object.entries(entry.values ?? {}).flatMap(([key, value]) =>
    check?.valueKeys && !check.valueKeys.includes(key)
      ? unknownName(key, `${pointer}/values/${pointerPart(key)}`, new Set(), 'value')
      : valueProblems(
          value,
          check?.valueKeys ? (check.valueQuantities?.[key] ?? quantity) : undefined,
          `${pointer}/values/${pointerPart(key)}`,
        ),
  );
  if (entry.value) {
    return [...valueProblems(entry.value, quantity, `${pointer}/value`), ...leads, ...values];
  }
  if (entry.values === undefined) {
    return [{ pointer: `${pointer}/value`, message: 'The reading has no value.' }];
  }
  // Some of what belongs together tells nothing, and would stand there as if the check had been taken.
  const missing = (check?.valueKeys ?? []).filter(
    (key) => !check?.optionalKeys?.includes(key) && !Object.hasOwn(entry.values!, key),
  );
  const half = missing.map((key) => ({
    pointer: `${pointer}/values/${pointerPart(key)}`,
    message: `"${key}" is missing: these values are read together.`,
  }));
  return [...leads, ...values, ...half];
}

/** What a result was worked out from, and how well it is known, in the units that these have. */
function clockProblems(
  { spread, byClock }: ReadingEntry,
  quantity: Quantity | undefined,
  pointer: string,
): JobFileProblem[] {
  const problems: JobFileProblem[] = [];
  if (spread && quantity) {
    problems.push(...unitProblems(spread, quantity, `${pointer}/spread`));
    const [value] = Object.values(spread);
    if (value !== undefined && !(value > 0)) {
      problems.push({ pointer: `${pointer}/spread`, message: 'A spread is above zero.' });
    }
  }
  if (byClock) {
    problems.push(...unitProblems(byClock.elapsed, 'time', `${pointer}/byClock/elapsed`));
    if (byClock.volume) {
      problems.push(...unitProblems(byClock.volume, 'volume', `${pointer}/byClock/volume`));
    }
  }
  return problems;
}

/** A check says where and what is read; what stands beside it may not say otherwise. */
function checkedPlace(
  entry: ReadingEntry,
  pointer: string,
  quantity: ReturnType<typeof quantityOf>,
): JobFileProblem[] {
  return entry.quantity === undefined || entry.quantity === quantity
    ? []
    : [
        {
          pointer: `${pointer}/quantity`,
          message: `"${entry.check}" is a reading of ${quantity ?? 'another quantity'}.`,
        },
      ];
}

/** Two points, a conductor or a named point, and a quantity that can be read there. */
function freePlace(
  { between, around, point, quantity }: ReadingEntry,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const places = [between, around, point].filter((each) => each !== undefined);
  if (places.length === 0) {
    return [
      { pointer, message: 'A reading names its check, or the two points it was taken between.' },
    ];
  }
  if (places.length > 1) {
    return [
      {
        pointer,
        message: 'A reading is taken between two points, round a conductor, or at a named point.',
      },
    ];
  }
  for (const [index, each] of (between ?? []).entries()) {
    const at = `${pointer}/between/${index}`;
    const problems =
      typeof each === 'string'
        ? unknownName(each, at, catalogue.terminals, 'terminal')
        : endProblems(each, at, catalogue);
    if (problems.length > 0) return problems;
  }
  if (around !== undefined && !Object.hasOwn(catalogue.conductors, around)) {
    return unknownName(around, `${pointer}/around`, new Set(), 'conductor');
  }
  if (point !== undefined && !catalogue.points.has(point)) {
    return unknownName(point, `${pointer}/point`, new Set(), 'point');
  }
  const readable = between
    ? catalogue.readable.between
    : around === undefined
      ? catalogue.points.get(point!)!
      : catalogue.readable.around;
  return quantity === undefined || readable.includes(quantity)
    ? []
    : [
        {
          pointer: `${pointer}/quantity`,
          message: `Here is read: ${readable.join(', ') || 'nothing'}. Not ${quantity}.`,
        },
      ];
}

/** A conductor that the family does not have, or an end that the conductor does not have. */
function endProblems(
  { wire, end }: { readonly wire?: string; readonly end?: string },
  pointer: string,
  { conductors }: FamilyCatalogue,
): JobFileProblem[] {
  if (wire === undefined) return [];
  if (!Object.hasOwn(conductors, wire)) {
    return unknownName(wire, `${pointer}/wire`, new Set(), 'conductor');
  }
  const ends = conductors[wire]!;
  return end === undefined || ends.includes(end)
    ? []
    : [
        {
          pointer: `${pointer}/end`,
          message: `"${wire}" runs from ${ends[0]} to ${ends[1]}; it has no end at "${end}".`,
        },
      ];
}

const unknownCheck = (pointer: string, check: string, { family }: FamilyCatalogue) => ({
  pointer: `${pointer}/check`,
  message: `No check of ${family} is named "${check}".`,
});
