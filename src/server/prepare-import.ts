import { v7 as newId } from 'uuid';
import { checkedPlateOf, familyOfJob, PlateError } from '../core/appliances/all';
import { catalogueOf } from '../core/job-diagnosis';
import {
  foldEntries,
  inOrder,
  isAnybodyThere,
  isClosed,
  permissionProblems,
  readJobFile,
  type Entry,
  type JobFile,
  type JobFileProblem,
  type JobState,
} from '../core/job-file';
import { packEntries, type PackedEntries } from '../database/packed-entries';
import type { Standing } from '../core/job-diagnosis/standing';
import { datedAhead } from './dated-ahead';
import { standingFromRecord } from '../core/job-diagnosis/standing';
import { stopAmong } from '../core/job-diagnosis/stop';

/** A file that can be taken in: its job without the logbook, which is ready to be stored. */
export interface PreparedImport {
  readonly ok: true;
  readonly job: Omit<JobFile, 'entries'>;
  readonly envelope: Omit<JobFile, 'entries'>;
  readonly entries: PackedEntries;
  /** Who wrote in its logbook. */
  readonly writers: readonly string[];
  readonly standing: Standing;
  /** What whoever brings it was found to be allowed. */
  readonly permissions: Permissions;
  readonly warnings: readonly JobFileProblem[];
}

export type ReadImport =
  PreparedImport | { readonly ok: false; readonly problems: readonly JobFileProblem[] };

/** What whoever brings the file may do. */
export interface Permissions {
  readonly liveWork: boolean;
  readonly gasWork: boolean;
}

/**
 * Reads a job file that is to be taken in, and makes its logbook ready: all of it plain data, so that a thread of its own can do
 * it for a long one. Its entries get new ids, since the old ones may be stored here already; what names them names the new ones.
 */
export function prepareImport(text: string, permissions: Permissions): ReadImport {
  const read = readJobFile(text, catalogueOf);
  if (!read.ok) return read;
  const { job, warnings } = read;
  const { catalogue } = familyOfJob(job);
  // A file is no way round a permission: what was read live is taken in by somebody who may work live, and so with gas.
  const forbidden = permissionProblems(job.entries, catalogue, (_, work) => permissions[work]);
  if (forbidden.length > 0) return { ok: false, problems: forbidden };
  const now = new Date().toISOString();
  const ahead = datedAhead(job.entries, now, 'the clock that dated it was wrong.');
  if (ahead.length > 0) return { ok: false, problems: ahead };
  const unusable = plateProblem(job);
  if (unusable) return { ok: false, problems: [unusable] };
  const idOf = new Map(job.entries.map((each) => [each.id, newId()]));
  const state = foldEntries(job.entries, catalogue);
  const entries = [
    ...job.entries.map((each) => renamed(each, idOf, idOf.get(each.id)!)),
    ...gapOf(job.entries, state, now),
  ];
  const { entries: _, ...head } = job;
  return {
    ok: true,
    job: head,
    envelope: envelopeOf(head, idOf),
    entries: packEntries(entries),
    writers: [...new Set(entries.flatMap(({ by }) => by ?? []))],
    standing: standingFromRecord(
      state,
      entries.length,
      undefined,
      stopAmong(familyOfJob(job), job, job.entries),
    ),
    permissions,
    warnings,
  };
}

/**
 * Where somebody was at the unit until a moment ago, the job may go on elsewhere, and what is done there does not come here: a
 * proof of dead, and whatever hands have made so, is of before the file.
 */
function gapOf(entries: readonly Entry[], { status }: JobState, now: string): Entry[] {
  if (isClosed(status) || !isAnybodyThere(entries, now)) return [];
  // A clock that is ahead by hours dates what came before the file after it.
  const newest = inOrder(entries).at(-1)!.at;
  const at = Date.parse(newest) > Date.parse(now) ? newest : now;
  return [{ id: newId(), at, kind: 'action', action: 'brought-in' }];
}

/** Why the family cannot work with the plate. */
function plateProblem(job: JobFile): JobFileProblem | undefined {
  try {
    checkedPlateOf(familyOfJob(job), job);
    return undefined;
  } catch (error) {
    if (!(error instanceof PlateError)) throw error;
    return { pointer: error.pointer, message: error.message };
  }
}

/** What the file says beside its logbook. Names and streets are left to the rows of this firm, where they can be erased. */
function envelopeOf(
  { site, ...rest }: Omit<JobFile, 'entries'>,
  idOf: ReadonlyMap<string, string>,
): Omit<JobFile, 'entries'> {
  const { customer: _customer, address: _address, ...place } = site ?? {};
  const isUuid = /^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$/i.test(rest.job.id);
  const origin = rest.job.origin ?? { organisation: nobody, job: rest.job.id };
  return {
    ...rest,
    job: { ...rest.job, ...(isUuid ? { origin } : {}) },
    site: place,
    ...(rest.attachments
      ? {
          attachments: rest.attachments.map((each) =>
            each.of === undefined ? each : { ...each, of: idOf.get(each.of) ?? each.of },
          ),
        }
      : {}),
  };
}

/** A file that does not say which firm it comes from. */
const nobody = '00000000-0000-0000-0000-000000000000';

/** The entry under its new id, with everything in it that names another entry. */
function renamed<E extends Entry>(entry: E, idOf: ReadonlyMap<string, string>, id: string): E {
  const nameOf = (old: string) => idOf.get(old) ?? old;
  switch (entry.kind) {
    case 'correction':
      return {
        ...entry,
        id,
        replaces: nameOf(entry.replaces),
        entry: entry.entry && renamed(entry.entry, idOf, newId()),
      };
    case 'countersign':
      return { ...entry, id, of: nameOf(entry.of) };
    case 'verdict':
      return {
        ...entry,
        id,
        suspects: entry.suspects.map((each) =>
          each.why
            ? { ...each, why: each.why.map((one) => ({ ...one, entry: nameOf(one.entry) })) }
            : each,
        ),
      };
    default:
      return { ...entry, id };
  }
}
