import type { JobFile } from '../job-file/generated/job-types';
import type { ApplianceFamily, FamilyPlate } from './appliance-family';
import { plateNumber } from './kit/plate-number';

/**
 * The plate of a job that is being taken in. Each number of it stands in the unit and the range that its field has: what was
 * stored before that was asked of it is worked with as it is, and its job opens.
 * @throws PlateError for a plate that no such unit has.
 */
export function checkedPlateOf(
  family: Pick<ApplianceFamily, 'plateFields' | 'plateOf'>,
  job: Pick<JobFile, 'unit' | 'site'>,
): FamilyPlate {
  for (const field of family.plateFields) {
    if (field.kind !== 'number' || !ofPlateItself.test(field.pointer)) continue;
    // What is missing and has to be there, the family says itself.
    plateNumber(job.unit.plate, { ...field, isOptional: true }, field.range);
  }
  return family.plateOf(job);
}

const ofPlateItself = /^\/unit\/plate\/[^/]+\/[^/]+$/;
