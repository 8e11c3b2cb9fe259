import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { technicianHere } from '@/features/record/technician-here';
import { chooseTechnician } from './choose-technician';

const ines = { id: 'ines', name: 'Ines' };
const wren = { id: 'wren', name: 'Wren' };

describe('choosing who works on this device', () => {
  beforeEach(() => vi.stubGlobal('document', { cookie: 'ohmmeter-works-here=ines' }));
  afterEach(() => vi.unstubAllGlobals());

  it('holds on the device before the server has answered, and after it', async () => {
    let answer: (response: Response) => void = () => undefined;
    vi.stubGlobal('fetch', () => new Promise<Response>((resolve) => (answer = resolve)));
    const choosing = chooseTechnician(wren, ines);
    expect(technicianHere()).toBe('wren');
    answer(new Response(null, { status: 200 }));
    expect(await choosing).toBe('told');
    expect(technicianHere()).toBe('wren');
  });

  it.each([
    ['nobody answers', () => Promise.reject(new TypeError('no network'))],
    [
      'the server has lost its database',
      () => Promise.resolve(new Response(null, { status: 503 })),
    ],
  ])('holds on the device where %s', async (_, fetch) => {
    vi.stubGlobal('fetch', fetch);
    expect(await chooseTechnician(wren, ines)).toBe('written-here');
    expect(technicianHere()).toBe('wren');
  });

  it('is taken back where the server knows no such person', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(null, { status: 404 })));
    expect(await chooseTechnician(wren, ines)).toBe('refused');
    expect(technicianHere()).toBe('ines');
  });
});
