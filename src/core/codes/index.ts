/** Codes of controls: packs of them, and light patterns by a thumb that taps along. */
export * from './code-pack';
export type { CodePack } from './generated/code-pack-types';
export * from './light-pattern';
export * from './recognise';
