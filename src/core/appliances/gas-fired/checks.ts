import type { CheckWords } from '../family';
import { looked, read } from '../kit/check-words';

const live = { caution: 'live' } as const;
const gas = { caution: 'gas' } as const;
const carbonMonoxide = { caution: 'carbon-monoxide' } as const;

/** Checks of any fan-assisted burner, as the technician meets them. */
export const fireChecks: Readonly<Record<string, CheckWords>> = {
  'code-read': looked('Code', 'Read the display. After one reset, read it again.', {
    none: 'none shown',
  }),
  'supply-look': looked('Supply', 'Breaker, residual-current device, plug or spur, switch.', {
    on: 'on',
    tripped: 'tripped',
    off: 'off',
  }),
  'gas-smell-sniff': looked(
    'Smell for gas',
    'Smell at meter, heater and floor level, before anything is switched.',
    { none: 'no smell', smell: 'gas smelled' },
    'gas',
  ),
  'spark-look': looked(
    'Spark',
    'Sight glass, while it tries. Never touch the lead: high voltage.',
    { strong: 'strong', weak: 'weak', none: 'none', 'no-try': 'it does not try' },
    'live',
  ),
  'flue-look': looked(
    'Flue and intake',
    'Terminal, intake screen and every joint. An open joint means off until it is made good.',
    { clear: 'clear', blocked: 'blocked', 'joint-open': 'a joint is open' },
    'carbon-monoxide',
  ),
  'condensate-look': looked('Condensate', 'Trap and pipe: does it drain? Condensate is acid.', {
    drains: 'drains',
    blocked: 'blocked or frozen',
  }),
  'fuse-ohms-look': looked(
    'Fuse of the control',
    'Power off. Fuse out of its holder, ohms through it.',
    {
      whole: 'whole',
      open: 'open',
    },
  ),
  'supply-volts': read(
    'Volts at the terminals',
    'Case off, powered: one hand, insulated probes, L to N.',
    'multimeter',
    live,
  ),
  'control-dc-volts': read(
    'Low volts of the control',
    'Plus and minus of the low-voltage supply.',
    'multimeter',
    live,
  ),
  'gas-pressure-static': read(
    'Gas pressure, nothing burning',
    'Manometer on the inlet nipple of the valve.',
    'manometer',
    gas,
  ),
  'gas-pressure-running': read(
    'Gas pressure at full fire',
    'Manometer on the inlet nipple, full output, every other appliance burning too.',
    'manometer',
    gas,
  ),
  'gas-rate': read(
    'Gas rate',
    'Time the meter at full output with only this burner on.',
    undefined,
  ),
  'flame-current': read(
    'Flame signal',
    'Meter in series with the sensing lead, or the readout, while it burns.',
    'multimeter',
    live,
  ),
  'fan-speed-percent': read('Fan speed', 'On the readout, while it tries or burns.'),
  'limit-ohms': read(
    'Over-temperature device',
    'Power off, cool: ohms through device and fuse.',
    'multimeter',
  ),
  co2: read(
    'Carbon dioxide',
    'Analyser in the flue test point, full output, settled.',
    'combustion-analyser',
    carbonMonoxide,
  ),
  'co-ratio': read(
    'Carbon monoxide over dioxide',
    'Both from one sample at full output: ppm and percent.',
    'combustion-analyser',
    carbonMonoxide,
  ),
};
