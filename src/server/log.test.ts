import { existsSync, mkdtempSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { patience } from '../../tests/patience';
import { logFault, tracesOf } from './log';

const secret = 'Secret-Person, 5 Hidden Lane';

afterEach(() => vi.unstubAllEnvs());

describe('the log', () => {
  it('has of an error its kind, its code and its place, and nothing that it says', () => {
    const cause = Object.assign(new Error(`duplicate key (${secret})\n    at ${secret}:1:1`), {
      code: '23505',
    });
    const error = new TypeError(`Failed query: params: ${secret}`, { cause });
    const traces = tracesOf(error);
    expect(traces.map((each) => [each.name, each.code])).toEqual([
      ['TypeError', undefined],
      ['Error', '23505'],
    ]);
    expect(traces[0]!.frames[0]).toContain('log.test.ts');
    expect(JSON.stringify(traces)).not.toContain('Secret');
    expect(JSON.stringify(traces)).not.toContain('Hidden');
  });

  it.each([
    [secret],
    [undefined],
    [{ name: secret }],
    [Object.assign(new Error(secret), { name: secret, code: secret })],
  ])('has nothing of what is no error or lies about its name (%#)', (thrown) => {
    expect(JSON.stringify(tracesOf(thrown))).not.toContain('Secret');
  });

  it('is for its owner alone, and no larger than it may be', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'ohmmeter-log-'));
    vi.stubEnv('OHMMETER_LOGS', folder);
    for (let k = 0; k < 12_000; k++) {
      logFault('something failed', new Error(secret));
      if (k % 500 === 0) await new Promise((resolve) => setTimeout(resolve, 10));
    }
    const file = path.join(folder, 'server.log');
    await vi.waitFor(() => expect(existsSync(file)).toBe(true), patience);
    await new Promise((resolve) => setTimeout(resolve, 500));
    expect(statSync(file).mode & 0o777).toBe(0o600);
    const kept = readdirSync(folder).filter((each) => !each.endsWith('.txt'));
    expect(kept.length).toBeLessThanOrEqual(6);
    for (const each of kept) {
      const text = readFileSync(path.join(folder, each), 'utf8');
      expect(text).not.toContain('Secret');
      expect(text.length).toBeLessThan(1.2 * 1024 * 1024);
    }
    const [line] = readFileSync(file, 'utf8').split('\n');
    if (line) expect(JSON.parse(line)).toMatchObject({ level: 'error', what: 'something failed' });
  });
});
