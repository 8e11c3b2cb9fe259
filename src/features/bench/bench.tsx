'use client';

import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import {
  checkNames,
  checkWords,
  isAllowed,
  isCheckId,
  type AccessStep,
  type CheckId,
} from '@/core/appliances/electric-storage-two-element';
import type { Entry, JobFile } from '@/core/job-file';
import { parseReading, valueText, type ParsedReading, type UnitSystem } from '@/core/quantities';
import { useDraft } from '@/features/record/use-draft';
import { useJobRecord, type NewEntry } from '@/features/record/use-job-record';
import { terminalName, wireName } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { Keypad } from '@/ui/keypad';
import { PatternDefinitions } from '@/ui/patterns';
import { WiringPicture } from '@/ui/wiring-picture';
import { Failure, Loading, SuspectLine } from './bench-states';
import { CheckPanel } from './check-panel';
import { CorrectDialog } from './correct-dialog';
import { Logbook } from './logbook';
import { earlierNeedle, entryOfStep, trialEntry, valueOf, withState } from './new-entries';
import { ObservationAnswers } from './observation-answers';
import { OtherCheckDialog } from './other-check-dialog';
import { partOfRepair, pictureWords } from './picture-words';
import { ProveDeadDialog } from './prove-dead-dialog';
import { ReadingDisplay } from './reading-display';
import { StateBar } from './state-bar';
import { StepsDialog } from './steps-dialog';
import { SuspectsPanel } from './suspects-panel';
import { useBenchAnswer, usePreview } from './use-bench';
import { useDeskKeys } from './use-desk-keys';
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

  const phoneNav = (
    <nav className="grid grid-cols-4 border-t border-rule bg-paper lg:hidden" aria-label="More">
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
  );

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
            <div className="order-1 flex flex-1 flex-col overflow-y-auto lg:order-none">
              <VerdictPanel
                job={job}
                answer={answer.answer}
                state={answer.state}
                onOther={() => setSheet('other-check')}
              />
              <div className="sticky bottom-0 mt-auto bg-sheet lg:hidden">
                {suspectLine}
                {phoneNav}
              </div>
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
              {phoneNav}
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
