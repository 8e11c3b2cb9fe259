export * from './netlist';
export * from './solve';
