import type { CheckEffects } from '../kit/effects';
import { fireAccess, fireEffects, fireStops } from '../gas-fired/access';
import type { AccessDeclaration, AccessFactDeclaration } from '../kit/signal/declaration';

/** What has to be so for a check, in the order in which it is made so. */
const facts: readonly AccessFactDeclaration[] = [
  ...fireAccess.facts,
  {
    id: 'water-off',
    order: 'Cold off and hot isolation shut, pressure let off at a service port',
    undo: 'Open both isolations slowly, no drips',
    isolates: true,
  },
  {
    id: 'hose',
    order: 'Put a hose on the hot service port, its end in a bucket or drain, secured: it scalds',
    undo: 'Shut the hot port, hose off, hot isolation open',
  },
];

const only = (...sets: string[]) => ({ sets, clears: [] as string[] });
/** Powered and with water: nothing stands open. */
const running = (...sets: string[]) => ({
  sets,
  clears: ['power-off', 'burner-open', 'water-off'],
});
const dead = (...sets: string[]) => ({ sets: ['case', 'power-off', ...sets], clears: [] });

export const access: AccessDeclaration = {
  facts,
  needs: {
    'code-read': { sets: [], clears: ['power-off'] },
    'setting-look': { sets: [], clears: ['power-off'] },
    'other-outlet': running(),
    'second-tap': running(),
    'fire-attempt-tap': running(),
    'tap-flow': running(),
    'tap-temperature': running(),
    'display-flow': running(),
    'seconds-to-hot': running(),
    'outlet-over-two-minutes': running(),
    'hot-isolation-shut-tap': running(),
    'recirculation-shut-tap': running(),
    'service-port-flow': running('hose'),
    'fire-attempt-service-port': running('hose'),
    'service-port-temperature': running('hose'),
    'display-flow-service-port': running('hose'),
    'display-outlet-temperature': running('hose'),
    'display-inlet-temperature': running('hose'),
    'inlet-temperature': running(),
    'inlet-pressure-static': { sets: ['hose'], clears: ['water-off'] },
    'inlet-pressure-running': running('hose'),
    'strainer-look': only('water-off'),
    'flow-sensor-blow': { sets: ['case', 'water-off'], clears: ['power-off'] },
    'flow-sensor-reseat': { sets: ['case', 'water-off'], clears: ['power-off'] },
    'supply-volts': { sets: ['case', 'live'], clears: ['power-off'] },
    'fuse-ohms-look': dead(),
    'control-dc-volts': { sets: ['case', 'live'], clears: ['power-off'] },
    'gas-pressure-static': { sets: ['no-gas-smell', 'case', 'manometer'], clears: ['burner-open'] },
    'gas-pressure-running': running('no-gas-smell', 'case', 'manometer', 'hose'),
    'burner-pressure': running('no-gas-smell', 'case', 'manometer', 'hose'),
    'gas-rate': running('hose'),
    'spark-look': running('case'),
    'flame-current': running('case', 'hose'),
    'gas-valve-volts': running('case', 'live'),
    'fan-speed-percent': running(),
    'air-switch-ohms': running('case'),
    'air-tube-look': dead(),
    'limit-ohms': dead(),
    'flue-look': only('ladder'),
    'leak-look': only('case'),
    'burner-look': dead('no-gas-smell', 'burner-open'),
    'flame-rod-look': dead('no-gas-smell', 'burner-open'),
    co2: running('analyser', 'hose'),
    'co-ratio': running('analyser', 'hose'),
    'outlet-sensor-difference': dead(),
    'inlet-sensor-difference': dead(),
    'earth-look': dead(),
    'noise-look': running(),
    'parameters-look': { sets: [], clears: ['power-off'] },
  },
};

/** What a result changes of what is so. */
export const effects: Readonly<Record<string, CheckEffects>> = {
  ...fireEffects,
  'strainer-look': [{ done: 'strainer-rinsed' }],
  'flow-sensor-reseat': [{ done: 'connector-reseated' }],
};

export const stops = fireStops;
