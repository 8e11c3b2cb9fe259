import { validate as isUuid } from 'uuid';
import { familyOf, plateSaid } from '../core/appliances/all';
import type { JobFile } from '../core/job-file';
import { installedProblem } from '../core/service';
import { Refused } from './errors';
import type { NewCall } from './open-call';

type Fields = Readonly<Record<string, unknown>>;

/**
 * Reads what the call screen sends.
 * @throws Refused with a pointer per field.
 */
export function readNewCall(sent: unknown): NewCall {
  const fields = fieldsOf(sent);
  const complaint = fieldsOf(fields.complaint);
  if (typeof complaint.kind !== 'string') {
    throw new Refused([
      { pointer: '/complaint/kind', message: 'Choose what is wrong: it splits the field most.' },
    ]);
  }
  // A question that was asked and not answered comes without a value.
  const answers = Object.fromEntries(
    Object.entries(fieldsOf(complaint.answers)).filter(([, answer]) => answer !== undefined),
  ) as Record<string, string>;
  const newUnit = fields.newUnit === undefined ? undefined : fieldsOf(fields.newUnit);
  const installed = installedProblem(text(newUnit?.installed), new Date());
  if (installed) throw new Refused([{ pointer: '/installed', message: installed }]);
  return {
    ...takenOnDevice(fields),
    technicianId: text(fields.technicianId),
    complaint: {
      kind: complaint.kind as NonNullable<JobFile['complaint']>['kind'],
      words: cut(text(complaint.words), 4000),
      answers,
    },
    knownUnitId: typeof fields.knownUnitId === 'string' ? fields.knownUnitId : undefined,
    newUnit: newUnit && {
      customer: cut(text(newUnit.customer), 200),
      address: cut(text(newUnit.address), 400),
      family: text(newUnit.family),
      services: servicesOf(newUnit),
      plate: newUnit.plate,
      make: cut(text(newUnit.make), 100) || undefined,
      model: cut(text(newUnit.model), 100) || undefined,
      serial: cut(text(newUnit.serial), 100) || undefined,
      installed: cut(text(newUnit.installed), 20) || undefined,
    },
  };
}

const dayMilliseconds = 86_400_000;

/** A call that was taken without signal brings its id and its time. A clock that is far off is not believed. */
function takenOnDevice({ id, openedAt }: Fields): Pick<NewCall, 'id' | 'openedAt'> {
  if (id === undefined) return {};
  if (typeof id !== 'string' || !isUuid(id)) {
    throw new Refused([{ pointer: '/id', message: 'The id of a job is a UUID.' }]);
  }
  const age = Date.now() - Date.parse(text(openedAt));
  const isSane = age > -dayMilliseconds && age < 60 * dayMilliseconds;
  return { id: id.toLowerCase(), ...(isSane ? { openedAt: new Date(text(openedAt)) } : {}) };
}

/** What feeds the unit; a call that an older program kept on its device names a supply of the family instead. */
function servicesOf({ family, services, supply, residualCurrentDevice }: Fields): unknown {
  if (services !== undefined) return services;
  const guarded = typeof residualCurrentDevice === 'boolean' ? residualCurrentDevice : undefined;
  const typed = {
    supply: text(supply),
    residualCurrentDevice: guarded === undefined ? undefined : guarded ? 'yes' : 'no',
  };
  const fields = familyOf(text(family))?.plateFields ?? [];
  return plateSaid(
    fields.filter(({ key }) => key in typed),
    typed,
    () => undefined,
  ).services;
}

/** No longer than so many, and never in the middle of a character. */
const cut = (value: string, most: number): string =>
  value.slice(0, most).replace(/[\ud800-\udbff]$/, '');

const text = (value: unknown): string => (typeof value === 'string' ? value : '');

const fieldsOf = (value: unknown): Fields =>
  value !== null && typeof value === 'object' ? (value as Fields) : {};
