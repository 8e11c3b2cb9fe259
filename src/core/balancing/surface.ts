/** What an infrared thermometer sees of a radiator's paint, square on from a hand's breadth. Coefficients are common practice. */

export interface Surfaces {
  readonly topCelsius: number;
  readonly bottomCelsius: number;
}

/** Paint is a little cooler than the water behind it. */
const paintShare = 0.03;
const topShare = 0.12;
const bottomShare = 0.1;
/** Beyond a metre the middle of the bottom is colder by nature: at two metres it reads below the return. */
const wideShare = 0.12;

/** What of the water where it enters, and where it leaves, is seen at the top and at the bottom; the rest is the room's. */
export function surfaceShares(widthMetre: number) {
  const ofDrop = bottomShare - wideShare * Math.max(0, widthMetre - 1);
  const water = 1 - paintShare;
  return {
    top: { ofIn: water * (1 - topShare), ofOut: water * topShare },
    bottom: { ofIn: water * ofDrop, ofOut: water * (1 - ofDrop) },
  };
}

/**
 * Top centre and bottom centre of a radiator.
 * @param inCelsius Water that enters it.
 * @param outCelsius Water that leaves it.
 */
export function surfaces(
  inCelsius: number,
  outCelsius: number,
  widthMetre: number,
  roomCelsius: number,
): Surfaces {
  const { top, bottom } = surfaceShares(widthMetre);
  const seen = ({ ofIn, ofOut }: typeof top) =>
    ofIn * inCelsius + ofOut * outCelsius + paintShare * roomCelsius;
  return { topCelsius: seen(top), bottomCelsius: seen(bottom) };
}
