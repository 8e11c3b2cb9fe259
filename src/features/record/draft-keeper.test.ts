import { describe, expect, it } from 'vitest';
import { keepDraft } from './draft-keeper';

/** A store that answers when it is told to. */
function slowStore(kept: string) {
  let answer: () => void = () => undefined;
  const written: string[] = [];
  const told: string[] = [];
  const keeper = keepDraft({
    read: () => new Promise((resolve) => (answer = () => resolve(kept))),
    write: (text) => written.push(text),
    tell: (text) => told.push(text),
  });
  return {
    keeper,
    written,
    told,
    async answers() {
      answer();
      await Promise.resolve();
      await Promise.resolve();
    },
  };
}

const setting = (key: string, value: string) => (before: string) =>
  JSON.stringify({ ...(before === '' ? {} : (JSON.parse(before) as object)), [key]: value });

describe('a draft', () => {
  it('is what was kept', async () => {
    const store = slowStore('kept');
    await store.answers();
    expect(store.told).toEqual(['kept']);
    expect(store.written).toEqual([]);
  });

  it('that is typed into before it was read loses neither', async () => {
    const store = slowStore('{"id":"a call","customer":"Before","address":"5 Test Lane"}');
    store.keeper.change(setting('customer', 'M'));
    store.keeper.change(setting('customer', 'Mended'));
    expect(store.written).toEqual([]);
    await store.answers();
    const whole = { id: 'a call', customer: 'Mended', address: '5 Test Lane' };
    expect(JSON.parse(store.told.at(-1)!)).toEqual(whole);
    expect(store.written.map((each) => JSON.parse(each) as unknown)).toEqual([whole]);
  });

  it('of one field is what was typed, and cleared when it was cleared', async () => {
    const store = slowStore('12');
    store.keeper.change('13');
    await store.answers();
    expect(store.written).toEqual(['13']);
    store.keeper.change('');
    expect(store.written).toEqual(['13', '']);
    expect(store.told.at(-1)).toBe('');
  });

  it('that was left before it was read is kept, and told to nobody', async () => {
    const store = slowStore('{"address":"5 Test Lane"}');
    store.keeper.change(setting('customer', 'Left'));
    const told = store.told.length;
    store.keeper.leave();
    await store.answers();
    expect(store.told).toHaveLength(told);
    expect(JSON.parse(store.written[0]!)).toEqual({ address: '5 Test Lane', customer: 'Left' });
  });
});
