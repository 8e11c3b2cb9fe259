import { redirect } from 'next/navigation';
import { FirmService } from '@/features/service/firm-service';
import { readSession } from '@/server/session';

export default async function Page() {
  const session = await readSession();
  if (!session) redirect('/setup');
  const { intervals, prices } = session.organisation;
  return <FirmService intervals={intervals} prices={prices} />;
}
