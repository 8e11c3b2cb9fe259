/**
 * What a radio link of a household control has over what it needs, in decibels: short devices at 868 MHz indoors. Free space for
 * the first metre, a loss exponent of three beyond; walls and floors on top. Common practice; the path's constants from memory.
 */
export interface RadioPath {
  readonly metre: number;
  readonly walls: number;
  readonly floors: number;
}

const transmitDecibelMilliwatt = 10;
const sensitivityDecibelMilliwatt = -105;
/** Free space at one metre and 868 MHz: 20·lg(4π·868e6/c). */
const firstMetreDecibel = 31.2;
const lossExponent = 3;
const wallDecibel = 6;
const floorDecibel = 12;

/** Margin of a path between devices that stand free, dB. */
export function pathMargin({ metre, walls, floors }: RadioPath): number {
  const loss =
    firstMetreDecibel +
    10 * lossExponent * Math.log10(Math.max(1, metre)) +
    wallDecibel * walls +
    floorDecibel * floors;
  return transmitDecibelMilliwatt - sensitivityDecibelMilliwatt - loss;
}

const touchingDecibel = 38;
const fadesOverMillimetre = 110;

/**
 * What metal or another radio beside a device costs, dB: 38 where they touch, 2.5 at 300 mm, which is the usual least distance.
 * @param millimetre To the nearest of them.
 */
export const nearLoss = (millimetre: number): number =>
  touchingDecibel * Math.exp(-Math.max(0, millimetre) / fadesOverMillimetre);

const fullVolt = 2.6;
const weakVolt = 2.3;
const weakDecibel = 6;
/** Below this a device of two cells sends nothing. */
export const silentVolt = 2.2;

/** What tired cells cost a sender of two cells, dB. */
export const batteryLoss = (volt: number): number =>
  Math.max(0, ((fullVolt - volt) / (fullVolt - weakVolt)) * weakDecibel);

const edgeDecibel = -1;
const edgeSpread = 2;

/** Chance that one message of a link gets through. */
export const messageChance = (marginDecibel: number): number =>
  1 / (1 + Math.exp(-(marginDecibel - edgeDecibel) / edgeSpread));

/** What a device's own test of a link says of its margin. */
export const signalWords = (marginDecibel: number): 'good' | 'poor' | 'none' =>
  marginDecibel > 8 ? 'good' : marginDecibel > edgeDecibel ? 'poor' : 'none';
