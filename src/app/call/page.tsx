import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { CallForm } from '@/features/call/call-form';
import { Present } from '@/features/record/technician-context';
import { readSession } from '@/server/session';

export const metadata: Metadata = { title: 'New call' };

export default async function Page() {
  const session = await readSession();
  if (!session) redirect('/setup');
  const { technician, organisation } = session;
  return (
    <Present technician={technician}>
      <CallForm system={organisation.unitSystem} timeZone={organisation.timeZone} />
    </Present>
  );
}
