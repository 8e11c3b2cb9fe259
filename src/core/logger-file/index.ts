/**
 * Files of temperature loggers, whatever they call their columns: guessed, shown, and read.
 *
 * @example
 * const rows = [['Zeit', 'Oben °C'], ['02.03.2026 08:00', '48,5'], ['02.03.2026 08:01', '48,7']];
 * const mapping = guessColumns(rows, 'metric');
 * mapping.decimal // 'comma'
 * readChannels(rows, mapping).channels[0].celsius // [48.5, 48.7]
 */
export { guessColumns, type LoggerColumn, type LoggerMapping } from './guess-columns';
export { mostKept, readChannels, type LoggerChannels } from './read-channels';
export type { TimeOrder } from './read-time';
