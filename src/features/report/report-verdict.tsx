import { familyOfJob } from '@/core/appliances';
import { proofOf, type OpenDiagnosis } from '@/core/job-diagnosis';
import type { JobFile, JobState } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { wordsOf, type FamilyWords } from '@/features/record/family-words';
import { percent } from '@/features/record/words';
import { ReportPicture } from './report-picture';

/** What was found, how sure, by which readings, and where it sits. */
export function ReportVerdict({
  job,
  open,
  system,
}: {
  job: JobFile;
  open: OpenDiagnosis;
  system: UnitSystem;
}) {
  const words = wordsOf(familyOfJob(job));
  const { state, answer } = open;
  // A report prints the verdict that was acted on, as it was then.
  const suspects: readonly ShownSuspect[] = state.verdict?.suspects ?? answer.suspects;
  const chosen = suspects.find((each) => each.repair === state.verdict?.repair) ?? suspects[0];
  if (!chosen) return null;
  const others = suspects.filter((each) => each !== chosen && each.probability > 0.003).slice(0, 2);
  const telling = [...(chosen.why ?? [])]
    .filter((each) => each.decibans > 1)
    .sort((one, other) => other.decibans - one.decibans)
    .slice(0, 3);
  return (
    <section
      className="flex flex-wrap gap-x-6 gap-y-3 border-b border-hair py-3 sm:flex-nowrap print:flex-nowrap"
      aria-labelledby="report-verdict"
    >
      <div className="min-w-60 flex-1">
        <h2 id="report-verdict" className="text-title leading-tight font-semibold text-balance">
          {headline(words, job, state, chosen, answer.decided)}
        </h2>
        {telling.length > 0 && (
          <p className="mt-1">
            Because: {telling.map((each) => words.evidence(job, each.entry, system)).join('; ')}.
          </p>
        )}
      </div>
      <ReportPicture job={job} open={open} repair={chosen.repair} />
      <div className="w-36 shrink-0 border-l border-hair pl-4">
        <p className="text-[48px] leading-none font-semibold whitespace-nowrap">
          {percent(chosen.probability)}
          <span className="text-title"> %</span>
        </p>
        <p className="text-small">
          {state.repairsDone.length > 0 ? 'sure before the repair' : 'sure'}
          {others.length > 0 && (
            <>
              ;{' '}
              {others
                .map(
                  (each) =>
                    `${words.suspect(each.repair).toLowerCase()} ${percent(each.probability)} %`,
                )
                .join(', ')}
            </>
          )}
        </p>
      </div>
    </section>
  );
}

interface ShownSuspect {
  readonly repair: string;
  readonly probability: number;
  readonly faults?: readonly { readonly id: string; readonly probability: number }[];
  readonly why?: readonly { readonly entry: string; readonly decibans: number }[];
}

function headline(
  words: FamilyWords,
  job: JobFile,
  state: JobState,
  chosen: ShownSuspect,
  decided: boolean,
): string {
  const fault = chosen.faults?.[0];
  const found = `${words.suspect(chosen.repair)}${fault ? `: ${words.fault(fault.id)}` : ''}.`;
  const status = state.status?.status;
  if (state.repairsDone.length === 0) {
    if (status === 'waiting-for-part') return `${found} Waiting for a part.`;
    if (status === 'closed-not-repaired') return `${found} Not repaired.`;
    return state.verdict || decided
      ? found
      : `Not decided yet. Most likely: ${found.toLowerCase()}`;
  }
  const held = proofOf(job).some((each) => each.good);
  return `${found} ${held ? 'Repaired, and the repair held.' : 'Repaired, not proved by a reading.'}`;
}
