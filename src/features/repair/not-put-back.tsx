import { familyOfJob } from '@/core/appliances';
import type { JobState } from '@/core/job-file';
import type { JobRecord } from '@/features/record/use-job-record';
import { leftOpen } from './left-open';

/**
 * What nobody has put back, by the logbook, before the unit is left: what is undone in one move is checked off here, wires and
 * dials where they are worked at. It bars nothing by itself: a technician may have to leave a unit as it is, and says why.
 */
export function NotPutBack({
  record,
  state,
  isStopped,
}: {
  record: JobRecord;
  state: JobState;
  /** Everybody is to be out: nobody is told to put anything back first. */
  isStopped: boolean;
}) {
  const { job, append } = record;
  const family = familyOfJob(job);
  const lines = leftOpen(state);
  const toUndo = isStopped ? [] : family.leftToUndo(state);
  if (lines.length + toUndo.length === 0) return null;
  const undo = (fact: string) =>
    void append(
      family.catalogue.covers.has(fact)
        ? { kind: 'action', action: 'close', target: fact }
        : { kind: 'action', action: 'end-so', fact },
    );
  return (
    <section className="mt-3 border-l-4 border-act pl-3" aria-labelledby="not-put-back">
      <h3 id="not-put-back" className="font-semibold">
        Not put back yet, by the logbook
      </h3>
      <ul>
        {lines.map((each) => (
          <li key={each} className="py-1">
            {each}
          </li>
        ))}
        {toUndo.map(({ fact, order }) => (
          <li key={fact} className="flex items-center justify-between gap-3 py-1">
            {order}
            <button
              type="button"
              className="button shrink-0"
              aria-label={`Done: ${order}`}
              onClick={() => undo(fact)}
            >
              Done
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
