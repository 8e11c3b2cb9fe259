import {
  checkNames,
  clamp,
  errorRateOf,
  impliedState,
  isCheckId,
  observableOfCheck,
  probe,
  questionIds,
  questions,
  readingState,
  usualLeadOhm,
  type HeaterObservable,
  type QuestionId,
  type ReadingState,
} from '../appliances/electric-storage-two-element';
import type { Evidence, EvidenceResult } from '../diagnosis';
import type {
  Entry,
  JobFile,
  JobState,
  Measured,
  ObservationEntry,
  ReadingEntry,
  Value,
} from '../job-file';

/** Entry id under which the complaint and the answers of the call count as evidence. */
export const callEntryId = (question: QuestionId) => `call:${question}`;

/** Everything in a job that bears on what is wrong, as evidence for the engine. */
export function evidenceOf(
  job: JobFile,
  walked: readonly { readonly entry: Entry; readonly before: JobState }[],
): Evidence<HeaterObservable>[] {
  return [
    ...callEvidence(job.complaint),
    ...walked.flatMap(({ entry, before }) => entryEvidence(job, entry, before)),
    ...dialEvidence(walked),
  ];
}

/** A caller's answer is wrong or misunderstood this often. Common practice. */
const callErrorRate = 0.05;

function callEvidence(complaint: JobFile['complaint']): Evidence<HeaterObservable>[] {
  return questionIds.flatMap((question) => {
    const answer = question === 'complaint' ? complaint?.kind : complaint?.answers?.[question];
    const outcome = answer === undefined ? '' : String(answer);
    if (!(questions[question].values as readonly string[]).includes(outcome)) return [];
    return [
      {
        entryId: callEntryId(question),
        checkId: callEntryId(question),
        observable: { kind: 'question' as const, key: `question ${question}`, question },
        result: { kind: 'outcome' as const, outcome },
        repairsBefore: [],
        errorRate: callErrorRate,
      },
    ];
  });
}

function entryEvidence(job: JobFile, entry: Entry, before: JobState): Evidence<HeaterObservable>[] {
  if (entry.kind === 'observation' && isCheckId(entry.check)) {
    const state = stateOfEntry(entry, before);
    return [
      {
        entryId: entry.id,
        checkId: entry.check,
        observable: observableOfCheck(entry.check, state),
        result: { kind: 'outcome', outcome: entry.value },
        repairsBefore: before.repairsDone,
        errorRate: errorRateOf(entry.check),
      },
    ];
  }
  if (entry.kind !== 'reading' || !entry.value) return [];
  const observable = observableOfEntry(entry, before);
  const result = resultOf(entry.value, leadOhmOf(job, entry));
  if (!observable || !result) return [];
  return [
    {
      entryId: entry.id,
      checkId: entry.check ?? observable.key,
      observable,
      result,
      repairsBefore: before.repairsDone,
      errorRate: errorRateOf(
        entry.check !== undefined && isCheckId(entry.check) ? entry.check : undefined,
      ),
    },
  ];
}

/** What an entry looked at, in the state it was taken in. Undefined where it names nothing of this family. */
export function observableOfEntry(
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): HeaterObservable | undefined {
  const state = stateOfEntry(entry, before);
  if (entry.check !== undefined) {
    return isCheckId(entry.check) ? observableOfCheck(entry.check, state) : undefined;
  }
  if (entry.kind === 'observation') return undefined;
  if (entry.around !== undefined) return clamp(entry.around, state);
  const [from, to] = entry.between ?? [];
  if (from === undefined || to === undefined) return undefined;
  return probe(entry.quantity === 'voltage-ac' ? 'voltage-ac' : 'resistance', from, to, state);
}

/** What the entry says wins key by key, then what its check implies, then what the entries before it made of the unit. */
function stateOfEntry(
  entry: Extract<Entry, { kind: 'reading' | 'observation' }>,
  before: JobState,
): ReadingState {
  const quantity =
    entry.kind !== 'reading'
      ? undefined
      : entry.check !== undefined && isCheckId(entry.check)
        ? checkNames[entry.check].quantity
        : entry.quantity;
  const present = impliedState(entry.check, readingState(before));
  const stated = entry.state ?? {};
  const power = stated.power ?? (quantity === 'resistance' ? 'off' : present.power);
  return {
    ...present,
    power,
    upperDial: stated.upperDial ?? present.upperDial,
    lowerDial: stated.lowerDial ?? present.lowerDial,
    lifted: stated.lifted ?? present.lifted,
    limitReset: present.limitReset || stated.limit === 'closed',
  };
}

function resultOf(value: Value, leadOhm: number): EvidenceResult | undefined {
  if (value.overRange) return { kind: 'over-range', above: value.above?.ohm };
  if (value.ohm !== undefined) {
    // The engine expects a reading with usual leads; a meter whose leads are known is brought to the same.
    return { kind: 'number', value: Math.max(0, value.ohm - (leadOhm - usualLeadOhm)) };
  }
  const number = value.volt ?? value.ampere ?? value.celsius;
  return number === undefined ? undefined : { kind: 'number', value: number };
}

function leadOhmOf(job: JobFile, entry: ReadingEntry): number {
  const instrument = job.instruments?.find((each) => each.id === entry.instrument);
  return entry.leads?.ohm ?? instrument?.leads?.ohm ?? usualLeadOhm;
}

/** Both dials written down as found are as good as a look at them. */
function dialEvidence(
  walked: readonly { readonly entry: Entry; readonly before: JobState }[],
): Evidence<HeaterObservable>[] {
  const found = (setting: string) =>
    walked.findLast(
      ({ entry }) => entry.kind === 'setting' && entry.setting === setting && entry.as === 'found',
    );
  const [upper, lower] = [found('upper-dial'), found('lower-dial')];
  const upperCelsius = celsiusOf(upper?.entry);
  const lowerCelsius = celsiusOf(lower?.entry);
  if (!lower || upperCelsius === undefined || lowerCelsius === undefined) return [];
  const outcome =
    Math.max(upperCelsius, lowerCelsius) < 45
      ? 'low'
      : upperCelsius - lowerCelsius > 4
        ? 'unequal'
        : 'equal';
  return [
    {
      entryId: lower.entry.id,
      checkId: 'dials-look',
      observable: observableOfCheck('dials-look', readingState(lower.before)),
      result: { kind: 'outcome', outcome },
      repairsBefore: lower.before.repairsDone,
      errorRate: errorRateOf('dials-look'),
    },
  ];
}

function celsiusOf(entry: Entry | undefined): number | undefined {
  if (entry?.kind !== 'setting' || typeof entry.value !== 'object') return undefined;
  return (entry.value as Measured).celsius;
}
