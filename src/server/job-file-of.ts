import { currentVersion, type Entry, type JobFile } from '../core/job-file';
import type { ServiceHistory } from '../core/service';
import type { Customer, Site, Unit } from '../database/customers';
import type { JobWithUnit } from '../database/jobs';
import type { Technician } from '../database/technicians';

/**
 * A stored job as a job file: what the browser works on, and what is exported. A job that came as a file keeps every word of
 * it that is not written anew here.
 * @param history what is known of services on its unit without its own logbook; else what all jobs on it told.
 * @param writers who wrote in its logbook, where that is not given with it.
 */
export function jobFileOf(
  { job, unit, site, customer, technician, history }: JobWithUnit & { history?: ServiceHistory },
  entries: readonly Entry[],
  technicians: readonly Technician[] = [technician],
  writers: ReadonlySet<string | undefined> = new Set(entries.map((each) => each.by)),
): JobFile {
  const { envelope } = job;
  const people = peopleOf(envelope, technician, technicians, writers);
  return {
    ...envelope,
    format: 'ohmmeter-job',
    version: 1,
    minor: Math.max(currentVersion.minor, envelope?.minor ?? 0),
    job: {
      ...envelope?.job,
      id: job.id,
      number: String(job.number),
      openedAt: job.openedAt.toISOString(),
      timeZone: job.timeZone,
      technician: technician.name,
    },
    site: siteOf(site, customer, envelope?.site),
    unit: { ...envelope?.unit, ...unitOf(history ? { ...unit, ...history } : unit) },
    complaint: job.complaint,
    people,
    instruments: envelope?.instruments ?? technician.instruments,
    constraints: job.constraints,
    entries: [...entries],
  };
}

/** A stored site as a job file says it, with what its own file said beside. */
export function siteOf(
  site: Site,
  customer: Customer,
  said?: JobFile['site'],
): NonNullable<JobFile['site']> {
  return {
    ...said,
    id: site.id,
    customer: customer.name,
    address: site.address,
    ...site.services,
    ...(said?.supply && site.services.supply
      ? { supply: { ...said.supply, ...site.services.supply } }
      : {}),
  };
}

/** A stored unit as a job file says it. */
export const unitOf = (
  unit: Omit<Unit, keyof ServiceHistory> & ServiceHistory,
): JobFile['unit'] => ({
  id: unit.id,
  family: unit.family,
  ...optional({
    make: unit.make,
    model: unit.model,
    serial: unit.serial,
    manufactured: unit.manufactured,
    installed: unit.installed,
  }),
  plate: unit.plate,
  ...(Object.keys(unit.served).length > 0 ? { served: { ...unit.served } } : {}),
  ...(unit.circumstances.length > 0 ? { circumstances: [...unit.circumstances] } : {}),
});

/** Whose job it is first, then everybody who wrote in its logbook, then those that its file named. */
function peopleOf(
  envelope: JobWithUnit['job']['envelope'],
  owner: Technician,
  technicians: readonly Technician[],
  wrote: ReadonlySet<string | undefined>,
): NonNullable<JobFile['people']> {
  const own = [owner, ...technicians.filter(({ id }) => id !== owner.id && wrote.has(id))].map(
    ({ id, name, liveWork, gasWork, licence }) => ({
      id,
      name,
      liveWork,
      gasWork,
      ...optional({ licence }),
    }),
  );
  const known = new Set(own.map((each) => each.id));
  return [...own, ...(envelope?.people ?? []).filter(({ id }) => !known.has(id))];
}

/** Leaves out what is not there: the format has no nulls. */
function optional<K extends string>(fields: Record<K, string | null>): Partial<Record<K, string>> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== null),
  ) as Partial<Record<K, string>>;
}
