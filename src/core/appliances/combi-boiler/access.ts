import { fireAccess, fireEffects, fireStops } from '../gas-fired/access';
import type { CheckEffects } from '../kit/effects';
import type { AccessDeclaration, AccessFactDeclaration } from '../kit/signal/declaration';

/** What has to be so for a check, in the order in which it is made so. */
const facts: readonly AccessFactDeclaration[] = [
  ...fireAccess.facts,
  {
    id: 'drained',
    order:
      'Draw the boiler down: flow, return and cold isolated, cooled, hot tap open, electrics covered',
    undo: 'Refill to 1 to 1.5 bar with the boiler off, vented, no drips',
    with: ['power-off'],
  },
  {
    id: 'cold-off',
    order: 'Cold off, pressure let off at a tap',
    undo: 'Open the cold with a hot tap open, then shut the tap: no drips',
  },
  {
    id: 'tap-two-minutes-drawn',
    order: 'Open a tap from cold for two minutes and watch the display: it scalds',
    ends: ['heating-warmed'],
    lapses: true,
  },
  {
    id: 'heating-warmed',
    order: 'Open all radiator valves, room thermostat at its highest, ten minutes',
    ends: ['tap-two-minutes-drawn'],
    lapses: true,
  },
];

const only = (...sets: string[]) => ({ sets, clears: [] as string[] });
const open = ['power-off', 'burner-open', 'drained', 'cold-off'];
/** Powered and filled: nothing stands open. */
const running = (...sets: string[]) => ({ sets, clears: open });
const dead = (...sets: string[]) => ({ sets: ['case', 'power-off', ...sets], clears: [] });

export const access: AccessDeclaration = {
  facts,
  needs: {
    'code-read': { sets: [], clears: ['power-off'] },
    'lockout-reset': running(),
    'setting-look': { sets: [], clears: ['power-off'] },
    'keep-warm-look': { sets: [], clears: ['power-off'] },
    'heat-call-look': running(),
    'display-request': running(),
    'fire-attempt-tap': running(),
    'fire-attempt-heating': running(),
    'burner-two-minutes': running('tap-two-minutes-drawn'),
    'flow-temperature-rise': running('tap-two-minutes-drawn'),
    'display-flow-temperature-peak': running('tap-two-minutes-drawn'),
    'tap-two-minutes': running('tap-two-minutes-drawn'),
    'tap-flow': running(),
    'display-tap-flow': running(),
    'tap-temperature': running(),
    'tap-test-low-difference': running(),
    'tap-test-middle-difference': running(),
    'tap-test-high-difference': running(),
    'throttle-tap': running(),
    'other-outlet': running(),
    'flow-return-difference-tap': running(),
    'flow-return-difference-heating': running('heating-warmed'),
    'display-flow-temperature-heating': running('heating-warmed'),
    'flow-pipe-temperature-heating': running('heating-warmed'),
    'radiator-mean-temperature': running('heating-warmed'),
    'radiator-look': running('heating-warmed'),
    'heating-pipe-temperature-with-tap': running(),
    'pressure-gauge': { sets: [], clears: ['drained'] },
    'display-pressure': { sets: [], clears: ['power-off', 'drained'] },
    'pressure-hot': running('heating-warmed'),
    'pressure-change-in-a-day': { sets: [], clears: ['drained'] },
    'vessel-valve-look': { sets: ['power-off'], clears: [] },
    'vessel-charge': dead('drained'),
    'vent-bleed': dead(),
    'pump-feel': running('case'),
    'pump-power': running('case'),
    'filter-look': { sets: ['power-off'], clears: [] },
    'noise-look': running(),
    'hose-bore': dead('drained'),
    'hose-look': dead(),
    'plate-look': dead('drained'),
    'diverter-look': { sets: ['case'], clears: ['power-off', 'drained'] },
    'tap-filter-look': { sets: ['power-off', 'cold-off'], clears: [] },
    'tap-turbine-look': { sets: ['case', 'cold-off'], clears: ['power-off'] },
    'supply-volts': { sets: ['case', 'live'], clears: ['power-off'] },
    'fuse-ohms-look': dead(),
    'control-dc-volts': { sets: ['case', 'live'], clears: ['power-off'] },
    'gas-pressure-static': { sets: ['no-gas-smell', 'case', 'manometer'], clears: ['burner-open'] },
    'gas-pressure-running': running('no-gas-smell', 'case', 'manometer'),
    'gas-rate': running(),
    'spark-look': running('case'),
    'electrode-look': dead('no-gas-smell', 'burner-open'),
    'flame-current': running('case'),
    'fan-speed-percent': running(),
    'flue-look': only('ladder'),
    'limit-ohms': dead(),
    co2: running('analyser'),
    'co-ratio': running('analyser'),
    'tap-sensor-difference': dead(),
    'flow-sensor-difference': dead(),
  },
};

/** What a result changes of what is so. */
export const effects: Readonly<Record<string, CheckEffects>> = fireEffects;

export const stops = fireStops;
