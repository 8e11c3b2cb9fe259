'use client';

import { useRef, useState } from 'react';
import { gasWorkAllowed } from '@/core/job-file';
import {
  wentThrough,
  type Position,
  type StepOutcome,
  type UnstampedEntry,
} from '@/core/procedures';
import { ObservationAnswers } from '@/features/bench/observation-answers';
import { SettingInput } from '@/features/repair/settings-fields';
import { useFamily, useWords } from '@/features/record/family-context';
import { useOneAtATime } from '@/features/record/use-one-at-a-time';
import { clockTime } from '@/features/record/words';
import { Tick } from '@/ui/marks';
import { PartFitting } from './part-fitting';
import { Press } from './press';
import type { RunnerProps } from './run-props';
import { RodPlaces } from './rod-places';
import { StepReading } from './step-reading';
import { StepValues } from './step-values';
import { beginning, newRun } from './use-run';
import { WireMap } from './wire-map';

interface StepWorkProps extends RunnerProps {
  readonly position: Position;
  /** Its least time has passed, or it has none. */
  readonly isReady: boolean;
  readonly isWhole: boolean;
  readonly repeats:
    { readonly done: number; readonly must: boolean; readonly may: boolean } | undefined;
  /** Gives false where the step has not ended. */
  onFinish(outcome: StepOutcome, ...results: UnstampedEntry[]): Promise<boolean>;
}

