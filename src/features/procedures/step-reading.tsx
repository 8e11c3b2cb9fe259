'use client';

import { useState } from 'react';
import { gasWorkAllowed, liveWorkAllowed, quantityOf, type ProcedureRun } from '@/core/job-file';
import type { StepOutcome, UnstampedEntry } from '@/core/procedures';
import {
  keyOfQuantity,
  parseReading,
  quantityTable,
  shownUnit,
  type UnitSystem,
} from '@/core/quantities';
import { withState } from '@/features/bench/new-entries';
import { useFamily, useWords } from '@/features/record/family-context';
import { clearedOf } from '@/features/record/draft-keeper';
import { TypedEarlier } from '@/features/record/typed-earlier';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { useMeter } from '@/features/record/use-meter';
import { clockTime, valueWords } from '@/features/record/words';
import { Keypad } from '@/ui/keypad';
import { standingReading } from './standing-reading';

export const noPermission = 'You have no permission for this reading. Leave the step out.';

/** A reading that a step ends with, typed on the spot; one that was taken before may stand for it. */
export function StepReading({
  record,
  run,
  check,
  since,
  system,
  onFinish,
}: {
  record: JobRecord;
  run: ProcedureRun;
  check: string;
  /** When the work or the wait began after which it is read. */
  since: string | undefined;
  system: UnitSystem;
  onFinish(outcome: StepOutcome, ...results: UnstampedEntry[]): Promise<boolean>;
}) {
  const family = useFamily();
  const words = useWords();
  const { job } = record;
  const quantity = family.catalogue.check(check)!.quantity!;
  const [text, setText, typedAt] = useReadingDraft(`${job.job.id} ${run.run} ${check}`);
  const { symbol } = shownUnit(quantity, system);
  const [problem, setProblem] = useState<string>();
  const { meter } = useMeter();
  const earlier = standingReading(job, check, since);
  const isOwn = family.isCheckId(check);
  const isAllowed =
    !isOwn ||
    family.isAllowed(check, { liveWork: liveWorkAllowed(job), gasWork: gasWorkAllowed(job) });

  const enter = async () => {
    const parsed = parseReading(text, { quantity, system, loneOneIsDoubtful: true });
    if (parsed.kind === 'problem') return setProblem(parsed.message);
    if (parsed.kind === 'ask') return setProblem(`${parsed.question} ${parsed.instead}`);
    setProblem(undefined);
    const value =
      parsed.kind === 'over-range'
        ? { overRange: true as const }
        : { [keyOfQuantity(quantity)]: parsed.value };
    const entry: NewEntry = {
      kind: 'reading',
      check,
      value,
      ...(quantity === 'resistance' && meter.leadOhm !== undefined
        ? { leads: { ohm: meter.leadOhm } }
        : {}),
    };
    const isEntered = await onFinish(
      { result: valueWords(value, system, quantity) },
      (isOwn ? withState(family, entry, check, []) : entry) as UnstampedEntry,
    );
    if (isEntered) setText(clearedOf(text));
  };

  return (
    <div className="mt-3">
      <p className="font-medium">{words.check(check)}</p>
      {isOwn && <p className="text-small text-ink-2">{family.checks[check]!.doThis}</p>}
      {earlier?.value && (
        <button
          type="button"
          className="button mt-2 min-h-14 w-full"
          onClick={() =>
            onFinish({
              result: valueWords(earlier.value!, system, quantityOf(earlier, family.catalogue)),
            })
          }
        >
          As read at {clockTime(earlier.at, job.job.timeZone)}:{' '}
          {valueWords(earlier.value, system, quantityOf(earlier, family.catalogue))}
        </button>
      )}
      <label className="mt-2 block">
        <span className="sr-only">
          {words.check(check)}, value in {symbol}
        </span>
        <span className="text-title font-semibold text-act" data-typed-display="" />
        <span className="flex items-center gap-2">
          <input
            className="field text-title font-semibold text-act"
            inputMode="none"
            value={text}
            aria-invalid={problem !== undefined}
            onChange={(event) => {
              setProblem(undefined);
              setText(event.target.value);
            }}
            onKeyDown={(event) => event.key === 'Enter' && isAllowed && void enter()}
          />
          <span className="text-value" aria-hidden="true">
            {symbol}
          </span>
        </span>
      </label>
      <TypedEarlier at={typedAt} />
      {problem && (
        <p role="alert" className="mt-1 font-medium">
          {problem}
        </p>
      )}
      <div className="mt-2 h-60">
        <Keypad
          typesFor={`${run.run} ${check}`}
          text={text}
          onChange={(next) => {
            setProblem(undefined);
            setText(next);
          }}
          onEnter={() => void enter()}
          entering={text === '' ? undefined : text}
          goesOver={quantity === 'resistance'}
          goesBelow={quantityTable[quantity].reach[0] < 0}
          hasOhms={quantity === 'resistance'}
          disabledReason={isAllowed ? undefined : noPermission}
        />
      </div>
    </div>
  );
}
