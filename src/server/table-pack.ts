import { buildId } from '../build-id';
import { familyOfJob } from '../core/appliances';
import { packTables, type TablePack } from '../core/job-diagnosis';
import type { JobFile } from '../core/job-file';
import { NotFound } from './errors';

/**
 * The tables of a job's plate, worked out once for all devices that ask.
 * @throws NotFound where the device runs another build, whose tables may differ.
 */
export function tablePackFor(job: JobFile, deviceBuild: string | null): TablePack {
  if (deviceBuild !== buildId) throw new NotFound('There are no tables for that build.');
  const family = familyOfJob(job);
  return packTables(family, family.plateOf(job));
}
