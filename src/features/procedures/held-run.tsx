'use client';

import { useState } from 'react';
import type { Stop } from '@/core/appliances';
import type { Position } from '@/core/procedures';
import { useFamily } from '@/features/record/family-context';
import { Link } from '@/ui/link';
import { StopDialog } from './leave-dialogs';
import type { RunnerProps } from './run-props';
import { runActions } from './use-run';

/**
 * A run of a job that is stopped: what it would do next is not shown, and no clock of it moves it on. What is repaired under a
 * stop goes on by the word of somebody who stands there.
 */
export function HeldRun({
  record,
  state,
  procedure,
  run,
  position,
  stop,
  onOpen,
  onGoOn,
}: Omit<RunnerProps, 'onProveDead'> & {
  readonly position: Position;
  readonly stop: Stop;
  onGoOn(): void;
}) {
  const family = useFamily();
  const [isStopping, setStopping] = useState(false);
  const actions = runActions(family, record, state, procedure, run, position);
  const found = record.job.entries.find(({ id }) => id === stop.entry);
  const check = found && 'check' in found ? found.check : undefined;
  return (
    <section aria-label={procedure.title} className="mx-auto w-full max-w-2xl px-4 pb-6">
      <p className="flex items-baseline justify-between gap-3 pt-3 text-small text-ink-2">
        <span className="font-semibold text-ink">{procedure.title}</span>
        <span>
          step {position.index + 1} of {procedure.steps.length}
        </span>
      </p>
      <h2 className="mt-3 text-[26px] leading-tight font-semibold" aria-live="polite">
        Held. First what stands above.
      </h2>
      <p className="mt-2">
        Its steps are shown again once a later check finds that it is over. Nothing of it is lost.
      </p>
      <div className="mt-4 grid gap-2">
        <button
          type="button"
          className="button min-h-14 border-2 border-heat text-lead font-semibold text-heat"
          onClick={() => setStopping(true)}
        >
          Stop, make safe
        </button>
        {check !== undefined && (
          <Link
            href={`/jobs/${record.job.job.id}?check=${check}`}
            className="button min-h-14 text-lead"
          >
            Check again: {family.checks[check]!.label}
          </Link>
        )}
        <button type="button" className="button" onClick={() => onOpen(undefined)}>
          Put it down: other work goes on
        </button>
        <button type="button" className="button" onClick={onGoOn}>
          It is made safe, and this is part of mending it: go on
        </button>
      </div>
      <StopDialog
        isOpen={isStopping}
        {...{ state, run }}
        onClose={() => setStopping(false)}
        onStop={async (reason) => {
          setStopping(false);
          if (await actions.stop(reason)) onOpen(undefined);
        }}
      />
    </section>
  );
}
