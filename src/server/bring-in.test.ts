import { beforeEach, expect, it, vi } from 'vitest';
import { bringIn } from './bring-in';
import { Refused, TooMany } from './errors';

const { log, atOnce } = vi.hoisted(() => ({
  log: [] as string[],
  atOnce: { now: 0, most: 0 },
}));

/** Takes a while, as a long file does. */
async function slowly<T>(what: string, done: T): Promise<T> {
  log.push(what);
  atOnce.most = Math.max(atOnce.most, ++atOnce.now);
  await new Promise((resolve) => setTimeout(resolve, 5));
  atOnce.now -= 1;
  return done;
}

vi.mock('./session', () => ({
  readSession: () => Promise.resolve({ technician: { id: 't' } }),
  inFirmChanging: (work: (transaction: object, author: object) => Promise<unknown>) =>
    work({}, { organisationId: 'o', technician: { id: 't' } }),
}));
vi.mock('./import-job', () => ({
  readImport: async (text: string) => {
    await slowly(`read ${text}`, undefined);
    if (text === 'bad') throw new Refused([{ pointer: '/unit', message: 'No unit.' }]);
    return text;
  },
  importJob: (_transaction: object, _organisation: string, _technician: string, read: string) =>
    slowly(`store ${read}`, { id: read, number: 1, warnings: [] }),
}));
vi.mock('./answer-ahead', () => ({ answerAhead: () => Promise.resolve() }));

beforeEach(() => {
  log.length = 0;
  atOnce.most = 0;
});

const staying = { leaving: new AbortController().signal };

it('takes files that come at once in one after another, in the order in which they came', async () => {
  const taken = await Promise.all(['a', 'b', 'c'].map((each) => bringIn(each, staying)));
  expect(taken.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  expect(log).toEqual(['read a', 'store a', 'read b', 'store b', 'read c', 'store c']);
  expect(atOnce.most).toBe(1);
});

it('goes on after one that is refused, and refuses that one alone', async () => {
  const [bad, good] = await Promise.allSettled([bringIn('bad', staying), bringIn('good', staying)]);
  expect(bad).toMatchObject({ status: 'rejected', reason: { problems: [{ pointer: '/unit' }] } });
  expect(good).toMatchObject({ status: 'fulfilled', value: { id: 'good' } });
});

it('does not begin a file that nobody waits for any more', async () => {
  const leaving = new AbortController();
  const turns = [
    bringIn('a', staying),
    bringIn('b', { leaving: leaving.signal }),
    bringIn('c', staying),
  ];
  leaving.abort();
  await Promise.allSettled(turns);
  expect(log).toEqual(['read a', 'store a', 'read c', 'store c']);
});

it('refuses what comes while too many wait, and takes it once they are through', async () => {
  const waiting = Array.from({ length: 30 }, (_, k) => bringIn(String(k), staying));
  await expect(bringIn('late', staying)).rejects.toThrow(TooMany);
  await Promise.all(waiting);
  await expect(bringIn('late', staying)).resolves.toMatchObject({ id: 'late' });
});
