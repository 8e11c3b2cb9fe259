import { describe, expect, it } from 'vitest';
import { electricStorageTwoElement as family } from '@/core/appliances/electric-storage-two-element';
import type { Standing } from '@/core/job-diagnosis/standing';
import { wordsOf } from '@/features/record/family-words';
import { nextWords } from './next-words';

const standing: Standing = {
  stage: 'diagnose',
  entryCount: 2,
  suspects: [],
  decided: false,
  liftedWires: 0,
};
const words = (each: Standing) => nextWords(wordsOf(family), each, 'UTC');

describe('what is next on a job', () => {
  it('is the check that tells most, with its minutes', () => {
    const next = { check: 'upper-element-ohms', minutes: 4 };
    expect(words({ ...standing, next })).toMatch(/^Upper element.*, about 4 min$/);
  });

  it('is the repair, once the verdict was acted on', () => {
    const suspects = [{ repair: 'replace-lower-element', probability: 0.98 }];
    const decided = { ...standing, suspects, decided: true };
    expect(words({ ...decided, stage: 'verdict' })).toBe('Act on it: lower element');
    expect(words({ ...decided, stage: 'repair' })).toBe('Repair it: lower element');
  });

  it('is nothing more only where that was worked out', () => {
    expect(words(standing)).toBe('Nothing left that would tell more');
    expect(words({ ...standing, isSettled: false })).toBe('Next check');
  });
});
