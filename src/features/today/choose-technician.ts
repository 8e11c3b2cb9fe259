import { tellTechnician } from '@/features/record/technician-chosen';

/** Says to the server and to the other tabs who works on this device. False where the server did not take it. */
export async function chooseTechnician({
  id,
  name,
}: {
  readonly id: string;
  readonly name: string;
}): Promise<boolean> {
  const response = await fetch('/api/technician', {
    method: 'POST',
    body: JSON.stringify({ id }),
  }).catch(() => undefined);
  if (!response?.ok) return false;
  tellTechnician(name);
  return true;
}
