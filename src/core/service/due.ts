import type { JobFile } from '../job-file';
import type { WorkedUnit } from '../procedures';
import { dayOf } from './installed';
import { serviceHistory, serviceTold, type ServingFamily } from './history';
import {
  isCircumstance,
  services,
  type Circumstance,
  type FirmIntervals,
  type ServedKind,
  type Service,
} from './intervals';
import type { LastServed } from './last-served';

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
        (one.dueAt === undefined ? 0 : Date.parse(one.dueAt)) -
          (other.dueAt === undefined ? 0 : Date.parse(other.dueAt)),
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
export interface ServedFamily extends ServingFamily {
  readonly burnsGas: boolean;
  readonly deadPoints: readonly unknown[];
  /** Of a family that stores its water in itself. */
  readonly storage?: object;
  /** Of a family that warms its tap as it runs. */
  readonly tap?: { readonly hasFlow: boolean };
}

/** What is due on the unit of a job, with what the firm knows from before and what this logbook says. */
export function dueOfJob(
  job: Pick<JobFile, 'entries' | 'unit' | 'site' | 'complaint'> & Partial<Pick<JobFile, 'job'>>,
  family: ServedFamily,
  now: Date,
  intervals: FirmIntervals = {},
): DueService[] {
  const { unit, site } = job;
  const { served, circumstances } = serviceHistory([serviceTold(job, family)], {
    served: unit.served,
    circumstances: unit.circumstances?.filter(isCircumstance),
  });
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
      last: served,
      circumstances: new Set([...circumstances, ...circumstancesOf(site)]),
    },
    now,
    intervals,
  );
}

/** What the water of a house makes due sooner. */
function circumstancesOf(site: JobFile['site']): Circumstance[] {
  const hardness = site?.water?.hardness?.toLowerCase() ?? '';
  return [
    ...(/hard|well/.test(hardness) ? ['hard-or-well-water' as const] : []),
    ...(hardness.includes('soft') ? ['softened-water' as const] : []),
  ];
}
