/** Where a temperature may be followed, on any unit. A display's readout is `readout-` and the name of its sensor. */
export const logPlaces = [
  'outlet',
  'tank-top',
  'tank-bottom',
  'cold-inlet',
  'upper-cover',
  'lower-cover',
  'hot-pipe',
  'flow-pipe',
  'return-pipe',
  'room',
  'buffer',
] as const;

export type LogPlace = (typeof logPlaces)[number] | `readout-${string}`;

export const isLogPlace = (place: string): place is LogPlace =>
  (logPlaces as readonly string[]).includes(place) || /^readout-[a-z0-9-]{1,60}$/.test(place);
