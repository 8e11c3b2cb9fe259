/**
 * Analyses of flue gas in a job: each as it was entered with all that follows, before and after the repair, at high fire and at
 * low; and what an analyser printed, read in.
 *
 * @example
 * const { figures } = readPrintout([['O2', '4.7', '%'], ['CO', '38', 'ppm'], ['T flue', '131', '°F']], 'metric');
 * printedValues(figures) // { oxygen: { percent: 4.7 }, carbonMonoxide: { ppm: 38 }, flueTemperature: { celsius: 55 } }
 */
export * from './printout';
export * from './sheet';
