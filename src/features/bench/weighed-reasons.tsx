import type { Diagnosis } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { useWords } from '@/features/record/family-context';
import { toldOnce } from './told-once';

type Why = Diagnosis['suspects'][number]['why'];

/** An entry that moves a suspect by less, in decibans, moved it by nothing that anybody would see. */
const leastTold = 0.5;

/** The entries that moved a suspect, the weightiest first. Empty where each is needless beside the others. */
export const weighed = (why: Why): Why =>
  why
    .filter((each) => Math.abs(each.decibans) >= leastTold)
    .sort((one, other) => Math.abs(other.decibans) - Math.abs(one.decibans));

/**
 * The entries that moved a suspect, with their weights. What was told twice weighs nothing beside its double: it is then named
 * without a weight, and not kept silent.
 */
export function WeighedReasons({
  job,
  why,
  system,
  most,
}: {
  job: JobFile;
  why: Why;
  system: UnitSystem;
  most: number;
}) {
  const words = useWords();
  const line = (each: Why[number]) => ({
    entry: each.entry,
    weight: `${each.decibans >= 0 ? '+' : '−'}${Math.abs(Math.round(each.decibans))}`,
    said: words.evidence(job, each.entry, system),
  });
  const telling = toldOnce(weighed(why).map(line), (each) => `${each.weight} ${each.said}`).slice(
    0,
    most,
  );
  if (telling.length > 0) {
    return (
      <>
        <ul className="my-1 text-small">
          {telling.map(({ line: { entry, weight, said }, times }) => (
            <li key={entry} className="flex gap-3 border-b border-hair py-1">
              <span className="w-8 shrink-0 text-right font-semibold">{weight}</span>
              <span>
                {said}
                {timesWords(times)}
              </span>
            </li>
          ))}
        </ul>
        <p className="text-small text-ink-2">Weight of evidence: +10 is ten times likelier.</p>
      </>
    );
  }
  if (why.length < 2) {
    return <p className="pb-2 text-small text-ink-2">Nothing has spoken for or against it yet.</p>;
  }
  const needless = toldOnce(why.map(line), (each) => each.said).slice(-most);
  return (
    <>
      <p className="text-small text-ink-2">
        None of these decides alone: without any one of them it would stand as it does.
      </p>
      <ul className="my-1 text-small">
        {needless.map(({ line: { entry, said }, times }) => (
          <li key={entry} className="border-b border-hair py-1">
            {said}
            {timesWords(times)}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Not how often: of a long logbook not every one of the same weight is here (`mostReasons`). */
const timesWords = (times: number): string => (times > 1 ? ', more than once' : '');
