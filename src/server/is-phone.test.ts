import { expect, test } from 'vitest';
import { isPhone } from './is-phone';

const asked = (headers: Record<string, string>) => isPhone(new Headers(headers));

test('a phone is known by its hint, or by its name where there is none', () => {
  expect(asked({ 'sec-ch-ua-mobile': '?1' })).toBe(true);
  expect(asked({ 'sec-ch-ua-mobile': '?0', 'user-agent': 'a browser, Mobile' })).toBe(false);
  expect(asked({ 'user-agent': 'Made/5.0 (phone) Mobile/15E148' })).toBe(true);
  expect(asked({ 'user-agent': 'Made/5.0 (X11; desk)' })).toBe(false);
  expect(asked({})).toBe(false);
});
