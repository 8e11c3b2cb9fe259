import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { questionWords } from '@/core/search';
import { countJobs, listJobs } from '@/database/jobs';
import { jobsOnPage } from '@/features/today/job-pages';
import { ReadAgain } from '@/features/today/read-again';
import { Today } from '@/features/today/today';
import { dueUnits } from '@/server/service-due';
import { inFirm } from '@/server/in-firm';
import { readSession } from '@/server/session';

export default async function Page({ searchParams }: PageProps<'/'>) {
  const asked = await searchParams;
  const session = await readSession();
  const find = textOf(asked.find);
  const words = questionWords(find);
  const [open, closed] = [pageOf(asked.open), pageOf(asked.closed)];
  const found = await inFirm(async (transaction) => {
    const part = (isOpen: boolean, page: number) =>
      listJobs(transaction, { isOpen, words, most: jobsOnPage, from: (page - 1) * jobsOnPage });
    return {
      counts: await countJobs(transaction, words),
      open: await part(true, open),
      closed: await part(false, closed),
      due:
        words.length === 0 && session
          ? await dueUnits(transaction, new Date(), session.organisation.intervals)
          : [],
    };
  });
  if (!session || !found) redirect('/setup');
  const { counts } = found;
  const now = new Date();
  return (
    <>
      <ReadAgain made={now} />
      <Today
        session={session}
        open={{ rows: found.open, count: counts.open, page: open }}
        closed={{ rows: found.closed, count: counts.closed, page: closed }}
        due={found.due}
        waitingCount={counts.waiting}
        find={find}
        now={now}
        theme={(await cookies()).get('ohmmeter-theme')?.value}
      />
    </>
  );
}

type Asked = string | string[] | undefined;

const longestFind = 200;

const textOf = (asked: Asked): string =>
  (typeof asked === 'string' ? asked : (asked?.[0] ?? '')).slice(0, longestFind);

/** A page that can be counted to; the first for anything else. */
function pageOf(asked: Asked): number {
  const page = Number(textOf(asked));
  return Number.isInteger(page) && page > 0 && page < 1_000_000 ? page : 1;
}
