'use client';

import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import {
  checkNames,
  checkWords,
  isAllowed,
  isCheckId,
  type AccessStep,
  type CheckId,
} from '@/core/appliances/electric-storage-two-element';
import { valueKeyOf } from '@/core/job-diagnosis';
import type { Entry, EntryState, JobFile, LiftedEnd, Value } from '@/core/job-file';
import { parseReading, valueText, type ParsedReading, type UnitSystem } from '@/core/quantities';
import { useDraft } from '@/features/record/use-draft';
import { useJobRecord, type NewEntry } from '@/features/record/use-job-record';
import { percent, suspectName, terminalName, wireName } from '@/features/record/words';
import { Keypad } from '@/ui/keypad';
import { PatternDefinitions, SuspectStrip } from '@/ui/patterns';
import { WiringPicture } from '@/ui/wiring-picture';
import { Dialog } from '@/ui/dialog';
import { CheckPanel, stepWords } from './check-panel';
import { CorrectDialog } from './correct-dialog';
import { Logbook } from './logbook';
import { ObservationAnswers } from './observation-answers';
import { OtherCheckDialog } from './other-check-dialog';
import { ProveDeadDialog } from './prove-dead-dialog';
import { needleOf, ReadingDisplay } from './reading-display';
import { StateBar } from './state-bar';
import { SuspectsPanel } from './suspects-panel';
import { useBenchAnswer, usePreview } from './use-bench';
import { VerdictPanel } from './verdict-panel';

type OpenSheet = 'other-check' | 'prove-dead' | 'picture' | 'logbook' | 'suspects' | undefined;

