import {
  sameEnd,
  type ApplianceFamily,
  type ElectricalObservable,
  type ReadingState,
} from '../appliances';
import type { Evidence } from '../diagnosis';
import {
  powerShownBy,
  quantityOf,
  type Entry,
  type JobFile,
  type JobState,
  type Measured,
  type ObservationEntry,
  type ReadingEntry,
  type WalkedEntry,
} from '../job-file';
import { observableUnderLoad, pointUnderLoad, underLoad } from './no-load';
import { resultOf } from './result';

/** Entry id under which the complaint and the answers of the call count as evidence. */
export const callEntryId = (question: string) => `call:${question}`;

/** Everything in a job that bears on what is wrong, as evidence for the engine. */
export function evidenceOf(
  family: ApplianceFamily,
  job: JobFile,
  walked: readonly WalkedEntry[],
  parameters = family.parameters,
): Evidence<ElectricalObservable>[] {
  const errorRateOf = (check: string | undefined) => family.errorRateOf(check, parameters);
  return [
    ...callEvidence(family, job.complaint, parameters.errorRates.answer),
    ...walked.flatMap(({ entry, before }) =>
      entryEvidence(family, job, entry, before, errorRateOf),
    ),
    ...dialEvidence(family, walked, errorRateOf),
  ];
}

function callEvidence(
  { questionIds, questions }: ApplianceFamily,
  complaint: JobFile['complaint'],
  errorRate: number,
): Evidence<ElectricalObservable>[] {
  return questionIds.flatMap((question) => {
    const answer = question === 'complaint' ? complaint?.kind : complaint?.answers?.[question];
    const outcome = answer === undefined ? '' : String(answer);
    if (!questions[question]!.values.includes(outcome)) return [];
    return [
      {
        entryId: callEntryId(question),
        checkId: callEntryId(question),
        observable: { kind: 'question' as const, key: `question ${question}`, question },
        result: { kind: 'outcome' as const, outcome },
        repairsBefore: [],
        errorRate,
      },
    ];
  });
}

function entryEvidence(
  family: ApplianceFamily,
  job: JobFile,
  entry: Entry,
  before: JobState,
  errorRateOf: (check: string | undefined) => number,
): Evidence<ElectricalObservable>[] {
  if (entry.kind !== 'observation' && entry.kind !== 'reading') return [];
  const observable = observableOfEntry(family, entry, before);
  const result = resultOf(job, entry, family.catalogue);
  if (!observable || !result) return [];
  return [
    {
      entryId: entry.id,
      checkId: entry.check ?? observable.key,
      observable,
      result,
      repairsBefore: before.repairsDone,
      errorRate: errorRateOf(family.isCheckId(entry.check) ? entry.check : undefined),
    },
  ];
}

/** What an entry looked at, in the state it was taken in. Undefined where it names nothing of this family. */
export function observableOfEntry(
  family: ApplianceFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): ElectricalObservable | undefined {
  const state = stateOfEntry(family, entry, before);
  const load = entry.state?.load;
  if (entry.check !== undefined) {
    return family.isCheckId(entry.check)
      ? observableUnderLoad(family, entry.check, state, load)
      : undefined;
  }
  if (entry.kind === 'observation') return undefined;
  const quantity = quantityOf(entry, family.catalogue);
  if (entry.around !== undefined) {
    return quantity === 'current-ac' ? family.clamp([entry.around], state) : undefined;
  }
  const [from, to] = entry.between ?? [];
  if (from === undefined || to === undefined) return undefined;
  if (quantity === 'resistance') return family.probe(quantity, from, to, state);
  if (quantity !== 'voltage-ac') return undefined;
  return family.probe(
    quantity,
    pointUnderLoad(family, from, load),
    pointUnderLoad(family, to, load),
    state,
  );
}

/**
 * What each result since the last repair looked at, by entry, as a plan would name it: what only the technician at the
 * unit knew, such as the water's temperature, does not make it another check.
 */
export function plannedKeys(
  family: ApplianceFamily,
  walked: readonly WalkedEntry[],
  repairsDone: readonly string[],
): ReadonlyMap<string, string> {
  return new Map(
    walked.flatMap(({ entry, before }) => {
      if (before.repairsDone.length !== repairsDone.length) return [];
      const isResult =
        entry.kind === 'observation' || (entry.kind === 'reading' && entry.value !== undefined);
      if (!isResult || entry.check === undefined || !family.isCheckId(entry.check)) return [];
      const state = withoutHarmless(family, entry.check, standingOfEntry(family, entry, before));
      const { key } = observableUnderLoad(family, entry.check, state, entry.state?.load);
      return [[entry.id, key] as const];
    }),
  );
}

