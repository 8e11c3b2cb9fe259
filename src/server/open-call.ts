import { v7 as newId, validate as isUuid } from 'uuid';
import { checkedPlateOf, familyOf, PlateError, type ApplianceFamily } from '../core/appliances/all';
import { validatePlate, validateServices } from '../core/job-file/generated/validators';
import {
  complaintProblems,
  plateProblems,
  type JobFile,
  type JobFileProblem,
  type Plate,
} from '../core/job-file';
import type { FirmTransaction } from '../database/client';

import { searchWords } from '../core/search';
import type { SiteServices } from '../database/schema';
import { insertCustomer, insertSite, insertUnit, readUnit } from '../database/customers';
import { insertJob, lockCall, readJob } from '../database/jobs';
import { insertWords } from '../database/search';
import { readTechnician, readOrganisation } from '../database/technicians';
import { NotFound, Refused } from './errors';
import { standingMeanwhile } from './standing-of';

/** What a new call says. Either a known unit, or a new customer with site and plate. */
export interface NewCall {
  readonly technicianId: string;
  readonly complaint: NonNullable<JobFile['complaint']>;
  readonly knownUnitId?: string;
  readonly newUnit?: {
    readonly family: string;
    readonly customer: string;
    readonly address: string;
    /** What the house feeds it with: electricity, gas, water. */
    readonly services: unknown;
    readonly plate: unknown;
    readonly make?: string;
    readonly model?: string;
    readonly serial?: string;
    readonly manufactured?: string;
    readonly installed?: string;
  };
  /** Of a job that comes as a file. */
  readonly timeZone?: string;
  readonly constraints?: JobFile['constraints'];
  readonly envelope?: Omit<JobFile, 'entries'>;
  readonly id?: string;
  readonly openedAt?: Date;
  readonly number?: number;
}

/**
 * Opens a job; one that was opened before under the same id is given as it is.
 * @throws Refused with a pointer per field that is missing or wrong; NotFound for an unknown technician or unit.
 */
export async function openCall(
  transaction: FirmTransaction,
  organisationId: string,
  call: NewCall,
): Promise<{ id: string; number: number; unitId: string; isEarlier: boolean }> {
  if (call.id !== undefined) await lockCall(transaction, call.id);
  const earlier = call.id === undefined ? undefined : await readJob(transaction, call.id);
  // The same call again, whose answer was lost on its way.
  if (earlier) {
    const { id, number, unitId } = earlier.job;
    return { id, number, unitId, isEarlier: true };
  }
  const organisation = await readOrganisation(transaction);
  const technician = isUuid(call.technicianId)
    ? await readTechnician(transaction, call.technicianId)
    : undefined;
  if (!organisation || !technician) throw new NotFound('This firm has no such technician.');
  const { unitId, family, plate, services, words } = await unitFor(
    transaction,
    organisationId,
    call,
  );
  const id = call.id ?? newId();
  const { complaint } = call;
  refuseAnswers(familyOf(family)!, complaint);
  const constraints = call.constraints ?? {
    liveWork: technician.liveWork,
    gasWork: technician.gasWork,
    instruments: [...new Set(technician.instruments.map((each) => each.kind))],
  };
  const standing = standingMeanwhile({
    format: 'ohmmeter-job',
    version: 1,
    job: { id },
    unit: { family, plate },
    site: services,
    complaint,
    constraints,
    entries: [],
  });
  const number = await insertJob(transaction, {
    organisationId,
    id,
    unitId,
    technicianId: technician.id,
    openedAt: call.openedAt ?? new Date(),
    timeZone: call.timeZone ?? organisation.timeZone,
    complaint,
    constraints,
    standing,
    envelope: call.envelope,
    number: call.number,
  });
  await insertWords(
    transaction,
    organisationId,
    'job',
    id,
    searchWords(String(number), ...words, complaint.words),
  );
  return { id, number, unitId, isEarlier: false };
}

interface UnitOfCall {
  readonly unitId: string;
  readonly family: string;
  readonly plate: Plate;
  readonly services: SiteServices;
  /** What it is found by. */
  readonly words: Said;
}

