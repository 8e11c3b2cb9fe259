'use client';

import { useEffect, useState } from 'react';
import { loadFamily, type ApplianceFamily } from '@/core/appliances';
import { standingFromRecord, type Standing } from '@/core/job-diagnosis/standing';
import { stopNow } from '@/core/job-diagnosis/stop';
import { readLogbook, type JobFile } from '@/core/job-file';
import type { JobWithUnit } from '@/database/jobs';
import { keptJob } from '@/features/device/kept-jobs';
import { counts, keptEntries } from '@/features/device/store';
import { useOutbox } from '@/features/device/use-outbox';
import { mergeEntries } from '@/features/record/merge-entries';

/**
 * The same jobs as they stand with what this device has written on them and not sent: what is lifted, whether gas was smelled.
 * What to check next is left open, since that is worked out on the job's own page.
 */
export function useStandingsHere(rows: readonly JobWithUnit[]): readonly JobWithUnit[] {
  const { byJob } = useOutbox();
  const [here, setHere] = useState<Readonly<Record<string, Standing>>>({});
  useEffect(() => {
    let isGone = false;
    const worked = rows.filter(({ job }) => (byJob[job.id]?.waiting ?? 0) > 0);
    void Promise.all(worked.map(standingOfKept)).then((found) => {
      if (isGone) return;
      setHere(Object.fromEntries(found.flatMap((each) => (each ? [each] : []))));
    });
    return () => {
      isGone = true;
    };
  }, [rows, byJob]);
  return rows.map((row) => {
    const standing = here[row.job.id];
    return standing ? { ...row, job: { ...row.job, standing } } : row;
  });
}

async function standingOfKept({ job }: JobWithUnit): Promise<[string, Standing] | undefined> {
  try {
    const kept = await keptJob(job.id);
    const family = kept && (await loadFamily(kept.unit.family));
    if (!family) return undefined;
    const own = (await keptEntries(job.id)).filter(counts);
    const entries = mergeEntries(
      [kept.entries],
      own.map(({ entry }) => entry),
    );
    return [job.id, standingHere(family, { ...kept, entries: [...entries] }, job.standing)];
  } catch {
    // A store that gives nothing: the list stays as the server last told it, which it says above.
    return undefined;
  }
}

/** What a job stands at by a device's own record. @param before as the server last told it. */
export function standingHere(family: ApplianceFamily, job: JobFile, before: Standing): Standing {
  const { walked, state } = readLogbook(job.entries, family.catalogue);
  return {
    ...standingFromRecord(state, job.entries.length, before),
    next: undefined,
    // What the server knew of may be over by a check of this device: the record here has both.
    stop: stopNow(family, job, walked)?.title,
  };
}
