export {
  depthOfShare,
  pocketMillimetre,
  pocketShare,
  sensorReading,
  shareAndOffset,
  shareOfPair,
  type SensorPair,
} from './pocket';
export { pocketCourse, type PocketCourse, type PocketStretch } from './pocket-log';
export {
  drivenWater,
  limitMarginKelvin,
  performanceRatio,
  riseIn,
  roomOvershoot,
  type Driven,
} from './driven-water';
