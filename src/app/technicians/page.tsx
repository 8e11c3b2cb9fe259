import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { TechniciansPage } from '@/features/technicians/technicians-page';
import { readSession } from '@/server/session';

export const metadata: Metadata = { title: 'Who works here' };

export default async function Page() {
  const session = await readSession();
  if (!session) redirect('/setup');
  return (
    <TechniciansPage
      technicians={session.technicians.map(({ id, name, licence, liveWork, gasWork }) => ({
        id,
        name,
        licence: licence ?? '',
        liveWork,
        gasWork,
      }))}
    />
  );
}
