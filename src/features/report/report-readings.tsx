import type { ReactNode } from 'react';
import { familyOfJob } from '@/core/appliances';
import {
  judgedQuantity,
  jointVerdicts,
  type GoodReading,
  type JudgedLogbook,
  type JudgedResult,
} from '@/core/job-diagnosis';
import {
  entryFinder,
  quantityOf,
  type Entry,
  type JobFile,
  type WalkedEntry,
} from '@/core/job-file';
import { showValue, valueText, type UnitSystem } from '@/core/quantities';
import { MiniRuler } from '@/features/bench/logbook';
import { wordsOf } from '@/features/record/family-words';
import { JointFindings } from '@/features/record/joint-findings';
import { clockTime, shownParts, takenWords } from '@/features/record/words';
import { CrossedBox, Tick } from '@/ui/marks';
import { ReportRows } from './report-rows';

interface ReportLine {
  readonly entry: Entry;
  readonly judged: JudgedResult | undefined;
  readonly isAfterRepair: boolean;
  readonly struck?: Entry;
}

function linesOf(
  job: JobFile,
  walked: readonly WalkedEntry[],
  judged: JudgedLogbook,
): ReportLine[] {
  const find = entryFinder(job.entries);
  return walked.flatMap(({ entry, before }): ReportLine[] => {
    const isResult =
      entry.kind === 'reading' ||
      entry.kind === 'observation' ||
      entry.kind === 'code' ||
      (entry.kind === 'action' && entry.action === 'proved-dead');
    if (!isResult) return [];
    const { written: first, by } = find(entry.id) ?? {};
    return [
      {
        // A code is shown as it was written down, by the list of its make.
        entry: first?.kind === 'code' ? first : entry,
        judged: judged[entry.id],
        isAfterRepair: before.repairsDone.length > 0,
        struck: by && first,
      },
    ];
  });
}

/** Every result with its band, as it was taken; a corrected one with what it was. */
export function ReportReadings({
  job,
  walked,
  judged,
  system,
}: {
  job: JobFile;
  walked: readonly WalkedEntry[];
  judged: JudgedLogbook;
  system: UnitSystem;
}) {
  const lines = linesOf(job, walked, judged);
  if (lines.length === 0) return null;
  const groups = [
    { title: undefined, lines: lines.filter((each) => !each.isAfterRepair) },
    { title: 'Proving, after the repair', lines: lines.filter((each) => each.isAfterRepair) },
  ].filter((each) => each.lines.length > 0);
  return (
    <section className="mt-3" aria-labelledby="report-readings">
      <h2 id="report-readings" className="text-lead font-semibold">
        Readings
      </h2>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-[1.5px] border-rule text-left text-small text-ink-2">
            <th className="pr-3 font-normal">time</th>
            <th className="font-normal">what was touched</th>
            <th className="pr-3 text-right font-normal sm:pr-5">reading</th>
            <th className={`w-40 font-normal ${wide}`}>on its ruler</th>
            <th className={`pl-4 font-normal ${wide}`}>good from, to</th>
            <th className="font-normal">so</th>
          </tr>
        </thead>
        {groups.map(({ title, lines: own }) => (
          <tbody key={title ?? 'before'}>
            {title && (
              <tr className="border-y border-rule">
                <th colSpan={6} className="py-1 text-left text-small font-semibold">
                  {title}
                </th>
              </tr>
            )}
            <ReportRows
              columnCount={6}
              rows={own.map((line) => (
                <ReadingRow key={line.entry.id} job={job} line={line} system={system} />
              ))}
            />
          </tbody>
        ))}
      </table>
      <JointFindings findings={jointVerdicts(familyOfJob(job), walked)} system={system} />
    </section>
  );
}

/** Columns that a phone has no room for: what they say stands under the name there. */
const wide = 'hidden sm:table-cell print:table-cell';

function ReadingRow({ job, line, system }: { job: JobFile; line: ReportLine; system: UnitSystem }) {
  const { entry, judged, struck } = line;
  const words = wordsOf(familyOfJob(job));
  const taken = takenWords(entry, job);
  const shown =
    entry.kind === 'reading' && entry.value
      ? shownParts(entry.value, system, quantityOf(entry, familyOfJob(job).catalogue))
      : undefined;
  const good = goodText(job, entry, judged?.good, system);
  return (
    <tr className="border-b border-hair align-middle [&>td]:py-1 print:[&>td]:py-px">
      <td className="pr-3 align-top text-small sm:align-middle">
        {clockTime(entry.at, job.job.timeZone)}
      </td>
      <td className="leading-tight">
        {words.title(entry)}
        {taken && <span className="text-small text-ink-2"> ({taken})</span>}
        {good && (
          <span className="block text-small text-ink-2 sm:hidden print:hidden">good: {good}</span>
        )}
        {struck && (
          <span className="block text-small text-ink-2">
            corrected, was <s>{words.result(struck, system)}</s>
          </span>
        )}
      </td>
      <td className="pr-3 text-right text-[20px] leading-tight font-semibold text-act sm:pr-5 sm:whitespace-nowrap">
        {shown ? (
          <span className="whitespace-nowrap">
            {shown.number} <span className="text-body">{shown.symbol}</span>
          </span>
        ) : (
          <span className="text-body">{words.result(entry, system)}</span>
        )}
      </td>
      <td className={wide}>
        <MiniRuler
          quantity={judgedQuantity(entry, familyOfJob(job))}
          judged={judged}
          system={system}
        />
      </td>
      <td className={`pr-2 pl-4 text-small ${wide}`}>{good}</td>
      <td className="text-small">
        {judged !== undefined && (
          <span className="inline-flex items-center gap-1.5">
            {judged.isGood ? <Tick /> : entry.kind === 'reading' && <CrossedBox />}
            {judged.isGood ? (
              'good'
            ) : (
              <strong className="font-semibold">
                {entry.kind === 'reading' ? 'outside' : 'telling'}
              </strong>
            )}
          </span>
        )}
      </td>
    </tr>
  );
}

function goodText(
  job: JobFile,
  entry: Entry,
  good: GoodReading | undefined,
  system: UnitSystem,
): ReactNode {
  const family = familyOfJob(job);
  if (!good || entry.kind === 'action') return null;
  if (good.kind === 'over-range') return 'over range';
  if (good.kind === 'outcome')
    return entry.kind === 'observation'
      ? wordsOf(family).result({ ...entry, value: good.outcome }, system)
      : null;
  if (entry.kind !== 'reading') return null;
  const quantity = judgedQuantity(entry, family);
  if (!quantity) return null;
  return `${showValue(good.from, quantity, system).number} to ${valueText(good.to, quantity, system)}`;
}
