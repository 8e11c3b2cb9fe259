import type { WalkedEntry } from '../../../job-file/fold';
import type { Entry, JobFile, ReadingEntry } from '../../../job-file/generated/job-types';
import type { Stop } from '../../appliance-family';
import type { StopDeclaration } from './declaration';

/** What a stop is told by, beside the entries. */
export interface StopSource {
  readonly complaint: JobFile['complaint'];
  readonly plate: JobFile['unit']['plate'];
  /** The one number of a reading. */
  numberOf(entry: ReadingEntry): number | undefined;
  /** The numbers of a reading of several. */
  valuesOf(entry: ReadingEntry): Readonly<Record<string, number>>;
}

/** Entry id under which an answer of the call stops. */
const callId = (question: string) => `call:${question}`;

/**
 * What ends the diagnosis: the last result of a check that stops, or an answer of the call that no later check has shown to be
 * over. A result stands until the same check gives another. The order of the results is the caller's.
 */
export function stopOf(
  { kinds, checks, answers }: StopDeclaration,
  walked: readonly WalkedEntry[],
  { complaint, plate, numberOf, valuesOf }: StopSource,
): Stop | undefined {
  const last = new Map<string, Entry>();
  for (const { entry } of walked) {
    // A reading without a value has shown nothing, and ends nothing.
    const isResult =
      entry.kind === 'observation' ||
      (entry.kind === 'reading' && (entry.value !== undefined || entry.values !== undefined));
    if (isResult && entry.check !== undefined) last.set(entry.check, entry);
  }
  const isStop = (check: string): boolean => {
    const rule = checks[check];
    const entry = last.get(check);
    if (!rule || !entry) return false;
    if (entry.kind === 'observation') return rule.values?.includes(entry.value) ?? false;
    if (entry.kind === 'reading' && rule.stops) return rule.stops(valuesOf(entry), plate);
    if (entry.kind !== 'reading' || rule.above === undefined) return false;
    return entry.value?.overRange === true || (numberOf(entry) ?? 0) > rule.above;
  };
  const made = (kind: string, entry: string): Stop => ({ ...kinds[kind]!, kind, entry });
  for (const [question, { kind, value, clearedBy }] of Object.entries(answers)) {
    const isOver = clearedBy.every((check) => last.has(check) && !isStop(check));
    if (complaint?.answers?.[question] === value && !isOver) return made(kind, callId(question));
  }
  const found = Object.keys(checks).find(isStop);
  return found === undefined ? undefined : made(checks[found]!.kind, last.get(found)!.id);
}
