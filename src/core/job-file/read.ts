import type { FamilyCatalogue } from './catalogue';
import { complaintProblems, entryProblems, plateProblems } from './entry-problems';
import type { Entry, JobFile } from './generated/job-types';
import { validateEntry, validateJobFile } from './generated/validators';
import { currentVersion, migrate } from './migrations';
import type { JobFileProblem } from './problem';
import { distinct, inWords, lineOf } from './schema-words';
import { soundProblems, timeProblems } from './sound';
import { timeZoneProblems } from './time-zone';

export type ReadJobFile =
  | { readonly ok: true; readonly job: JobFile; readonly warnings: readonly JobFileProblem[] }
  | { readonly ok: false; readonly problems: readonly JobFileProblem[] };

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
  const unsound = soundProblems(parsed);
  if (unsound.length > 0) return { ok: false, problems: unsound };
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
    return checkNames(current as JobFile, catalogueOf, found, isNewerMinor);
  }
  return checkNames(current, catalogueOf, [], isNewerMinor);
}

function checkNames(
  job: JobFile,
  catalogueOf: (family: string) => FamilyCatalogue | undefined,
  unknownKeys: readonly JobFileProblem[],
  isNewerMinor: boolean,
): ReadJobFile {
  const catalogue = catalogueOf(job.unit.family);
  if (!catalogue) {
    return refuse('/unit/family', `No appliance family is named "${job.unit.family}" here.`);
  }
  const plate = plateProblems(job.unit.plate, catalogue);
  const warnings = isNewerMinor ? [...unknownKeys, ...plate.unknown] : unknownKeys;
  const problems = [
    ...timeProblems(job.job.openedAt, '/job/openedAt'),
    ...timeZoneProblems(job.job.timeZone, '/job/timeZone'),
    ...plate.missing,
    ...(isNewerMinor ? [] : plate.unknown),
    ...complaintProblems(job.complaint, catalogue),
    ...entryConflicts(job.entries),
    ...entryProblems(job.entries, catalogue),
  ];
  if (problems.length > 0) return { ok: false, problems };
  return { ok: true, job: { ...job, entries: onceEach(job.entries) }, warnings };
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

/** What came twice was done once. */
function onceEach(entries: readonly Entry[]): Entry[] {
  const seen = new Set<string>();
  return entries.filter(({ id }) => !seen.has(id) && seen.add(id));
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

const refuse = (pointer: string, message: string): ReadJobFile => ({
  ok: false,
  problems: [{ pointer, message }],
});
