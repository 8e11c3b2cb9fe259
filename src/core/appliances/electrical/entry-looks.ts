import { powerShownBy } from '../../job-file/power-shown';
import { quantityOf } from '../../job-file/quantity';
import type { WalkedEntry } from '../../job-file/fold';
import type {
  Entry,
  Measured,
  ObservationEntry,
  ReadingEntry,
} from '../../job-file/generated/job-types';
import type { JobState } from '../../job-file/state';
import type { Evidence } from '../../diagnosis/model';
import { sameEnd, withDone, type UnitState } from '../kit/unit-state';
import type { ElectricalFamily } from './electrical-family';
import { observableUnderLoad, pointUnderLoad, underLoad } from './no-load';
import type { ElectricalObservable } from './observable';
import { beepBelow, readDialOf, resetPressed, waterOf } from './state';

/** What an entry of a heater's logbook looked at: which points or check, and how the unit stood for it. */

/** What an entry looked at, in the state it was taken in. Undefined where it names nothing of this family. */
export function observableOfEntry(
  family: ElectricalFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): ElectricalObservable | undefined {
  if (isPlain(family, entry)) return plainLook(family, entry, before).observable;
  return lookOf(family, entry, before);
}

function lookOf(
  family: ElectricalFamily,
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

/** The same as a plan would name it: what only the technician at the unit knew does not make it another check. */
export function plannedKeyOf(
  family: ElectricalFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): string | undefined {
  if (isPlain(family, entry)) return plainLook(family, entry, before).plannedKey;
  return plannedLookOf(family, entry, before);
}

function plannedLookOf(
  family: ElectricalFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): string | undefined {
  if (entry.check === undefined || !family.isCheckId(entry.check)) return undefined;
  const state = withoutHarmless(family, entry.check, standingOfEntry(family, entry, before));
  return observableUnderLoad(family, entry.check, state, entry.state?.load).key;
}

/** Says no more of how it was taken than its check does. */
const isPlain = (family: ElectricalFamily, entry: ReadingEntry | ObservationEntry): boolean =>
  family.isCheckId(entry.check) &&
  entry.state === undefined &&
  (entry.kind === 'reading' || entry.threshold === undefined);

interface PlainLook {
  readonly observable: ElectricalObservable | undefined;
  readonly plannedKey: string | undefined;
}

/** What of the state before it a plain entry is taken in, but for the power, and what each of them looks at there. */
interface PlainLooks extends Pick<JobState, 'controls' | 'lifted' | 'done'> {
  readonly looks: Map<string, PlainLook>;
}

/** Of the state that was asked about last: a long logbook has thousands of entries that were taken in one. */
const lastLooks = new WeakMap<ElectricalFamily, PlainLooks>();

/** The same for all of one check that were taken in the same state and show the same of the power. */
function plainLook(
  family: ElectricalFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): PlainLook {
  const key = `${entry.check} ${before.power} ${powerShownBy(entry, family.catalogue)}`;
  const { looks } = looksIn(family, before);
  const known = looks.get(key) ?? {
    observable: lookOf(family, entry, before),
    plannedKey: plannedLookOf(family, entry, before),
  };
  looks.set(key, known);
  return known;
}

function looksIn(family: ElectricalFamily, { controls, lifted, done }: JobState): PlainLooks {
  const last = lastLooks.get(family);
  const isThere = last?.controls === controls && last.lifted === lifted && last.done === done;
  if (isThere) return last;
  const fresh = { controls, lifted, done, looks: new Map<string, PlainLook>() };
  lastLooks.set(family, fresh);
  return fresh;
}

/** Wires that hung free beyond those that the check asks for make it no other check, where they do no harm. */
function withoutHarmless(family: ElectricalFamily, check: string, state: UnitState): UnitState {
  const asked = family.check(check).state?.lifted;
  if (asked === undefined || !family.checks[check]!.standsAlone) return state;
  const isAsked = asked.every((each) => state.apart.some((other) => sameEnd(each, other)));
  return isAsked ? { ...state, apart: asked } : state;
}

/** The state that an entry was taken in, with what was measured or known of it there. */
function stateOfEntry(
  family: ElectricalFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): UnitState {
  const water = measuredWater(family, entry.state?.water);
  const threshold = entry.kind === 'observation' ? entry.threshold?.ohm : undefined;
  return {
    ...standingOfEntry(family, entry, before),
    known: {
      ...(water ? { ...water, ...dialsAsFound(family, before) } : {}),
      ...(threshold !== undefined ? { [beepBelow]: threshold } : {}),
    },
  };
}

/** What the entry says wins key by key, then what its check implies, then what the entries before it made of the unit. */
function standingOfEntry(
  family: ElectricalFamily,
  entry: ReadingEntry | ObservationEntry,
  before: JobState,
): UnitState {
  const check = family.isCheckId(entry.check) ? family.check(entry.check) : undefined;
  const present = family.impliedState(check && entry.check, family.readingState(before));
  const stated = entry.state ?? {};
  const power = powerShownBy(entry, family.catalogue) ?? present.controls.power!;
  const standing: UnitState = {
    ...present,
    controls: {
      ...present.controls,
      power,
      ...Object.fromEntries(
        family.thermostats.flatMap(({ stateKey }) =>
          stated[stateKey] === undefined ? [] : [[stateKey, stated[stateKey]]],
        ),
      ),
      ...(stated.limit === 'tripped' ? { limit: 'tripped' } : {}),
    },
    apart: stated.lifted ?? present.apart,
  };
  return underLoad(
    family,
    stated.limit === 'closed' ? withDone(standing, resetPressed) : standing,
    stated.load,
  );
}

function measuredWater(
  { thermostats }: ElectricalFamily,
  water: Readonly<Record<string, Measured | undefined>> | undefined,
): Record<string, number> | undefined {
  const found = thermostats.flatMap(({ id }) => {
    const celsius = water?.[id]?.celsius;
    return celsius === undefined ? [] : [[waterOf(id), celsius] as const];
  });
  return found.length > 0 ? Object.fromEntries(found) : undefined;
}

function dialsAsFound(
  { thermostats }: ElectricalFamily,
  { settings }: JobState,
): Record<string, number> | undefined {
  const found = thermostats.flatMap(({ id, setting }) => {
    const value = settings.get(setting)?.found;
    const celsius = typeof value === 'object' ? value.celsius : undefined;
    return celsius === undefined ? [] : [[readDialOf(id), celsius] as const];
  });
  return found.length > 0 ? Object.fromEntries(found) : undefined;
}

/** Dials written down as found are as good as a look at them. */
export function dialEvidence(
  family: ElectricalFamily,
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
