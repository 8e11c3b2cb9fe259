import { expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import { lastByHand, type Entry } from '.';

it('work ends with the last thing that somebody did, whatever was put back after it', () => {
  const at = (minute: number) => ({ ...stamp(), at: `2026-11-30T10:0${minute}:00.000Z` });
  const skipped: Entry = { ...at(1), kind: 'skip', check: 'supply-volts', reason: 'cannot' };
  const written: Entry = { ...at(2), kind: 'action', action: 'power-on' };
  const restored: Entry = { ...at(9), kind: 'action', action: 'restored' };
  expect(lastByHand([restored, written, skipped])).toBe(written);
  expect(lastByHand([restored])).toBeUndefined();
  expect(lastByHand([])).toBeUndefined();
});
