'use client';

import { useMemo } from 'react';
import type { JobFile } from '@/core/job-file';
import { locateNoise, noiseRepairWords, type RankedCause } from '@/core/noise';
import { useFamily, useWords } from '@/features/record/family-context';
import { capital, percent } from '@/features/record/words';
import { Tick } from '@/ui/marks';
import { WarningSign } from '@/ui/signs';

/** Below this a cause is not told. */
const leastTold = 0.02;
/** From here on something that has to be made safe comes before all else. */
const leastStop = 0.3;
const mostTold = 5;

/** What the noise may be, ranked, with what is done about each; harmless is a verdict with its reason. */
export function NoisePanel({ job }: { job: JobFile }) {
  const family = useFamily();
  const words = useWords();
  const located = useMemo(
    () => locateNoise(job.entries, family.burnsGas ? 'gas' : 'electric'),
    [job.entries, family],
  );
  if (!located.isBegun) return null;
  const told = located.causes.filter((each) => each.probability >= leastTold).slice(0, mostTold);
  const leader = told[0]!;
  const stop = told.find((each) => each.stop && each.probability >= leastStop);
  return (
    <section aria-label="What the noise may be" className="mx-auto mt-2 w-full max-w-2xl px-4 pb-6">
      <h2 className="text-lead font-semibold">What it may be</h2>
      {stop && (
        <p
          role="alert"
          className="mt-1 flex items-center gap-2.5 border-2 border-heat p-2 font-semibold text-heat"
        >
          <WarningSign /> {capital(stop.words)}: made safe before anything else.
        </p>
      )}
      <ol>
        {told.map((each) => (
          <li key={each.id} className="flex items-start gap-3 border-b border-hair py-2">
            <span className="w-14 shrink-0 text-right text-[20px] font-semibold">
              {percent(each.probability)} %
            </span>
            <span className="min-w-0 flex-1 leading-tight">
              <span className="font-medium">{capital(each.words)}</span>
              <span className="block text-small text-ink-2">{toDo(each, family)}</span>
              <span className="block text-small text-ink-2">Seen by: {each.confirm}.</span>
            </span>
          </li>
        ))}
      </ol>
      {leader.isHarmless && leader.probability > 0.5 ? (
        <p className="mt-2 flex items-start gap-2 font-medium">
          <Tick />
          <span>
            Most likely harmless: {leader.words}. Nothing is repaired; the customer is told why.
          </span>
        </p>
      ) : (
        located.next && (
          <p className="mt-2 text-small">
            Tells most next: <strong>{words.check(located.next.check)}</strong>
            {located.next.check === 'noise-confirm' && `, ${leader.confirm}`}.
          </p>
        )
      )}
    </section>
  );
}

function toDo(cause: RankedCause, family: ReturnType<typeof useFamily>): string {
  if (cause.isHarmless) return 'Harmless. Nothing to repair.';
  return (
    (Object.hasOwn(family.repairs, cause.repair)
      ? family.repairs[cause.repair]!.order
      : undefined) ??
    noiseRepairWords[cause.repair] ??
    capital(cause.act ?? cause.repair.replaceAll('-', ' '))
  );
}
