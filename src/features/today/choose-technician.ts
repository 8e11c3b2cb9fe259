import { tellTechnician } from '@/features/record/technician-chosen';
import { writeTechnicianHere } from '@/features/record/technician-here';

export interface Named {
  readonly id: string;
  readonly name: string;
}

/** Somebody stands there and waits to begin: what the server has not heard by then it hears later. */
const patienceMilliseconds = 3000;

/**
 * Writes down on this device who works with it, and says so to the other tabs and to the server. The device comes first: in a
 * cellar too nobody goes on under the name, and on the proof of dead, of who had it before.
 * @returns `refused` where the server knows no such person: whoever was here before still is.
 */
export async function chooseTechnician(
  technician: Named,
  before: Named,
): Promise<'told' | 'written-here' | 'refused'> {
  take(technician);
  const response = await fetch('/api/technician', {
    method: 'POST',
    body: JSON.stringify({ id: technician.id }),
    signal: AbortSignal.timeout(patienceMilliseconds),
  }).catch(() => undefined);
  if (response?.ok) return 'told';
  if (!response || response.status >= 500) return 'written-here';
  take(before);
  return 'refused';
}

function take({ id, name }: Named): void {
  writeTechnicianHere(id);
  tellTechnician(name);
}
