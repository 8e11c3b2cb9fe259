/** Conductors and covers as they are spoken of. */

export const conductorWords: Readonly<Record<string, string>> = {
  'cable-1': 'live core of the cable',
  'cable-2': 'neutral core of the cable',
  'w-supply-1': 'live wire to the thermostat',
  'w-supply-2': 'neutral wire to the thermostat',
  'pin-a': 'pin at element a',
  'pin-b': 'pin at element b',
  bond: 'earth bond',
};

export const coverWords: Readonly<Record<string, string>> = { cap: 'cap' };
