import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { Present } from '@/features/record/technician-context';
import { Waiting } from '@/features/waiting/waiting';
import { readSession } from '@/server/session';

export const metadata: Metadata = { title: 'Kept on this device' };

export default async function Page() {
  const session = await readSession();
  if (!session) redirect('/setup');
  return (
    <Present technician={session.technician}>
      <Waiting system={session.organisation.unitSystem} />
    </Present>
  );
}
