import type { Entry, JobFile } from '../core/job-file';
import type { JobWithUnit } from '../database/jobs';

/** A stored job as a job file: what the browser works on, and what is exported. */
export function jobFileOf(
  { job, unit, site, customer, technician }: JobWithUnit,
  entries: readonly Entry[],
): JobFile {
  return {
    format: 'ohmmeter-job',
    version: 1,
    minor: 0,
    job: {
      id: job.id,
      number: String(job.number),
      openedAt: job.openedAt.toISOString(),
      timeZone: job.timeZone,
      technician: technician.name,
    },
    site: {
      id: site.id,
      customer: customer.name,
      address: site.address,
      supply: {
        system: site.supplySystem,
        nominal: { volt: site.nominalVolt },
        ...(site.residualCurrentDevice === null
          ? {}
          : { residualCurrentDevice: site.residualCurrentDevice }),
      },
    },
    unit: {
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
    },
    complaint: job.complaint,
    people: [
      {
        id: technician.id,
        name: technician.name,
        liveWork: technician.liveWork,
        ...optional({ licence: technician.licence }),
      },
    ],
    instruments: technician.instruments,
    constraints: job.constraints,
    entries: [...entries],
  };
}

/** Leaves out what is not there: the format has no nulls. */
function optional<K extends string>(fields: Record<K, string | null>): Partial<Record<K, string>> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== null),
  ) as Partial<Record<K, string>>;
}
