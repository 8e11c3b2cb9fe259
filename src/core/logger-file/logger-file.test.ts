import { describe, expect, it } from 'vitest';
import { guessColumns, mostKept, readChannels } from '.';

const rowsOf = (text: string, separator: string) =>
  text
    .trim()
    .split('\n')
    .map((line) => line.trim().split(separator));

describe('a file of a logger', () => {
  it('with decimal commas, semicolons and words before its columns', () => {
    const rows = rowsOf(
      `Logger;K-17
       Start;02.03.2026
       Nr;Zeit;Oben °C;Unten °C;Batterie
       1;02.03.2026 08:00:00;48,5;15,2;ok
       2;02.03.2026 08:00:30;48,6;15,2;ok
       3;02.03.2026 08:01:00;48,8;15,1;ok`,
      ';',
    );
    const mapping = guessColumns(rows, 'us')!;
    expect(mapping).toMatchObject({
      firstRow: 3,
      timeColumns: [1],
      order: 'day-first',
      decimal: 'comma',
    });
    expect(mapping.columns.map(({ place }) => place)).toEqual(['tank-top', 'tank-bottom']);
    const read = readChannels(rows, mapping);
    expect(read.beganAt).toBe('2026-03-02T08:00:00.000Z');
    expect(read.channels[0]).toEqual({
      place: 'tank-top',
      second: [0, 30, 60],
      celsius: [48.5, 48.6, 48.8],
    });
    expect(read.problems).toEqual([]);
  });

  it('with months first, halves of the day and °F', () => {
    const rows = rowsOf(
      `Date,Time,Outlet (F),Room (F)
       3/14/2026,11:59:30 PM,121.1,68
       3/14/2026,11:59:45 PM,122,68
       3/15/2026,12:00:00 AM,123.8,68`,
      ',',
    );
    const mapping = guessColumns(rows, 'metric')!;
    expect(mapping).toMatchObject({ timeColumns: [0, 1], order: 'month-first' });
    const read = readChannels(rows, mapping);
    expect(read.channels[0]!.celsius.at(-1)).toBe(51);
    expect(read.channels[0]!.second).toEqual([0, 15, 30]);
    expect(read.channels.map(({ place }) => place)).toEqual(['outlet', 'room']);
  });

  it('that counts seconds, or knows the time of day alone and passes midnight', () => {
    const counted = rowsOf('Elapsed s,Upper,Lower\n0,50.1,20\n10,50.2,20\n20,50.3,20', ',');
    expect(readChannels(counted, guessColumns(counted, 'metric')!).channels[0]!.second).toEqual([
      0, 10, 20,
    ]);
    const night = rowsOf('Time,Top\n23:59:00,50\n23:59:30,50\n00:00:00,50', ',');
    expect(readChannels(night, guessColumns(night, 'metric')!).seconds).toBe(60);
  });

  it('tells bad rows by their line, and keeps the others', () => {
    const rows = rowsOf(
      `Time,Top °C
       2026-03-02 08:00:00,50
       2026-03-02 08:01:00,Err
       nonsense,50
       2026-03-02 07:59:00,50
       2026-03-02 08:02:00,1e9
       2026-03-02 08:03:00,51`,
      ',',
    );
    const read = readChannels(rows, guessColumns(rows, 'metric')!);
    expect(read.problems.map(({ line }) => line)).toEqual([3, 4, 5, 6]);
    expect(read.channels[0]!.celsius).toEqual([50, 51]);
  });

  it('that is none is refused', () => {
    expect(guessColumns(rowsOf('name,price\nhose,12\nvalve,9', ','), 'metric')).toBeUndefined();
    expect(guessColumns([], 'metric')).toBeUndefined();
  });

  it('of 100,000 rows is thinned, and keeps its extremes', () => {
    const rows = [
      ['Time s', 'Top'],
      ...Array.from({ length: 100_000 }, (_, k) => [String(k), k === 77_777 ? '88.8' : '50.0']),
    ];
    const read = readChannels(rows, guessColumns(rows, 'metric')!);
    expect(read.thinnedFrom).toBe(100_000);
    expect(read.channels[0]!.celsius.length).toBe(mostKept);
    expect(Math.max(...read.channels[0]!.celsius)).toBe(88.8);
  });
});
