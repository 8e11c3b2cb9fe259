/**
 * Networks of resistances and sources, solved by nodal analysis, in ohms, volts and amperes.
 *
 * @example
 * const halves = [
 *   { id: 'a', from: 'live', to: 'middle', ohm: 10 },
 *   { id: 'b', from: 'middle', to: 'neutral', ohm: 30 },
 * ];
 * const sources = [{ id: 'mains', node: 'live', volt: 240 }];
 * const solved = solveCircuit({ ground: 'neutral', resistors: halves, sources });
 * Math.round(solved.probeVoltage('middle', 'neutral').value) // 180
 */

export * from './netlist';
export * from './numbering';
export * from './relays';
export * from './solve';
