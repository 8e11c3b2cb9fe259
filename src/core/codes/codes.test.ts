import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { families } from '../appliances/all';
import { seededRandom } from '../simulation';
import {
  patternProblem,
  readCodePack,
  readCodePackText,
  readLightPattern,
  recogniseLight,
  type CodePack,
  type LightPattern,
  type Tap,
} from '.';

const withCodes = families.filter((family) => family.codes !== undefined);
const sightsOf = (id: string) => withCodes.find((each) => each.id === id)?.codes;
const shipped = withCodes[0]!.codes!.pack;
const changed = (change: (pack: CodePack) => unknown) => {
  const pack = structuredClone(shipped);
  change(pack);
  return readCodePack(pack, sightsOf);
};
const pointers = (change: (pack: CodePack) => unknown) => {
  const read = changed(change);
  return read.ok ? [] : read.problems.map(({ pointer }) => pointer);
};

describe('a pack of codes', () => {
  it.each(withCodes.map((family) => [family.id, family.codes!] as const))(
    'of %s is read, names every sight once, and has a code for nothing shown',
    (_, { pack, none, sights }) => {
      expect(readCodePackText(JSON.stringify(pack), sightsOf)).toEqual({ ok: true, pack });
      const saw = pack.codes.map((each) => each.saw);
      expect([...saw].sort()).toEqual(Object.keys(sights).sort());
      expect(saw).toContain(none);
    },
  );

  it('is read as it stands in the docs', () => {
    const page = readFileSync(new URL('../../../docs/code-pack.md', import.meta.url), 'utf8');
    const text = /```json\n([\s\S]*?)```/.exec(page)![1]!;
    expect(readCodePackText(text, sightsOf)).toMatchObject({ ok: true });
  });

  it('is refused with its pointer where it is wrong, and nothing of it is read', () => {
    expect(pointers((pack) => (pack.codes[3]!.saw = 'nonsense'))).toEqual(['/codes/3/saw']);
    expect(pointers((pack) => (pack.codes[3]!.saw = 'toString'))).toEqual(['/codes/3/saw']);
    expect(pointers((pack) => (pack.family = 'kettle'))).toEqual(['/family']);
    expect(pointers((pack) => (pack.codes[2]!.pattern = 'S X'))).toEqual(['/codes/2/pattern']);
    expect(pointers((pack) => (pack.codes[2]!.pattern = pack.codes[1]!.pattern))).toEqual([
      '/codes/2/pattern',
    ]);
    expect(pointers((pack) => (pack.codes[4]!.code = pack.codes[1]!.code.toUpperCase()))).toEqual([
      '/codes/4/code',
    ]);
    expect(pointers((pack) => (pack.codes = []))).toEqual(['/codes']);
    expect(pointers((pack) => Object.assign(pack, { version: 2 }))).toEqual(['/version']);
    expect(pointers((pack) => Object.assign(pack.codes[0]!, { weight: 3 }))).toEqual([
      '/codes/0/weight',
    ]);
    expect(pointers((pack) => (pack.shownBy = 'display')).length).toBeGreaterThan(3);
  });

  it('names the line where it is no JSON, and refuses a pack beyond all use', () => {
    expect(readCodePackText('{\n"format": oops', sightsOf)).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringContaining('JSON') as string }],
    });
    expect(readCodePackText(' '.repeat(400_000), sightsOf)).toMatchObject({ ok: false });
    // A broken character: no database keeps it.
    const broken = JSON.stringify(shipped).replace(shipped.title, '\\ud800');
    expect(readCodePackText(broken, sightsOf)).toMatchObject({
      ok: false,
      problems: [{ pointer: '/title' }],
    });
  });
});

