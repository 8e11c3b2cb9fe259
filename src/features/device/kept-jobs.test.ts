import 'fake-indexeddb/auto';
import { v7 as newId } from 'uuid';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Entry } from '@/core/job-file';
import { longLogbook } from '@/core/job-file/long-logbook';
import { emptyJob } from '../../../tests/plates';
import { keepJob, keptJob } from './kept-jobs';
import { deviceStore } from './store';

/** What a device keeps of a job when a page of it comes: the longer of two logbooks, and nothing that it has alone goes. */

const made = (): Entry => ({
  id: newId(),
  at: '2026-03-02T16:00:00.000Z',
  kind: 'action',
  action: 'power-on',
});
const id = newId();
const page = (entries: Entry[]) => ({ ...emptyJob(), job: { id }, entries });
const kept = async () => (await keptJob(id))?.entries;
const own = async () =>
  (await deviceStore().entries.orderBy('[jobId+order]').toArray()).map(({ entry, state }) => [
    entry.id,
    state,
  ]);

beforeEach(async () => {
  await deviceStore().jobs.clear();
  await deviceStore().entries.clear();
});

describe.each([
  ['a short logbook', 2],
  ['a long one', longLogbook + 1],
])('of %s', (_, length) => {
  const earlier = Array.from({ length }, made);
  const [one, two, restored, other] = [made(), made(), made(), made()];

  it('an older page takes nothing away, a newer one takes its place', async () => {
    await keepJob(page([...earlier, one, two]));
    await keepJob(page(earlier));
    expect(await kept()).toEqual([...earlier, one, two]);
    await keepJob(page([...earlier, one, two, other]));
    expect(await kept()).toEqual([...earlier, one, two, other]);
    expect(await own()).toEqual([]);
  });

  it.each([
    ['fewer', [restored]],
    ['as many', [restored, other]],
    ['more', [restored, other, made()]],
  ])('after a backup was put back, with %s, what the server has lost stays', async (_, after) => {
    await keepJob(page([...earlier, one, two]));
    await deviceStore().entries.add({
      id: newId(),
      jobId: id,
      entry: made(),
      order: 5,
      state: 'waiting',
    });
    await keepJob(page([...earlier, ...after]));
    expect(await kept()).toEqual([...earlier, ...after]);
    expect((await own()).map(([, state]) => state)).toEqual(['sent', 'sent', 'waiting']);
    expect((await own()).slice(0, 2).map(([entry]) => entry)).toEqual([one.id, two.id]);
    // Once the server has them again they need no keeping.
    await keepJob(page([...earlier, ...after, one, two]));
    expect(await own()).toHaveLength(1);
  });
});
