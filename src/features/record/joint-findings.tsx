import { useMemo } from 'react';
import { familyOfJob } from '@/core/appliances';
import { jointVerdicts, type JointFinding } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { CrossedBox, Tick } from '@/ui/marks';
import { kelvinWords } from './kelvin-words';
import { readOnce } from './read-once';

/** What readings say together that were taken to be judged together. */
export function JointFindings({
  findings,
  system,
}: {
  findings: readonly JointFinding[];
  system: UnitSystem;
}) {
  if (findings.length === 0) return null;
  return (
    <ul className="mt-2" aria-label="Judged together">
      {findings.map(({ id, title, verdict, isAfterRepair }, k) => (
        <li key={`${id} ${k}`} className="flex items-start gap-2 py-1">
          <span className="mt-1 shrink-0">{verdict.isGood ? <Tick /> : <CrossedBox />}</span>
          <span>
            <strong className="font-semibold">
              {title}
              {isAfterRepair ? ', after the repair' : ''}:
            </strong>{' '}
            {sentence(verdict.words, system)}
            {verdict.kelvin === undefined ? '' : ` ${kelvinWords(verdict.kelvin, system)}`}.
          </span>
        </li>
      ))}
    </ul>
  );
}

function sentence(words: JointFinding['verdict']['words'], system: UnitSystem): string {
  if (typeof words === 'string') return words;
  return words
    .map((each) =>
      typeof each === 'string'
        ? each
        : 'celsius' in each
          ? valueText(each.celsius, 'temperature', system)
          : kelvinWords(each.kelvin, system),
    )
    .join('');
}

/** The same of a job as it stands, where its family has readings of that kind. */
export function JointFindingsOfJob({ job, system }: { job: JobFile; system: UnitSystem }) {
  const findings = useMemo(() => {
    const family = familyOfJob(job);
    return family.joint === undefined
      ? []
      : jointVerdicts(family, readOnce(job.entries, family).walked);
  }, [job]);
  return <JointFindings findings={findings} system={system} />;
}
