import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { sampleUnit } from '../../../tests/sample-unit';
import { systemBoiler } from '../appliances/system-boiler';
import { electricStorageTwoElement } from '../appliances/electric-storage-two-element';
import { readJobFile, walkEntries, type Entry } from '../job-file';
import { catalogueOf } from '../job-diagnosis';
import { flueSheet, printedValues, problemOfAnalysis, readPrintout } from '.';

const printed = (
  check: string,
  oxygen: number,
  ppm: number,
  more: Record<string, { celsius: number } | { ppm: number }> = {},
): Entry => ({
  ...stamp(),
  kind: 'reading',
  check,
  values: {
    oxygen: { percent: oxygen },
    carbonMonoxide: { ppm },
    flueTemperature: { celsius: 55 },
    airTemperature: { celsius: 20 },
    ...more,
  },
});
const sheetOf = (entries: readonly Entry[], fuel = 'natural-gas') => {
  const job = emptyJob({
    ...sampleUnit(systemBoiler, { input: '24000', fuel }),
    entries: [...entries],
  });
  return flueSheet(systemBoiler, job, walkEntries(job.entries, systemBoiler.catalogue))!;
};
const [high, low] = ['combustion-analysis', 'combustion-analysis-low'];
const repaired = (): Entry => ({
  ...stamp(),
  kind: 'action',
  action: 'replace',
  repair: 'replace-burner',
});

describe('analyses of a job', () => {
  it('are worked out and judged, with the working', () => {
    const [reading] = sheetOf([printed(high, 5, 100)]).readings;
    // ANSI Z21 practice: 100 ppm at 5 % is 131.4 without air. CO2 by the reaction: 8.91 %. Siegert, by hand: 35 × (0.66/16 + 0.009).
    expect(reading!.worked!.result).toMatchObject({
      carbonMonoxideAirFreePpm: expect.closeTo(131.4, 1) as number,
      carbonDioxidePercent: expect.closeTo(8.91, 1) as number,
      flueLossPercent: expect.closeTo(1.759, 2) as number,
    });
    expect(reading!.worked!.outcome).toBe('co-high');
    expect(reading).toMatchObject({ fire: 'high', isAfterRepair: false, isStop: false });
  });

  it('stand before or after the repair, and the last at high fire says what it points to', () => {
    const sheet = sheetOf([printed(high, 7.6, 420), repaired(), printed(high, 4.7, 30)]);
    expect(sheet.readings.map((each) => each.isAfterRepair)).toEqual([false, true]);
    expect(sheet.pattern).toBeUndefined();
    const before = sheetOf([printed(high, 7.6, 240)]);
    expect(before.pattern?.suspects[0]!.words).toMatch(/burner cracked/);
  });

  it('at low fire stand beside high fire', () => {
    expect(sheetOf([printed(high, 4.7, 30), printed(low, 5.4, 30)]).pattern).toBeUndefined();
    expect(sheetOf([printed(high, 4.7, 30), printed(low, 7.1, 30)]).pattern?.id).toBe(
      'high-right-low-off',
    );
    // One of before the repair says nothing of after it.
    const later = sheetOf([printed(low, 7.1, 30), repaired(), printed(high, 4.7, 30)]);
    expect(later.pattern).toBeUndefined();
  });

  it('say what is missing, and stop all the same', () => {
    const [few] = sheetOf([
      { ...stamp(), kind: 'reading', check: high, values: { carbonMonoxide: { ppm: 900 } } },
    ]).readings;
    expect(few).toMatchObject({ isStop: true, problem: expect.stringMatching(/Oxygen/) as string });
    const dioxide = { carbonDioxide: { percent: 12.5 }, carbonMonoxide: { ppm: 20 } };
    const impossible: Entry = {
      ...stamp(),
      kind: 'reading',
      check: high,
      values: { ...dioxide, flueTemperature: { celsius: 55 }, airTemperature: { celsius: 20 } },
    };
    expect(sheetOf([impossible]).readings[0]!.problem).toMatch(/natural gas/);
    expect(sheetOf([{ ...impossible, ...stamp() }], 'lpg').readings[0]!.worked).toBeDefined();
  });

  it('are not entered or corrected by half, but for what is past its limit', () => {
    const { plate } = sampleUnit(systemBoiler, { input: '24000', fuel: 'natural-gas' }).unit;
    const problem = (check: string, values: Extract<Entry, { kind: 'reading' }>['values']) =>
      problemOfAnalysis(systemBoiler, plate, { check, values });
    expect(problem(high, { carbonMonoxide: { ppm: 20 } })).toMatch(/Oxygen/);
    expect(problem(high, { carbonMonoxide: { ppm: 900 } })).toBeUndefined();
    const whole = printed(high, 5, 100);
    expect(whole.kind === 'reading' && problem(high, whole.values)).toBeUndefined();
    expect(problem('flow-return-difference', {})).toBeUndefined();
  });

  it('are none where only air was breathed, or nothing burns', () => {
    expect(sheetOf([printed(high, 20.6, 2)]).pattern).toBeUndefined();
    const electric = electricStorageTwoElement;
    expect(flueSheet(electric, emptyJob(), [])).toBeUndefined();
  });
});

