import type { FamilyCatalogue } from './catalogue';
import { effectiveEntries, walkEntries } from './fold';
import type { Entry, JobFile, Value } from './generated/job-types';
import { validateEntry, validateJobFile, type SchemaProblem } from './generated/validators';
import { migrate } from './migrations';

/** What is wrong with a file, where, and what to do about it. */
export interface JobFileProblem {
  /** JSON pointer into the file; empty for the file as a whole. */
  readonly pointer: string;
  readonly message: string;
}

export type ReadJobFile =
  | { readonly ok: true; readonly job: JobFile; readonly warnings: readonly JobFileProblem[] }
  | { readonly ok: false; readonly problems: readonly JobFileProblem[] };

export const currentVersion = { version: 1, minor: 0 } as const;

/** JSON above this is refused before it is parsed, in bytes. */
export const mostBytes = 5 * 1024 * 1024;

/**
 * Reads a job file from its text: size, JSON, version, schema, names and states, in that order. Nothing is half read.
 * @param catalogueOf the names of a family, or undefined for a family this version does not know.
 */
export function readJobFile(
  text: string,
  catalogueOf: (family: string) => FamilyCatalogue | undefined,
): ReadJobFile {
  if (text.length > mostBytes) {
    const megabytes = (text.length / 1024 / 1024).toFixed(1);
    return refuse(
      '',
      `The file has ${megabytes} MB; a job file has at most 5 MB. Photographs go in a bundle.`,
    );
  }
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return refuse('', `Not readable as JSON${lineOf(text, reason)}: ${reason}`);
  }
  return readJobValue(parsed, catalogueOf);
}

/** The same for a value that is already parsed. */
export function readJobValue(
  parsed: unknown,
  catalogueOf: (family: string) => FamilyCatalogue | undefined,
): ReadJobFile {
  const version = versionProblem(parsed);
  if (version) return { ok: false, problems: [version] };
  const current = migrate(parsed);
  const isNewerMinor = ((current as { minor?: number }).minor ?? 0) > currentVersion.minor;
  if (!validateJobFile(current)) {
    const found = (validateJobFile.errors ?? []).map(inWords);
    const unknownOnly = (validateJobFile.errors ?? []).every(
      (each) => each.keyword === 'additionalProperties' || each.keyword === 'if',
    );
    if (!isNewerMinor || !unknownOnly) return { ok: false, problems: distinct(found) };
    return checkNames(current as JobFile, catalogueOf, found);
  }
  return checkNames(current, catalogueOf, []);
}

function checkNames(
  job: JobFile,
  catalogueOf: (family: string) => FamilyCatalogue | undefined,
  warnings: readonly JobFileProblem[],
): ReadJobFile {
  const catalogue = catalogueOf(job.unit.family);
  if (!catalogue) {
    return refuse('/unit/family', `No appliance family is named "${job.unit.family}" here.`);
  }
  const problems = [...entryConflicts(job.entries), ...entryProblems(job.entries, catalogue)];
  return problems.length > 0 ? { ok: false, problems } : { ok: true, job, warnings };
}

/** Checks one entry against the schema. */
export function readEntry(
  value: unknown,
):
  | { readonly ok: true; readonly entry: Entry }
  | { readonly ok: false; readonly problems: readonly JobFileProblem[] } {
  return validateEntry(value)
    ? { ok: true, entry: value }
    : { ok: false, problems: distinct((validateEntry.errors ?? []).map(inWords)) };
}

/** The same id with the same content again is one entry; with other content it is a conflict. */
function entryConflicts(entries: readonly Entry[]): JobFileProblem[] {
  const seen = new Map<string, string>();
  return entries.flatMap((each, index) => {
    const content = canonical(each);
    const earlier = seen.get(each.id);
    seen.set(each.id, earlier ?? content);
    return earlier !== undefined && earlier !== content
      ? [
          {
            pointer: `/entries/${index}/id`,
            message:
              'An entry with this id and other content came before. Ids are never used twice.',
          },
        ]
      : [];
  });
}

