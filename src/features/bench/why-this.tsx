'use client';

import { resultQuantity } from '@/core/appliances';
import type { BenchAnswer, Diagnosis } from '@/core/job-diagnosis';
import type { ExpectedBand } from '@/core/diagnosis';
import { valueText, type Quantity, type UnitSystem } from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import type { FamilyWords } from '@/features/record/family-words';
import { capital, percent } from '@/features/record/words';
import { patternFill, patternOf } from '@/ui/patterns';
import { minutesText } from './step-words';

/** What it saves against the family's usual order, in minutes; undefined where that is not known or nothing. */
export function savedMinutes({ next, usual }: Diagnosis): number | undefined {
  if (!next?.toVerdict || !usual) return undefined;
  const saved = Math.round(usual.toVerdictMinutes - next.toVerdict.minutes);
  return saved >= 1 ? saved : undefined;
}

/** Why this check comes now: which suspects it tells apart, what it costs and saves, and what else would do. */
export function WhyThis({
  check,
  answer,
  system,
  onChoose,
  onLimits,
}: {
  check: string;
  answer: BenchAnswer;
  system: UnitSystem;
  onChoose(check: string): void;
  onLimits(): void;
}) {
  const words = useWords();
  const { next, usual, alternatives, suspects } = answer.answer;
  const isNext = next?.check === check;
  const saved = savedMinutes(answer.answer);
  const ranking = suspects.map((each) => each.repair);
  return (
    <>
      {isNext && <p className="mb-3">{next.why}</p>}
      <h3 className="font-semibold">What each suspect would show</h3>
      <BandTable
        bands={answer.selected?.expectation.bands ?? []}
        check={check}
        ranking={ranking}
        system={system}
      />
      {isNext && next.toVerdict && (
        <p className="my-3">
          About <strong className="font-semibold">{minutesText(next.minutes)}</strong> for this one;
          to a verdict about{' '}
          <strong className="font-semibold">{Math.round(next.toVerdict.minutes)} min</strong> in{' '}
          {next.toVerdict.checks} {next.toVerdict.checks === 1 ? 'check' : 'checks'}.
          {usual && (
            <>
              {' '}
              In the usual order, which would go on with {words
                .check(usual.check)
                .toLowerCase()},{' '}
              <strong className="font-semibold">{Math.round(usual.toVerdictMinutes)} min</strong>
              {saved === undefined ? '.' : `: ${saved} more.`}
            </>
          )}{' '}
          <span className="text-ink-2">
            Chosen by minutes, danger and the chance of a wrong verdict together.
          </span>
        </p>
      )}
      {alternatives.length > 0 && (
        <>
          <h3 className="font-semibold">Next best</h3>
          <div className="mb-3 grid gap-2">
            {alternatives.map((each) => (
              <button
                key={each.check}
                type="button"
                className="button justify-between text-left"
                onClick={() => onChoose(each.check)}
              >
                <span>{words.check(each.check)}</span>
                <span className="shrink-0 text-small text-ink-2">
                  {minutesText(each.minutes)}
                  {each.toVerdictMinutes !== undefined &&
                    `, ${Math.round(each.toVerdictMinutes)} min to a verdict`}
                </span>
              </button>
            ))}
          </div>
        </>
      )}
      <button type="button" className="button w-full" onClick={onLimits}>
        Order, live work, instruments at hand
      </button>
    </>
  );
}

/** What each suspect would show, with its share: the split that the check makes. */
export function BandTable({
  bands,
  check,
  ranking,
  system,
  quantity: probed,
}: {
  bands: readonly ExpectedBand[];
  /** The named check, for the words of its outcomes; undefined between any two terminals. */
  check: string | undefined;
  ranking: readonly string[];
  system: UnitSystem;
  quantity?: Quantity;
}) {
  const family = useFamily();
  const words = useWords();
  const quantity = check === undefined ? probed : resultQuantity(family.check(check));
  return (
    <table className="w-full text-small">
      <tbody>
        {bands.slice(0, 8).map((band) => (
          <tr key={`${band.repair} ${JSON.stringify(band.reads)}`} className="border-b border-hair">
            <th scope="row" className="flex items-center gap-2 py-1.5 text-left font-normal">
              <svg width="22" height="12" aria-hidden="true" className="shrink-0">
                <rect
                  x="0.5"
                  y="0.5"
                  width="21"
                  height="11"
                  fill={patternFill(patternOf(ranking.indexOf(band.repair)))}
                  stroke="var(--ink)"
                />
              </svg>
              {words.suspect(band.repair)}
            </th>
            <td className="px-2 py-1.5 font-semibold">
              {readsText(words, check, band.reads, quantity, system)}
            </td>
            <td className="py-1.5 text-right">{percent(band.probability)} %</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What a suspect would read, as words. */
export function readsText(
  words: FamilyWords,
  check: string | undefined,
  reads: ExpectedBand['reads'],
  quantity: Quantity | undefined,
  system: UnitSystem,
): string {
  if (reads.kind === 'over-range') return 'OL';
  if (reads.kind === 'outcome') {
    return check === undefined ? reads.outcome : capital(words.outcome(check, reads.outcome));
  }
  if (!quantity) return '';
  const [from, to] = [
    valueText(reads.from, quantity, system),
    valueText(reads.to, quantity, system),
  ];
  return from === to ? from : `${from} to ${to}`;
}
