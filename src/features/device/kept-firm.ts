import { isFound, questionWords, searchWords } from '@/core/search';
import type { ForDevice } from '@/server/for-device';
import type { JobsForDevice } from '@/server/jobs-for-device';
import type { KnownUnitChoice } from '@/server/known-units';
import { keepWhatWasLost, wasRestored } from './after-restore';
import { keepCodePacks } from './kept-codes';
import { keepJob, keptCount } from './kept-jobs';
import { readLogbook } from './read-logbook';
import { heardRestore } from './restored-event';
import { deviceStore } from './store';

/** What this device keeps of the firm, so that its pages open without the server. */
export interface KeptFirm {
  readonly keptAt: number;
  readonly content: ForDevice;
}

const pageName = 'firm';

export async function keptFirm(): Promise<KeptFirm | undefined> {
  const kept = await deviceStore().pages.get(pageName);
  return kept && { keptAt: kept.keptAt, content: kept.content as ForDevice };
}

const mostFound = 20;

/** Units among those that this device keeps, found as the server would find them. */
export async function findKeptUnits(question: string): Promise<readonly KnownUnitChoice[]> {
  const asked = questionWords(question);
  const units = (await keptFirm())?.content.knownUnits ?? [];
  return units
    .filter(({ label, unit, site }) =>
      isFound(searchWords(label, site.address, unit.make, unit.model, unit.serial), asked),
    )
    .slice(0, mostFound);
}

/** What is newer than this is not asked for again. */
const freshMilliseconds = 60_000;

/** Jobs that are asked for at once: on a bad line what came is kept, and the rest is asked for later. */
const mostAtOnce = 10;

/** Jobs that are fetched whole for a device that has not opened them. */
const mostFetched = 25;

/**
 * Brings to this device what its pages need without the server: the firm, the list of open jobs, known units, and the
 * logbooks of the newest open jobs, those of whoever works here first. Without connection or store it leaves what there is.
 */
export async function prepareForNoSignal(): Promise<void> {
  try {
    const kept = await keptFirm();
    const isKnown = !heardRestore() || heardRestore() === kept?.content.restored;
    if (kept && isKnown && Date.now() - kept.keptAt < freshMilliseconds) return;
    const response = await fetch('/api/for-device');
    if (!response.ok) return;
    const content = (await response.json()) as ForDevice;
    // Before the firm is kept: not done to its end, it is done once more.
    if (kept && wasRestored(kept.content, content)) await keepWhatWasLost(content);
    await deviceStore().pages.put({ name: pageName, keptAt: Date.now(), content });
    await keepCodePacks();
    await fetchJobs(content);
  } catch {
    // Not now: the next page tries again.
  }
}

async function fetchJobs({ jobs, technicianId }: ForDevice): Promise<void> {
  const own = (row: ForDevice['jobs'][number]) => (row.technician.id === technicianId ? 0 : 1);
  const wanted = [...jobs].sort((one, other) => own(one) - own(other)).slice(0, mostFetched);
  const missing: string[] = [];
  for (const { job } of wanted) {
    const count = await keptCount(job.id);
    if (count === undefined || count < job.standing.entryCount) missing.push(job.id);
  }
  for (let from = 0; from < missing.length; from += mostAtOnce) {
    const ids = missing.slice(from, from + mostAtOnce).join(',');
    const response = await fetch(`/api/for-device/jobs?ids=${ids}`);
    if (!response.ok) return;
    const { jobs, long } = (await response.json()) as JobsForDevice;
    for (const each of jobs) await keepJob(each);
    for (const { head, logbook } of long) {
      // One that cannot be read keeps no other from the device.
      const entries = await readLogbook(head.job.id, logbook).catch(() => undefined);
      if (entries) await keepJob({ ...head, entries });
    }
  }
}
