'use client';

import Link from 'next/link';
import { familyOfJob } from '@/core/appliances';
import { goodOf, proofOf, type ProofItem } from '@/core/job-diagnosis';
import { walkEntries, type JobFile } from '@/core/job-file';
import { showValue, valueText, type UnitSystem } from '@/core/quantities';
import { MiniRuler } from '@/features/bench/logbook';
import type { JobRecord } from '@/features/record/use-job-record';
import { useWords } from '@/features/record/family-context';
import { CrossedBox, StepBox, Tick } from '@/ui/marks';

/** The checks that must now be right, with what each gave since the repair. */
export function ProofList({ record, system }: { record: JobRecord; system: UnitSystem }) {
  const { job } = record;
  const items = proofOf(job);
  const words = useWords();
  return (
    <>
      <p>One of these must now be right. Each opens on the bench.</p>
      <ul className="my-2">
        {items.map((item) => (
          <li key={item.check} className="border-b border-hair">
            <Link
              href={`/jobs/${job.job.id}?check=${item.check}`}
              className="flex min-h-11 items-center gap-3 py-1.5 hover:bg-act-wash"
            >
              <span className="min-w-0 flex-1 leading-tight">
                <span className="link">{words.check(item.check)}</span>
                <ProofBand job={job} item={item} system={system} />
              </span>
              {item.entry && (
                <>
                  <span className="w-24 shrink-0">
                    <MiniRuler job={job} entry={item.entry} system={system} />
                  </span>
                  <span className="text-lead font-semibold text-act">
                    {words.result(item.entry, system)}
                  </span>
                  {item.good ? <Tick /> : <CrossedBox />}
                  <span className="sr-only">{item.good ? 'good' : 'not good'}</span>
                </>
              )}
              {!item.entry && <StepBox done={false} />}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

function ProofBand({ job, item, system }: { job: JobFile; item: ProofItem; system: UnitSystem }) {
  const family = familyOfJob(job);
  const { quantity } = family.check(item.check);
  const walked =
    item.entry &&
    walkEntries(job.entries, family.catalogue).find((each) => each.entry.id === item.entry!.id);
  const good = walked && goodOf(family, job, walked.entry, walked.before);
  if (!quantity || good?.kind !== 'range') return null;
  return (
    <span className="block text-small text-ink-2">
      good from {showValue(good.from, quantity, system).number} to{' '}
      {valueText(good.to, quantity, system)}
    </span>
  );
}
