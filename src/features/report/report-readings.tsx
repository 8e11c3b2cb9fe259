import type { ReactNode } from 'react';
import { familyOfJob } from '@/core/appliances';
import { goodOf, isGoodResult, type GoodReading } from '@/core/job-diagnosis';
import { walkEntries, type Entry, type JobFile } from '@/core/job-file';
import { showValue, valueText, type UnitSystem } from '@/core/quantities';
import { MiniRuler } from '@/features/bench/logbook';
import { wordsOf } from '@/features/record/family-words';
import { clockTime, shownParts, takenWords } from '@/features/record/words';
import { CrossedBox, Tick } from '@/ui/marks';

interface ReportLine {
  readonly entry: Entry;
  readonly good: GoodReading | undefined;
  readonly isAfterRepair: boolean;
  readonly struck?: Entry;
}

function linesOf(job: JobFile): ReportLine[] {
  const family = familyOfJob(job);
  return walkEntries(job.entries, family.catalogue).flatMap(({ entry, before }): ReportLine[] => {
    const isResult =
      entry.kind === 'reading' ||
      entry.kind === 'observation' ||
      (entry.kind === 'action' && entry.action === 'proved-dead');
    if (!isResult) return [];
    const corrected = job.entries.some(
      (each) => each.kind === 'correction' && each.replaces === entry.id,
    );
    return [
      {
        entry,
        good: goodOf(family, job, entry, before),
        isAfterRepair: before.repairsDone.length > 0,
        struck: corrected ? job.entries.find((each) => each.id === entry.id) : undefined,
      },
    ];
  });
}

/** Every result with its band, as it was taken; a corrected one with what it was. */
export function ReportReadings({ job, system }: { job: JobFile; system: UnitSystem }) {
  const lines = linesOf(job);
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
      <div
        className="overflow-x-auto print:overflow-visible"
        tabIndex={0}
        role="group"
        aria-label="Table of readings"
      >
        <table className="w-full min-w-[620px] border-collapse print:min-w-0">
          <thead>
            <tr className="border-b-[1.5px] border-rule text-left text-small text-ink-2">
              <th className="pr-3 font-normal">time</th>
              <th className="font-normal">what was touched</th>
              <th className="pr-5 text-right font-normal">reading</th>
              <th className="w-40 font-normal">on its ruler</th>
              <th className="pl-4 font-normal">good from, to</th>
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
              {own.map((line) => (
                <ReadingRow key={line.entry.id} job={job} line={line} system={system} />
              ))}
            </tbody>
          ))}
        </table>
      </div>
    </section>
  );
}

function ReadingRow({ job, line, system }: { job: JobFile; line: ReportLine; system: UnitSystem }) {
  const { entry, good, struck } = line;
  const words = wordsOf(familyOfJob(job));
  const judged = good && isGoodResult(good, entry);
  const taken = takenWords(entry, job);
  const shown =
    entry.kind === 'reading' && entry.value ? shownParts(entry.value, system) : undefined;
  return (
    <tr className="border-b border-hair align-middle [&>td]:py-1 print:[&>td]:py-px">
      <td className="pr-3 text-small">{clockTime(entry.at, job.job.timeZone)}</td>
      <td className="leading-tight">
        {words.title(entry)}
        {taken && <span className="text-small text-ink-2"> ({taken})</span>}
        {struck && (
          <span className="block text-small text-ink-2">
            corrected, was <s>{words.result(struck, system)}</s>
          </span>
        )}
      </td>
      <td className="pr-5 text-right whitespace-nowrap text-[20px] leading-tight font-semibold text-act">
        {shown ? (
          <>
            {shown.number} <span className="text-body">{shown.symbol}</span>
          </>
        ) : (
          <span className="text-body">{words.result(entry, system)}</span>
        )}
      </td>
      <td>
        <MiniRuler job={job} entry={entry} system={system} />
      </td>
      <td className="pr-2 pl-4 text-small">{goodText(job, entry, good, system)}</td>
      <td className="text-small">
        {judged !== undefined && (
          <span className="inline-flex items-center gap-1.5">
            {judged ? <Tick /> : entry.kind === 'reading' && <CrossedBox />}
            {judged ? (
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
  const quantity =
    (family.isCheckId(entry.check) && family.check(entry.check).quantity) || entry.quantity;
  if (!quantity) return null;
  return `${showValue(good.from, quantity, system).number} to ${valueText(good.to, quantity, system)}`;
}
