import { effectiveEntries, type Entry, type JobFile } from '../job-file';
import type { WorkedUnit } from '../procedures';
import type { Circumstance, CountedFrom, FirmIntervals, ServedKind, Service } from './intervals';
import { services } from './intervals';

/** When something was last done on a unit, as ISO time, by the service that counts from it. */
export type LastServed = Readonly<Record<string, string>>;

/** What is due on a unit, and when. */
export interface DueService {
  readonly service: Service;
  /** Undefined where nothing tells when it was last done: due now. */
  readonly dueAt?: string;
  readonly countedFrom?: string;
  /** The interval that counts, in words of the table: 12 months, 1 day. */
  readonly interval: string;
  /** Why it is sooner than usual. */
  readonly because?: Circumstance;
  readonly isDue: boolean;
}

/** What is asked of a unit to say what is due. */
export interface ServedUnit extends WorkedUnit {
  /** `2019`, `2019-05` or a day: as the plate or the owner says. */
  readonly installed?: string;
  /** What it warms: a tank of its own, where nothing is said; a tap as it runs, straight or over a loop; a system with its cylinder. */
  readonly warms?: 'tank' | 'tap' | 'loop' | 'system';
  readonly last: LastServed;
  readonly circumstances: ReadonlySet<Circumstance>;
}

/**
 * When each service was last done, by the entries that count, of one job. A procedure counts where it was gone through to its
 * end and its key step was not left out.
 * @param keySteps by procedure, the step without which it does not count.
 */
export function lastServed(
  entries: readonly Entry[],
  keySteps: Readonly<Record<string, string | undefined>>,
): LastServed {
  const last: Record<string, string> = {};
  for (const service of services) {
    const times = service.countedFrom.flatMap((each) => timeOf(each, entries, keySteps) ?? []);
    const ended = entries.some(
      (each) =>
        each.kind === 'observation' &&
        (service.endedBy ?? []).includes(each.check) &&
        times.every((time) => each.at > time),
    );
    if (times.length > 0 && !ended) last[service.id] = times.sort().at(-1)!;
  }
  return last;
}

function timeOf(
  from: CountedFrom,
  entries: readonly Entry[],
  keySteps: Readonly<Record<string, string | undefined>>,
): string | undefined {
  const lastOf = (is: (entry: Entry) => boolean) => entries.findLast(is)?.at;
  if ('service' in from) {
    return lastOf((each) => each.kind === 'service' && each.service === from.service);
  }
  if ('part' in from) {
    return lastOf(
      (each) => each.kind === 'part' && each.action === 'fitted' && isPart(each.part, from.part),
    );
  }
  if ('reading' in from) {
    return lastOf((each) => each.kind === 'reading' && each.check === from.reading);
  }
  if ('repairs' in from) {
    return lastOf((each) => each.kind === 'action' && from.repairs.includes(each.repair ?? ''));
  }
  if ('observations' in from) {
    const times = from.observations.map((check) =>
      lastOf((each) => each.kind === 'observation' && each.check === check),
    );
    return times.every((each) => each !== undefined) ? times.sort()[0] : undefined;
  }
  if ('procedure' in from) {
    const key = keySteps[from.procedure];
    const ended = entries.findLast(
      (each) => each.kind === 'step' && each.procedure === from.procedure && each.ends === 'done',
    );
    if (ended?.kind !== 'step') return undefined;
    const isKeyDone = entries.some(
      (each) =>
        each.kind === 'step' &&
        each.run === ended.run &&
        each.step === key &&
        each.phase === 'done',
    );
    return key === undefined || isKeyDone ? ended.at : undefined;
  }
  return undefined;
}

const isPart = (fitted: string, part: string) => fitted.toLowerCase().startsWith(part);

/** The later of two for each service: what several jobs on one unit say together. */
export function laterOf(one: LastServed, other: LastServed): LastServed {
  const both: Record<string, string> = { ...one };
  for (const [id, at] of Object.entries(other)) {
    if (both[id] === undefined || at > both[id]) both[id] = at;
  }
  return both;
}

/** Everything that comes due on a unit, the most overdue first. Advice comes last. */
export function dueServices(
  unit: ServedUnit,
  now: Date,
  intervals: FirmIntervals = {},
): DueService[] {
  return services
    .filter(({ only }) => only === undefined || isKind(unit, only))
    .flatMap((each) => dueOf(each, unit, now, intervals) ?? [])
    .sort(
      (one, other) =>
        Number(one.service.isAdvice ?? false) - Number(other.service.isAdvice ?? false) ||
        (one.dueAt ?? '').localeCompare(other.dueAt ?? ''),
    );
}

