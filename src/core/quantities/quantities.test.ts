import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromKept, parseReading, toKept, unitOf, units, valueText } from '.';

const ohms = { quantity: 'resistance', system: 'us', loneOneIsDoubtful: true } as const;

describe('conversion', () => {
  // NIST SP 811 (2008), appendix B.
  it.each([
    [1, 'bar', 'psi', 14.5038],
    [1, 'gal', 'L', 3.785412],
    [1, 'kW', 'BTU/h', 3412.14],
    [122, '°F', '°C', 50],
    [-40, '°C', '°F', -40],
    [18, '°F diff', 'K', 10],
  ])('%d %s is in %s %d', (value, from, to, expected) => {
    const converted = fromKept(toKept(value, unitOf(from)), unitOf(to));
    expect(converted).toBeCloseTo(expected, Math.abs(expected) > 100 ? 2 : 4);
  });

  it('comes back unchanged from any unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (unit, value) => {
          expect(fromKept(toKept(value, unit), unit)).toBeCloseTo(value, 6);
        },
      ),
    );
  });
});

describe('what a person types', () => {
  it.each([
    ['12,8', 12.8],
    ['12.8 ohm', 12.8],
    ['12.8Ω', 12.8],
    ['1.2k', 1200],
    ['0', 0],
    ['.5', 0.5],
    ['2 MΩ', 2e6],
    ['2M', 2e6],
    ['2 meg', 2e6],
    ['2 MEG', 2e6],
    ["2'100'000", 2.1e6],
    ['2 100 000', 2.1e6],
    ['4 K', 4000],
    ['1.0', 1],
    ['1 ohm', 1],
  ])('%s is %d Ω', (text, value) => {
    expect(parseReading(text, ohms)).toEqual({ kind: 'value', value });
  });

  it.each(['OL', 'ol', 'O.L', '0L', '∞', 'over range'])('%s is over range', (text) => {
    expect(parseReading(text, ohms)).toEqual({ kind: 'over-range' });
  });

  it('asks back a lone 1 on an element', () => {
    expect(parseReading('1', ohms)).toMatchObject({
      kind: 'ask',
      choices: [
        { meaning: { kind: 'over-range' } },
        { label: '1.0 Ω', meaning: { kind: 'value', value: 1 } },
      ],
    });
  });

  it('asks back 1,200, which is 1.2 to some and 1200 to others', () => {
    const parsed = parseReading('1,200', ohms);
    expect(parsed).toMatchObject({ kind: 'ask' });
    expect(
      parsed.kind === 'ask' &&
        parsed.choices.map(({ meaning }) => meaning.kind === 'value' && meaning.value),
    ).toEqual([1.2, 1200]);
  });

  it('takes a bare temperature in the unit of the reader', () => {
    expect(parseReading('122', { quantity: 'temperature', system: 'us' })).toMatchObject({
      value: expect.closeTo(50, 6) as number,
    });
    expect(parseReading('50', { quantity: 'temperature', system: 'metric' })).toMatchObject({
      value: 50,
    });
  });

  it.each([
    ['about twelve', /not a number/],
    ['-4', /never below zero/],
    ['1e9', /OL/],
    ['240 V', /another quantity.*ohms/],
    ['12 parsecs', /no unit/],
    ['', /Nothing is typed/],
    ['1.2.3', /not one number/],
    ['12 12', /not one number/],
    ['1 23', /not one number/],
    ["1'2345", /not one number/],
    ['12m', /thousandth/],
    ['12 mΩ', /thousandth/],
    ['12 mohm', /thousandth/],
    ['--', /not a number/],
  ])('refuses %j and says why', (text, message) => {
    const parsed = parseReading(text, ohms);
    expect(parsed.kind).toBe('problem');
    expect(parsed.kind === 'problem' && parsed.message).toMatch(message);
  });

  it('refuses OL where only a number can be shown', () => {
    expect(parseReading('OL', { quantity: 'voltage-ac', system: 'us' })).toMatchObject({
      kind: 'problem',
    });
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(['value', 'over-range', 'ask', 'problem']).toContain(parseReading(text, ohms).kind);
      }),
    );
  });
});

describe('what is shown', () => {
  it.each([
    [12.8, 'resistance', 'us', '12.8 Ω'],
    [3456, 'resistance', 'us', '3.46 kΩ'],
    [2.1e6, 'resistance', 'us', '2.10 MΩ'],
    [239.6, 'voltage-ac', 'us', '240 V'],
    [18.75, 'current-ac', 'metric', '18.8 A'],
    [50, 'temperature', 'us', '122 °F'],
    [189.27, 'volume', 'us', '50 gal'],
    [-0.01, 'resistance', 'us', '0.0 Ω'],
  ] as const)('%d of %s for a %s reader is %s', (kept, quantity, system, text) => {
    expect(valueText(kept, quantity, system)).toBe(text);
  });
});