async function unitFor(
  transaction: FirmTransaction,
  organisationId: string,
  { knownUnitId, newUnit }: NewCall,
): Promise<UnitOfCall> {
  if (knownUnitId !== undefined) {
    const known = isUuid(knownUnitId) ? await readUnit(transaction, knownUnitId) : undefined;
    if (!known) throw new NotFound('This firm has no such unit.');
    const { unit, site, customer } = known;
    return {
      words: saidOf(customer.name, site.address, unit),
      unitId: unit.id,
      family: unit.family,
      plate: unit.plate,
      services: site.services,
    };
  }
  if (!newUnit)
    throw new Refused([{ pointer: '/unit', message: 'Choose a unit, or enter its plate.' }]);
  const family = familyOf(newUnit.family);
  if (!family) {
    throw new Refused([{ pointer: '/unit/family', message: 'Choose which kind of heater it is.' }]);
  }
  const { plate, services } = checkedPlate(family, newUnit.plate, newUnit.services);
  const problems: JobFileProblem[] = [];
  if (newUnit.customer.trim() === '') {
    problems.push({ pointer: '/customer', message: 'Who is it for? A name is enough.' });
  }
  if (newUnit.address.trim() === '') {
    problems.push({ pointer: '/address', message: 'Where is it? A street is enough.' });
  }
  if (problems.length > 0) throw new Refused(problems);

  const [customerId, siteId, unitId] = [newId(), newId(), newId()];
  await insertCustomer(transaction, {
    organisationId,
    id: customerId,
    name: newUnit.customer.trim(),
  });
  await insertSite(transaction, {
    organisationId,
    id: siteId,
    customerId,
    address: newUnit.address.trim(),
    services,
  });
  await insertUnit(transaction, {
    organisationId,
    id: unitId,
    siteId,
    family: family.id,
    plate,
    make: newUnit.make,
    model: newUnit.model,
    serial: newUnit.serial,
    manufactured: newUnit.manufactured,
    installed: newUnit.installed,
  });
  const words = saidOf(newUnit.customer, newUnit.address, newUnit);
  await insertWords(transaction, organisationId, 'unit', unitId, searchWords(...words));
  return { unitId, family: family.id, plate, services, words };
}

type Said = readonly (string | null | undefined)[];

/** What a unit is found by. */
const saidOf = (
  customer: string,
  address: string,
  { make, model, serial }: { make?: string | null; model?: string | null; serial?: string | null },
): Said => [customer, address, make, model, serial];

/** @throws Refused for a complaint or an answer that the family does not ask for. */
function refuseAnswers(family: ApplianceFamily, complaint: NewCall['complaint']): void {
  const { kind } = complaint;
  const problems = complaintProblems(complaint, family.catalogue);
  if (kind !== undefined && !family.questions.complaint!.values.includes(kind)) {
    problems.push({
      pointer: '/complaint/kind',
      message: 'Choose what is wrong: it splits the field most.',
    });
  }
  if (problems.length > 0) throw new Refused(problems);
}

/**
 * A plate that the family can work with, and what its site feeds it with.
 * @throws Refused with the pointer of what is wrong.
 */
function checkedPlate(
  family: ApplianceFamily,
  plate: unknown,
  services: unknown,
): { readonly plate: Plate; readonly services: SiteServices } {
  if (!validatePlate(plate)) {
    throw new Refused(
      (validatePlate.errors ?? []).map(({ instancePath, message }) => ({
        pointer: `/plate${instancePath}`,
        message: `The plate ${message ?? 'is not valid'}.`,
      })),
    );
  }
  if (!validateServices(services)) {
    throw new Refused(
      (validateServices.errors ?? []).map(({ instancePath, message }) => ({
        pointer: `/site${instancePath}`,
        message: `What feeds the unit ${message ?? 'is not valid'}.`,
      })),
    );
  }
  const { missing, unknown } = plateProblems(plate, family.catalogue);
  const problems = [...missing, ...unknown];
  if (problems.length > 0) {
    throw new Refused(
      problems.map((each) => ({ ...each, pointer: each.pointer.replace('/unit', '') })),
    );
  }
  try {
    checkedPlateOf(family, { unit: { family: family.id, plate }, site: services });
  } catch (error) {
    if (!(error instanceof PlateError)) throw error;
    throw new Refused([{ pointer: error.pointer.replace('/unit', ''), message: error.message }]);
  }
  return { plate, services };
}
