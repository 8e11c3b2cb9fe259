import { describe, expect, it } from 'vitest';
import type { Entry } from '../job-file';
import { workLooks } from '../appliances';
import { locateNoise } from '.';
import tables from './noise.json' with { type: 'json' };

/** The examples of the design's page on procedures, worked out there by the formula over the same tables. */
const examples: readonly [
  fuel: 'gas' | 'electric',
  sound: string,
  where: string | undefined,
  when: string | undefined,
  ranked: readonly (readonly [string, number])[],
][] = [
  ['gas', 'rumble-boil-pop', undefined, undefined, [['sediment', 0.94]]],
  [
    'electric',
    'rumble-boil-pop',
    'tank-bottom',
    'while-heating',
    [
      ['sediment', 0.82],
      ['element-scale', 0.15],
    ],
  ],
  [
    'electric',
    'hiss-sizzle',
    undefined,
    undefined,
    [
      ['element-scale', 0.27],
      ['element-cover-air', 0.25],
      ['element-gasket-weeps', 0.18],
      ['heating-sound', 0.17],
    ],
  ],
  [
    'electric',
    'hiss-sizzle',
    'element-cover',
    'while-heating',
    [
      ['element-scale', 0.33],
      ['element-cover-air', 0.32],
      ['element-gasket-weeps', 0.24],
      ['heating-sound', 0.1],
    ],
  ],
  [
    'gas',
    'hiss-sizzle',
    'burner-door',
    'rain-or-frost',
    [
      ['flue-drips', 0.94],
      ['tank-drips-on-burner', 0.05],
    ],
  ],
  ['gas', 'hiss-sizzle', 'burner-door', 'always', [['tank-drips-on-burner', 0.95]]],
  [
    'gas',
    'tick-crack',
    undefined,
    undefined,
    [
      ['tank-expands', 0.48],
      ['pipe-expands', 0.35],
      ['heat-trap-rattles', 0.06],
    ],
  ],
  [
    'gas',
    'whistle-scream',
    'tank-top',
    'while-drawing',
    [
      ['restrictor-sings', 0.72],
      ['anode-outlet-sings', 0.28],
    ],
  ],
  ['gas', 'drip', 'pipes-or-wall', 'after-a-draw', [['pipe-expands', 0.99]]],
  [
    'gas',
    'drip',
    'pipes-or-wall',
    'nobody-draws',
    [
      ['leak-in-wall', 0.92],
      ['pipe-expands', 0.07],
    ],
  ],
  ['gas', 'thump-at-start', undefined, undefined, [['late-ignition', 0.81]]],
  ['gas', 'bang', undefined, 'tap-shuts', [['water-hammer', 0.99]]],
  ['gas', 'rattle', 'flue', undefined, [['baffle-rattles', 0.92]]],
];

let made = 0;
const saw = (check: string, value: string | undefined): Entry[] =>
  value === undefined
    ? []
    : [
        {
          id: `e${++made}`,
          at: `2026-01-05T08:00:${String(made % 60).padStart(2, '0')}Z`,
          kind: 'observation',
          check,
          value,
        },
      ];

describe('a noise', () => {
  it.each(examples)('on %s: %s at %s, %s', (fuel, sound, where, when, ranked) => {
    const { causes } = locateNoise(
      [...saw('noise-sound', sound), ...saw('noise-where', where), ...saw('noise-when', when)],
      fuel,
    );
    ranked.forEach(([id, chance], k) => {
      expect(causes[k]!.id).toBe(id);
      expect(Math.abs(causes[k]!.probability - chance)).toBeLessThanOrEqual(0.011);
    });
  });

  it('has causes whose shares sum to 1, over values that its looks can have', () => {
    const keys = { sound: 'noise-sound', where: 'noise-where', when: 'noise-when' } as const;
    for (const [id, cause] of Object.entries(tables.causes)) {
      for (const [key, check] of Object.entries(keys)) {
        const shares = cause[key as keyof typeof keys] as Readonly<Record<string, number>>;
        const sum = Object.values(shares).reduce((all, each) => all + each, 0);
        expect(Math.abs(sum - 1), `${id} ${key}`).toBeLessThan(0.03);
        expect(Object.keys(shares).sort()).toEqual(
          Object.keys(workLooks[check]!.words.answers!).sort(),
        );
      }
    }
  });

  it('asks first what tells most, and says of the usual ones that they are harmless', () => {
    const { next, isBegun } = locateNoise([], 'gas');
    expect(isBegun).toBe(false);
    expect(next?.check).toBe('noise-sound');
    const ticks = locateNoise(saw('noise-sound', 'tick-crack'), 'electric');
    expect(ticks.causes[0]).toMatchObject({ isHarmless: true, repair: 'none-in-unit' });
  });

  it('takes looks of the unit for evidence, and the confirming look for that of the leader', () => {
    const rumble = saw('noise-sound', 'rumble-boil-pop');
    const before = locateNoise(rumble, 'electric').causes[0]!.probability;
    const grit = locateNoise([...rumble, ...saw('drain-look', 'grit')], 'electric').causes[0]!;
    expect(grit.id).toBe('sediment');
    expect(grit.probability).toBeGreaterThan(before);
    const clear = locateNoise([...rumble, ...saw('drain-look', 'clear')], 'electric');
    expect(clear.causes[0]!.id).not.toBe('sediment');
    const seen = locateNoise(
      [...saw('noise-sound', 'bang'), ...saw('noise-confirm', 'seen')],
      'gas',
    );
    expect(seen.causes[0]).toMatchObject({ id: 'water-hammer' });
  });

  it('is left alone by values that the tables do not know', () => {
    expect(locateNoise(saw('drain-look', 'toString'), 'gas').isBegun).toBe(false);
  });
});