describe('a light pattern as it is written', () => {
  it('reads short, long, seconds and what is dark between', () => {
    expect(readLightPattern('s L')).toEqual({
      kind: 'blinks',
      round: [
        { onSeconds: 0.3, offSeconds: 0.5 },
        { onSeconds: 1, offSeconds: 2 },
      ],
    });
    expect(readLightPattern('0.2/3.7')).toEqual({
      kind: 'blinks',
      round: [{ onSeconds: 0.2, offSeconds: 3.7 }],
    });
    expect(readLightPattern('steady')).toEqual({ kind: 'steady' });
  });

  it.each(['', 'X', 'S/', 'S/x', '0/1', 'S//2', '99', '-1', 'S/1/2', '1e1', 'S '.repeat(30)])(
    'refuses "%s" in words',
    (text) => expect(patternProblem(text)).toBeTruthy(),
  );
});

/**
 * A thumb of its own kind, not the recogniser's: it sees an edge 0.1 to 0.35 s late, a little later each time it tires, comes
 * down and up with a jitter in seconds (not in ratios), and sometimes misses a blink or bounces.
 */
function tappedAlong(pattern: LightPattern, seed: number, rounds: number): Tap[] {
  if (pattern.kind !== 'blinks') return [];
  const random = seededRandom(seed);
  const late = 0.1 + 0.25 * random.next();
  const hold = 0.8 + 0.5 * random.next();
  const taps: Tap[] = [];
  const start = Math.floor(random.next() * pattern.round.length);
  let now = 1;
  for (let k = 0; k < rounds * pattern.round.length; k++) {
    const { onSeconds, offSeconds } = pattern.round[(start + k) % pattern.round.length]!;
    const shake = () => 0.06 * random.normal();
    const downSeconds = now + late + shake();
    const upSeconds = downSeconds + Math.max(0.06, onSeconds * hold + shake());
    if (random.next() > 0.02) taps.push({ downSeconds, upSeconds });
    now += onSeconds + offSeconds;
  }
  return taps;
}

describe('a thumb that taps along with a light', () => {
  const patterns = shipped.codes.map(({ pattern }) => readLightPattern(pattern!));

  it('is understood after two to three rounds in nearly every case, shaky as it is', () => {
    let right = 0;
    let wrongAndSure = 0;
    let tried = 0;
    patterns.forEach((pattern, truth) => {
      if (pattern.kind !== 'blinks') return;
      for (let seed = 1; seed <= 60; seed++) {
        const taps = tappedAlong(pattern, seed * 31 + truth, pattern.round.length > 1 ? 2 : 4);
        const { chances } = recogniseLight(taps, patterns);
        const best = chances.indexOf(Math.max(...chances));
        tried += 1;
        if (best === truth) right += 1;
        else if (chances[best]! > 0.9) wrongAndSure += 1;
      }
    });
    expect(right / tried).toBeGreaterThan(0.95);
    expect(wrongAndSure / tried).toBeLessThan(0.02);
  });

  it('says that it is none of them where the light shows what is in no list', () => {
    for (const seed of [500, 501, 502]) {
      const five = recogniseLight(tappedAlong(readLightPattern('S S S S S'), seed, 4), patterns);
      expect(five.noneOfThem).toBeGreaterThan(0.8);
      // And what is neither clearly one of them nor clearly none is not offered.
      const other = recogniseLight(tappedAlong(readLightPattern('S/1.6 S/0.2'), seed, 4), patterns);
      expect(Math.max(...other.chances)).toBeLessThan(0.8);
    }
    expect(recogniseLight([{ downSeconds: 0, upSeconds: 1 }], []).noneOfThem).toBe(1);
  });

  it('knows a light that does not blink, and does not know what was never tapped', () => {
    const chancesOf = (taps: Tap[]) => recogniseLight(taps, patterns).chances;
    const steady = patterns.findIndex(({ kind }) => kind === 'steady');
    const dark = patterns.findIndex(({ kind }) => kind === 'dark');
    expect(chancesOf([{ downSeconds: 0, upSeconds: 6 }])[steady]).toBeGreaterThan(0.9);
    expect(chancesOf([])[dark]).toBeGreaterThan(0.9);
    const one = chancesOf([{ downSeconds: 0, upSeconds: 0.3 }]);
    expect(Math.max(...one)).toBeLessThan(0.9);
  });
});
