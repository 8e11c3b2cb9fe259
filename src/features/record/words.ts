import { familyOf } from '@/core/appliances';
import type { Entry, JobFile, Measured, Value } from '@/core/job-file';
import { numberOf, quantities, showValue, type Quantity, type UnitSystem } from '@/core/quantities';
import { dateWords } from './date-words';

/** Words of the trade that are the same for every family. */

export const terminalName = (terminal: string): string =>
  terminal.replace(/\.(?=[^.]*$)/, ' ').replaceAll('-', ' ');

export const complaintWords: Readonly<Record<string, string>> = {
  'no-hot-water': 'no hot water',
  'runs-out': 'runs out soon',
  slow: 'slow to recover',
  lukewarm: 'lukewarm',
  'too-hot': 'too hot',
  swings: 'swings hot and cold',
  late: 'comes late',
  noise: 'noise',
  leak: 'leak or damp',
  'trips-breaker': 'trips the breaker',
  'trips-rcd': 'trips the RCD',
  code: 'a code on the display',
  'dead-display': 'dead display',
  'heating-only': 'heating but no hot water',
  'hot-water-only': 'hot water but no heating',
  other: 'something else',
};

export const statusWords: Readonly<Record<string, string>> = {
  new: 'New',
  diagnosing: 'Diagnosing',
  decided: 'Decided',
  repairing: 'Repair begun',
  'waiting-for-part': 'Waiting for a part',
  'closed-repaired': 'Closed, repaired',
  'closed-not-repaired': 'Closed, not repaired',
};

export function measuredOf(
  value: Value | Measured,
): { quantity: Quantity; kept: number } | undefined {
  for (const quantity of quantities) {
    const kept = numberOf(value, quantity);
    if (kept !== undefined) return { quantity, kept };
  }
  return undefined;
}

/** A stored value as it is shown: number and unit apart, for large numerals. */
export function shownParts(
  value: Value,
  system: UnitSystem,
  quantity?: Quantity,
): { number: string; symbol: string } {
  if (value.overRange) return { number: 'OL', symbol: '' };
  // Volts are alternating or direct, pascals of water or of gas: only the check says which.
  const own = quantity && numberOf(value, quantity);
  if (own !== undefined) return showValue(own, quantity!, system);
  const measured = measuredOf(value);
  return measured
    ? showValue(measured.kept, measured.quantity, system)
    : { number: '', symbol: '' };
}

export function valueWords(value: Value, system: UnitSystem, quantity?: Quantity): string {
  const { number, symbol } = shownParts(value, system, quantity);
  return `${number} ${symbol}`.trim();
}

export const percent = (probability: number): string => {
  if (probability > 0.995) return '>99';
  if (probability > 0 && probability < 0.005) return '<1';
  return String(Math.round(probability * 100));
};

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A plate in one line, as its family says it. */
export function plateWords({
  unit,
}: {
  readonly unit: Pick<JobFile['unit'], 'family' | 'plate'>;
}): string {
  return familyOf(unit.family)?.plateLine(unit) ?? '';
}

export const clockTime = (at: string | Date, timeZone: string | undefined): string =>
  dateWords('clock', at, timeZone);

export const longDate = (at: string | Date, timeZone: string | undefined): string =>
  dateWords('long', at, timeZone);

export const loadWords = { loaded: 'under load', 'open-circuit': 'no load' } as const;

/** What belongs to a result beside its number; of the leads only what the job's own meter does not say. */
export function takenWords(entry: Entry, { instruments }: Pick<JobFile, 'instruments'>): string {
  if (entry.kind === 'observation') {
    return entry.threshold?.ohm === undefined ? '' : `beeps below ${entry.threshold.ohm} Ω`;
  }
  if (entry.kind !== 'reading') return '';
  if (entry.state?.load) return loadWords[entry.state.load];
  const ohm = entry.leads?.ohm;
  const isUsual = instruments?.some((each) => each.leads?.ohm === ohm);
  return ohm === undefined || isUsual ? '' : `leads ${ohm} Ω`;
}

/** How many wires are off their terminals. */
export const wiresLifted = (count: number): string =>
  `${count} ${count === 1 ? 'wire' : 'wires'} lifted`;
