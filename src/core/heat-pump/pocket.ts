/**
 * A sensor in a pocket reads between the water and the room, by how far it is in: the wall of the pocket gives it the water,
 * its cable and the air at the mouth give it the room. Common practice, for a pocket of 100 mm.
 */

/** How deep a usual pocket is, mm. */
export const pocketMillimetre = 100;
/** What the tip of a sensor takes up beyond where it stands, mm. */
const tipMillimetre = 4;
/** Depth over which the room dies away, mm. */
const dyingMillimetre = 30;
/** A difference between water and room under which nothing is told of a sensor, K. */
const leastDifferenceKelvin = 6;

/** Share of the water in what a sensor reads, nought to one, that stands so deep in its pocket. */
export const pocketShare = (depthMillimetre: number): number =>
  1 - Math.exp(-(Math.max(0, depthMillimetre) + tipMillimetre) / dyingMillimetre);

/** The depth in mm that a share stands for, from nought to the whole pocket. */
export function depthOfShare(share: number): number {
  if (share >= pocketShare(pocketMillimetre)) return pocketMillimetre;
  return Math.max(0, -dyingMillimetre * Math.log(1 - share) - tipMillimetre);
}

/** What a sensor reads of such water in such a room, °C. */
export const sensorReading = (
  waterCelsius: number,
  roomCelsius: number,
  { share, offsetKelvin = 0 }: { readonly share: number; readonly offsetKelvin?: number },
): number => roomCelsius + share * (waterCelsius - roomCelsius) + offsetKelvin;

/** Share of the water by one pair of readings; undefined where water and room are too near each other to tell. */
export function shareOfPair(
  readoutCelsius: number,
  contactCelsius: number,
  roomCelsius: number,
): number | undefined {
  const difference = contactCelsius - roomCelsius;
  if (Math.abs(difference) < leastDifferenceKelvin) return undefined;
  return (readoutCelsius - roomCelsius) / difference;
}
