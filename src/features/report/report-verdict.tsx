import { familyOfJob } from '@/core/appliances';
import type { RepairProof, ReportAnswer, ReportedSuspect } from '@/core/job-diagnosis';
import { lastVerdict, type JobFile, type JobState } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { wordsOf, type FamilyWords } from '@/features/record/family-words';
import { percent } from '@/features/record/words';
import { ReportPicture } from './report-picture';

/** What was found, how sure, by which readings, and where it sits. */
export function ReportVerdict({
  job,
  state,
  answer,
  system,
}: {
  job: JobFile;
  state: JobState;
  answer: ReportAnswer;
  system: UnitSystem;
}) {
  const words = wordsOf(familyOfJob(job));
  const { suspects, chosen, telling } = answer;
  if (!chosen) return null;
  const others = suspects.filter((each) => each !== chosen && each.probability > 0.003).slice(0, 2);
  const earlier = state.rounds.slice(0, state.verdict ? undefined : -1);
  return (
    <section
      className="flex flex-wrap gap-x-6 gap-y-3 border-b border-hair py-3 sm:flex-nowrap print:flex-nowrap"
      aria-labelledby="report-verdict"
    >
      <div className="min-w-60 flex-1">
        <h2 id="report-verdict" className="text-title leading-tight font-semibold text-balance">
          {headline(words, state, chosen, answer.decided, answer.proof)}
        </h2>
        {telling.length > 0 && (
          <p className="mt-1">
            Because: {telling.map((each) => words.evidence(job, each, system)).join('; ')}.
          </p>
        )}
        {answer.isTakenUnread && (
          <p className="mt-1">
            Taken by what other parts read: nothing was read on the part itself.
          </p>
        )}
        {earlier.length > 0 && (
          <p className="mt-1">
            Before it: {earlier.map((each) => words.order(each.repair).toLowerCase()).join(', ')}.
          </p>
        )}
      </div>
      <ReportPicture
        job={job}
        picture={answer.picture}
        isFailed={lastVerdict(state) !== undefined}
        repair={chosen.repair}
      />
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

function headline(
  words: FamilyWords,
  state: JobState,
  chosen: ReportedSuspect,
  decided: boolean,
  proof: RepairProof,
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
  if (state.verdict) return `${found} Not repaired yet.`;
  return `${found} ${proofWords[proof.verdict]}`;
}

const proofWords: Readonly<Record<RepairProof['verdict'], string>> = {
  proved: 'Repaired, and the repair held.',
  unproved: 'Repaired, not proved by a reading.',
  contradicted: 'Repaired, and a reading since is not right.',
};
