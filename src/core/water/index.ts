/**
 * Water that is pushed through things and warmed on its way: nets of pipes, pumps and valves, exchangers, burners, sensors, and
 * a tap from the moment that it opens. It knows no appliance.
 *
 * @example
 * Math.round(drawLimit(24_000, 35) * 10) / 10 // 9.8
 * Math.round(counterflowEffectiveness(1, 0.7) * 1e4) / 1e4 // 0.5384
 * const mains = resistance('heater', ['mains', 'tap'], 10);
 * Math.round(litrePerMinute(solveNet({ links: [mains], fixed: { mains: 4e5, tap: 0 } }).flow.heater)) // 20
 */
export * from './burner';
export * from './consequences';
export * from './exchanger';
export * from './friction';
export * from './known-taps';
export * from './links';
export * from './network';
export * from './properties';
export * from './radiator';
export * from './turbine';
export * from './tap-control';
export * from './tap-log';
export * from './tap-run';
export * from './three-points';
export * from './vessel';
