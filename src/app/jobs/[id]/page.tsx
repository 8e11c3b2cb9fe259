import { notFound, redirect } from 'next/navigation';
import { Bench } from '@/features/bench/bench';
import { Present } from '@/features/record/technician-context';
import { LongJob } from '@/features/without-server/long-job';
import { readBenchPage } from '@/server/read-job-page';

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ check?: string | string[] }>;
}) {
  const check = [(await searchParams).check ?? []].flat()[0];
  const page = await readBenchPage((await params).id, check);
  if (page === 'no-firm') redirect('/setup');
  if (page === 'no-job') notFound();
  if (page.isLong) return <LongJob {...page} page="bench" />;
  return (
    <Present technician={page.technician}>
      <Bench initial={page.job} first={await page.first} system={page.organisation.unitSystem} />
    </Present>
  );
}
