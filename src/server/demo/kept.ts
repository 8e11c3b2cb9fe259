import { createHash } from 'node:crypto';
import { v7 as newId } from 'uuid';
import { familyOf } from '../../core/appliances/all';
import { engineVersion } from '../../core/job-diagnosis';
import type { Entry } from '../../core/job-file';
import type { Standing } from '../../core/job-diagnosis/standing';
import type { DemoJob } from './firm';
import keptFile from './kept-jobs.json' with { type: 'json' };
import type { CalledJob } from './practise';

/** What a job of the demo has come to. */
export interface WorkedJob {
  readonly entries: readonly Entry[];
  readonly standing: Standing;
}

/**
 * The jobs of the demo as they were practised, kept beside the code: to work them out takes most of a minute, and gives the
 * same each time but for the clock. scripts/keep-demo.ts makes them.
 */
export interface KeptJob extends WorkedJob {
  /** What it was worked out for, and by. */
  readonly key: string;
  readonly openedAt: string;
}

/** Tells a demo job, and the engine that it was worked out with. */
export function keyOf(demo: DemoJob): string {
  const parameterHash = familyOf(demo.unit.family)?.parameterHash;
  return createHash('sha256')
    .update(JSON.stringify([demo, engineVersion, parameterHash]))
    .digest('hex')
    .slice(0, 16);
}

export const keptJobs = keptFile as unknown as readonly KeptJob[];

/** What is kept of a job, as if it were of today; undefined where nothing is. */
export function keptJob({ demo, openedAt }: CalledJob): WorkedJob | undefined {
  const key = keyOf(demo);
  const job = keptJobs.find((each) => each.key === key);
  return job && movedTo(job, openedAt);
}

const idPattern = /\b[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}\b/g;
const timePattern = /\b\d{4}-\d{2}-\d{2}T[\d:.]+Z/g;

/** Every time as much later as the call is, and every id a new one, wherever it stands. */
function movedTo({ openedAt, entries, standing }: KeptJob, to: Date): WorkedJob {
  const later = to.getTime() - Date.parse(openedAt);
  const ids = new Map<string, string>();
  const idFor = (id: string): string => {
    const known = ids.get(id) ?? newId();
    ids.set(id, known);
    return known;
  };
  const moved = JSON.stringify({ entries, standing })
    .replace(idPattern, idFor)
    .replace(timePattern, (time) => new Date(Date.parse(time) + later).toISOString());
  return JSON.parse(moved) as WorkedJob;
}
