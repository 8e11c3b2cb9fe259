import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import type { ApplianceFamily } from '@/core/appliances';
import { electricStorageTwoElement } from '@/core/appliances/electric-storage-two-element';
import { gasStoragePilot } from '@/core/appliances/gas-storage-pilot';
import { foldEntries, type Entry } from '@/core/job-file';
import { asItStands } from './as-it-stands';

const stands = (family: ApplianceFamily, ...actions: readonly object[]) =>
  asItStands(
    family,
    foldEntries(
      actions.map((each) => ({ ...stamp(), kind: 'action', ...each }) as Entry),
      family.catalogue,
    ),
  );

describe('what a unit is left like', () => {
  it('is nothing where all is put back', () => {
    const lift = { wire: 'w-upper-a', end: 'upper-element.a' };
    expect(
      stands(
        electricStorageTwoElement,
        { action: 'open', target: 'upper' },
        { action: 'lift-wire', ...lift },
        { action: 'refit-wire', ...lift },
        { action: 'close', target: 'upper' },
      ),
    ).toEqual([]);
  });

  it('is wires, covers and dials, each by its name', () => {
    expect(
      stands(
        electricStorageTwoElement,
        { action: 'open', target: 'upper' },
        { action: 'lift-wire', wire: 'w-upper-a', end: 'upper-element.a' },
        { action: 'set-dial', dial: 'upper', to: 'high' },
      ),
    ).toEqual([
      '1 wire lifted (upper element a)',
      'covers off: upper',
      'as a test left it: upper dial',
    ]);
  });

  it('is what stands on a unit without covers, such as a gauge at an open nipple', () => {
    expect(stands(gasStoragePilot, { action: 'make-so', fact: 'manometer-on' })).toEqual([
      'manometer on',
    ]);
  });
});
