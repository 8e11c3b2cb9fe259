import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { catalogueOf } from '../job-diagnosis';
import { currentVersion, readJobFile, type Entry, type JobFile } from '.';

const read = (job: unknown) => readJobFile(JSON.stringify(job), catalogueOf);
const withEntries = (...entries: unknown[]): JobFile => emptyJob({ entries: entries as Entry[] });
const ohms = (value: unknown, rest: object = {}) => ({
  ...stamp(),
  kind: 'reading',
  check: 'upper-element-ohms',
  value,
  ...rest,
});

function problemsOf(job: unknown): { pointer: string; message: string }[] {
  const result = read(job);
  return result.ok ? [] : [...result.problems];
}

describe('a job file', () => {
  it('is read with every kind of entry', () => {
    const reading = ohms({ ohm: 12.6 });
    const job = withEntries(
      reading,
      ohms({ overRange: true, above: { ohm: 2000 } }),
      {
        ...stamp(),
        kind: 'reading',
        between: ['upper-thermostat.2', { wire: 'w-upper-b', end: 'limit.4' }],
        quantity: 'resistance',
        state: { power: 'off', upperDial: 'high', lifted: [] },
        value: { ohm: 13.1 },
      },
      { ...stamp(), kind: 'observation', check: 'limit-reset-press', value: 'clicked' },
      { ...stamp(), kind: 'skip', check: 'lower-element-amps', reason: 'cannot' },
      {
        ...stamp(),
        kind: 'action',
        action: 'lift-wire',
        wire: 'w-upper-a',
        end: 'upper-element.a',
      },
      { ...stamp(), kind: 'setting', setting: 'upper-dial', as: 'found', value: { celsius: 54 } },
      { ...stamp(), kind: 'verdict', engine: 'e', parameters: 'p', suspects: [] },
      { ...stamp(), kind: 'code', code: 'E1' },
      { ...stamp(), kind: 'part', part: 'element', action: 'fitted' },
      { ...stamp(), kind: 'wire', wire: 'w-upper-a', colour: 'red' },
      { ...stamp(), kind: 'status', status: 'repairing' },
      { ...stamp(), kind: 'photo', attachment: 'a'.repeat(64) },
      { ...stamp(), kind: 'countersign', of: reading.id },
      {
        ...stamp(),
        kind: 'series',
        check: 'outlet-first',
        samples: [{ offset: { second: 0 }, value: { celsius: 20 } }],
      },
      {
        ...stamp(),
        kind: 'correction',
        replaces: reading.id,
        entry: ohms({ ohm: 12.8 }),
        reason: 'probe slipped',
      },
    );
    expect(problemsOf(job)).toEqual([]);
  });

  it.each<[string, unknown, string, RegExp]>([
    ['an unknown key', { ...emptyJob(), colour: 'red' }, '/colour', /not part of the format/],
    [
      'an unknown key deep inside',
      withEntries(ohms({ ohm: 12 }, { mood: 'good' })),
      '/entries/0/mood',
      /not part of the format/,
    ],
    ['a newer version', { ...emptyJob(), version: 9 }, '/version', /version 9.*reads up to 1/],
    ['another format', { ...emptyJob(), format: 'other' }, '/format', /ohmmeter-job/],
    [
      'another family',
      { ...emptyJob(), unit: { ...emptyJob().unit, family: 'kettle' } },
      '/unit/family',
      /kettle/,
    ],
    ['0 W', emptyJob({}, 0), '/unit/plate/elements/upper/watt', /> 0/],
    [
      'an empty plate',
      { ...emptyJob(), unit: { family: 'electric-storage-two-element', plate: {} } },
      '/unit/plate',
      /"rated" is missing/,
    ],
    [
      'an unknown check',
      withEntries(ohms({ ohm: 12 }, { check: 'mood-ohms' })),
      '/entries/0/check',
      /mood-ohms/,
    ],
    ['negative ohms', withEntries(ohms({ ohm: -4 })), '/entries/0/value/ohm', /outside/],
    ['1e9 ohms', withEntries(ohms({ ohm: 1e9 })), '/entries/0/value/ohm', /overRange/],
    ['volts where ohms belong', withEntries(ohms({ volt: 240 })), '/entries/0/value', /"ohm"/],
    [
      'two units in one value',
      withEntries(ohms({ ohm: 12.8, volt: 240 })),
      '/entries/0/value',
      /one unit.*ohm and volt/,
    ],
    ['a value without any', withEntries(ohms({})), '/entries/0/value', /fewer than 1/],
    [
      'a setting of nothing',
      withEntries({
        ...stamp(),
        kind: 'setting',
        setting: 'mood',
        as: 'found',
        value: { celsius: 50 },
      }),
      '/entries/0/setting',
      /mood/,
    ],
    [
      'a dial at what no dial has',
      withEntries({
        ...stamp(),
        kind: 'setting',
        setting: 'upper-dial',
        as: 'found',
        value: { celsius: 120 },
      }),
      '/entries/0/value',
      /between 10 and 95 celsius/,
    ],
    [
      'a repair of nothing',
      withEntries({ ...stamp(), kind: 'action', action: 'replace', repair: 'toString' }),
      '/entries/0/repair',
      /toString/,
    ],
    [
      'a cover of nothing',
      withEntries({ ...stamp(), kind: 'action', action: 'open', target: 'UPPER' }),
      '/entries/0/target',
      /UPPER/,
    ],
    [
      'a dial of nothing',
      withEntries({ ...stamp(), kind: 'action', action: 'set-dial', dial: 'middle', to: 'high' }),
      '/entries/0/dial',
      /allowed|middle/,
    ],
    [
      'an answer that no question has',
      { ...emptyJob(), complaint: { kind: 'no-hot-water', answers: { onset: 'perhaps' } } },
      '/complaint/answers/onset',
      /"onset" is answered with sudden/,
    ],
    [
      'words where a number belongs',
      withEntries(ohms({ ohm: 'twelve' })),
      '/entries/0/value/ohm',
      /number/,
    ],
    [
      'an unknown kind of entry',
      withEntries({ ...stamp(), kind: 'wish' }),
      '/entries/0/kind',
      /No kind/,
    ],
    [
      'ohms with power on',
      withEntries(ohms({ ohm: 12 }, { state: { power: 'on' } })),
      '/entries/0/state',
      /power on.*power off, prove dead/,
    ],
    [
      'ohms after a power-on',
      withEntries({ ...stamp(), kind: 'action', action: 'power-on' }, ohms({ ohm: 12 })),
      '/entries/1/state',
      /power on/,
    ],
    [
      'an answer that the check does not have',
      withEntries({ ...stamp(), kind: 'observation', check: 'limit-reset-press', value: 'maybe' }),
      '/entries/0/value',
      /clicked, no-click/,
    ],
    [
      'a correction of nothing',
      withEntries({
        ...stamp(),
        kind: 'correction',
        replaces: stamp().id,
        entry: null,
        reason: 'x',
      }),
      '/entries/0/replaces',
      /No entry/,
    ],
  ])('with %s is refused at its place', (_, job, pointer, message) => {
    const problems = problemsOf(job);
    const found = problems.find((each) => each.pointer === pointer);
    expect(found, JSON.stringify(problems)).toBeDefined();
    expect(found!.message).toMatch(message);
  });

  it('takes the same entry twice as one, and refuses the same id with other content', () => {
    const entry = ohms({ ohm: 12.6 });
    expect(problemsOf(withEntries(entry, { ...entry }))).toEqual([]);
    expect(problemsOf(withEntries(entry, { ...entry, value: { ohm: 13 } }))).toEqual([
      { pointer: '/entries/1/id', message: expect.stringMatching(/never used twice/) as string },
    ]);
  });

  it('with 10 MB is refused before it is parsed', () => {
    const result = readJobFile(`{"format":"${'x'.repeat(10 * 1024 * 1024)}"}`, catalogueOf);
    expect(result).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/10\.0 MB.*5 MB/) as string }],
    });
  });

  it('that is broken JSON is refused with the line', () => {
    const result = readJobFile('{\n "format": "ohmmeter-job",\n oops\n}', catalogueOf);
    expect(result).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/line 3/) as string }],
    });
  });

  it('of a newer minor keeps the keys it does not know, word for word, and warns', () => {
    const newer = { ...emptyJob(), minor: currentVersion.minor + 1, weather: { outside: 'rain' } };
    const result = read(newer);
    expect(result).toMatchObject({ ok: true, warnings: [{ pointer: '/weather' }] });
    expect(result.ok && (result.job as unknown as { weather: unknown }).weather).toEqual({
      outside: 'rain',
    });
  });

  it('never throws, whatever it is', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(read(value).ok).toBe(false);
      }),
    );
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(readJobFile(text, catalogueOf).ok).toBe(false);
      }),
    );
  });
});

