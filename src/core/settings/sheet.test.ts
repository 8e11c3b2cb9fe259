import { describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../../../tests/plates';
import { familyOfJob } from '../appliances/all';
import { closingProblem } from '../job-diagnosis';
import { foldEntries, type Entry, type JobFile, type SettingEntry } from '../job-file';
import { settingsSheet } from '.';

type Left = readonly [setting: string, value: SettingEntry['value'], why?: SettingEntry['why']];

const entriesOf = (as: 'found' | 'left', all: readonly Left[]): Entry[] =>
  all.map(([setting, value, why]) => ({
    ...stamp(),
    kind: 'setting',
    setting,
    as,
    value,
    ...(why ? { why } : {}),
  }));

function sheetOf(entries: readonly Entry[], schools?: Record<string, string>) {
  const job: JobFile = emptyJob({ entries: [...entries] });
  const family = familyOfJob(job);
  const state = foldEntries(job.entries, family.catalogue);
  return { state, sheet: settingsSheet(family, family.plateOf(job), state, schools)! };
}

const dials = (upper: number, lower = upper): Left[] => [
  ['upper-dial', { celsius: upper }],
  ['lower-dial', { celsius: lower }],
];
const found = (...all: readonly Left[]) => sheetOf(entriesOf('found', all));
const stateOf = (rule: string, ...all: readonly Left[]) =>
  found(...all).sheet.findings.find(({ id }) => id === rule)?.state;

describe('a sheet of settings', () => {
  it('asks for what it does not know, and holds nothing against it', () => {
    const { sheet } = found();
    expect(sheet.findings.filter(({ state }) => state === 'broken')).toEqual([]);
    const ids = sheet.lines.map(({ parameter }) => parameter.id);
    expect(ids).not.toContain('mixing-valve-setpoint');
    expect(ids).toContain('wiring-mode');
    expect(ids).not.toContain('valve-position');
  });

  it('says when dials differ, by a difference that is no temperature', () => {
    expect(stateOf('dials-equal', ...dials(50, 51))).toBe('kept');
    const { sheet } = found(...dials(60, 49));
    const finding = sheet.findings.find(({ id }) => id === 'dials-equal')!;
    expect(finding.state).toBe('broken');
    expect(finding.says).toContainEqual({ kelvin: 11 });
  });

  it('keeps a margin under the high limit', () => {
    expect(stateOf('under-the-limit', ...dials(60))).toBe('kept');
    expect(stateOf('under-the-limit', ...dials(74))).toBe('broken');
  });

  it('weighs the scald of the outlet by who lives there', () => {
    expect(stateOf('scald', ...dials(47))).toBe('unknown');
    expect(stateOf('scald', ...dials(50), ['household', 'anyone'])).toBe('kept');
    expect(stateOf('scald', ...dials(47), ['household', 'vulnerable'])).toBe('broken');
    expect(stateOf('scald', ...dials(60))).toBe('broken');
    // Stored at 60 and mixed to 48 satisfies both rules.
    const mixed: Left[] = [
      ...dials(60),
      ['mixing-valve', 'fitted'],
      ['mixing-valve-setpoint', { celsius: 48 }],
      ['household', 'anyone'],
    ];
    expect(stateOf('scald', ...mixed)).toBe('kept');
    expect(stateOf('bacteria', ...mixed)).toBe('kept');
    expect(stateOf('mixing-valve', ...mixed)).toBe('kept');
  });

  it('asks of cooler storage whether it is drawn', () => {
    expect(stateOf('bacteria', ...dials(50))).toBe('unknown');
    expect(stateOf('bacteria', ...dials(50), ['turnover', 'daily'])).toBe('kept');
    expect(stateOf('bacteria', ...dials(50), ['turnover', 'seldom'])).toBe('broken');
    expect(
      stateOf('bacteria', ...dials(50), ['turnover', 'seldom'], ['weekly-hot-run', 'on']),
    ).toBe('kept');
  });

  it('gives a mixing valve its difference, and a time switch its hours', () => {
    const valve = (mixed: number): Left[] => [
      ...dials(50),
      ['mixing-valve', 'fitted'],
      ['mixing-valve-setpoint', { celsius: mixed }],
    ];
    expect(stateOf('mixing-valve', ...valve(45))).toBe('broken');
    expect(stateOf('mixing-valve', ...valve(40))).toBe('kept');
    const hours = (second: number): Left[] => [
      ...dials(50),
      ['time-switch', 'fitted'],
      ['time-switch-on', { second }],
    ];
    // 189 L by 40 K with 4.5 kW: 1.95 h, by hand.
    expect(stateOf('time-switch', ...hours(1.5 * 3600))).toBe('broken');
    expect(stateOf('time-switch', ...hours(2.2 * 3600))).toBe('kept');
  });

  it('goes by the school of the firm, with the other reason beside it', () => {
    const warm = found(...dials(50)).sheet.findings.find(({ id }) => id === 'school')!;
    expect(warm.state).toBe('kept');
    expect(warm.otherSchool).toMatch(/mixed down/);
    const entries = entriesOf('found', dials(50));
    const hot = sheetOf(entries, { storing: 'hot-and-mixed' }).sheet.findings;
    expect(hot.find(({ id }) => id === 'school')!.state).toBe('broken');
  });
});

describe('what a test has turned', () => {
  const repair: Entry = {
    ...stamp(),
    kind: 'action',
    action: 'replace',
    repair: 'replace-lower-element',
  };
  const proof = { items: [], bad: [], verdict: 'proved' } as const;
  const closing = (entries: readonly Entry[], reason?: string) =>
    closingProblem(
      { state: sheetOf([repair, ...entries]).state, proof, stop: undefined },
      { status: 'closed-repaired', ...(reason ? { reason } : {}) },
    );

  it('is asked for before the job is closed, until it is written down as left', () => {
    const turned = entriesOf('left', [['upper-dial', { celsius: 68 }, 'for-a-test']]);
    expect(sheetOf(turned).sheet.testLeft).toEqual(['upper-dial']);
    expect(closing(turned)).toMatch(/upper dial/);
    expect(closing(turned, 'the next visit needs it so')).toBeUndefined();
    const back = entriesOf('left', [['upper-dial', { celsius: 50 }, 'restored']]);
    expect(closing([...turned, ...back])).toBeUndefined();
  });
});

it('knows every name of the sheet in a job file, and refuses others', () => {
  const { catalogue } = familyOfJob(emptyJob());
  expect(catalogue.settings.get('mixing-valve')).toEqual({ values: ['none', 'fitted'] });
  expect(catalogue.settings.get('time-switch-on')).toMatchObject({ quantity: 'time' });
  expect(catalogue.settings.has('toString')).toBe(false);
});
