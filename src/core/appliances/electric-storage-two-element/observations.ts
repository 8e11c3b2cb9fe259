import type { Observation } from '../electrical/observation';
import {
  beeps,
  breakerRecycle,
  dialClick,
  dipTubeLook,
  drawWatched,
  has,
  jointLook,
  jointModes,
  otherOutlet,
  outletAfterFiveMinutes,
  outletFirst,
  presence,
  recovery,
  resetPress,
  useLook,
  warmTest,
} from '../electrical/looks';
import { outcomes } from '../electrical/model';

/** What a look, a press, a wait or a tap shows under a hypothesis: of the water by the tank, else by tables of common practice. */

export const observations: Readonly<Record<string, Observation>> = {
  'limit-reset-press': resetPress((hypothesis) =>
    has(hypothesis, 'limit.pole-1-open', 'limit.pole-2-open', 'limit.both-poles-open'),
  ),
  'splices-look': (hypothesis) => jointLook(jointModes(hypothesis, /^splice-/)),
  'wiring-look': (hypothesis) =>
    jointLook(
      has(hypothesis, 'wiring.crossed-2-4') ? ['open'] : jointModes(hypothesis, /^(w-|strap-)/),
    ),
  'upper-element-beep': beeps('upper-element'),
  'lower-element-beep': beeps('lower-element'),
  'upper-thermostat-warm-test': warmTest('upper-thermostat'),
  'lower-thermostat-warm-test': warmTest('lower-thermostat'),
  'upper-thermostat-click': dialClick('upper-thermostat', 'upper', 'topCelsius'),
  'lower-thermostat-click': dialClick('lower-thermostat', 'lower', 'bottomCelsius'),
  'supply-presence': presence('limit.1', 'limit.3'),
  'breaker-recycle': breakerRecycle,
  'recovery-after-30-min': recovery,
  'outlet-first': outletFirst,
  'outlet-after-5-min': outletAfterFiveMinutes,
  'dip-tube-draw': drawWatched,
  'dials-look': (hypothesis) => {
    if (has(hypothesis, 'dials.low')) return outcomes({ equal: 0.05, unequal: 0.1, low: 0.85 });
    if (has(hypothesis, 'dials.unequal')) return outcomes({ equal: 0.05, unequal: 0.9, low: 0.05 });
    return outcomes({ equal: 0.85, unequal: 0.12, low: 0.03 });
  },
  'other-outlet': otherOutlet,
  'use-look': useLook,
  'flush-look': (hypothesis) =>
    has(hypothesis, 'sediment')
      ? outcomes({ clear: 0.1, grit: 0.9 })
      : outcomes({ clear: 0.88, grit: 0.12 }),
  'dip-tube-look': dipTubeLook,
};
