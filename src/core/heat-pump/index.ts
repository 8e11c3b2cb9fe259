/**
 * Heat pumps by their readouts: sensors in pockets, the water that a held reading drives, what that costs, and what a log of a
 * push shows.
 *
 * @example
 * const out = { share: 0.4, offsetKelvin: 0 }
 * Math.round(depthOfShare(0.4)) // 11
 * drivenWater(35, 20, out, 70).waterCelsius // 57.5
 * drivenWater(35, 20, out, 60).isAtLimit // true
 */

export { depthOfShare, pocketMillimetre, pocketShare, sensorReading, shareOfPair } from './pocket';
export { pocketCourse, type PocketCourse, type PocketStretch } from './pocket-log';
export {
  drivenWater,
  limitMarginKelvin,
  performanceRatio,
  riseIn,
  roomOvershoot,
  type Driven,
} from './driven-water';
