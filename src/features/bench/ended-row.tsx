import { leavesUnit, type JobFile, type JobState } from '@/core/job-file';
import { clockTime, longDate, statusWords } from '@/features/record/words';

/** Of a job that is closed, or waits for a part: that it is so, by whom and why, and the way back to work on it. */
export function EndedRow({
  job,
  status,
  onTakeUp,
}: {
  job: JobFile;
  status: JobState['status'];
  onTakeUp(): void;
}) {
  if (status === undefined || !leavesUnit(status)) return null;
  const { timeZone } = job.job;
  const by = job.people?.find(({ id }) => id === status.by)?.name;
  return (
    <div
      className="flex min-h-11 items-center justify-between gap-3 border-b-2 border-rule bg-well px-4 py-1"
      role="status"
    >
      <p className="min-w-0 text-small leading-tight">
        <span className="font-semibold">{statusWords[status.status]}</span>
        {by && ` by ${by}`}, {longDate(status.at, timeZone)}, {clockTime(status.at, timeZone)}
        {status.reason && <span className="line-clamp-1">{status.reason}</span>}
      </p>
      <button type="button" className="button shrink-0" onClick={onTakeUp}>
        Take up again
      </button>
    </div>
  );
}