/** Text by which two entries are the same: keys in order, whatever order they were written in. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_, each: unknown) =>
    each !== null && typeof each === 'object' && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([one], [other]) => (one < other ? -1 : 1)))
      : each,
  );
}

/** Entries that no family of that name can have: unknown checks, values of another quantity, ohms under power. */
export function entryProblems(
  entries: readonly Entry[],
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const indexOf = new Map(entries.map((each, index) => [each.id, index]));
  const problems: JobFileProblem[] = [];
  const known = new Set(entries.map((each) => each.id));
  entries.forEach((each, index) => {
    const at = (pointer: string) => `/entries/${index}${pointer}`;
    if (each.kind === 'correction') {
      if (!known.has(each.replaces)) {
        problems.push({ pointer: at('/replaces'), message: 'No entry here has that id.' });
      }
      if (each.entry) problems.push(...namesProblems(each.entry, at('/entry'), catalogue));
    } else problems.push(...namesProblems(each, at(''), catalogue));
  });
  for (const { entry, before } of walkEntries(entries, catalogue)) {
    if (entry.kind !== 'reading') continue;
    const check = entry.check === undefined ? undefined : catalogue.check(entry.check);
    const quantity = check?.quantity ?? entry.quantity;
    const statedOn = entry.state?.power === 'on';
    const standsOn = entry.state?.power === undefined && before.power === 'on' && isStated(entries);
    if (quantity === 'resistance' && (statedOn || standsOn)) {
      problems.push({
        pointer: `/entries/${indexOf.get(entry.id) ?? 0}/state`,
        message:
          'Ohms were entered with power on. That reading means nothing and can destroy the meter: power off, prove dead, take it again.',
      });
    }
  }
  return problems;
}

/** Without any entry that says so, nobody has said that power is on. */
const isStated = (entries: readonly Entry[]) =>
  effectiveEntries(entries).some(
    (each) =>
      each.kind === 'action' && ['power-on', 'power-off', 'proved-dead'].includes(each.action),
  );

const unitOfQuantity: Readonly<Record<string, keyof Value>> = {
  resistance: 'ohm',
  'voltage-ac': 'volt',
  'current-ac': 'ampere',
  temperature: 'celsius',
};

/** The most that a hand instrument shows on a domestic heater, by unit. Common practice. */
const reach: Readonly<Record<string, readonly [number, number]>> = {
  ohm: [0, 2e8],
  volt: [0, 1000],
  ampere: [0, 400],
  celsius: [-40, 150],
};

function namesProblems(
  entry: Entry,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  const lifted = entry.kind === 'correction' ? [] : (entry.state?.lifted ?? []);
  return [
    ...ownNamesProblems(entry, pointer, catalogue),
    ...lifted.flatMap((each, index) =>
      endProblems(each, `${pointer}/state/lifted/${index}`, catalogue),
    ),
  ];
}

function ownNamesProblems(
  entry: Entry,
  pointer: string,
  catalogue: FamilyCatalogue,
): JobFileProblem[] {
  if (entry.kind === 'observation' || entry.kind === 'skip' || entry.kind === 'series') {
    const check = catalogue.check(entry.check);
    if (!check) return [unknownCheck(pointer, entry.check, catalogue)];
    if (entry.kind === 'observation' && check.values && !check.values.includes(entry.value)) {
      return [
        {
          pointer: `${pointer}/value`,
          message: `"${entry.check}" is answered with ${check.values.join(', ')}; not with "${entry.value}".`,
        },
      ];
    }
    return [];
  }
  if (entry.kind === 'action') return endProblems(entry, pointer, catalogue);
  if (entry.kind !== 'reading') return [];
  return readingProblems(entry, pointer, catalogue);
}

