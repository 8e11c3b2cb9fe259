import { expect, it } from 'vitest';
import { familyOf } from '@/core/appliances/all';
import { foldEntries, walkEntries, type Entry } from '@/core/job-file';
import { emptyJob } from '../../../tests/plates';
import { readOnce } from './read-once';

const family = familyOf('electric-storage-two-element')!;
const powerOff: Entry = {
  id: '0198c2f0-0000-7000-8000-000000000001',
  at: '2026-01-05T08:00:00.000Z',
  kind: 'action',
  action: 'power-off',
};

it('gives what going through the logbook gives', () => {
  const { entries } = { ...emptyJob(), entries: [powerOff] };
  const { walked, after } = readOnce(entries, family);
  expect(walked).toEqual(walkEntries(entries, family.catalogue));
  expect(after.power).toBe(foldEntries(entries, family.catalogue).power);
});

it('goes through the same entries once, and through another list anew', () => {
  const entries = [powerOff];
  const read = readOnce(entries, family);
  expect(readOnce(entries, family)).toBe(read);
  const longer = [...entries, { ...powerOff, id: '0198c2f0-0000-7000-8000-000000000002' }];
  expect(readOnce(longer, family).walked).toHaveLength(2);
});
