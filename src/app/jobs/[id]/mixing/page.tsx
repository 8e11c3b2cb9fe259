import { notFound, redirect } from 'next/navigation';
import { Present } from '@/features/record/technician-context';
import { MixingPage } from '@/features/mixing/mixing-page';
import { LongJob } from '@/features/without-server/long-job';
import { readJobPage } from '@/server/read-job-page';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const page = await readJobPage((await params).id);
  if (page === 'no-firm') redirect('/setup');
  if (page === 'no-job') notFound();
  if (page.isLong) return <LongJob {...page} page="mixing" />;
  return (
    <Present technician={page.technician}>
      <MixingPage initial={page.job} system={page.organisation.unitSystem} />
    </Present>
  );
}
