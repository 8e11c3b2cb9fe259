import { describe, expect, it } from 'vitest';
import { Refused, TooLarge } from './errors';
import { readBody, readJson } from './read-body';
import { respond } from './respond';

const megabyte = 1024 * 1024;

/** A body that comes in pieces, and counts how many of them were asked for. */
function pieces(count: number, headers: Record<string, string> = {}) {
  let given = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      if (given === count) return controller.close();
      given += 1;
      controller.enqueue(new Uint8Array(megabyte).fill(32));
    },
  });
  const init = { method: 'POST', body, headers, duplex: 'half' };
  return { request: new Request('http://127.0.0.1/', init), given: () => given };
}
const sent = (body: BodyInit | null) => new Request('http://127.0.0.1/', { method: 'POST', body });

describe('the body of a request', () => {
  it('is not read at all where it says that it is too large', async () => {
    const { request, given } = pieces(50, { 'content-length': String(50 * megabyte) });
    await expect(readBody(request)).rejects.toThrow(TooLarge);
    // The stream fetches its first piece by itself.
    expect(given()).toBeLessThanOrEqual(1);
  });

  it('is given up as soon as it is too large, whatever it says', async () => {
    for (const length of ['', '10']) {
      const { request, given } = pieces(50, length ? { 'content-length': length } : {});
      await expect(readBody(request)).rejects.toThrow(/at most 5 MB/);
      expect(given()).toBeLessThan(9);
    }
  });

  it('is taken up to its limit, and counted in bytes', async () => {
    expect(await readBody(pieces(5).request)).toHaveLength(5 * megabyte);
    expect(await readBody(pieces(6).request, 20)).toHaveLength(6 * megabyte);
    // Three bytes a sign: less than two million signs are more than 5 MB.
    await expect(readBody(sent('Ω€'.repeat(megabyte + 10)))).rejects.toThrow(TooLarge);
  });

  it('comes whole where a sign is cut in two between its pieces', async () => {
    const bytes = new TextEncoder().encode('12.8 Ω at 50 °C');
    const cut = bytes.indexOf(0xce) + 1;
    const parts = [bytes.slice(0, cut), bytes.slice(cut)];
    const body = new ReadableStream<Uint8Array>({
      pull(controller) {
        const next = parts.shift();
        if (next) controller.enqueue(next);
        else controller.close();
      },
    });
    const init = { method: 'POST', body, duplex: 'half' };
    expect(await readBody(new Request('http://127.0.0.1/', init))).toBe('12.8 Ω at 50 °C');
  });

  it('that is no text, no JSON, or nothing, is refused in words', async () => {
    await expect(readBody(sent(new Uint8Array([0x22, 0xc3, 0x28])))).rejects.toThrow(/UTF-8/);
    await expect(readBody(sent(new Uint8Array([0xce])))).rejects.toThrow(/UTF-8/);
    for (const text of ['', '{"a":', 'NaN', '[1,]', '['.repeat(200_000)]) {
      await expect(readJson(sent(text))).rejects.toThrow(Refused);
    }
    await expect(readJson(sent(null))).rejects.toThrow(Refused);
    expect(await readJson(sent('{"a":1}'))).toEqual({ a: 1 });
  });

  it('has its status: 413 for too much, 422 for what cannot be read', async () => {
    const answer = (request: Request) => respond(() => readJson(request));
    expect((await answer(pieces(9).request)).status).toBe(413);
    expect((await answer(sent('{'))).status).toBe(422);
    const told = (await (await answer(pieces(9).request)).json()) as { message: string };
    expect(told.message).toMatch(/MB or more; at most 5 MB/);
  });
});
