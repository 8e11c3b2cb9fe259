import { notFound, redirect } from 'next/navigation';
import { benchAnswer } from '@/core/job-diagnosis';
import { Bench } from '@/features/bench/bench';
import { Present } from '@/features/record/technician-context';
import { readJobPage } from '@/server/read-job-page';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const page = await readJobPage((await params).id);
  if (page === 'no-firm') redirect('/setup');
  if (page === 'no-job') notFound();
  return (
    <Present technician={page.technician}>
      <Bench
        initial={page.job}
        first={benchAnswer(page.job, undefined, { now: new Date().toISOString() })}
        system={page.organisation.unitSystem}
      />
    </Present>
  );
}
