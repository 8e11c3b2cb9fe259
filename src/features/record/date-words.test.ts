import { expect, it } from 'vitest';
import { dateWords } from './date-words';

const noon = '2026-07-01T12:00:00Z';

it('a moment is said in the zone that is asked for, whichever was asked for before', () => {
  expect(dateWords('clock', noon, 'Europe/Dublin')).toBe('13:00');
  expect(dateWords('clock', noon, 'Asia/Tokyo')).toBe('21:00');
  expect(dateWords('clock', noon, 'Europe/Dublin')).toBe('13:00');
});

it('each style is said as it is meant, and none in place of another', () => {
  const say = (style: Parameters<typeof dateWords>[0]) => dateWords(style, noon, 'UTC');
  expect(say('long')).toBe('Wednesday, 1 July 2026');
  expect(say('short')).toBe('Wed 1 Jul');
  expect(say('medium')).toBe('1 Jul 2026');
  expect(say('long')).toBe('Wednesday, 1 July 2026');
});

it('a zone that a device does not know is its own, and a page that tells a time stands all the same', () => {
  expect(dateWords('clock', noon, 'Nowhere/Land')).toBe(dateWords('clock', noon, undefined));
});

it('a time that is none is refused, and leaves the others as they are', () => {
  expect(() => dateWords('clock', 'no time', 'UTC')).toThrow(RangeError);
  expect(dateWords('clock', noon, 'UTC')).toBe('12:00');
});
