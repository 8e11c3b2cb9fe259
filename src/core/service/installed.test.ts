import { describe, expect, it } from 'vitest';
import { dayOf, installedProblem } from './installed';

describe('when a unit was installed', () => {
  it.each([
    ['2019', '2019-01-01'],
    ['2019-05', '2019-05-01'],
    ['2019-5', '2019-05-01'],
    [' 2019/05/14 ', '2019-05-14'],
    ['05/2019', '2019-05-01'],
    ['5.2019', '2019-05-01'],
    ['2020-02-29', '2020-02-29'],
  ])('%s is the day %s, at noon', (text, day) => {
    expect(dayOf(text)).toBe(`${day}T12:00:00.000Z`);
  });

  it.each(['2019-13', '2019-00', '2019-02-29', '04/05/2019', '19', '0019', 'soon', ''])(
    '%s is no day',
    (text) => {
      expect(dayOf(text)).toBeUndefined();
    },
  );

  it('is asked for again where it is no day, or still to come', () => {
    const problem = (text: string) => installedProblem(text, new Date('2026-11-27T08:00:00Z'));
    expect(problem(' ')).toBeUndefined();
    expect(problem('2026-11')).toBeUndefined();
    expect(problem('2026-11-28')).toBeUndefined();
    expect(problem('2062')).toMatch('still to come');
    expect(problem('spring')).toMatch('A year, a month or a day');
  });
});