it('the same entry twice in a file is one entry', () => {
  const skipped = { ...stamp(), kind: 'skip', check: 'supply-volts', reason: 'cannot' };
  expect(read(withEntries(skipped, skipped))).toMatchObject({
    ok: true,
    job: { entries: [skipped] },
  });
});

it.each<[string, unknown, RegExp]>([
  ['a text with a NUL', { note: 'a\0b' }, /broken character/],
  ['half a character', { note: 'a\ud83d' }, /broken character/],
  ['a leap second', { at: '2026-06-30T23:59:60Z' }, /no time/],
  ['the year 0', { at: '0000-05-01T00:00:00Z' }, /no time/],
])('%s is refused with its place', (_, change, message) => {
  const skipped = { ...stamp(), kind: 'skip', check: 'supply-volts', reason: 'cannot' };
  const [problem] = problemsOf(withEntries({ ...skipped, ...(change as object) }));
  expect(problem?.message).toMatch(message);
  expect(problem?.pointer).toBe(`/entries/0/${Object.keys(change as object)[0]}`);
});

it('a zone in which no time can be told is refused with its place', () => {
  const inZone = (timeZone: string) => {
    const file = withEntries();
    return read({ ...file, job: { ...file.job, timeZone } });
  };
  expect(inZone('Europe/Dublin').ok).toBe(true);
  for (const none of ['Nowhere/Land', 'meter', '', '2026-12-02T01:00:00Z', 'toString']) {
    expect(inZone(none)).toMatchObject({ ok: false, problems: [{ pointer: '/job/timeZone' }] });
  }
});

it('what is nested beyond all use is refused, not crashed on', () => {
  const deep = `${'['.repeat(20_000)}${']'.repeat(20_000)}`;
  const result = readJobFile(`{"format":"ohmmeter-job","x":${deep}}`, catalogueOf);
  expect(result).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringContaining('deep') as string }],
  });
});
