import { afterEach, describe, expect, it, vi } from 'vitest';
import {
  presentAmong,
  technicianHere,
  watchTechnicianHere,
  writeTechnicianHere,
} from './technician-here';

const people = [{ id: 'ines' }, { id: 'teo' }, { id: 'wren' }];

describe('who works on this device', () => {
  afterEach(() => vi.unstubAllGlobals());
  const withCookies = (cookie: string) => vi.stubGlobal('document', { cookie });

  it('is whom the device wrote down, before what the server last said', () => {
    withCookies('ohmmeter-theme=dark; ohmmeter-works-here=wren; other=ohmmeter-works-here=teo');
    expect(technicianHere()).toBe('wren');
    expect(presentAmong(people, 'teo').id).toBe('wren');
  });

  it('is whom the server said where the device wrote nothing, or knows nobody of that name', () => {
    withCookies('');
    expect(presentAmong(people, 'teo').id).toBe('teo');
    withCookies('not-ohmmeter-works-here=wren; ohmmeter-works-here=gone');
    expect(presentAmong(people, 'teo').id).toBe('teo');
    expect(presentAmong(people, 'gone').id).toBe('ines');
  });

  it('is read as it was written', () => {
    withCookies('');
    writeTechnicianHere('teo');
    expect(document.cookie).toMatch(/; Path=\/; Max-Age=31536000; SameSite=Strict$/);
    expect(technicianHere()).toBe('teo');
  });

  it('is somebody else once where another page wrote it, and not where this one did', () => {
    withCookies('ohmmeter-works-here=ines');
    const isAnother = watchTechnicianHere();
    expect(isAnother()).toBe(false);
    document.cookie = 'ohmmeter-works-here=wren';
    expect(isAnother()).toBe(true);
    expect(isAnother()).toBe(false);
    writeTechnicianHere('teo');
    expect(isAnother()).toBe(false);
    for (const id of ['wren', 'teo']) {
      document.cookie = `ohmmeter-works-here=${id}`;
      expect(isAnother()).toBe(true);
    }
  });
});
