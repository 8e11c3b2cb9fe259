import type { Observation } from '../electrical/observation';
import {
  beeps,
  breakerRecycle,
  dialClick,
  has,
  jointLook,
  jointModes,
  otherOutlet,
  outletFirst,
  presence,
  recovery,
  resetPress,
  useLook,
  warmTest,
} from '../electrical/looks';
import { outcomes } from '../electrical/model';
import { electricStateKey } from '../electrical/state';

/** What a look, a press, a wait or a tap shows under a hypothesis: of the water by the tank, else by tables of common practice. */
export const observations: Readonly<Record<string, Observation>> = {
  'element-beep': beeps('element'),
  'thermostat-click': dialClick('thermostat', 'only', 'topCelsius'),
  'thermostat-warm-test': warmTest('thermostat'),
  'cutout-reset-press': resetPress((hypothesis) =>
    has(
      hypothesis,
      'thermostat.pole-1-open',
      'thermostat.pole-2-open',
      'thermostat.both-poles-open',
    ),
  ),
  'lamp-look': {
    keyOf: electricStateKey,
    predict(hypothesis, state, unit) {
      const solved = unit.solve(hypothesis, state);
      // A milliampere lights it; the hair of current through a leak makes it glimmer at most.
      return outcomes(
        solved.currentThrough('lamp') > 0.3e-3
          ? { lit: 0.97, dark: 0.03 }
          : { lit: 0.03, dark: 0.97 },
      );
    },
  },
  'terminals-look': (hypothesis) => jointLook(jointModes(hypothesis, /^(cable-|w-supply-|pin-)/)),
  'flange-look': (hypothesis) =>
    has(hypothesis, 'flange.damp')
      ? outcomes({ dry: 0.08, damp: 0.92 })
      : outcomes({ dry: 0.96, damp: 0.04 }),
  'supply-presence': presence('supply.1', 'supply.2'),
  'breaker-recycle': breakerRecycle,
  'recovery-after-30-min': recovery,
  'outlet-first': outletFirst,
  'dial-look': (hypothesis) =>
    has(hypothesis, 'dial.low')
      ? outcomes({ usual: 0.06, low: 0.94 })
      : outcomes({ usual: 0.95, low: 0.05 }),
  'other-outlet': otherOutlet,
  'use-look': useLook,
  'scale-look': (hypothesis) =>
    has(hypothesis, 'scale')
      ? outcomes({ clean: 0.04, scaled: 0.96 })
      : outcomes({ clean: 0.9, scaled: 0.1 }),
};
