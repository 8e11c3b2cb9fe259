export { freeEndOf } from './plan';
export { UnitPicture } from './unit-picture';
export { CloserPicture } from './closer-picture';
