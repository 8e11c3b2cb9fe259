/** Conductors and covers as they are spoken of. */

export const conductorWords: Readonly<Record<string, string>> = {
  'splice-1': 'splice 1',
  'splice-2': 'splice 2',
  'w-supply-1': 'wire to limit 1',
  'w-supply-2': 'wire to limit 3',
  'strap-limit': 'strap from limit 2',
  'w-upper-a': 'wire to upper element a',
  'w-upper-b': 'wire to upper element b',
  'w-lower-feed': 'wire between the thermostats',
  'w-lower-a': 'wire to lower element a',
  'w-lower-b': 'wire to lower element b',
  bond: 'earth bond',
};

export const coverWords: Readonly<Record<string, string>> = {
  upper: 'upper cover',
  lower: 'lower cover',
  'junction-box': 'junction box',
};