function isKind({ isMains, burnsGas, warms = 'tank' }: ServedUnit, only: ServedKind): boolean {
  switch (only) {
    case 'mains':
      return isMains;
    case 'storage':
      return warms === 'tank';
    case 'storage-gas':
      return warms === 'tank' && burnsGas;
    case 'tap-direct':
      return warms === 'tap';
    case 'tap-loop':
      return warms === 'loop';
    case 'tap-gas':
      return (warms === 'tap' || warms === 'loop') && burnsGas;
    case 'system':
      return warms === 'system';
  }
}

function dueOf(
  service: Service,
  { last, installed, circumstances }: ServedUnit,
  now: Date,
  intervals: FirmIntervals,
): DueService | undefined {
  const counted = last[service.id] ?? (countsInstalled(service) ? dayOf(installed) : undefined);
  const own = Object.hasOwn(intervals, service.id) ? intervals[service.id] : undefined;
  const usual = own ?? service.months;
  const sooner = (service.sooner ?? [])
    .filter(({ when, months }) => circumstances.has(when) && (usual ?? Infinity) > months)
    .sort((one, other) => one.months - other.months)[0];
  const months = sooner?.months ?? usual;
  const interval =
    months === undefined
      ? `${service.days ?? 0} days`
      : `${months} ${months === 1 ? 'month' : 'months'}`;
  const because = sooner?.when;
  if (counted === undefined) {
    // A look the day after is due only after what it looks at.
    return service.days === undefined ? { service, interval, because, isDue: true } : undefined;
  }
  const dueAt = (
    months === undefined ? daysAfter(counted, service.days ?? 0) : monthsAfter(counted, months)
  ).toISOString();
  return {
    service,
    interval,
    because,
    countedFrom: counted,
    dueAt,
    isDue: Date.parse(dueAt) <= now.getTime(),
  };
}

const countsInstalled = ({ countedFrom }: Service) =>
  countedFrom.some((each) => 'installed' in each);

/** `2019` is its first day; what is no date is none. */
export function dayOf(installed: string | undefined): string | undefined {
  const [, year, month = '01', day = '01'] =
    /^(\d{4})(?:-(\d{2}))?(?:-(\d{2}))?$/.exec(installed?.trim() ?? '') ?? [];
  if (year === undefined) return undefined;
  const time = Date.parse(`${year}-${month}-${day}T00:00:00Z`);
  return Number.isNaN(time) ? undefined : new Date(time).toISOString();
}

const daysAfter = (iso: string, days: number) => new Date(Date.parse(iso) + days * 86_400_000);

/** So many months on; the last day of a month that has not as many days. */
export function monthsAfter(iso: string, months: number): Date {
  const date = new Date(iso);
  const day = date.getUTCDate();
  date.setUTCDate(1);
  date.setUTCMonth(date.getUTCMonth() + months);
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate();
  date.setUTCDate(Math.min(day, last));
  return date;
}

/** A family as far as what comes due depends on it. */
export interface ServedFamily {
  readonly burnsGas: boolean;
  readonly deadPoints: readonly unknown[];
  /** Of a family that stores its water in itself. */
  readonly storage?: object;
  /** Of a family that warms its tap as it runs. */
  readonly tap?: { readonly hasFlow: boolean };
  readonly procedures: readonly { readonly id: string; readonly keyStep?: string }[];
}

/** When each service was last done on a job itself. */
export const servedOn = (job: Pick<JobFile, 'entries'>, { procedures }: ServedFamily): LastServed =>
  lastServed(
    effectiveEntries(job.entries),
    Object.fromEntries(procedures.map(({ id, keyStep }) => [id, keyStep])),
  );

/** What is due on the unit of a job, with what the firm knows from before and what this logbook says. */
export function dueOfJob(
  job: Pick<JobFile, 'entries' | 'unit' | 'site' | 'complaint'>,
  family: ServedFamily,
  now: Date,
  intervals: FirmIntervals = {},
): DueService[] {
  const { unit } = job;
  return dueServices(
    {
      isMains: family.deadPoints.length > 0,
      burnsGas: family.burnsGas,
      warms: family.tap
        ? family.tap.hasFlow
          ? 'loop'
          : 'tap'
        : family.storage
          ? 'tank'
          : 'system',
      installed: unit.installed,
      last: laterOf(unit.served ?? {}, servedOn(job, family)),
      circumstances: circumstancesOf(job),
    },
    now,
    intervals,
  );
}

function circumstancesOf({
  site,
  complaint,
  entries,
}: Pick<JobFile, 'site' | 'complaint' | 'entries'>): ReadonlySet<Circumstance> {
  const found = new Set<Circumstance>();
  const hardness = site?.water?.hardness?.toLowerCase() ?? '';
  if (/hard|well/.test(hardness)) found.add('hard-or-well-water');
  if (hardness.includes('soft')) found.add('softened-water');
  if (complaint?.answers?.lint === 'yes') found.add('laundry');
  const anode = entries.findLast(
    (each) => each.kind === 'observation' && each.check === 'anode-look',
  );
  if (anode?.kind === 'observation' && anode.value === 'worn') found.add('worn-was-seen');
  return found;
}
