import type { Caution } from '../family';

/** Cautions of gas, hot water and acid, at the step; local codes and licensed practice come before these words. */
export const caution = {
  gasWork: {
    sign: 'warning',
    words:
      'Gas work: licensed practice. Leak check at every joint that was opened, and a combustion analysis after.',
  },
  analysis: {
    sign: 'warning',
    words: 'What opens the combustion circuit ends with a combustion reading.',
  },
  gasOff: { sign: 'warning', words: 'Gas cock shut and power off first.' },
  foundShut: {
    sign: 'warning',
    words:
      'Found shut: ask who shut it and why before it is opened. Smelled or unknown: tightness test first.',
  },
  powerOff: { sign: 'electricity', words: 'Power off and proved dead first.' },
  waterOff: { sign: 'hot-water', words: 'Water off, and pressure let off at a port or a tap.' },
  scald: { sign: 'hot-water', words: 'Scalds until it is proved.' },
  acid: {
    sign: 'warning',
    words: 'Acid: gloves, goggles, fresh air. Rinse before a tap is opened to the house.',
  },
  condensate: { sign: 'warning', words: 'Condensate is acid.' },
  carbonMonoxide: {
    sign: 'warning',
    words: 'Carbon monoxide: off until it is right. Air the room; who was in the house?',
  },
  neverBridge: { sign: 'warning', words: 'Never bridge it, not even to try.' },
  trips: {
    sign: 'electricity',
    words: 'A breaker that trips again stays off and is tested dead.',
  },
  settings: {
    sign: 'warning',
    words:
      'Parameters for fuel, altitude and vent as found. Where one was changed: a combustion analysis after.',
  },
  gasket: { sign: 'warning', words: 'A combustion door that was opened gets a new gasket.' },
} as const satisfies Readonly<Record<string, Caution>>;
