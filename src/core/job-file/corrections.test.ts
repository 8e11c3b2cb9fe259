import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import { effectiveEntries, entryFinder, isCorrectable, type Entry } from '.';

const reading = (volt: number): Entry => ({
  ...stamp(),
  kind: 'reading',
  check: 'supply-volts',
  value: { volt },
});
const correction = (replaces: string, entry: Entry | null): Entry =>
  ({ ...stamp(), kind: 'correction', replaces, entry, reason: 'slip' }) as Entry;

describe('an entry that is looked for by its id', () => {
  const [plain, wrong, struck] = [reading(239), reading(23), reading(1)];
  const right = reading(238);
  const entries = [plain, wrong, struck, correction(wrong.id, right), correction(struck.id, null)];
  const find = entryFinder(entries);

  it('is found as it was written, with what stands in its place', () => {
    expect(find(plain.id)).toEqual({ written: plain, now: plain });
    expect(find(wrong.id)).toEqual({ written: wrong, now: right, by: entries[3] });
    expect(find(struck.id)).toEqual({ written: struck, now: null, by: entries[4] });
  });

  it('is not found where there is none, whatever it is called', () => {
    for (const id of ['', 'toString', '__proto__', plain.id.toUpperCase() + 'x']) {
      expect(find(id)).toBeUndefined();
    }
  });

  it('stands as the correction says that was not itself struck out', () => {
    const [first, second] = [correction(plain.id, right), correction(plain.id, null)];
    const more = [plain, first, second, correction(second.id, null)];
    expect(entryFinder(more)(plain.id)).toEqual({ written: plain, now: right, by: first });
    const none = [...more, correction(first.id, null)];
    expect(entryFinder(none)(plain.id)).toEqual({ written: plain, now: plain });
    expect(effectiveEntries(none)).toEqual([plain]);
    const said = correction(first.id, correction(plain.id, reading(237)));
    expect(entryFinder([plain, first, said])(plain.id)).toMatchObject({
      now: { value: { volt: 237 } },
      by: { id: (said as { entry: Entry }).entry.id },
    });
  });

  it('cannot be struck out where it says that a backup was put back', () => {
    const restored: Entry = { ...stamp(), kind: 'action', action: 'restored' };
    const more = [plain, restored, correction(restored.id, null)];
    expect(entryFinder(more)(restored.id)).toEqual({ written: restored, now: restored });
    expect(effectiveEntries(more)).toEqual([plain, restored]);
    expect([plain, restored].map(isCorrectable)).toEqual([true, false]);
  });

  it('of a longer logbook is found too', () => {
    const more = [...entries, reading(240)];
    expect(entryFinder(more)(more.at(-1)!.id)?.now).toBe(more.at(-1));
    expect(find(more.at(-1)!.id)).toBeUndefined();
  });
});
