import { Link } from '@/ui/link';
import {
  judgedQuantity,
  type BenchAnswer,
  type JudgedResult,
  type ProofItem,
} from '@/core/job-diagnosis';
import type { Entry, JobFile } from '@/core/job-file';
import { showValue, valueText, type UnitSystem } from '@/core/quantities';
import { MiniRuler } from '@/features/bench/logbook';
import { useFamily, useWords } from '@/features/record/family-context';
import { CrossedBox, StepBox, Tick } from '@/ui/marks';

/** The checks that must now be right, with what each gave since the repair, and what speaks against it. */
export function ProofList({
  job,
  answer,
  system,
}: {
  job: JobFile;
  answer: BenchAnswer;
  system: UnitSystem;
}) {
  const { proof, judged } = answer;
  const words = useWords();
  const listed = new Set(proof.items.map((each) => each.entry?.id));
  const others = proof.bad.filter((each) => !listed.has(each.id));
  return (
    <>
      <p>One of these must now be right, and none of them wrong. Each opens on the bench.</p>
      <ul className="my-2">
        {proof.items.map((item) => (
          <li key={item.check} className="border-b border-hair">
            <Link
              href={`/jobs/${job.job.id}?check=${item.check}`}
              className="flex min-h-11 items-center gap-3 py-1.5 hover:bg-act-wash"
            >
              <span className="min-w-0 flex-1 leading-tight">
                <span className="link">{words.check(item.check)}</span>
                <ProofBand item={item} judged={judged[item.entry?.id ?? '']} system={system} />
              </span>
              {item.entry ? (
                <Given
                  entry={item.entry}
                  judged={judged[item.entry.id]}
                  isGood={item.good ?? false}
                  provesNothing={item.good === true && item.proves === false}
                  system={system}
                />
              ) : (
                <StepBox done={false} />
              )}
            </Link>
          </li>
        ))}
      </ul>
      {others.length > 0 && (
        <>
          <h3 className="font-semibold">Since the repair, and not as a good unit reads</h3>
          <ul className="mb-2">
            {others.map((entry) => (
              <li key={entry.id} className="flex items-center gap-3 border-b border-hair py-1.5">
                <span className="min-w-0 flex-1 leading-tight">{words.title(entry)}</span>
                <Given entry={entry} judged={judged[entry.id]} isGood={false} system={system} />
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

function Given({
  entry,
  judged,
  isGood,
  provesNothing = false,
  system,
}: {
  entry: Entry;
  judged: JudgedResult | undefined;
  isGood: boolean;
  /** Good, but the old fault would have read so too. */
  provesNothing?: boolean;
  system: UnitSystem;
}) {
  const family = useFamily();
  const words = useWords();
  return (
    <>
      <span className="w-24 shrink-0">
        <MiniRuler quantity={judgedQuantity(entry, family)} judged={judged} system={system} />
      </span>
      <span className="text-lead font-semibold text-act">{words.result(entry, system)}</span>
      {provesNothing ? (
        <span className="text-small text-ink-2">proves nothing</span>
      ) : isGood ? (
        <Tick />
      ) : (
        <CrossedBox />
      )}
      {!provesNothing && <span className="sr-only">{isGood ? 'good' : 'not good'}</span>}
    </>
  );
}

function ProofBand({
  item,
  judged,
  system,
}: {
  item: ProofItem;
  judged: JudgedResult | undefined;
  system: UnitSystem;
}) {
  const { quantity } = useFamily().check(item.check);
  const good = judged?.good;
  if (!quantity || good?.kind !== 'range') return null;
  return (
    <span className="block text-small text-ink-2">
      good from {showValue(good.from, quantity, system).number} to{' '}
      {valueText(good.to, quantity, system)}
    </span>
  );
}