/** The heart: the next check with its keypad and ruler, the suspects, the wiring picture and the logbook. */
export function Bench({ initial, system }: { initial: JobFile; system: UnitSystem }) {
  const { job, isReady, waitingCount, sending, append } = useJobRecord(initial);
  const asked = useSearchParams().get('check') ?? '';
  const router = useRouter();
  const [chosen, setChosen] = useState<CheckId | undefined>(isCheckId(asked) ? asked : undefined);
  /** A proposed check whose steps have been begun stays, even if the next step would make another one cheaper. */
  const [begun, setBegun] = useState<CheckId>();
  const { answer, isFresh, failure } = useBenchAnswer(job, isReady, chosen ?? begun);
  const [sheet, setSheet] = useState<OpenSheet>();
  const [correcting, setCorrecting] = useState<Entry>();
  const [problem, setProblem] = useState<string>();
  const [pending, setPending] = useState<NewEntry>();

  const next = answer?.answer.next ?? undefined;
  // The check that stands here is the one that the answer is for: its steps and its bands belong to it.
  const check = answer?.selected?.expectation.check;
  const [text, setText] = useDraft(`${job.job.id} ${check ?? ''}`);
  const quantity = check && checkNames[check].quantity;
  const parsed = useMemo<ParsedReading | undefined>(
    () =>
      text === '' || !quantity
        ? undefined
        : parseReading(text, { quantity, system, loneOneIsDoubtful: true }),
    [text, quantity, system],
  );
  const value = check && parsed ? valueOf(check, parsed) : undefined;
  const trial = check && value ? trialEntry(check, value) : undefined;
  const preview = usePreview(job, isFresh ? trial : undefined);

  const steps = answer?.selected?.steps ?? [];
  const blocked = steps.find((each) => each.kind === 'power-off-and-prove');
  const liveWork = job.constraints?.liveWork ?? true;
  const refusal =
    check && !isAllowed(check, { liveWork })
      ? 'This is a live reading, and you have no permission for live work. Choose a dead check.'
      : blocked
        ? `${quantity === 'resistance' ? 'Ohms on a live circuit mean nothing and can destroy the meter.' : 'Hands go near live parts here.'} Power off and prove dead first.`
        : undefined;

  const change = (next: string) => {
    setProblem(undefined);
    setText(next);
  };

  const record = async (...entries: NewEntry[]) => {
    try {
      await append(...entries);
      setProblem(undefined);
      return true;
    } catch {
      setProblem(
        'This device could not keep the entry: its storage is full or closed. Write the reading down, free some room, then press Enter again.',
      );
      return false;
    }
  };

  const takeStep = (step: AccessStep) => {
    setBegun(check);
    if (step.kind === 'power-off-and-prove') setSheet('prove-dead');
    else void record(entryOfStep(step));
  };

  const finish = async (...entries: NewEntry[]) => {
    setPending(undefined);
    if (!(await record(...entries))) return;
    setText('');
    setChosen(undefined);
    setBegun(undefined);
    if (asked) router.replace(`/jobs/${job.job.id}`, { scroll: false });
  };

  const enter = (entry: NewEntry | undefined) => {
    if (!check || !entry || !answer || !isFresh) return;
    if (refusal) {
      setProblem(refusal);
      if (blocked) setSheet('prove-dead');
      return;
    }
    const open = steps.filter((each) => each.kind !== 'power-off-and-prove');
    if (open.length > 0) setPending(entry);
    else void finish(withState(entry, check, answer.state.lifted));
  };
  const enterReading = () => {
    if (!check) return;
    if (parsed?.kind === 'problem') setProblem(parsed.message);
    else if (value) enter({ kind: 'reading', check, value });
  };
  const skip = (reason: 'cannot' | 'skipped' | 'not-sure') => {
    if (check && isFresh) void finish({ kind: 'skip', check, reason });
  };

  useDeskKeys({
    isActive: check !== undefined && quantity !== undefined && !sheet && !correcting && !pending,
    hasOhms: quantity === 'resistance',
    text,
    change,
    enterReading,
  });

  const ranking = answer?.answer.suspects.map((each) => each.repair) ?? [];
  const leading =
    preview && Object.entries(preview.probabilities).sort((one, other) => other[1] - one[1])[0];
  const enteringText =
    value && quantity
      ? value.overRange
        ? 'OL'
        : valueText(parsed?.kind === 'value' ? parsed.value : 0, quantity, system)
      : undefined;
  const probes = check ? [...(checkNames[check].between ?? [])] : [];
  const clampOn = check ? checkNames[check].around : undefined;
  const picture =
    answer &&
    ((crop: boolean) => (
      <WiringPicture
        picture={answer.picture}
        lifted={answer.state.lifted}
        probes={probes}
        clampOn={clampOn}
        watts={{
          upper: job.unit.plate.elements.upper?.watt ?? 0,
          lower: job.unit.plate.elements.lower?.watt ?? 0,
        }}
        suspectedPart={partOfRepair(
          answer.answer.suspects[0]?.repair,
          answer.answer.suspects[0]?.probability,
        )}
        temperature={(celsius) => valueText(celsius, 'temperature', system)}
        crop={crop}
        label={pictureWords(
          probes,
          clampOn,
          answer.state.lifted.map(
            (each) => `${wireName(each.wire)} lifted off ${terminalName(each.end)}`,
          ),
          answer.picture.live,
        )}
      />
    ));

  const suspectLine = answer && (
    <button
      type="button"
      className="block w-full border-b border-edge px-4 py-1.5 text-left lg:hidden"
      onClick={() => setSheet('suspects')}
      aria-label="Suspects and reasons"
    >
      <SuspectLine answer={answer.answer} after={preview?.probabilities} />
    </button>
  );

  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh lg:min-h-0 lg:overflow-hidden">
      <PatternDefinitions />
      <StateBar
        job={job}
        state={answer?.state}
        waitingCount={waitingCount}
        sending={sending}
        onMakeSafe={() => setSheet('prove-dead')}
      />
      <main
        aria-busy={!isFresh}
        data-entries={job.entries.length}
        className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[340px_minmax(0,1fr)_330px] lg:grid-rows-[minmax(0,1fr)]"
      >
        <div className="contents lg:flex lg:min-h-0 lg:flex-col lg:border-r lg:border-hair">
          {failure && <Failure message={failure} />}
          {!answer && !failure && <Loading />}
          {answer && check && answer.selected && (
            <div className="order-1 lg:order-none lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
              <CheckPanel
                check={check}
                isProposed={check === next?.check || check === begun}
                isRepeat={check === next?.check && (next?.repeat ?? false)}
                minutes={check === next?.check ? (next?.minutes ?? 1) : checkWords[check].minutes}
                why={check === next?.check ? next?.why : undefined}
                steps={steps}
                onStep={takeStep}
                crop={
                  probes.length > 0 || clampOn ? (
                    <button
                      type="button"
                      className="h-[118px] w-[46%] shrink-0 border border-hair lg:hidden"
                      onClick={() => setSheet('picture')}
                      aria-label="Open the whole wiring picture"
                    >
                      {picture?.(true)}
                    </button>
                  ) : undefined
                }
              />
            </div>
          )}
          {answer && !check && (
            <div className="order-1 flex-1 overflow-y-auto lg:order-none">
              <VerdictPanel
                job={job}
                answer={answer.answer}
                state={answer.state}
                onOther={() => setSheet('other-check')}
              />
            </div>
          )}
          {check && (
            <div className="sticky bottom-0 order-4 mt-auto border-t border-edge bg-sheet lg:static lg:order-none">
              {suspectLine}
              {problem && (
                <p role="alert" className="border-b border-edge px-4 py-2 font-medium">
                  {problem}
                </p>
              )}
              {quantity ? (
                <div className="h-[224px] lg:h-[min(320px,42dvh)]">
                  <Keypad
                    text={text}
                    onChange={change}
                    onEnter={enterReading}
                    entering={enteringText}
                    hasOhms={quantity === 'resistance'}
                  />
                </div>
              ) : (
                <ObservationAnswers
                  check={check}
                  disabledReason={refusal}
                  onAnswer={(found) => enter({ kind: 'observation', check, value: found })}
                />
              )}
              <div
                className="grid grid-cols-3 border-t border-edge text-center"
                role="group"
                aria-label="No reading"
              >
                {(
                  [
                    ['not-sure', 'Not sure'],
                    ['cannot', 'Cannot reach'],
                    ['skipped', 'Skip'],
                  ] as const
                ).map(([reason, label]) => (
                  <button
                    key={reason}
                    type="button"
                    className="min-h-11 border-r border-hair underline underline-offset-4 last:border-r-0"
                    onClick={() => skip(reason)}
                  >
                    {label}
                  </button>
                ))}
              </div>
              <nav
                className="grid grid-cols-4 border-t border-rule bg-paper lg:hidden"
                aria-label="More"
              >
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => setSheet('picture')}
                >
                  Picture
                </button>
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => setSheet('logbook')}
                >
                  Logbook {job.entries.length}
                </button>
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => setSheet('other-check')}
                >
                  Others
                </button>
                <Link
                  href={`/jobs/${job.job.id}/repair`}
                  className="flex min-h-11 items-center justify-center underline underline-offset-4"
                >
                  Repair
                </Link>
              </nav>
            </div>
          )}
        </div>

        <div className="contents lg:flex lg:min-h-0 lg:flex-col">
          {answer?.selected && check && quantity && (
            <div className="order-2 lg:order-none lg:border-b lg:border-hair lg:pt-2">
              <ReadingDisplay
                expectation={answer.selected.expectation}
                text={text}
                parsed={parsed}
                ranking={ranking}
                fitsNothing={preview?.fitsNothing ?? false}
                leadingAfter={
                  leading && {
                    repair: leading[0],
                    probability: leading[1],
                    fault: undefined,
                  }
                }
                earlier={earlierNeedle(job, check)}
                system={system}
                onChoose={change}
              />
            </div>
          )}
          <div className="hidden min-h-0 flex-1 bg-[linear-gradient(var(--grid)_1px,transparent_1px),linear-gradient(90deg,var(--grid)_1px,transparent_1px)] bg-size-[24px_24px] p-1 lg:block">
            {picture?.(false)}
          </div>
        </div>

        {answer && (
          <>
            <div className="hidden min-h-0 border-l-2 border-rule lg:flex lg:flex-col">
              <SuspectsPanel
                job={job}
                answer={answer.answer}
                after={preview?.probabilities}
                enteringText={enteringText}
                system={system}
              />
            </div>
          </>
        )}
      </main>
      <footer
        className="hidden h-[146px] shrink-0 border-t-2 border-rule lg:flex"
        aria-label="Logbook"
      >
        <div className="flex w-32 shrink-0 flex-col gap-1 border-r border-hair bg-paper px-3 py-2">
          <h2 className="text-lead font-semibold">Logbook</h2>
          <button
            type="button"
            className="link min-h-11 text-left"
            onClick={() => setSheet('other-check')}
          >
            Other check
          </button>
          <span className="text-small text-ink-2">Tap an entry to correct it.</span>
        </div>
        <Logbook job={job} system={system} direction="sideways" onCorrect={setCorrecting} />
      </footer>

      <OtherCheckDialog
        isOpen={sheet === 'other-check'}
        onClose={() => setSheet(undefined)}
        onChoose={(other) => {
          setBegun(undefined);
          setChosen(other);
        }}
        liveWork={liveWork}
        better={answer?.answer.alternatives ?? []}
      />
      <ProveDeadDialog
        isOpen={sheet === 'prove-dead'}
        onClose={() => setSheet(undefined)}
        onProved={(entries) => {
          setSheet(undefined);
          void record(...entries);
        }}
      />
      <Dialog
        title="Wiring picture"
        isOpen={sheet === 'picture'}
        onClose={() => setSheet(undefined)}
      >
        {picture?.(false)}
      </Dialog>
      <Dialog title="Logbook" isOpen={sheet === 'logbook'} onClose={() => setSheet(undefined)}>
        <Logbook
          job={job}
          system={system}
          direction="down"
          onCorrect={(entry) => setCorrecting(entry)}
        />
      </Dialog>
      <Dialog title="Suspects" isOpen={sheet === 'suspects'} onClose={() => setSheet(undefined)}>
        {answer && (
          <SuspectsPanel
            job={job}
            answer={answer.answer}
            after={preview?.probabilities}
            enteringText={enteringText}
            system={system}
          />
        )}
      </Dialog>
      {correcting && (
        <CorrectDialog
          entry={correcting}
          system={system}
          timeZone={job.job.timeZone}
          onClose={() => setCorrecting(undefined)}
          onCorrect={(correction) => void record(correction)}
        />
      )}
      {pending && answer && check && (
        <StepsDialog
          steps={steps}
          canStayAsItIs={!steps.some((each) => each.kind === 'power-on')}
          onClose={() => setPending(undefined)}
          onDone={() => {
            const done = steps.map(entryOfStep);
            const lifted = [
              ...answer.state.lifted.filter(
                (each) =>
                  !steps.some(
                    (step) => step.kind === 'refit-wire' && step.lifted.wire === each.wire,
                  ),
              ),
              ...steps.flatMap((step) => (step.kind === 'lift-wire' ? [step.lifted] : [])),
            ];
            void finish(...done, withState(pending, check, lifted));
          }}
          onAsItIs={() =>
            void finish({ ...pending, state: { lifted: [...answer.state.lifted] } } as NewEntry)
          }
        />
      )}
    </div>
  );
}

