import { familyOfJob } from '@/core/appliances';
import type { JobFile, JobState } from '@/core/job-file';
import { wordsOf } from '@/features/record/family-words';
import { clockTime } from '@/features/record/words';

const ended: Readonly<Record<string, string>> = {
  done: 'gone through',
  stopped: 'stopped',
  diagnose: 'ended: back to the diagnosis',
};

/** Procedures that were run, with their times, and which steps were left out and why. */
export function ReportProcedures({ job, state }: { job: JobFile; state: JobState }) {
  const words = wordsOf(familyOfJob(job));
  const runs = Object.values(state.runs);
  if (runs.length === 0) return null;
  const zone = job.job.timeZone;
  return (
    <section className="mt-3 border-b border-hair pb-3" aria-labelledby="report-procedures">
      <h2 id="report-procedures" className="text-lead font-semibold">
        Step by step
      </h2>
      <ul>
        {runs.map((run) => {
          const leftOut = run.marks.filter(({ phase }) => phase === 'skipped');
          return (
            <li key={run.run}>
              {words.procedure(run.procedure)}, {clockTime(run.startedAt, zone)}
              {run.endedAt ? ` to ${clockTime(run.endedAt, zone)}` : ''}:{' '}
              {run.ends === undefined
                ? 'goes on'
                : (ended[run.ends] ?? `went on: ${words.procedure(run.ends)}`)}
              .
              {leftOut.length > 0 &&
                ` Left out: ${leftOut
                  .map(
                    ({ step, reason }) =>
                      `${words.step(run.procedure, step)} (${(reason ?? '').replaceAll('-', ' ')})`,
                  )
                  .join('; ')}`}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