/** What a step asks of the hands: an answer, a reading, settings, a part, wires, another procedure, or one tap. */
export function StepWork(props: StepWorkProps) {
  const { position, record, state, run, system, isReady, isWhole, repeats, onFinish, onOpen } =
    props;
  const family = useFamily();
  const words = useWords();
  const { step } = position;
  const checks = step.checks ?? [];
  const own = checkFor(family, checks, run.repair);
  const [chosen, setChosen] = useState<string>();
  const oneAtATime = useOneAtATime();
  const dials = useRef(new Map<string, () => Promise<boolean>>());
  const [isRefused, setRefused] = useState(false);
  const check = own ?? chosen;

  if (checks.length > 0 && check === undefined) {
    return (
      <div className="mt-3 grid gap-2" role="group" aria-label="Which one">
        {checks.map((each) => (
          <button
            key={each}
            type="button"
            className="button min-h-14"
            onClick={() => setChosen(each)}
          >
            {words.check(each)}
          </button>
        ))}
      </div>
    );
  }
  if (check !== undefined && family.catalogue.check(check)?.kind === 'reading') {
    const isOfSeveral = family.isCheckId(check) && family.check(check).valuesAt !== undefined;
    const Reading = isOfSeveral ? StepValues : StepReading;
    // Work has been done in a run since it began, and a wait is there to be read after.
    const sinceRun = position.index > 0 ? run.startedAt : undefined;
    const since = step.seconds ? position.since : sinceRun;
    return <Reading {...{ record, run, check, since, system, onFinish }} />;
  }
  if (check === 'noise-where') {
    return (
      <RodPlaces
        onAnswer={(value) => onFinish({ result: value }, { kind: 'observation', check, value })}
      />
    );
  }
  if (check !== undefined) {
    return (
      <>
        {step.seconds && (
          <p className="mt-2 text-small text-ink-2">
            {isReady ? 'Its least time has passed.' : 'Before its least time it needs a reason.'}
          </p>
        )}
        <ObservationAnswers
          check={check}
          onAnswer={(value) => onFinish({ result: value }, { kind: 'observation', check, value })}
        />
      </>
    );
  }
  if (step.results) {
    return (
      <div className="mt-3 grid gap-3" role="group" aria-label="What came of it">
        {step.results.map(({ is, words: label }) => (
          <button
            key={is}
            type="button"
            className="button min-h-16 border-2 border-act text-[20px] font-semibold text-act"
            onClick={() => onFinish({ result: is })}
          >
            {label}
          </button>
        ))}
      </div>
    );
  }
  if (step.part !== undefined) {
    return <PartFitting {...{ record, state, run, system, part: step.part, onFinish }} />;
  }
  if (step.wires !== undefined) {
    return (
      <WireMap
        {...{ record, state, repair: run.repair, does: step.wires }}
        onFinish={() => onFinish({})}
      />
    );
  }
  if (step.runs !== undefined) {
    const inner = Object.values(state.runs).filter(
      (each) =>
        each.procedure === step.runs && Date.parse(each.startedAt) >= Date.parse(position.since),
    );
    const going = inner.findLast((each) => each.ends === undefined);
    const done = inner.findLast((each) => each.ends === wentThrough);
    const title = words.procedure(step.runs);
    const inside = family.procedures.find((each) => each.id === step.runs)!;
    if (inside.work === 'gasWork' && !done && !gasWorkAllowed(record.job)) {
      return (
        <p className="mt-3 border-l-4 border-rule pl-3 font-medium">
          {title} is gas work, and it is not allowed on this job. Leave the step out and say who
          does it, or stop here and leave it safe.
        </p>
      );
    }
    // What it is run for may hold already: then it need not be gone through again.
    const holds = step.needs !== undefined && Object.hasOwn(state.facts, step.needs);
    return (
      <>
        {done && (
          <p className="mt-3 flex items-center gap-2 font-semibold">
            <Tick /> {title}, gone through at {clockTime(done.endedAt!, record.job.job.timeZone)}
          </p>
        )}
        {!done && (
          <Press
            isWhole={false}
            onPress={() => {
              if (going) return onOpen(going.run);
              const first = inside.steps[0]!;
              const next = newRun(step.runs!, { repair: run.repair, within: run.run });
              oneAtATime(
                next.procedure,
                async () => (await record.append(beginning(next, first.id))) && onOpen(next.run),
              );
            }}
          >
            {going ? `Go on: ${title}` : `Start: ${title}`}
          </Press>
        )}
        <Press isWhole={false} disabled={!done && !holds} onPress={() => onFinish({})}>
          Done
        </Press>
      </>
    );
  }
  if (repeats && !repeats.must) {
    return (
      <div className="mt-3 grid gap-3">
        <Press isWhole={false} disabled={!isReady} onPress={() => onFinish({})}>
          {step.repeat!.until}
        </Press>
        <button
          type="button"
          className="button min-h-14"
          disabled={!repeats.may || !isReady}
          onClick={() => onFinish({ isAgain: true })}
        >
          {repeats.may ? 'Once more' : `${repeats.done} times: enough`}
        </button>
      </div>
    );
  }
  const { setting } = step;
  /** Over only once what is typed at its dials is entered. */
  const done = async () => {
    const kept = await Promise.all([...dials.current.values()].map((keep) => keep()));
    const isKept = kept.every(Boolean);
    setRefused(!isKept);
    if (isKept) await onFinish({});
  };
  return (
    <>
      {setting &&
        family.settings
          .filter(({ id }) => setting.settings.includes(id))
          .map((field) => (
            <div key={field.id} className="mt-3">
              <span className="font-medium">{field.label}</span>
              <SettingInput
                record={record}
                field={field}
                as={setting.as}
                value={state.settings.get(field.id)?.[setting.as]}
                system={system}
                typed={dials}
              />
            </div>
          ))}
      {isRefused && (
        <p role="alert" className="mt-3 border-l-4 border-rule pl-3 font-medium">
          What is typed above is not entered. Put it right, or clear it, then tap Done.
        </p>
      )}
      <Press isWhole={isWhole} isEarly={!isReady} onPress={() => void done()}>
        {repeats?.must ? `Done, ${repeats.done} of at least ${step.repeat!.times[0]}` : 'Done'}
      </Press>
    </>
  );
}

/** Of several checks the one that reads the part of the repair at hand. */
function checkFor(
  family: ReturnType<typeof useFamily>,
  checks: readonly string[],
  repair: string | undefined,
): string | undefined {
  if (checks.length === 1) return checks[0];
  if (repair === undefined) return undefined;
  const readers = family.readersOf(repair, undefined);
  const proof = family.repairs[repair]?.proof ?? [];
  return checks.find((each) => readers?.check(each)) ?? checks.find((each) => proof.includes(each));
}
