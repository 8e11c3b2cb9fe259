'use client';

import { gasWorkAllowed, liveWorkAllowed, type ProcedureRun, type Value } from '@/core/job-file';
import type { StepOutcome, UnstampedEntry } from '@/core/procedures';
import type { UnitSystem } from '@/core/quantities';
import { withState } from '@/features/bench/new-entries';
import { ValuesEntry } from '@/features/bench/values-entry';
import { useFamily, useWords } from '@/features/record/family-context';
import { clearedOf } from '@/features/record/draft-keeper';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { clockTime } from '@/features/record/words';
import { noPermission } from './step-reading';
import { standingReading } from './standing-reading';

/** Values that a step ends with and that are read together, each in its field; those of before may stand for them. */
export function StepValues({
  record,
  run,
  check,
  since,
  system,
  onFinish,
}: {
  record: JobRecord;
  run: ProcedureRun;
  /** One of the family's own. */
  check: string;
  since: string | undefined;
  system: UnitSystem;
  onFinish(outcome: StepOutcome, ...results: UnstampedEntry[]): Promise<boolean>;
}) {
  const family = useFamily();
  const words = useWords();
  const { job } = record;
  const draft = useReadingDraft(`${job.job.id} ${run.run} ${check} values`);
  const earlier = standingReading(job, check, since);
  const isAllowed = family.isAllowed(check, {
    liveWork: liveWorkAllowed(job),
    gasWork: gasWorkAllowed(job),
  });
  const enter = async (values: Record<string, Value>) => {
    const reading: NewEntry = { kind: 'reading', check, values };
    const isEntered = await onFinish(
      { result: words.result({ ...reading, id: '', at: '' }, system) },
      withState(family, reading, check, []) as UnstampedEntry,
    );
    if (isEntered) draft[1](clearedOf(draft[0]));
  };
  return (
    <div className="mt-3">
      <p className="font-medium">{words.check(check)}</p>
      <p className="text-small text-ink-2">{family.checks[check]!.doThis}</p>
      {earlier?.values && (
        <button
          type="button"
          className="button mt-2 min-h-14 w-full"
          onClick={() => void onFinish({ result: words.result(earlier, system) })}
        >
          As read at {clockTime(earlier.at, job.job.timeZone)}: {words.result(earlier, system)}
        </button>
      )}
      <div className="-mx-4 mt-2">
        <ValuesEntry
          jobId={job.job.id}
          check={check}
          plate={job.unit.plate}
          quantity={family.check(check).quantity!}
          system={system}
          good={undefined}
          isReady
          disabledReason={isAllowed ? undefined : noPermission}
          draft={draft}
          onEnter={(values) => void enter(values)}
        />
      </div>
    </div>
  );
}
