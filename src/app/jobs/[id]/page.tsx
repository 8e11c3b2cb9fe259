import { notFound, redirect } from 'next/navigation';
import { benchAnswer } from '@/core/job-diagnosis';
import { Bench } from '@/features/bench/bench';
import { readJobPage } from '@/server/read-job-page';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const page = await readJobPage((await params).id);
  if (page === 'no-firm') redirect('/setup');
  if (page === 'no-job') notFound();
  return (
    <Bench
      initial={page.job}
      first={benchAnswer(page.job, undefined)}
      system={page.organisation.unitSystem}
    />
  );
}
