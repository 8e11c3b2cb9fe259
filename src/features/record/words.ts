import {
  checkWords,
  faultWords,
  isCheckId,
  questions,
  repairs,
  type QuestionId,
} from '@/core/appliances/electric-storage-two-element';
import { callEntryId, isRepairId } from '@/core/job-diagnosis';
import type { Entry, JobFile, Measured, Value } from '@/core/job-file';
import { showValue, valueText, type Quantity, type UnitSystem } from '@/core/quantities';

/** Words of the trade for what the record holds in ids. */

export function suspectName(repair: string): string {
  return isRepairId(repair) ? repairs[repair].suspect : repair;
}

export function repairOrder(repair: string): string {
  return isRepairId(repair) ? repairs[repair].order : repair;
}

export function faultName(fault: string): string {
  const mode = fault.split('.').at(-1) ?? fault;
  const words = faultWords[fault] ?? faultWords[mode] ?? mode;
  const wire = /^(w-[a-z0-9-]+|strap-limit|splice-\d)\./.exec(fault)?.[1];
  return wire ? `${wireName(wire)}, ${words}` : words;
}

const wireNames: Readonly<Record<string, string>> = {
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
};

export const wireName = (wire: string): string => wireNames[wire] ?? wire;

export const terminalName = (terminal: string): string =>
  terminal.replace(/\.(?=[^.]*$)/, ' ').replaceAll('-', ' ');

export const coverName = (cover: string): string =>
  cover === 'junction-box' ? 'junction box' : `${cover} cover`;

export function checkLabel(check: string | undefined): string {
  return check !== undefined && isCheckId(check) ? checkWords[check].label : (check ?? 'Reading');
}

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

export const answerWords: Readonly<Record<QuestionId, Readonly<Record<string, string>>>> = {
  complaint: complaintWords,
  onset: { sudden: 'sudden', gradual: 'gradual' },
  allOutlets: { true: 'every tap', false: 'one tap' },
  breaker: { no: 'no', once: 'once', again: 'goes again' },
  reset: { 'not-pressed': 'no', clicked: 'it clicked', 'no-click': 'no click' },
  rumble: { true: 'yes', false: 'no' },
  afterWork: { true: 'yes', false: 'no' },
};

/** An entry that a weight of evidence names: an answer of the call, or a line of the logbook. */
export function evidenceWords(job: JobFile, entryId: string, system: UnitSystem): string {
  for (const question of Object.keys(questions) as QuestionId[]) {
    if (callEntryId(question) !== entryId) continue;
    const answer =
      question === 'complaint' ? job.complaint?.kind : job.complaint?.answers?.[question];
    const words = answerWords[question][String(answer)] ?? String(answer);
    return question === 'complaint' ? words : `${questions[question].ask} ${words}`;
  }
  const entry = findEntry(job, entryId);
  return entry ? `${entryTitle(entry)} ${entryResult(entry, system)}` : entryId;
}

function findEntry(job: JobFile, id: string): Entry | undefined {
  const correction = job.entries.findLast(
    (each) => each.kind === 'correction' && each.replaces === id,
  );
  if (correction?.kind === 'correction' && correction.entry) return correction.entry;
  return job.entries.find((each) => each.id === id);
}

const actionWords: Readonly<Record<string, string>> = {
  'power-off': 'Power off',
  'proved-dead': 'Proved dead',
  'power-on': 'Power on',
  'press-reset': 'Reset pressed',
  'cycle-breaker': 'Breaker off and on',
  wait: 'Waited',
  drain: 'Drained',
  fill: 'Filled',
};

export function entryTitle(entry: Entry): string {
  switch (entry.kind) {
    case 'reading':
      return entry.check
        ? checkLabel(entry.check)
        : (entry.between
            ?.map((each) => terminalName(typeof each === 'string' ? each : each.end))
            .join(' to ') ?? `Clamp on ${wireName(entry.around ?? '')}`);
    case 'observation':
    case 'series':
      return checkLabel(entry.check);
    case 'skip':
      return checkLabel(entry.check);
    case 'action':
      return actionTitle(entry);
    case 'setting':
      return `${entry.setting.replace('-', ' ')} as ${entry.as}`;
    case 'verdict':
      return 'Verdict';
    case 'status':
      return statusWords[entry.status] ?? entry.status;
    case 'part':
      return `Part ${entry.action}`;
    case 'wire':
      return `Wire noted`;
    case 'correction':
      return 'Correction';
    case 'code':
      return 'Code';
    case 'photo':
      return 'Photograph';
    case 'countersign':
      return 'Countersigned';
  }
}

