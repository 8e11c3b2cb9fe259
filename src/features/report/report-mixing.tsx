import { familyOfJob } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import { mixingSession } from '@/core/mixing-valve';
import { valueText, type UnitSystem } from '@/core/quantities';
import { StepsTable } from '@/features/mixing/steps-table';
import { kelvinWords } from '@/features/record/kelvin-words';
import { eighthsWords, mixingEndWords, outletWords } from '@/features/record/mixing-words';

/** The mixing valve as found and as left, with its margin and every step between. */
export function ReportMixing({ job, system }: { job: JobFile; system: UnitSystem }) {
  const session = mixingSession(job.entries);
  const { begun, steps, ended } = session;
  const tankLitre = familyOfJob(job).mixing?.litre(familyOfJob(job).plateOf(job));
  const last = steps.at(-1);
  if (!begun || !last || tankLitre === undefined) return null;
  const celsius = (value: number) => valueText(value, 'temperature', system);
  const margin = begun.limit.celsius - last.tapCelsius;
  return (
    <section className="mt-3 border-b border-hair pb-3" aria-labelledby="report-mixing">
      <h2 id="report-mixing" className="text-lead font-semibold">
        Mixing valve
      </h2>
      <p className="text-small">
        Left {eighthsWords(last.eighths)}, {celsius(last.tapCelsius)} at the tap:{' '}
        {margin >= 0
          ? `${kelvinWords(margin, system)} under the limit`
          : `${kelvinWords(-margin, system)} OVER the limit`}{' '}
        of {celsius(begun.limit.celsius)} at the {outletWords[begun.outlet]} ({begun.limit.source}).{' '}
        {ended
          ? [
              mixingEndWords[ended.why],
              ended.isLocked ? 'locked' : 'NOT locked',
              ended.isTold ? 'household told' : 'household NOT told',
              ended.farthestCelsius !== undefined &&
                `farthest tap ${celsius(ended.farthestCelsius)}`,
            ]
              .filter(Boolean)
              .join('; ')
          : 'not left yet'}
        .
      </p>
      <StepsTable session={session} tankLitre={tankLitre} system={system} />
    </section>
  );
}
