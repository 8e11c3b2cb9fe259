import { isPlateError, type ApplianceFamily } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { notNumbered } from '@/features/device/kept-jobs';
import { post } from '@/features/device/send';
import { sameAgain } from '@/features/device/same-again';
import { deviceStore, inTime, keepCall, longestWaitMilliseconds } from '@/features/device/store';
import type { PresentTechnician } from '@/features/record/technician-context';
import { callOf, saidOf, type CallDraft } from './call-draft';

/** How the opening of a job went: it is there, or why not. */
export type OpenedCall =
  | { readonly kind: 'open'; readonly id: string }
  | { readonly kind: 'problem'; readonly message: string };

const calls = sameAgain();

/**
 * Opens a job: on the server where it answers, else on this device, which sends the call when there is signal again. The id
 * is made here, so that the same call sent twice is one job, also where it is sent by hand once more.
 * @param timeZone the firm's.
 */
export async function openCall(
  family: ApplianceFamily,
  draft: CallDraft,
  technician: PresentTechnician,
  { system, timeZone }: { readonly system: UnitSystem; readonly timeZone: string },
): Promise<OpenedCall> {
  const said = callOf(family, draft, technician.id, draft.knownUnit !== undefined, system);
  const id = draft.id ?? calls.idFor(JSON.stringify(said));
  const openedAt = new Date().toISOString();
  const call = { id, openedAt, ...said };
  const job = jobOfCall(family, draft, call, technician, { system, timeZone });
  const plateProblem = problemOfPlate(family, job);
  if (plateProblem) return { kind: 'problem', message: plateProblem };
  const body = JSON.stringify(call);
  const answer = await post('/api/jobs', body);
  if (answer.kind !== 'waiting') calls.ended();
  if (answer.kind === 'all-sent') {
    await deviceStore()
      .calls.delete(id)
      .catch(() => undefined);
    return { kind: 'open', id };
  }
  if (answer.kind === 'refused') {
    const { problems } = answer.content as { problems?: { message: string }[] };
    return {
      kind: 'problem',
      message: problems?.map((each) => each.message).join(' ') ?? answer.message,
    };
  }
  const keeping = keepCall({
    id,
    body,
    draft: JSON.stringify({ ...draft, id }),
    job,
    order: Date.now() * 1000,
    state: 'waiting',
  });
  try {
    await inTime(keeping.kept, longestWaitMilliseconds);
    calls.ended();
    return { kind: 'open', id };
  } catch {
    // A call that this device kept after all, behind the back of whoever opens another, would be a second job.
    keeping.giveUp();
    return {
      kind: 'problem',
      message: `NOT opened: ${answer.message}, and this device could not keep the call (its storage is full, closed, or does not answer). What you typed stands here: free some room, or try again when there is signal.`,
    };
  }
}

type SentCall = ReturnType<typeof callOf> & { readonly id: string; readonly openedAt: string };

/** The job that the call opens, as the server would give it, but for its number. */
function jobOfCall(
  family: ApplianceFamily,
  draft: CallDraft,
  { id, openedAt, ...call }: SentCall,
  technician: PresentTechnician,
  { system, timeZone }: { readonly system: UnitSystem; readonly timeZone: string },
): JobFile {
  const { newUnit, complaint } = call;
  const typed = newUnit && {
    family: family.id,
    ...Object.fromEntries(
      (['make', 'model', 'serial', 'installed'] as const)
        .filter((key) => newUnit[key].trim() !== '')
        .map((key) => [key, newUnit[key]]),
    ),
    plate: newUnit.plate as JobFile['unit']['plate'],
  };
  return {
    format: 'ohmmeter-job',
    version: 1,
    job: { id, number: notNumbered, openedAt, timeZone, technician: technician.name },
    site: draft.knownUnit?.site ?? {
      customer: draft.customer.trim(),
      address: draft.address.trim(),
      ...saidOf(family, draft, system).services,
    },
    unit: draft.knownUnit?.unit ?? typed!,
    complaint: {
      ...complaint,
      kind: complaint.kind as NonNullable<JobFile['complaint']>['kind'],
    },
    people: [
      {
        id: technician.id,
        name: technician.name,
        liveWork: technician.liveWork,
        gasWork: technician.gasWork,
      },
    ],
    instruments: technician.instruments,
    constraints: {
      liveWork: technician.liveWork,
      gasWork: technician.gasWork,
      instruments: [...new Set(technician.instruments.map((each) => each.kind))],
    },
    entries: [],
  };
}

function problemOfPlate(family: ApplianceFamily, job: JobFile): string | undefined {
  try {
    family.plateOf(job);
    return undefined;
  } catch (error) {
    if (isPlateError(error)) return error.message;
    throw error;
  }
}
