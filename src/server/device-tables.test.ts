import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../tests/plates';
import type { TablePack } from '../core/job-diagnosis';
import { buildId } from '../build-id';
import { NotFound } from './errors';
import { tablePackFor } from './device-tables';

describe('the tables of a plate', () => {
  it('are worked out once, for every job on the same plate', async () => {
    const read = (text: string) => JSON.parse(text) as TablePack;
    const first = await tablePackFor(emptyJob(), buildId);
    const again = await tablePackFor(emptyJob({ job: { id: 'another' } }), buildId);
    expect(again).toBe(first);
    expect(read(first).tables.length).toBeGreaterThan(40);
    expect(read(await tablePackFor(emptyJob({}, 3800), buildId)).of).not.toBe(read(first).of);
  });

  it.each([null, '', 'older'])('are not given to a device of build %j', async (build) => {
    await expect(tablePackFor(emptyJob(), build)).rejects.toThrow(NotFound);
  });
});
