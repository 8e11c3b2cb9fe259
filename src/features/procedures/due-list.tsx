'use client';

import { useMemo } from 'react';
import type { JobFile } from '@/core/job-file';
import { circumstances, dueOfJob, type DueService, type FirmIntervals } from '@/core/service';
import { dateWords } from '@/features/record/date-words';
import { useFamily } from '@/features/record/family-context';
import { CautionSign } from '@/ui/signs';
import { handOutCalendar } from '@/features/service/hand-out-calendar';

/** What is due on the unit, the most overdue first: with the procedure that does it, and as calendar dates. */
export function DueList({
  job,
  intervals,
  mayStart,
  onStart,
}: {
  job: JobFile;
  intervals: FirmIntervals;
  /** False where it takes a permission that there is not. */
  mayStart(procedure: string): boolean;
  onStart(procedure: string): void;
}) {
  const family = useFamily();
  const due = useMemo(() => dueOfJob(job, family, new Date(), intervals), [job, family, intervals]);
  const dated = due.filter((each) => each.dueAt !== undefined && !each.service.isAdvice);
  const timeZone = job.job.timeZone;
  return (
    <section aria-labelledby="due-services" className="mt-4">
      <h3 id="due-services" className="font-semibold">
        What comes due on this unit
      </h3>
      <ul>
        {due.map((each) => (
          <li key={each.service.id} className="flex items-center gap-3 border-b border-hair py-1.5">
            <span className="min-w-0 flex-1 leading-tight">
              <span className={each.isDue && !each.service.isAdvice ? 'font-semibold' : ''}>
                {each.service.title}
              </span>
              <span className="block text-small text-ink-2">
                {whenWords(each, timeZone)}
                {each.service.note ? ` ${each.service.note}` : ''}
              </span>
            </span>
            {each.isDue && !each.service.isAdvice && (
              <CautionSign sign="warning" size={22} label="due" />
            )}
            {each.service.procedure !== undefined && (
              <button
                type="button"
                className="button"
                disabled={!mayStart(each.service.procedure)}
                aria-label={`Start: ${each.service.title}`}
                onClick={() => onStart(each.service.procedure!)}
              >
                Start
              </button>
            )}
          </li>
        ))}
      </ul>
      {dated.length > 0 && (
        <button
          type="button"
          className="button mt-2"
          onClick={() =>
            void handOutCalendar(
              'ohmmeter-service',
              'Ohmmeter: service',
              dated.map(({ service, dueAt, interval }) => ({
                id: `${job.unit.id ?? job.job.id}-${service.id}`,
                at: new Date(dueAt!),
                title: `${service.title}: ${job.site?.customer ?? ''}`,
                words: `Every ${interval}.`,
                place: job.site?.address,
                isWholeDay: true,
              })),
            )
          }
        >
          Dates into the calendar
        </button>
      )}
    </section>
  );
}

function whenWords(
  { dueAt, isDue, interval, because, countedFrom, service }: DueService,
  timeZone: string | undefined,
): string {
  const every = service.days === undefined ? `every ${interval}` : `after ${interval}`;
  const why = because ? `, ${circumstances[because]}` : '';
  if (dueAt === undefined) return `Due: nobody knows when it was last done (${every}${why}).`;
  const day = (iso: string) => dateWords('medium', iso, timeZone);
  return `${isDue ? 'Due since' : 'Due'} ${day(dueAt)}: last ${day(countedFrom!)}, ${every}${why}.`;
}
