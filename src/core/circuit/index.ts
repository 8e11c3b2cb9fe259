export * from './netlist';
export * from './numbering';
export * from './solve';
