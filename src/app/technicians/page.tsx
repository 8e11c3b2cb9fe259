import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { TechniciansPage } from '@/features/technicians/technicians-page';
import { inFirm } from '@/server/in-firm';
import { readSession } from '@/server/session';
import { readPeople } from '@/server/technicians';

export const metadata: Metadata = { title: 'Who works here' };

export default async function Page() {
  const session = await readSession();
  const people = await inFirm(readPeople);
  if (!session || !people) redirect('/setup');
  return (
    <TechniciansPage
      timeZone={session.organisation.timeZone}
      technicians={people.technicians.map(({ id, name, licence, liveWork, gasWork, hasLeft }) => ({
        id,
        name,
        licence: licence ?? '',
        liveWork,
        gasWork,
        hasLeft,
      }))}
      changes={people.changes.map(({ id, at, byName, said }) => ({
        id,
        at: at.toISOString(),
        byName,
        said: { ...said, licence: said.licence ?? '' },
      }))}
    />
  );
}
