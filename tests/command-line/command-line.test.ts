import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyJob, stamp } from '../plates';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'ohmmeter-cli-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

function ohmmeter(args: readonly string[], input = '') {
  const { status, stdout, stderr } = spawnSync('node', ['dist/ohmmeter-cli.mjs', ...args], {
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}
function file(name: string, content: unknown): string {
  const target = path.join(folder, name);
  writeFileSync(target, typeof content === 'string' ? content : JSON.stringify(content));
  return target;
}
const openElement = {
  ...stamp(),
  kind: 'reading',
  check: 'lower-element-ohms',
  value: { overRange: true, above: { ohm: 2e6 } },
} as const;

describe('ohmmeter diagnose', () => {
  it('answers for a job file as the format says', () => {
    const { status, stdout } = ohmmeter([
      'diagnose',
      file('good.json', emptyJob({ entries: [openElement] })),
    ]);
    expect(status).toBe(0);
    const answer = JSON.parse(stdout) as {
      suspects: { repair: string; probability: number; faults: unknown[]; why: unknown[] }[];
    };
    expect(answer).toMatchObject({ decided: expect.any(Boolean) as boolean, warnings: [] });
    expect(answer.suspects[0]).toMatchObject({ repair: 'replace-lower-element' });
    expect(answer.suspects[0]!.faults[0]).toMatchObject({ id: 'lower-element.open' });
    const probabilities = answer.suspects.map((each) => each.probability);
    expect([...probabilities].sort((one, other) => other - one)).toEqual(probabilities);
  });

  it('with --lines answers a job a line, and a bad line with its problems', () => {
    const lines = [
      JSON.stringify(emptyJob()),
      '{"format":"other"}',
      'nonsense',
      JSON.stringify(emptyJob({ entries: [openElement] })),
    ];
    const { status, stdout } = ohmmeter(['diagnose', '--lines'], `${lines.join('\n')}\n`);
    expect(status).toBe(0);
    const answers = stdout
      .trim()
      .split('\n')
      .map((each) => JSON.parse(each) as Record<string, unknown>);
    expect(answers).toHaveLength(4);
    expect(answers[0]).toHaveProperty('suspects');
    expect(answers[1]).toEqual({ problems: [expect.objectContaining({ pointer: '/format' })] });
    expect(answers[2]).toHaveProperty('problems');
    expect(answers[3]).toHaveProperty('suspects');
  });

  it('gives the same answer alone and in a line, to 1e-9', () => {
    const job = emptyJob({ entries: [openElement] });
    const alone = JSON.parse(ohmmeter(['diagnose', file('one.json', job)]).stdout) as unknown;
    const line = JSON.parse(
      ohmmeter(['diagnose', '--lines'], JSON.stringify(job)).stdout,
    ) as unknown;
    expect(line).toEqual(alone);
  });

  it('exits 1 with a pointer for a file that is not valid, and for a plate without watts', () => {
    const bad = ohmmeter(['diagnose', file('bad.json', { ...emptyJob(), mood: 1 })]);
    expect(bad).toMatchObject({ status: 1, stdout: '' });
    expect(bad.stderr).toContain('/mood');
    const job = emptyJob();
    const half = {
      ...job,
      unit: { ...job.unit, plate: { rated: { volt: 240 }, elements: { upper: { watt: 4500 } } } },
    };
    const missing = ohmmeter(['diagnose', file('half.json', half)]);
    expect(missing.status).toBe(1);
    expect(missing.stderr).toContain('/unit/plate/elements/lower');
  });
});

describe('ohmmeter expect', () => {
  it('says what a check would read on a good unit, and under each suspect', () => {
    const job = file('expect.json', emptyJob({ entries: [openElement] }));
    const { status, stdout } = ohmmeter(['expect', job, 'upper-element-ohms']);
    expect(status).toBe(0);
    const answer = JSON.parse(stdout) as {
      good: { kind: string; nominal: number };
      bands: unknown[];
    };
    // 240² / 4500: Joule's and Ohm's laws.
    expect(answer.good.nominal).toBeCloseTo(12.8, 1);
    expect(answer.bands.length).toBeGreaterThan(0);
  });

  it('names the checks that there are for one that there is not', () => {
    const { status, stderr } = ohmmeter(['expect', file('none.json', emptyJob()), 'mood-ohms']);
    expect(status).toBe(1);
    expect(stderr).toMatch(/no check "mood-ohms".*upper-element-ohms/);
  });
});

describe('ohmmeter bench', () => {
  it('refuses a share that is none', () => {
    expect(ohmmeter(['bench', 'lots'])).toMatchObject({ status: 2 });
  });
});

describe('ohmmeter validate', () => {
  it('says of a plate that no heater has where it stands', () => {
    const job = emptyJob();
    const plate = { ...job.unit.plate, rated: { volt: 24 } };
    const { status, stderr } = ohmmeter([
      'validate',
      file('low.json', { ...job, unit: { ...job.unit, plate } }),
    ]);
    expect(status).toBe(1);
    expect(stderr).toContain('/unit/plate/rated/volt: 24 volt is outside');
  });

  it('says valid, or a pointer per problem', () => {
    expect(ohmmeter(['validate', file('ok.json', emptyJob())])).toMatchObject({
      status: 0,
      stdout: 'valid\n',
    });
    const { status, stderr } = ohmmeter([
      'validate',
      file('two.json', { ...emptyJob({}, 0), mood: 1 }),
    ]);
    expect(status).toBe(1);
    expect(stderr.trim().split('\n').length).toBeGreaterThan(1);
  });
});

describe('a wrong call', () => {
  it.each([
    [[]],
    [['diagnose']],
    [['dream', 'x']],
    [['validate', '--lines']],
    [['diagnose', '/no/such/file']],
  ])('%j exits 2 and says how', (args) => {
    const { status, stderr } = ohmmeter(args);
    expect(status).toBe(2);
    expect(stderr).not.toBe('');
  });
});

describe('the start-up command', () => {
  it('without a word says what it can do', () => {
    const { status, stderr } = spawnSync('./ohmmeter', { encoding: 'utf8' });
    expect(status).toBe(2);
    expect(stderr).toContain('demo');
  });

  it('names an old Node.js and what to do', () => {
    const fake = path.join(folder, 'node');
    writeFileSync(fake, '#!/bin/sh\nif [ "$1" = -v ]; then echo v18.1.0; else exit 1; fi\n', {
      mode: 0o755,
    });
    const { status, stderr } = spawnSync('./ohmmeter', ['demo'], {
      encoding: 'utf8',
      env: { ...process.env, PATH: `${folder}:${process.env.PATH}` },
    });
    expect(status).toBe(1);
    expect(stderr).toMatch(/v18\.1\.0 is too old.*20\.9/);
  });
});
