import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/**
 * The example in each room's index.ts is true: lines that end in `// value` are worked out and compared with it. The names of
 * every room are at hand.
 */
const core = new URL('.', import.meta.url);
const rooms = readdirSync(core, { withFileTypes: true })
  .filter((each) => each.isDirectory() && existsSync(new URL(`${each.name}/index.ts`, core)))
  .map(({ name }) => name);
const names: Record<string, unknown> = Object.assign(
  {},
  ...(await Promise.all(rooms.map((room) => import(`./${room}/index.ts`)))),
);

function exampleOf(room: string): {
  setUp: string[];
  claims: [expression: string, value: string][];
} {
  const text = readFileSync(new URL(`${room}/index.ts`, core), 'utf8');
  const block = /@example\n([\s\S]*?)\*\//.exec(text)?.[1] ?? '';
  const lines = block.split('\n').map((line) => line.replace(/^\s*\*\s?/, ''));
  const claims = lines.flatMap((line) => {
    const [, expression, value] = /^(.*?)\s*\/\/ (.*)$/.exec(line) ?? [];
    return expression && value ? [[expression, value] as [string, string]] : [];
  });
  return { setUp: lines.filter((line) => !line.includes(' // ')), claims };
}

const workOut = (setUp: readonly string[], expression: string): unknown =>
  // The examples are our own text, and this is a test.

  (
    new Function(...Object.keys(names), `${setUp.join('\n')}; return (${expression});`) as (
      ...all: unknown[]
    ) => unknown
  )(...Object.values(names));

describe.each(rooms)('the example of core/%s', (room) => {
  const { setUp, claims } = exampleOf(room);

  it('is there', () => {
    expect(claims.length).toBeGreaterThan(0);
  });

  it.each(claims)('%s is %s', (expression, value) => {
    expect(workOut(setUp, expression)).toEqual(workOut([], value));
  });
});
