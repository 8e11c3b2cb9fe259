import { isCircumstance, serviceHistory, type ServiceHistory } from '../core/service';
import type { FirmTransaction } from '../database/client';
import type { JobWithUnit } from '../database/jobs';
import { listTold, type KeptTold } from '../database/service';

/** What all jobs on a unit tell of its services. */
export async function historyOfUnit(
  transaction: FirmTransaction,
  unitId: string,
): Promise<ServiceHistory> {
  return together(await listTold(transaction, [unitId]), undefined);
}

/** Jobs, each with what was known of its unit without it: from the others, and from the file that it came as. */
export async function withHistories<Row extends JobWithUnit>(
  transaction: FirmTransaction,
  rows: readonly Row[],
): Promise<(Row & { readonly history: ServiceHistory })[]> {
  if (rows.length === 0) return [];
  const kept = await listTold(
    transaction,
    rows.map(({ unit }) => unit.id),
  );
  return rows.map((row) => {
    const onUnit = kept.filter(({ unitId }) => unitId === row.unit.id);
    return { ...row, history: together(onUnit, row.job.id) };
  });
}

/** @param except a job whose own logbook tells it better. */
function together(kept: readonly KeptTold[], except: string | undefined): ServiceHistory {
  const files = kept.map(({ before }) => ({
    served: before?.served ?? {},
    circumstances: before?.circumstances?.filter(isCircumstance) ?? [],
  }));
  const before = serviceHistory(files, {
    circumstances: files.flatMap(({ circumstances }) => circumstances),
  });
  const told = kept.filter(({ jobId }) => jobId !== except).map((each) => each.told);
  return serviceHistory(told, before);
}
