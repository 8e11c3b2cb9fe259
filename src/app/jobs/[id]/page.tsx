import { notFound, redirect } from 'next/navigation';
import { Bench } from '@/features/bench/bench';
import { Present } from '@/features/record/technician-context';
import { LongJob } from '@/features/without-server/long-job';
import { firstAnswer } from '@/server/first-answer';
import { readJobPage } from '@/server/read-job-page';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const page = await readJobPage((await params).id);
  if (page === 'no-firm') redirect('/setup');
  if (page === 'no-job') notFound();
  if (page.isLong) return <LongJob {...page} page="bench" />;
  return (
    <Present technician={page.technician}>
      <Bench
        initial={page.job}
        first={await firstAnswer(page.job)}
        system={page.organisation.unitSystem}
      />
    </Present>
  );
}
