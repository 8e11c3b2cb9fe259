import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { Today } from '@/features/today/today';
import { listJobs } from '@/database/jobs';
import { inFirm, readSession } from '@/server/session';

export default async function Page() {
  const session = await readSession();
  const jobs = await inFirm((transaction) => listJobs(transaction));
  if (!session || !jobs) redirect('/setup');
  const theme = (await cookies()).get('ohmmeter-theme')?.value;
  return <Today session={session} jobs={jobs} now={new Date()} theme={theme} />;
}
