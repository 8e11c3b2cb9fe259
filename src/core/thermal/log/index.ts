/** Logs of temperatures: cleaned, measured, and explained by a tank. */
export { cyclesOf, heaterAtWork } from './cycles';
export type { Cycles, Stretch } from './cycles';
export { explainerOf, explainLog, tellsSomething } from './explain';
export type { Explained, TankCase, WatchedLog } from './explain';
export { powerFromRise } from './power-from-rise';
export type { PowerFound, WatchedTank } from './power-from-rise';
export { slopeOf } from './slope';
export { stillPart, unrecordedDraws } from './still-part';
export type { Slope } from './slope';
export { celsiusAt, cleanChannel } from './temperature-log';
export type { Dropped, LogChannel, LogSample } from './temperature-log';
