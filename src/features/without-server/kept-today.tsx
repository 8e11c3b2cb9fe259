'use client';

import { isFound, questionWords, searchWords } from '@/core/search';
import type { KeptFirm } from '@/features/device/kept-firm';
import { Families } from '@/features/record/family-context';
import { presentAmong } from '@/features/record/technician-here';
import { jobsOnPage } from '@/features/today/job-pages';
import { Today } from '@/features/today/today';
import type { JobWithUnit } from '@/database/jobs';
import { KeptCalls } from './kept-calls';

/** Today from what this device keeps: the open jobs as the server last listed them. */
export function KeptToday({ firm, find }: { firm: KeptFirm; find: string }) {
  const { organisation, technicians, technicianId, jobs, counts } = firm.content;
  const technician = presentAmong(technicians, technicianId);
  const asked = questionWords(find);
  const rows = jobs.map(withDates).filter((row) => isFound(wordsOf(row), asked));
  return (
    <Families ids={rows.map(({ unit }) => unit.family)}>
      <Today
        session={{ organisation, technicians, technician, isChosen: true }}
        open={{ rows: rows.slice(0, jobsOnPage), count: rows.length, page: 1 }}
        closed={{ rows: [], count: find === '' ? counts.closed : 0, page: 1 }}
        waitingCount={rows.filter(({ job }) => job.standing.stage === 'waiting').length}
        find={find}
        now={new Date()}
        theme={undefined}
        keptAt={firm.keptAt}
        before={<KeptCalls />}
      />
    </Families>
  );
}

const wordsOf = ({ job, unit, site, customer }: JobWithUnit) =>
  searchWords(
    String(job.number),
    customer.name,
    site.address,
    unit.make,
    unit.model,
    unit.serial,
    job.complaint.words,
  );

/** Times came as text. */
const withDates = (row: JobWithUnit): JobWithUnit => ({
  ...row,
  job: { ...row.job, openedAt: new Date(row.job.openedAt) },
});