/** Wires that hung free beyond those that the check asks for make it no other check, where they do no harm. */
function withoutHarmless(
  family: ApplianceFamily,
  check: string,
  state: ReadingState,
): ReadingState {
  const asked = family.check(check).state?.lifted;
  if (asked === undefined || !family.checks[check]!.standsAlone) return state;
  const isAsked = asked.every((each) => state.lifted.some((other) => sameEnd(each, other)));
  return isAsked ? { ...state, lifted: asked } : state;
}

/** The state that an entry was taken in, with what was measured or known of it there. */
function stateOfEntry(
  family: ApplianceFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): ReadingState {
  const water = measuredWater(family, entry.state?.water);
  const threshold = entry.kind === 'observation' ? entry.threshold?.ohm : undefined;
  return {
    ...standingOfEntry(family, entry, before),
    ...(water ? { waterCelsius: water, dialCelsius: dialsAsFound(family, before) } : {}),
    ...(threshold !== undefined ? { beepBelowOhm: threshold } : {}),
  };
}

/** What the entry says wins key by key, then what its check implies, then what the entries before it made of the unit. */
function standingOfEntry(
  family: ApplianceFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): ReadingState {
  const check = family.isCheckId(entry.check) ? family.check(entry.check) : undefined;
  const present = family.impliedState(check && entry.check, family.readingState(before));
  const stated = entry.state ?? {};
  const standing = {
    ...present,
    power: powerShownBy(entry, family.catalogue) ?? present.power,
    dials: Object.fromEntries(
      family.thermostats.map(({ id, stateKey }) => [id, stated[stateKey] ?? present.dials[id]!]),
    ),
    lifted: stated.lifted ?? present.lifted,
    limitReset: present.limitReset || stated.limit === 'closed',
    ...(stated.limit === 'tripped' ? { limitHeldOpen: true } : {}),
  };
  return underLoad(family, standing, stated.load);
}

function measuredWater(
  { thermostats }: ApplianceFamily,
  water: Readonly<Record<string, Measured | undefined>> | undefined,
): Record<string, number> | undefined {
  const found = thermostats.flatMap(({ id }) => {
    const celsius = water?.[id]?.celsius;
    return celsius === undefined ? [] : [[id, celsius] as const];
  });
  return found.length > 0 ? Object.fromEntries(found) : undefined;
}

function dialsAsFound(
  { thermostats }: ApplianceFamily,
  { settings }: JobState,
): Record<string, number> | undefined {
  const found = thermostats.flatMap(({ id, setting }) => {
    const value = settings.get(setting)?.found;
    const celsius = typeof value === 'object' ? value.celsius : undefined;
    return celsius === undefined ? [] : [[id, celsius] as const];
  });
  return found.length > 0 ? Object.fromEntries(found) : undefined;
}

/** Dials written down as found are as good as a look at them. */
function dialEvidence(
  family: ApplianceFamily,
  walked: readonly WalkedEntry[],
  errorRateOf: (check: string) => number,
): Evidence<ElectricalObservable>[] {
  const outcomeOf = family.dialsLook;
  if (!outcomeOf) return [];
  const found = family.thermostats.map(({ setting }) =>
    walked.findLast(
      ({ entry }) => entry.kind === 'setting' && entry.setting === setting && entry.as === 'found',
    ),
  );
  const last = found.at(-1);
  const celsius = found.flatMap((each) => celsiusOf(each?.entry) ?? []);
  if (!last || celsius.length < family.thermostats.length) return [];
  return [
    {
      entryId: last.entry.id,
      checkId: 'dials-look',
      observable: family.observableOfCheck('dials-look', family.readingState(last.before)),
      result: { kind: 'outcome', outcome: outcomeOf(celsius) },
      repairsBefore: last.before.repairsDone,
      errorRate: errorRateOf('dials-look'),
    },
  ];
}

function celsiusOf(entry: Entry | undefined): number | undefined {
  if (entry?.kind !== 'setting' || typeof entry.value !== 'object') return undefined;
  return (entry.value as Measured).celsius;
}
