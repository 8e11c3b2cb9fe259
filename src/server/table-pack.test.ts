import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../tests/plates';
import { buildId } from '../build-id';
import { NotFound } from './errors';
import { tablePackFor } from './table-pack';

describe('the tables of a plate', () => {
  it('are worked out once, for every job on the same plate', () => {
    const first = tablePackFor(emptyJob(), buildId);
    const again = tablePackFor(emptyJob({ job: { id: 'another' } }), buildId);
    expect(again).toBe(first);
    expect(first.tables.length).toBeGreaterThan(40);
    expect(tablePackFor(emptyJob({}, 3800), buildId).of).not.toBe(first.of);
  });

  it.each([null, '', 'older'])('are not given to a device of build %j', (build) => {
    expect(() => tablePackFor(emptyJob(), build)).toThrow(NotFound);
  });
});
