import { notFound, redirect } from 'next/navigation';
import { Report } from '@/features/report/report';
import { ReportBar } from '@/features/report/report-bar';
import { LongJob } from '@/features/without-server/long-job';
import { readJobPage } from '@/server/read-job-page';
import { inThread } from '@/server/threads';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const page = await readJobPage((await params).id);
  if (page === 'no-firm') redirect('/setup');
  if (page === 'no-job') notFound();
  if (page.isLong) return <LongJob {...page} page="report" />;
  const { job, organisation } = page;
  const answer = await inThread('answers', (service) => service.reportAnswer(job));
  return (
    <div className="min-h-dvh bg-paper print:bg-sheet">
      <ReportBar
        jobId={job.job.id}
        number={job.job.number}
        known={job.entries.map((each) => each.id)}
      />
      <main>
        <Report job={job} answer={answer} organisation={organisation} />
      </main>
    </div>
  );
}
