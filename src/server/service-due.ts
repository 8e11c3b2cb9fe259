import { isDeepStrictEqual } from 'node:util';
import { familyOf } from '../core/appliances/all';
import { dueOfJob, type DueService, type FirmIntervals } from '../core/service';
import type { FirmTransaction } from '../database/client';
import { readUnit, type KnownUnit } from '../database/customers';
import {
  listDue,
  listServed,
  lockUnit,
  updateFirmService,
  updateHistory,
  updateNextDue,
} from '../database/service';
import { readOrganisation, type Organisation } from '../database/technicians';
import { Refused } from './errors';
import { serviceIds } from '../core/service';
import { unitOf } from './job-file-of';
import { historyOfUnit } from './unit-history';

/** A unit with what is due on it. */
export interface DueUnit {
  readonly unitId: string;
  readonly customer: string;
  readonly address: string;
  readonly title: string;
  readonly due: readonly (Pick<DueService, 'dueAt' | 'isDue' | 'interval'> & {
    readonly id: string;
    readonly title: string;
  })[];
}

const dueOfUnit = (
  { unit, site }: Pick<KnownUnit, 'unit' | 'site'>,
  now: Date,
  intervals: FirmIntervals,
): DueService[] => {
  const family = familyOf(unit.family);
  return family
    ? dueOfJob({ entries: [], unit: unitOf(unit), site: site.services }, family, now, intervals)
    : [];
};

/** When the first is due that counts from something: what nobody knows the last of is told on the job alone. */
function nextDueOf(
  known: Pick<KnownUnit, 'unit' | 'site'>,
  intervals: FirmIntervals,
): Date | undefined {
  const [first] = dueOfUnit(known, new Date(), intervals)
    .flatMap(({ dueAt, service }) => (dueAt === undefined || service.isAdvice ? [] : [dueAt]))
    .sort();
  return first === undefined ? undefined : new Date(first);
}

/** Writes down with a unit what the logbooks of its jobs say of services on it. */
export async function settleServed(transaction: FirmTransaction, unitId: string): Promise<void> {
  const intervals = (await readOrganisation(transaction))?.intervals ?? {};
  const changed = async () => {
    const known = await readUnit(transaction, unitId);
    if (!known) return undefined;
    const history = await historyOfUnit(transaction, unitId);
    const unit = {
      ...known.unit,
      served: history.served,
      circumstances: [...history.circumstances],
    };
    const nextDue = nextDueOf({ ...known, unit }, intervals);
    const isSame = isDeepStrictEqual(
      { ...unit, nextDue: nextDue?.getTime() },
      { ...known.unit, nextDue: known.unit.nextDue?.getTime() },
    );
    return isSame ? undefined : { history, nextDue };
  };
  // Most entries serve nothing: the row is left alone.
  if (!(await changed())) return;
  // Two jobs of one unit may be settled at once: whoever is second reads what the first has written.
  await lockUnit(transaction, unitId);
  const now = await changed();
  if (now) await updateHistory(transaction, unitId, now.history, now.nextDue);
}

const aheadDays = 30;
const mostDue = 12;

/** What is due, and what comes due within a month. */
export async function dueUnits(
  transaction: FirmTransaction,
  now: Date,
  intervals: FirmIntervals,
  most = mostDue,
): Promise<DueUnit[]> {
  const before = new Date(now.getTime() + aheadDays * 86_400_000);
  return (await listDue(transaction, before, most)).map((known) =>
    dueUnitOf(known, now, before, intervals),
  );
}

function dueUnitOf(known: KnownUnit, now: Date, before: Date, intervals: FirmIntervals): DueUnit {
  const { unit, site, customer } = known;
  return {
    unitId: unit.id,
    customer: customer.name,
    address: site.address,
    title: titleOf(unit),
    due: dueOfUnit(known, now, intervals)
      .filter(
        ({ dueAt, service }) =>
          dueAt !== undefined && !service.isAdvice && Date.parse(dueAt) <= before.getTime(),
      )
      .map(({ service: { id, title }, dueAt, isDue, interval }) => ({
        id,
        title,
        dueAt,
        isDue,
        interval,
      })),
  };
}

/** With its serial: two of a kind stand side by side. */
function titleOf({ make, model, serial, family }: KnownUnit['unit']): string {
  const named = [make, model].filter(Boolean).join(' ') || (familyOf(family)?.title ?? '');
  return serial ? `${named}, serial ${serial}` : named;
}

const mostMonths = 240;
const mostPrice = 1e6;
const unitsAtOnce = 500;

/**
 * Sets a firm's own intervals and prices, and works out anew what is due.
 * @throws Refused for what is no interval or no price, each with its place.
 */
export async function setFirmService(
  transaction: FirmTransaction,
  organisationId: string,
  sent: unknown,
): Promise<Pick<Organisation, 'intervals' | 'prices'>> {
  const { intervals, prices } = readFirmService(sent);
  await updateFirmService(transaction, organisationId, { intervals, prices });
  for (let after = '00000000-0000-0000-0000-000000000000'; ;) {
    const part = await listServed(transaction, after, unitsAtOnce);
    const changed = part
      .map((known) => ({
        id: known.unit.id,
        was: known.unit.nextDue,
        nextDue: nextDueOf(known, intervals),
      }))
      .filter(({ was, nextDue }) => nextDue?.getTime() !== was?.getTime());
    await updateNextDue(transaction, changed);
    if (part.length < unitsAtOnce) return { intervals, prices };
    after = part.at(-1)!.unit.id;
  }
}

function readFirmService(sent: unknown): Pick<Organisation, 'intervals' | 'prices'> {
  const body = objectOf(sent, '');
  const intervals = objectOf(body.intervals ?? {}, '/intervals');
  const prices = objectOf(body.prices ?? {}, '/prices');
  const problems = [
    ...Object.entries(intervals).flatMap(([id, months]) =>
      serviceIds.has(id) && isWithin(months, 1, mostMonths) && Number.isInteger(months)
        ? []
        : [
            {
              pointer: `/intervals/${id}`,
              message: `A service that there is, and 1 to ${mostMonths} whole months.`,
            },
          ],
    ),
    ...Object.entries(prices).flatMap(([id, price]) =>
      (id === 'hour' || id === 'heater') && isWithin(price, 0, mostPrice)
        ? []
        : [
            {
              pointer: `/prices/${id}`,
              message: 'An hour or a heater, and a price of nought or more.',
            },
          ],
    ),
  ];
  if (problems.length > 0) throw new Refused(problems);
  return { intervals: intervals as FirmIntervals, prices: prices as Organisation['prices'] };
}

function objectOf(value: unknown, pointer: string): Record<string, unknown> {
  if (value !== null && typeof value === 'object' && !Array.isArray(value)) {
    return value as Record<string, unknown>;
  }
  throw new Refused([{ pointer, message: 'Intervals and prices come as an object each.' }]);
}

const isWithin = (value: unknown, least: number, most: number): value is number =>
  typeof value === 'number' && Number.isFinite(value) && value >= least && value <= most;