function actionTitle(entry: Extract<Entry, { kind: 'action' }>): string {
  switch (entry.action) {
    case 'lift-wire':
      return `Lifted: ${wireName(entry.wire ?? '')}`;
    case 'refit-wire':
      return `Back on: ${wireName(entry.wire ?? '')}`;
    case 'open':
      return `${capital(coverName(entry.target ?? ''))} off`;
    case 'close':
      return `${capital(coverName(entry.target ?? ''))} on`;
    case 'replace':
      return entry.repair ? `Done: ${repairOrder(entry.repair)}` : `Replaced ${entry.part ?? ''}`;
    case 'set-dial':
      return `${capital(entry.dial ?? '')} dial ${entry.to ?? ''}`;
    default:
      return actionWords[entry.action] ?? entry.action;
  }
}

export const statusWords: Readonly<Record<string, string>> = {
  new: 'New',
  diagnosing: 'Diagnosing',
  decided: 'Decided',
  repairing: 'Repair begun',
  'waiting-for-part': 'Waiting for a part',
  'closed-repaired': 'Closed, repaired',
  'closed-not-repaired': 'Closed, not repaired',
};

const skipWords = { cannot: 'cannot reach', skipped: 'skipped', 'not-sure': 'not sure' } as const;

/** What an entry says, as one short text. */
export function entryResult(entry: Entry, system: UnitSystem): string {
  switch (entry.kind) {
    case 'reading':
      return entry.value ? valueWords(entry.value, system) : '';
    case 'observation':
      return isCheckId(entry.check)
        ? (checkWords[entry.check].answers?.[entry.value] ?? entry.value)
        : entry.value;
    case 'skip':
      return skipWords[entry.reason];
    case 'setting':
      return settingWords(entry.value, system);
    case 'part':
      return entry.part;
    case 'verdict':
      return entry.repair ? repairOrder(entry.repair) : '';
    case 'status':
      return entry.reason ?? '';
    case 'wire':
      return [wireName(entry.wire), entry.colour, entry.label].filter(Boolean).join(', ');
    case 'action':
      return entry.action === 'proved-dead' ? provedWords(entry) : '';
    case 'code':
      return entry.code;
    default:
      return '';
  }
}

function provedWords({ points }: Extract<Entry, { kind: 'action' }>): string {
  if (!points || points.length === 0) return '';
  const volts = points.map((each) => each.value?.volt ?? 0);
  return volts.every((each) => each === 0)
    ? `0 V × ${volts.length}`
    : volts.map((each) => `${each} V`).join(', ');
}

const quantityOfKey = {
  ohm: 'resistance',
  volt: 'voltage-ac',
  ampere: 'current-ac',
  watt: 'power',
  celsius: 'temperature',
  kelvin: 'temperature-difference',
  litre: 'volume',
  litrePerMinute: 'flow',
  pascal: 'pressure',
} as const satisfies Partial<Record<keyof Value, Quantity>>;

export function measuredOf(
  value: Value | Measured,
): { quantity: Quantity; kept: number } | undefined {
  for (const [key, quantity] of Object.entries(quantityOfKey)) {
    const kept = value[key as keyof typeof quantityOfKey];
    if (kept !== undefined) return { quantity, kept };
  }
  return undefined;
}

/** A stored value as it is shown: number and unit apart, for large numerals. */
export function shownParts(value: Value, system: UnitSystem): { number: string; symbol: string } {
  if (value.overRange) return { number: 'OL', symbol: '' };
  const measured = measuredOf(value);
  return measured
    ? showValue(measured.kept, measured.quantity, system)
    : { number: '', symbol: '' };
}

export function valueWords(value: Value, system: UnitSystem): string {
  const { number, symbol } = shownParts(value, system);
  return `${number} ${symbol}`.trim();
}

function settingWords(value: Measured | string | boolean, system: UnitSystem): string {
  if (typeof value !== 'object') return String(value);
  const measured = measuredOf(value);
  return measured ? valueText(measured.kept, measured.quantity, system) : '';
}

export const percent = (probability: number): string => {
  if (probability > 0.995) return '>99';
  if (probability > 0 && probability < 0.005) return '<1';
  return String(Math.round(probability * 100));
};

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A plate in one line: 2 × 4500 W at 240 V. */
export function plateWords({ unit }: Pick<JobFile, 'unit'>): string {
  const { elements, rated } = unit.plate;
  const [upper, lower] = [elements.upper?.watt, elements.lower?.watt];
  const watts = upper === lower ? `2 × ${upper} W` : `${upper} and ${lower} W`;
  return `${watts} at ${rated.volt} V`;
}

export function clockTime(at: string | Date, timeZone: string | undefined): string {
  return new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }).format(
    new Date(at),
  );
}

export function longDate(at: string | Date, timeZone: string | undefined): string {
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone,
  }).format(new Date(at));
}
