'use client';

import { useEffect, useState } from 'react';
import { loadFamily, type ApplianceFamily } from '@/core/appliances';
import { standingFromRecord, type Standing } from '@/core/job-diagnosis/standing';
import { stopNow } from '@/core/job-diagnosis/stop';
import { readLogbook, type JobFile } from '@/core/job-file';
import { keptJob } from '@/features/device/kept-jobs';
import { counts, keptEntries } from '@/features/device/store';
import { useOutbox } from '@/features/device/use-outbox';
import { mergeEntries } from '@/features/record/merge-entries';

/** A job of a list, with what the list had of it. */
export interface ListedJob {
  readonly id: string;
  readonly standing: Standing;
}

/**
 * What those jobs of a list stand at that this device has written on and not sent: what is lifted, whether gas was smelled.
 * What to check next is left open, since that is worked out on the job's own page.
 * @param listed the same array while nothing in it is another.
 */
export function useStandingsHere(
  listed: readonly ListedJob[],
): Readonly<Record<string, Standing | undefined>> {
  const { byJob } = useOutbox();
  const [here, setHere] = useState<Readonly<Record<string, Standing>>>({});
  useEffect(() => {
    let isGone = false;
    const worked = listed.filter(({ id }) => (byJob[id]?.waiting ?? 0) > 0);
    void Promise.all(worked.map(standingOfKept)).then((found) => {
      if (isGone) return;
      setHere(Object.fromEntries(found.flatMap((each) => (each ? [each] : []))));
    });
    return () => {
      isGone = true;
    };
  }, [listed, byJob]);
  return here;
}

async function standingOfKept({
  id,
  standing,
}: ListedJob): Promise<[string, Standing] | undefined> {
  try {
    const kept = await keptJob(id);
    const family = kept && (await loadFamily(kept.unit.family));
    if (!family) return undefined;
    const own = (await keptEntries(id)).filter(counts).map(({ entry }) => entry);
    const entries = [...mergeEntries([kept.entries], own)];
    return [id, standingHere(family, { ...kept, entries }, standing)];
  } catch {
    // A store that gives nothing: the list stays as the server last told it, which it says above.
    return undefined;
  }
}

/** What a job stands at by a device's own record. @param before as the server last told it. */
export function standingHere(family: ApplianceFamily, job: JobFile, before: Standing): Standing {
  const { walked, state } = readLogbook(job.entries, family.catalogue);
  return {
    // What the server knew to stop the job may be over by a check of this device: the record here has both.
    ...standingFromRecord(
      state,
      job.entries.length,
      { ...before, stop: undefined },
      stopNow(family, job, walked),
    ),
    next: undefined,
  };
}