describe('what an analyser printed', () => {
  const keysOf = (rows: readonly (readonly string[])[], row?: number) =>
    printedValues(readPrintout(rows, 'metric', row).figures);

  it('is read from a figure a line, with a comma or a point', () => {
    expect(
      keysOf([
        ['Invented Flue Tester 3', ''],
        ['Date', '2026-02-03'],
        ['O2', '4,7', '%'],
        ['CO', '38', 'ppm'],
        ['CO air-free', '49', 'ppm'],
        ['CO ambient', '2', 'ppm'],
        ['T flue', '131', '°F'],
        ['T air', '20,5', '°C'],
        ['Excess air', '29', '%'],
      ]),
    ).toEqual({
      oxygen: { percent: 4.7 },
      carbonMonoxide: { ppm: 38 },
      ambientCarbonMonoxide: { ppm: 2 },
      flueTemperature: { celsius: 55 },
      airTemperature: { celsius: 20.5 },
    });
  });

  it.each([
    ['CO 1,234 ppm', 1234],
    ['CO 1.234 ppm', 1234],
    ['CO 1 234 ppm', 1234],
    ["CO: 1'234 ppm", 1234],
    ['CO 38.5 ppm', 38.5],
    ['CO 0.123 ppm', 0.123],
    ['CO 12345 ppm', 12345],
    ['CO >4000 ppm', 4000],
    ['CO: > 4000 ppm', 4000],
  ])('%s is never a little of carbon monoxide where it is much', (line, ppm) => {
    const { figures } = readPrintout([[line]], 'metric');
    expect(printedValues(figures)).toEqual({ carbonMonoxide: { ppm } });
    const [label, ...rest] = line.split(/:? /);
    const beside = readPrintout([[label!, rest.slice(0, -1).join(' '), 'ppm']], 'metric');
    expect(printedValues(beside.figures)).toEqual({ carbonMonoxide: { ppm } });
  });

  it('takes a share for what it is, whichever way it is printed', () => {
    const said = (line: string, key: 'carbonMonoxide' | 'oxygen') => {
      const { figures } = readPrintout([[line]], 'metric');
      // The unit is another than such a figure has: nobody guesses, somebody says.
      expect(figures[0]!.key).toBeUndefined();
      return printedValues([{ ...figures[0]!, key }])[key];
    };
    expect(said('CO 0.12 %', 'carbonMonoxide')).toEqual({ ppm: 1200 });
    expect(said('O2 47000 ppm', 'oxygen')).toEqual({ percent: 4.7 });
  });

  it('is read from titles above rows, the last unless another is asked for', () => {
    const rows = [
      ['Time', 'CO2 [%]', 'CO [ppm]', 'Flue temp [°C]', 'Ambient temp [°C]'],
      ['08:10', '8.8', '60', '57', '19'],
      ['08:20', '9.0', '40', '55', '20'],
    ];
    expect(keysOf(rows)).toMatchObject({
      carbonDioxide: { percent: 9 },
      carbonMonoxide: { ppm: 40 },
    });
    expect(keysOf(rows, 1)).toMatchObject({ carbonDioxide: { percent: 8.8 } });
    expect(readPrintout(rows, 'metric').rowCount).toBe(2);
  });

  it('is read from a strip of paper typed off, and of two lines of one name the first counts', () => {
    expect(keysOf([['O2: 4.7 %'], ['CO = 38 ppm'], ['O2: 9.9 %']])).toEqual({
      oxygen: { percent: 4.7 },
      carbonMonoxide: { ppm: 38 },
    });
  });

  it('has temperatures in the degrees of the reader where the file says none', () => {
    const bare = [['T flue', '131']];
    const celsius = (system: 'us' | 'metric') => printedValues(readPrintout(bare, system).figures);
    expect(celsius('us')).toEqual({ flueTemperature: { celsius: 55 } });
    expect(celsius('metric')).toEqual({ flueTemperature: { celsius: 131 } });
  });

  it('is not what has another unit than it should, nor what is no printout', () => {
    expect(keysOf([['CO', '0.04', '%']])).toEqual({});
    expect(keysOf([['CO', '38', 'mg/m3']])).toEqual({});
    expect(keysOf([['CO', '38']])).toEqual({ carbonMonoxide: { ppm: 38 } });
    expect(
      keysOf([
        ['a', 'b'],
        ['', ''],
      ]),
    ).toEqual({});
    expect(keysOf([])).toEqual({});
    expect(readPrintout([['toString', '4']], 'metric').figures[0]!.key).toBeUndefined();
  });
});

describe('a sheet of burners in a file', () => {
  const problemsOf = (entry: object) => {
    const job = emptyJob({
      ...sampleUnit(systemBoiler, { input: '24000' }),
      entries: [{ ...stamp(), kind: 'observation', ...entry } as Entry],
    });
    const read = readJobFile(JSON.stringify(job), catalogueOf);
    return 'problems' in read ? read.problems.map(({ pointer }) => pointer) : [];
  };
  const one = { burner: 1, ports: 'open', crack: 'none', rust: 'none' };
  it('is taken where its finding is what the rows come to, and only with the look at burners', () => {
    const check = 'burner-inspection';
    expect(problemsOf({ check, value: 'sound', burners: [one] })).toEqual([]);
    expect(problemsOf({ check, value: 'sound', burners: [{ ...one, crack: 'open' }] })).toEqual([
      '/entries/0/burners',
    ]);
    expect(problemsOf({ check, value: 'sound', burners: [one, one] })).toEqual([
      '/entries/0/burners',
    ]);
    expect(problemsOf({ check: 'intake-look', value: 'sound', burners: [one] })).toEqual([
      '/entries/0/burners',
    ]);
    expect(problemsOf({ check, value: 'sound', burners: [{ ...one, burner: 0 }] })).not.toEqual([]);
    expect(problemsOf({ check, value: 'sound', burners: [{ ...one, mood: 1 }] })).not.toEqual([]);
  });
});
