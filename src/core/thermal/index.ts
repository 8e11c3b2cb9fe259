/**
 * Heat and water: what a flow, a filling and a whole tank do in time, without knowing what heats them.
 *
 * @example
 * const half = { inputWatt: 4500, efficiency: 1, riseKelvin: 50 };
 * const tank = {
 *   volumeLitre: 189,
 *   heaters: [{ height: 0.66 }, { height: 0.12 }],
 *   thermostats: [
 *     { height: 0.7, cutOutCelsius: 52, differentialKelvin: 6 },
 *     { height: 0.17, cutOutCelsius: 50, differentialKelvin: 6 },
 *   ],
 *   lossWattPerKelvin: 1.7,
 *   inlet: 'bottom',
 * };
 * const power = (calling) => (calling & 1 ? [4500, 0] : calling & 2 ? [0, 4500] : [0, 0]);
 * const cold = { startCelsius: 15, coldCelsius: 15, roomCelsius: 20, draws: [], power };
 * Math.round(plateRecoveryGallonPerHour(half)) // 21
 * Math.round(runTank(tank, { ...cold, seconds: 1800 }).endCelsius.at(-1)) // 44
 * runTank(tank, { ...cold, seconds: 7200 }).calling // 0
 */
export * from './by-clock';
export * from './expansion';
export * from './flow-heat';
export * from './heating-time';
export * from './log';
export * from './mixing';
export * from './recovery';
export * from './standing-loss';
export * from './tank';
export * from './usable-volume';
export * from './water';
