/**
 * Codes of controls: lists of them, and light patterns by a thumb that taps along.
 *
 * @example
 * patternKey(readLightPattern('S L')) === patternKey(readLightPattern('0.3 1')) // true
 * readLightPattern('steady') // { kind: 'steady' }
 */

export * from './code-pack';
export type { CodePack } from './generated/code-pack-types';
export * from './light-pattern';
export * from './recognise';