/** Asked when a result is entered before its steps were ticked: the state belongs to the reading. */
function StepsDialog({
  steps,
  canStayAsItIs,
  onClose,
  onDone,
  onAsItIs,
}: {
  steps: readonly AccessStep[];
  canStayAsItIs: boolean;
  onClose(): void;
  onDone(): void;
  onAsItIs(): void;
}) {
  return (
    <Dialog title="Was this done?" isOpen onClose={onClose}>
      <ul className="mb-4 list-disc pl-5">
        {steps.map((each) => (
          <li key={stepWords(each)}>{stepWords(each)}</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="button button-act flex-1" onClick={onDone}>
          Done: enter it
        </button>
        {canStayAsItIs && (
          <button type="button" className="button flex-1" onClick={onAsItIs}>
            No: enter it as read, wires as they are
          </button>
        )}
      </div>
    </Dialog>
  );
}

function SuspectLine({
  answer,
  after,
}: {
  answer: { suspects: readonly { repair: string; probability: number }[]; decided: boolean };
  after: Readonly<Record<string, number>> | undefined;
}) {
  const first = answer.suspects[0];
  if (!first) return null;
  const then = after?.[first.repair];
  return (
    <>
      <span className="block pb-1.5">
        {suspectName(first.repair)}{' '}
        <strong className="font-semibold">{percent(first.probability)} %</strong>
        {then !== undefined && <span className="text-act"> then {percent(then)} %</span>}
      </span>
      <SuspectStrip
        suspects={answer.suspects.filter((each) => each.probability > 0.01).slice(0, 5)}
        decided={answer.decided}
        label="Suspects by chance"
      />
    </>
  );
}

function Loading() {
  return (
    <div className="order-1 p-4 lg:order-none" role="status">
      <p className="text-small text-ink-2">Next check</p>
      <p className="text-title font-semibold">Working out what to check</p>
      <svg viewBox="0 0 300 6" className="mt-6 w-full" aria-hidden="true">
        <path d="M0 3H300" stroke="var(--ink)" strokeWidth="2" strokeDasharray="2 5" />
      </svg>
    </div>
  );
}

function Failure({ message }: { message: string }) {
  return (
    <div className="order-1 p-4 lg:order-none" role="alert">
      <p className="font-semibold">The suspects could not be worked out.</p>
      <p>
        {message} The logbook is whole and goes on taking entries. Reload the page, or report this
        with the job file.
      </p>
    </div>
  );
}

/** A hardware keyboard at a desk: digits, point, O for over range, k, Backspace, Enter. */
function useDeskKeys({
  isActive,
  hasOhms,
  text,
  change,
  enterReading,
}: {
  isActive: boolean;
  hasOhms: boolean;
  text: string;
  change(text: string): void;
  enterReading(): void;
}) {
  useEffect(() => {
    if (!isActive) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const target = event.target as HTMLElement;
      if (target.closest('input, textarea, select, [role=dialog]')) return;
      if (event.key === 'Enter') {
        if (target.closest('button, a')) return;
        enterReading();
      } else if (/^[\d.,\-]$/.test(event.key)) change(text === 'OL' ? event.key : text + event.key);
      else if (event.key === 'Backspace') change(text === 'OL' ? '' : text.slice(0, -1));
      else if (hasOhms && /^o$/i.test(event.key)) change('OL');
      else if (hasOhms && /^[kM]$/.test(event.key) && text !== '') change(text + event.key);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [isActive, hasOhms, text, change, enterReading]);
}

function valueOf(check: CheckId, parsed: ParsedReading): Value | undefined {
  if (parsed.kind === 'over-range') return { overRange: true };
  const key = valueKeyOf(check);
  return parsed.kind === 'value' && key ? { [key]: parsed.value } : undefined;
}

/** The entry as it would be made, under an id that no entry has. */
function trialEntry(check: CheckId, value: Value): Entry {
  return {
    id: '00000000-0000-4000-8000-000000000000',
    at: '9999-01-01T00:00:00.000Z',
    kind: 'reading',
    check,
    value,
  };
}

function entryOfStep(step: AccessStep): NewEntry {
  switch (step.kind) {
    case 'power-on':
      return { kind: 'action', action: 'power-on' };
    case 'open-cover':
      return { kind: 'action', action: 'open', target: step.cover };
    case 'lift-wire':
      return { kind: 'action', action: 'lift-wire', ...step.lifted };
    case 'refit-wire':
      return { kind: 'action', action: 'refit-wire', ...step.lifted };
    case 'power-off-and-prove':
      return { kind: 'action', action: 'power-off' };
  }
}

/** Where more wires hang free than the check asks for, the entry says so: it is read in the state that was. */
function withState(entry: NewEntry, check: CheckId, lifted: JobFileLifted): NewEntry {
  const implied = checkNames[check].state.lifted;
  const same =
    implied === undefined ||
    (implied.length === lifted.length &&
      implied.every((each) =>
        lifted.some((other) => other.wire === each.wire && other.end === each.end),
      ));
  if (same || (entry.kind !== 'reading' && entry.kind !== 'observation')) return entry;
  const state: EntryState = { lifted: [...lifted] };
  return { ...entry, state };
}

type JobFileLifted = readonly LiftedEnd[];

/** The earlier result of a check that is taken again. */
function earlierNeedle(job: JobFile, check: CheckId) {
  const earlier = job.entries.findLast((each) => each.kind === 'reading' && each.check === check);
  if (earlier?.kind !== 'reading' || !earlier.value) return undefined;
  const { overRange, ohm, volt, ampere, celsius } = earlier.value;
  const kept = ohm ?? volt ?? ampere ?? celsius;
  return needleOf(
    overRange
      ? { kind: 'over-range' }
      : kept === undefined
        ? undefined
        : { kind: 'value', value: kept },
  );
}

const parts: Readonly<Record<string, string>> = {
  'replace-upper-element': 'upper-element',
  'replace-lower-element': 'lower-element',
  'replace-upper-thermostat': 'upper-thermostat',
  'replace-lower-thermostat': 'lower-thermostat',
  'reset-limit': 'limit',
  'restore-supply': 'breaker',
  'call-electrician': 'breaker',
};

/** The part to mark in the picture, once it is more likely than not. */
function partOfRepair(repair: string | undefined, probability = 0): string | undefined {
  return repair !== undefined && probability > 0.5 ? parts[repair] : undefined;
}

function pictureWords(
  probes: readonly string[],
  clampOn: string | undefined,
  lifted: readonly string[],
  live: readonly string[],
): string {
  const touch = clampOn
    ? `Clamp round the ${wireName(clampOn)}.`
    : probes.length === 2
      ? `Touch ${terminalName(probes[0]!)} with A and ${terminalName(probes[1]!)} with B.`
      : '';
  const liveText =
    live.length > 0
      ? `Live: ${live.map(terminalName).join(', ')}.`
      : 'Nothing live beyond the breaker.';
  return ['Wiring picture.', touch, lifted.length > 0 ? `${lifted.join(', ')}.` : '', liveText]
    .filter(Boolean)
    .join(' ');
}