function readingProblems(
  entry: Extract<Entry, { kind: 'reading' }>,
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
  if (!check && !entry.between && !entry.around) {
    return [
      { pointer, message: 'A reading names its check, or the two points it was taken between.' },
    ];
  }
  for (const [index, point] of (entry.between ?? []).entries()) {
    const at = `${pointer}/between/${index}`;
    if (typeof point !== 'string') {
      const problems = endProblems(point, at, catalogue);
      if (problems.length > 0) return problems;
    } else if (!catalogue.terminals.has(point)) {
      return [{ pointer: at, message: `No terminal is named "${point}".` }];
    }
  }
  if (entry.around !== undefined && !Object.hasOwn(catalogue.conductors, entry.around)) {
    return [{ pointer: `${pointer}/around`, message: `No conductor is named "${entry.around}".` }];
  }
  const unit = unitOfQuantity[check?.quantity ?? entry.quantity ?? 'resistance']!;
  if (!entry.value) return [{ pointer: `${pointer}/value`, message: 'The reading has no value.' }];
  if (entry.value.overRange) {
    return unit === 'ohm'
      ? []
      : [{ pointer: `${pointer}/value`, message: 'Only resistance reads over range.' }];
  }
  const number = entry.value[unit];
  if (typeof number !== 'number') {
    return [{ pointer: `${pointer}/value`, message: `This reading is in "${unit}".` }];
  }
  const [least, most] = reach[unit]!;
  return number < least || number > most
    ? [
        {
          pointer: `${pointer}/value/${unit}`,
          message: `${number} ${unit} is outside what a meter shows here (${least} to ${most}). Over range is {"overRange": true}.`,
        },
      ]
    : [];
}

/** A conductor that the family does not have, or an end that the conductor does not have. */
function endProblems(
  { wire, end }: { readonly wire?: string; readonly end?: string },
  pointer: string,
  { conductors }: FamilyCatalogue,
): JobFileProblem[] {
  if (wire === undefined) return [];
  if (!Object.hasOwn(conductors, wire)) {
    return [{ pointer: `${pointer}/wire`, message: `No conductor is named "${wire}".` }];
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

function versionProblem(parsed: unknown): JobFileProblem | undefined {
  if (parsed === null || typeof parsed !== 'object' || Array.isArray(parsed)) {
    return { pointer: '', message: 'A job file is one JSON object.' };
  }
  const { format, version } = parsed as { format?: unknown; version?: unknown };
  if (format !== 'ohmmeter-job') {
    return { pointer: '/format', message: 'Not a job file: "format" must be "ohmmeter-job".' };
  }
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return { pointer: '/version', message: 'The version must be a whole number from 1.' };
  }
  return version > currentVersion.version
    ? {
        pointer: '/version',
        message: `The file has version ${version}; this Ohmmeter reads up to ${currentVersion.version}. Update it, then try again.`,
      }
    : undefined;
}

function inWords({ instancePath, keyword, message, params }: SchemaProblem): JobFileProblem {
  if (keyword === 'additionalProperties') {
    const key = String(params.additionalProperty).replace(/~/g, '~0').replace(/\//g, '~1');
    return { pointer: `${instancePath}/${key}`, message: 'This key is not part of the format.' };
  }
  if (keyword === 'required') {
    return { pointer: instancePath, message: `"${String(params.missingProperty)}" is missing.` };
  }
  if (keyword === 'discriminator') {
    return { pointer: `${instancePath}/kind`, message: 'No kind of entry has this name.' };
  }
  const allowed = Array.isArray(params.allowedValues) ? `: ${params.allowedValues.join(', ')}` : '';
  return { pointer: instancePath, message: `It ${message ?? 'is not valid'}${allowed}.` };
}

function distinct(problems: readonly JobFileProblem[]): JobFileProblem[] {
  const seen = new Set<string>();
  return problems.filter(({ pointer, message }) => {
    const key = `${pointer} ${message}`;
    return !message.startsWith('It must match "') && !seen.has(key) && seen.add(key);
  });
}

/** Where the text breaks, if the parser said a position. */
function lineOf(text: string, reason: string): string {
  const position = /position (\d+)/.exec(reason)?.[1];
  if (position === undefined) return '';
  return ` in line ${text.slice(0, Number(position)).split('\n').length}`;
}

const refuse = (pointer: string, message: string): ReadJobFile => ({
  ok: false,
  problems: [{ pointer, message }],
});
