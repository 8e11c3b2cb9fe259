import type { BalancedRadiator, BalancingFinding, RadiatorKind } from '@/core/balancing';
import type { BalancingEntry } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { valueWords } from './words';

export const radiatorKindWords: Readonly<Record<RadiatorKind, string>> = {
  '10': 'single panel',
  '11': 'single panel, fins',
  '21': 'two panels, one row of fins',
  '22': 'two panels, two rows',
  '33': 'three panels',
  column: 'columns',
  towel: 'towel rail',
};

export const asideWords: Readonly<Record<NonNullable<BalancingEntry['aside']>, string>> = {
  starved: 'starved although the others are throttled',
  sludge: 'cold below: sludge',
  air: 'cold above: air',
  shut: 'its branch is shut',
  'too-small': 'too small for its room',
  'valve-stuck': 'its valve is stuck',
  other: 'for another reason',
};

export const endedWords: Readonly<Record<NonNullable<BalancingEntry['ended']>, string>> = {
  even: 'even',
  'nothing-gains': 'no valve gains any more',
  stopped: 'stopped by hand',
};

/** Turns as a key counts them: quarters and eighths by name, the rest as a number; fully open in words. */
export function turnsWords(turns: number): string {
  if (turns >= 4) return 'fully open';
  const whole = Math.floor(turns);
  const named: Readonly<Record<string, string>> = {
    '0.12': '⅛',
    '0.18': 'just under ¼',
    '0.25': '¼',
    '0.31': 'just over ¼',
    '0.375': '⅜',
    '0.44': 'just under ½',
    '0.5': '½',
    '0.625': '⅝',
    '0.75': '¾',
  };
  const part = Math.round((turns - whole) * 1000) / 1000;
  if (part === 0) return `${whole} ${whole === 1 ? 'turn' : 'turns'}`;
  const words = named[String(part)];
  if (words === undefined) return `${turns} turns`;
  return whole === 0 ? `${words} turn` : `${whole}${words} turns`;
}

export function balancingTitle({ phase, radiator }: BalancingEntry): string {
  const of = radiator === undefined ? '' : ` ${radiator}`;
  switch (phase) {
    case 'radiator':
      return `Radiator${of}`;
    case 'warming':
      return 'All valves open, warming up';
    case 'valve':
      return `Lockshield${of}`;
    case 'boiler':
      return 'Flow and return at the boiler';
    case 'surface':
      return `Surface${of}`;
    case 'set-aside':
      return `Left out of the balance:${of}`;
    case 'taken-in':
      return `Back in the balance:${of}`;
    case 'changed':
      return 'Pump or a radiator changed: turns are void';
    case 'ended':
      return 'Balancing ended';
  }
}

export function balancingResult(entry: BalancingEntry, system: UnitSystem): string {
  const celsius = (value: BalancingEntry['top']) =>
    value === undefined ? undefined : valueWords(value, system, 'temperature');
  switch (entry.phase) {
    case 'radiator':
      return [
        entry.room,
        entry.radiatorKind && radiatorKindWords[entry.radiatorKind],
        ...[entry.width, entry.height].map((each) => each && valueWords(each, system, 'length')),
      ]
        .filter(Boolean)
        .join(', ');
    case 'valve':
      return `${turnsWords(entry.turnsFromShut ?? 0)}${entry.as === 'found' ? ', as found' : ''}`;
    case 'boiler':
      return [entry.flow, entry.return].map(celsius).filter(Boolean).join(' and ');
    case 'surface':
      return [entry.top, entry.bottom].map(celsius).filter(Boolean).join(' above, ');
    case 'set-aside':
      return asideWords[entry.aside ?? 'other'];
    case 'warming':
      return entry.found ? `found: ${entry.found}` : '';
    case 'ended':
      return [
        endedWords[entry.ended ?? 'stopped'],
        entry.isRestored ? 'heads, thermostat and boiler as found' : undefined,
      ]
        .filter(Boolean)
        .join('; ');
    default:
      return '';
  }
}

/** What stands out, as a question: never a verdict. */
export function findingWords(
  finding: BalancingFinding,
  radiators: readonly BalancedRadiator[],
  kelvin: (value: number) => string,
): string {
  const room = 'radiator' in finding ? radiators[finding.radiator]!.room : '';
  switch (finding.kind) {
    case 'starved':
      return `${room}: hardly any water although the others are throttled. Look at this one first: lockshield open and is not, head of the valve down, pin stuck, sludge, air, or a long thin branch. Leave it out until it is cleared.`;
    case 'sludge':
      return `${room}: warm above and far colder below than its flow explains. Sludge is likely; a lockshield does not cure it.`;
    case 'air':
      return `${room}: hotter below than above. Bleed it first, then read it again.`;
    case 'shut':
      return `${room}: hardly warm with its lockshield open. Is the branch shut, or its thermostatic head?`;
    case 'flat-and-low':
      return 'The whole house is even and low: flow temperature, pump or boiler, and not the balance.';
    case 'flow-small':
      return `${kelvin(finding.dropKelvin)} between flow and return with all open: too little water in all. Pump setting, filter, primary circuit.`;
    case 'flow-large':
      return `${kelvin(finding.dropKelvin)} between flow and return: more pump than it needs. A lower speed makes the balance easier.`;
  }
}
