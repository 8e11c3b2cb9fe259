import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import { entryFinder, type Entry } from '.';

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
    expect(find(wrong.id)).toEqual({ written: wrong, now: right });
    expect(find(struck.id)).toEqual({ written: struck, now: null });
  });

  it('is not found where there is none, whatever it is called', () => {
    for (const id of ['', 'toString', '__proto__', plain.id.toUpperCase() + 'x']) {
      expect(find(id)).toBeUndefined();
    }
  });

  it('of a longer logbook is found too', () => {
    const more = [...entries, reading(240)];
    expect(entryFinder(more)(more.at(-1)!.id)?.now).toBe(more.at(-1));
    expect(find(more.at(-1)!.id)).toBeUndefined();
  });
});
