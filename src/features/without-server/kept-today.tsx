'use client';

import { useMemo } from 'react';
import { isFound, questionWords, searchWords } from '@/core/search';
import { isOpenAt } from '@/core/job-diagnosis/standing';
import type { KeptFirm } from '@/features/device/kept-firm';
import { Families } from '@/features/record/family-context';
import { presentAmong, technicianHere } from '@/features/record/technician-here';
import { jobsOnPage } from '@/features/today/job-pages';
import { Today } from '@/features/today/today';
import type { JobWithUnit } from '@/database/jobs';
import { KeptCalls } from './kept-calls';
import { useStandingsHere } from './standings-here';

/** Today from what this device keeps: the open jobs as the server last listed them, with what was entered here since. */
export function KeptToday({ firm, find }: { firm: KeptFirm; find: string }) {
  const { organisation, technicians, technicianId, isChosen, jobs, counts } = firm.content;
  const technician = presentAmong(technicians, technicianId);
  const asked = questionWords(find);
  const listed = useMemo(() => jobs.map(({ job }) => job), [jobs]);
  const here = useStandingsHere(listed);
  const rows = jobs
    .map((each) => withDates(each, here[each.job.id]))
    .filter((row) => isFound(wordsOf(row), asked));
  const open = rows.filter(({ job }) => isOpenAt(job.standing));
  const closedHere = rows.filter(({ job }) => !isOpenAt(job.standing));
  const isSaid = isChosen !== false || technicians.some(({ id }) => id === technicianHere());
  return (
    <Families ids={rows.map(({ unit }) => unit.family)}>
      <Today
        session={{ organisation, technicians, technician, isChosen: isSaid }}
        open={{ rows: open.slice(0, jobsOnPage), count: open.length, page: 1 }}
        closed={{
          rows: closedHere,
          count: (find === '' ? counts.closed : 0) + closedHere.length,
          page: 1,
        }}
        waitingCount={open.filter(({ job }) => job.standing.stage === 'waiting').length}
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
const withDates = (row: JobWithUnit, standing = row.job.standing): JobWithUnit => ({
  ...row,
  job: { ...row.job, openedAt: new Date(row.job.openedAt), standing },
});
