import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CircuitError, solveCircuit, type Netlist } from '.';

const divider: Netlist = {
  ground: 'g',
  resistors: [
    { id: 'top', from: 'supply', to: 'middle', ohm: 100 },
    { id: 'bottom', from: 'middle', to: 'g', ohm: 300 },
  ],
  sources: [{ id: 's', node: 'supply', volt: 240 }],
};

describe('the circuit solver', () => {
  it('divides a voltage as two resistors do', () => {
    const solved = solveCircuit(divider);
    expect(solved.voltageAt('middle')).toBeCloseTo(180, 4);
    expect(solved.currentThrough('top')).toBeCloseTo(0.6, 6);
    expect(solved.powerIn('bottom')).toBeCloseTo(108, 4);
  });

  it('sees two resistors in parallel from between them, with the source at 0 V', () => {
    expect(solveCircuit(divider).probeResistance('middle', 'g').value).toBeCloseTo(75, 4);
  });

  it('gives the sensitivities that a small change of a resistor shows', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 500, noNaN: true }), { minLength: 5, maxLength: 5 }),
        fc.integer({ min: 0, max: 4 }),
        (ohms, changed) => {
          const bridge = (change: number): Netlist => ({
            ground: 'g',
            resistors: (
              [
                ['supply', 'left'],
                ['supply', 'right'],
                ['left', 'g'],
                ['right', 'g'],
                ['left', 'right'],
              ] as const
            ).map(([from, to], index) => ({
              id: `r${index}`,
              from,
              to,
              ohm: ohms[index]! * (index === changed ? 1 + change : 1),
            })),
            sources: [{ id: 's', node: 'supply', volt: 120 }],
          });
          const step = 1e-4;
          const [below, at, above] = [-step, 0, step].map((each) => solveCircuit(bridge(each)));
          for (const probe of ['voltage', 'resistance', 'current'] as const) {
            const read = (solved: typeof at) =>
              probe === 'voltage'
                ? solved!.probeVoltage('left', 'right')
                : probe === 'resistance'
                  ? solved!.probeResistance('left', 'right')
                  : solved!.probeCurrent('r2');
            // A magnitude has a kink at zero: no slope there.
            if (read(at).value < 1e-2) continue;
            const slope = (read(above).value - read(below).value) / (2 * step * ohms[changed]!);
            expect(Math.abs(read(at).sensitivity(changed) - slope)).toBeLessThan(
              1e-5 + 1e-4 * Math.abs(slope),
            );
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it.each([0, -3, Number.NaN, 1e12])('refuses a resistor of %d Ω', (ohm) => {
    const bad = { ...divider, resistors: [{ id: 'bad', from: 'supply', to: 'g', ohm }] };
    expect(() => solveCircuit(bad)).toThrow(CircuitError);
  });

  it('refuses two sources that fight', () => {
    const fighting = {
      ...divider,
      sources: [...divider.sources, { id: 't', node: 'supply', volt: 230 }],
    };
    expect(() => solveCircuit(fighting)).toThrow(/no single solution/);
  });

  it('adds two legs of a three-phase supply as phasors: 120 V each, 208 V between them', () => {
    const legs = solveCircuit({
      ground: 'g',
      resistors: [{ id: 'element', from: 'leg-1', to: 'leg-2', ohm: 12.8 }],
      sources: [
        { id: 'one', node: 'leg-1', volt: 120 },
        { id: 'two', node: 'leg-2', volt: -60, quadratureVolt: 120 * Math.sin((2 * Math.PI) / 3) },
      ],
    });
    expect(legs.voltageAt('leg-2')).toBeCloseTo(120, 9);
    expect(legs.probeVoltage('leg-1', 'leg-2').value).toBeCloseTo(120 * Math.sqrt(3), 6);
    // Joule's law: a 4500 W element for 240 V gives 3380 W at 208 V.
    expect(legs.powerIn('element')).toBeCloseTo(3375, 0);
  });

  it('keeps its digits where 10 mΩ stands beside 1 GΩ', () => {
    const solved = solveCircuit({
      ground: 'g',
      resistors: [
        { id: 'wire', from: 'supply', to: 'a', ohm: 0.01 },
        { id: 'open', from: 'a', to: 'b', ohm: 1e9 },
        { id: 'leak', from: 'b', to: 'g', ohm: 3e6 },
      ],
      sources: [{ id: 's', node: 'supply', volt: 240 }],
    });
    const expected = 240 / (0.01 + 1e9 + 3e6);
    expect(Math.abs(solved.currentThrough('open') / expected - 1)).toBeLessThan(1e-3);
    expect(solved.probeVoltage('supply', 'a').value / (expected * 0.01)).toBeGreaterThan(0.9);
  });

  it('names the node it does not know', () => {
    expect(() => solveCircuit(divider).probeResistance('middle', 'nowhere')).toThrow(/nowhere/);
  });
});
