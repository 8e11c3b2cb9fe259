export { freeEndOf } from './plan';
export { WiringPicture, type WiringPictureProps } from './wiring-picture';
