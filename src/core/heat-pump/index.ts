export {
  depthOfShare,
  pocketMillimetre,
  pocketShare,
  sensorReading,
  shareAndOffset,
  shareOfPair,
  type SensorPair,
} from './pocket';
export {
  drivenWater,
  limitMarginKelvin,
  performanceRatio,
  riseIn,
  roomOvershoot,
  type Driven,
} from './driven-water';
