import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import type { ApplianceFamily } from '@/core/appliances';
import { electricStorageTwoElement } from '@/core/appliances/electric-storage-two-element';
import { gasStoragePilot } from '@/core/appliances/gas-storage-pilot';
import { foldEntries, type Entry } from '@/core/job-file';
import { leftOpen } from './left-open';

const stateAfter = ({ catalogue }: ApplianceFamily, ...actions: readonly object[]) =>
  foldEntries(
    actions.map((each) => ({ ...stamp(), kind: 'action', ...each }) as Entry),
    catalogue,
  );
const open = { action: 'open', target: 'upper' };
const lift = { action: 'lift-wire', wire: 'w-upper-a', end: 'upper-element.a' };
const turn = { action: 'set-dial', dial: 'upper', to: 'high' };

describe('what a unit is left like', () => {
  it('is wires and dials, each by its name', () => {
    const state = stateAfter(electricStorageTwoElement, open, lift, turn);
    expect(leftOpen(state)).toEqual([
      '1 wire lifted: upper element a',
      'As a test left it: upper dial',
    ]);
    expect(electricStorageTwoElement.leftToUndo(state)).toEqual([
      { fact: 'upper', order: 'Upper cover back on' },
    ]);
  });

  it('is nothing where all is put back', () => {
    const state = stateAfter(
      electricStorageTwoElement,
      open,
      lift,
      { ...lift, action: 'refit-wire' },
      { ...open, action: 'close' },
    );
    expect(leftOpen(state)).toEqual([]);
    expect(electricStorageTwoElement.leftToUndo(state)).toEqual([]);
  });

  it('is a gauge at an open nipple until that is off, and not that no gas was smelled', () => {
    const so = (fact: string) => ({ action: 'make-so', fact });
    // That the gas is shut is for whoever leaves the unit to decide: it may have to stay so.
    const made = [so('no-gas-smell'), so('gas-off-and-cooled'), so('manometer-on')];
    expect(gasStoragePilot.leftToUndo(stateAfter(gasStoragePilot, ...made))).toEqual([
      { fact: 'manometer-on', order: 'Manometer off, port screw back and leak-checked' },
    ]);
    const off = { action: 'end-so', fact: 'manometer-on' };
    expect(gasStoragePilot.leftToUndo(stateAfter(gasStoragePilot, ...made, off))).toEqual([]);
  });
});
