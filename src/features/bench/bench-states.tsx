import { useWords } from '@/features/record/family-context';
import { percent } from '@/features/record/words';
import { SuspectStrip } from '@/ui/patterns';

/** What stands in the place of what is not so any more: until the next answer is there, no tap is taken. */
export const workingWords = 'Working out what is next';

/** The suspects as one line, on a phone. */
export function SuspectLine({
  answer,
  after,
  isWorking,
}: {
  answer: { suspects: readonly { repair: string; probability: number }[]; decided: boolean };
  after: Readonly<Record<string, number>> | undefined;
  isWorking: boolean;
}) {
  const words = useWords();
  const first = answer.suspects[0];
  if (!first) return null;
  const then = after?.[first.repair];
  return (
    <>
      {isWorking ? (
        <span className="block pb-1.5">{workingWords}</span>
      ) : (
        <span className="block pb-1.5">
          {words.suspect(first.repair)}{' '}
          <strong className="font-semibold">{percent(first.probability)} %</strong>
          {then !== undefined && <span className="text-act"> then {percent(then)} %</span>}
        </span>
      )}
      <SuspectStrip
        suspects={answer.suspects.filter((each) => each.probability > 0.01).slice(0, 5)}
        decided={answer.decided}
        label="Suspects by chance"
      />
    </>
  );
}

/** Before the first answer: the place is kept. */
export function Loading() {
  return (
    <div className="order-1 p-4 lg:order-none" role="status">
      <p className="text-small text-ink-2">Next check</p>
      <p className="text-title font-semibold">Working out what to check</p>
      <svg viewBox="0 0 300 6" className="mt-6 w-full" aria-hidden="true">
        <path d="M0 3H300" stroke="var(--ink)" strokeWidth="2" strokeDasharray="2 5" />
      </svg>
    </div>
  );
}

/** The engine failed; the logbook has not. */
export function Failure({ message }: { message: string }) {
  return (
    <div className="order-1 p-4 lg:order-none" role="alert">
      <p className="font-semibold">The suspects could not be worked out.</p>
      <p>
        {message} The logbook is whole and goes on taking entries. Reload the page, or report this
        with the job file.
      </p>
    </div>
  );
}
