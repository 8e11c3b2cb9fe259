'use client';

import { resultQuantity } from '@/core/appliances';
import type { Diagnosis } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import { readsText } from './why-this';
import { WeighedReasons, weighed } from './weighed-reasons';

const mostShown = 6;

/** Why this verdict: the entries with their weights, the one most responsible, and what would change the mind. */
export function VerdictReasons({
  job,
  answer,
  why,
  system,
  onChoose,
}: {
  job: JobFile;
  answer: Pick<Diagnosis, 'changesMind'>;
  why: readonly { readonly entry: string; readonly decibans: number }[];
  system: UnitSystem;
  onChoose?: (check: string) => void;
}) {
  const family = useFamily();
  const words = useWords();
  const most = weighed(why).find((each) => each.decibans > 0);
  const change = answer.changesMind;
  return (
    <div>
      <h3 className="font-semibold">Why this verdict</h3>
      {most && (
        <p>
          Most of it rests on{' '}
          <strong className="font-semibold">{words.evidence(job, most.entry, system)}</strong>.
        </p>
      )}
      <WeighedReasons job={job} why={why} system={system} most={mostShown} />
      {change && (
        <p className="mt-2">
          What would change the mind:{' '}
          {onChoose ? (
            <button type="button" className="link min-h-11" onClick={() => onChoose(change.check)}>
              {words.check(change.check).toLowerCase()}
            </button>
          ) : (
            words.check(change.check).toLowerCase()
          )}{' '}
          at{' '}
          <strong className="font-semibold">
            {readsText(
              words,
              change.check,
              change.reads,
              resultQuantity(family.check(change.check)),
              system,
            )}
          </strong>
          . It would then be {words.suspect(change.towards).toLowerCase()}.
        </p>
      )}
    </div>
  );
}
