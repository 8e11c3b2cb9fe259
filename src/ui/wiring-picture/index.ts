export { freeEndOf } from './plan';
export { WiringPicture } from './wiring-picture';
