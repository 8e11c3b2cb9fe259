export { WiringPicture, type WiringPictureProps } from './wiring-picture';
