'use client';

import { useState } from 'react';
import type { Procedure } from '@/core/procedures';
import { schools, wayOf } from '@/core/schools';
import { useFamily } from '@/features/record/family-context';
import { SchoolChoice } from '@/features/record/school-choice';
import type { JobRecord } from '@/features/record/use-job-record';
import { Dialog } from '@/ui/dialog';

/** The way that means: not at all. */
const notAtAll = 'leave';

/** What has to be said before a procedure begins: which way is gone where practitioners disagree, and for which repair. */
export function StartDialog({
  procedure,
  repairs,
  record,
  onClose,
  onStart,
}: {
  procedure: Procedure;
  repairs: readonly string[];
  record: JobRecord;
  onClose(): void;
  onStart(repair: string | undefined, leftBecause?: string): void;
}) {
  const family = useFamily();
  const { job, constrain } = record;
  const school = schools.find(({ id }) => id === procedure.school);
  const way = school && wayOf(school, job.constraints?.schools);
  const [problem, setProblem] = useState<string>();
  return (
    <Dialog title={procedure.title} isOpen onClose={onClose}>
      {procedure.note && <p className="mb-3">{procedure.note}</p>}
      {school && (
        <SchoolChoice
          school={school}
          chosen={job.constraints?.schools}
          onChoose={(chosen) =>
            void constrain({
              ...job.constraints,
              schools: { ...job.constraints?.schools, [school.id]: chosen },
            }).then(setProblem)
          }
        />
      )}
      {problem && (
        <p role="alert" className="mb-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      {way?.id === notAtAll ? (
        <button
          type="button"
          className="button button-act min-h-14 w-full text-lead"
          onClick={() => onStart(undefined, `left as it is: ${way.why}`)}
        >
          Leave it, and write down why
        </button>
      ) : repairs.length > 1 ? (
        <div className="grid gap-2" role="group" aria-label="Which one">
          {repairs.map((each) => (
            <button
              key={each}
              type="button"
              className="button min-h-14"
              onClick={() => onStart(each)}
            >
              {family.repairs[each]!.order}
            </button>
          ))}
        </div>
      ) : (
        <button
          type="button"
          className="button button-act min-h-14 w-full text-lead"
          onClick={() => onStart(repairs[0])}
        >
          Start now
        </button>
      )}
    </Dialog>
  );
}
