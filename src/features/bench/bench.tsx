'use client';

import { useCallback, useMemo, useState } from 'react';
import type { AccessStep, ApplianceFamily, NamedCheck } from '@/core/appliances';
import type { BenchAnswer } from '@/core/job-diagnosis';
import { gasWorkAllowed, liveWorkAllowed, type Entry, type JobFile } from '@/core/job-file';
import { quantityTable, valueText, type UnitSystem } from '@/core/quantities';
import { PictureDialog } from '@/features/picture/picture-dialog';
import { CodeAnswers } from '@/features/codes/code-answers';
import { JobFamily, useFamily } from '@/features/record/family-context';
import { FromInstrument } from '@/features/instruments/from-instrument';
import { useJobRecord } from '@/features/record/use-job-record';
import { Awake } from '@/features/waking/awake';
import { Still } from '@/features/waking/still';
import { useLasting } from '@/ui/lasting';
import { Dialog } from '@/ui/dialog';
import { Keypad } from '@/ui/keypad';
import { PatternDefinitions } from '@/ui/patterns';
import { useIsWide } from '@/ui/screen-width';
import { BenchPicture } from './bench-picture';
import { Failure, Loading, SuspectLine } from './bench-states';
import { CheckPanel } from './check-panel';
import { CorrectDialog } from './correct-dialog';
import { LimitsDialog } from './limits-dialog';
import { Logbook } from './logbook';
import { earlierNeedle, entryOfStep } from './new-entries';
import { HowTaken } from './how-taken';
import { ObservationAnswers } from './observation-answers';
import { OtherCheckDialog } from './other-check-dialog';
import { PhoneNav } from './phone-nav';
import { ProveDeadDialog } from './prove-dead-dialog';
import { ReadingDisplay } from './reading-display';
import { StateBar } from './state-bar';
import { StepsDialog } from './steps-dialog';
import { SuspectsPanel } from './suspects-panel';
import { useCheckEntry, type SkipReason } from './use-check-entry';
import { useStopOfAnswer } from './use-stop';
import { useTakenSteps } from './use-taken-steps';
import { useDeskKeys } from './use-desk-keys';
import { ValuesEntry } from './values-entry';
import { VerdictPanel } from './verdict-panel';

type Sheet = 'other-check' | 'prove-dead' | 'picture' | 'logbook' | 'suspects' | 'limits';

/** What is worked out sooner is not told of: words that come and go at once are only unrest. */
const toldMilliseconds = 200;

const skips: readonly (readonly [SkipReason, string])[] = [
  ['not-sure', 'Not sure'],
  ['cannot', 'Cannot reach'],
  ['skipped', 'Skip'],
];

const noProbes: readonly string[] = [];

/** What of the picture a check touches: two terminals, or the points that are drawn. */
function touchedBy({ drawing }: ApplianceFamily, check: NamedCheck | undefined): readonly string[] {
  if (check?.between) return check.between;
  const points = Object.values(check?.valuesAt ?? { at: check?.point });
  const drawn = points.filter((each) => each !== undefined && drawing.points?.[each]);
  return drawn.length > 0 ? (drawn as string[]) : noProbes;
}

export interface BenchProps {
  readonly initial: JobFile;
  /** The answer that the server worked out for it. */
  readonly first?: BenchAnswer;
  /** The same where the server is still at it: the page is there before. */
  readonly coming?: Promise<BenchAnswer | undefined>;
  readonly system: UnitSystem;
}

const answeredFor = (job: JobFile, answer: BenchAnswer) => ({
  job,
  answer,
  chosen: answer.chosen,
});

/** The heart: the next check with its keypad and ruler, the suspects, the wiring picture and the logbook. */
export function Bench(props: BenchProps) {
  return (
    <JobFamily job={props.initial}>
      <OpenBench {...props} />
    </JobFamily>
  );
}

function OpenBench({ initial, first, coming, system }: BenchProps) {
  const family = useFamily();
  const record = useJobRecord(initial);
  const { job } = record;
  const [came] = useState(() => first && answeredFor(initial, first));
  const [comes] = useState(() =>
    coming?.then((answer) => (answer ? answeredFor(initial, answer) : undefined)),
  );
  // What this device has not sent yet the server's answer does not know.
  const served = record.cameWithMore ? undefined : { came, comes };
  const at = useCheckEntry(family, record, system, served?.came, served?.comes);
  const { answer, check, quantity, preview, steps } = at;
  const stop = useStopOfAnswer(job, answer, at.newer);
  const isWorking = useLasting(!at.isFresh && at.failure === undefined, toldMilliseconds);
  const isWide = useIsWide();
  const [sheet, setSheet] = useState<Sheet>();
  const [touched, setTouched] = useState<string>();
  const [correcting, setCorrecting] = useState<Entry>();
  /** The check whose keys were asked for before its steps were done. */
  const [typing, setTyping] = useState<string>();
  const touch = useCallback((terminal: string) => {
    setTouched(terminal);
    setSheet('picture');
  }, []);
  const close = () => setSheet(undefined);

  const takenSteps = useTakenSteps(answer);
  const takeStep = (step: AccessStep) => {
    // What may say no is a check of its own, and is taken as one.
    if (step.kind === 'take-check') return at.chooseFirst(step.check);
    at.begin();
    // Nothing is opened or moved before it is proved dead, whichever step was tapped first.
    const isByHand = step.kind !== 'power-on' && step.kind !== 'power-off-and-prove';
    const isUnproved = isByHand && steps.some((each) => each.kind === 'power-off-and-prove');
    if (step.kind === 'power-off-and-prove' || isUnproved) setSheet('prove-dead');
    else void takenSteps.take(step, () => at.record(entryOfStep(step)));
  };
  const enterReading = () => {
    if (at.enterReading()) setSheet('prove-dead');
  };
  useDeskKeys({
    isActive: quantity !== undefined && !sheet && !correcting && !at.pending,
    goesOver: quantity !== undefined && quantityTable[quantity].goesOver,
    hasOhms: quantity === 'resistance',
    text: at.text,
    change: at.change,
    enterReading,
  });

  // On a phone the keys wait until the steps are done, so that the ruler stays in sight; or until they are asked for.
  const isWaiting = steps.length > 0 && at.text === '' && typing !== check;
  const next = answer?.answer.next ?? undefined;
  const isNext = check === next?.check;
  const leading =
    preview && Object.entries(preview.probabilities).sort((one, other) => other[1] - one[1])[0];
  const enteringText =
    at.value && quantity
      ? at.value.overRange
        ? 'OL'
        : valueText(at.parsed?.kind === 'value' ? at.parsed.value : 0, quantity, system)
      : undefined;
  const named = check === undefined ? undefined : family.check(check);
  const probes = useMemo(() => touchedBy(family, named), [family, named]);
  const picture =
    answer &&
    ((crop: boolean) => (
      <BenchPicture
        job={job}
        answer={answer}
        probes={probes}
        clampOn={named?.around}
        crop={crop}
        system={system}
        onTerminal={crop ? undefined : touch}
      />
    ));
  const openPicture = () => {
    setTouched(undefined);
    setSheet('picture');
  };
  const howTaken = at.aspect && (
    <HowTaken
      aspect={at.aspect}
      meter={at.meter}
      load={at.load}
      onMeter={at.setMeter}
      onLoad={at.setLoad}
    />
  );
  const phoneNav = (
    <PhoneNav
      jobId={job.job.id}
      entryCount={job.entries.length}
      onOpen={(opened) => (opened === 'picture' ? openPicture() : setSheet(opened))}
    />
  );
  const suspectLine = answer && (
    <button
      type="button"
      className="block w-full border-b border-edge px-4 py-1.5 text-left lg:hidden"
      onClick={() => setSheet('suspects')}
      aria-label="Suspects and reasons"
    >
      <SuspectLine answer={answer.answer} after={preview?.probabilities} isWorking={isWorking} />
    </button>
  );
  const suspectsPanel = answer && (
    <SuspectsPanel
      job={job}
      answer={answer.answer}
      after={preview?.probabilities}
      enteringText={enteringText}
      system={system}
    />
  );

  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh lg:min-h-[700px] lg:overflow-clip">
      <PatternDefinitions />
      <StateBar
        job={job}
        state={answer?.state}
        stop={stop}
        isHearing={record.isHearing}
        trouble={record.trouble}
        onMakeSafe={() => setSheet('prove-dead')}
        append={record.append}
      />
      <main
        aria-busy={!at.isFresh || at.isQuick}
        data-entries={job.entries.length}
        data-means={check}
        className="flex min-h-0 flex-1 flex-col low:grid low:grid-cols-[minmax(0,1fr)_minmax(300px,46%)] low:content-start lg:grid lg:grid-cols-[340px_minmax(0,1fr)_330px] lg:grid-rows-[minmax(0,1fr)]"
      >
        <Awake isReady={at.isFresh || at.failure !== undefined} />
        <div className="contents lg:flex lg:min-h-0 lg:flex-col lg:border-r lg:border-hair">
          {at.failure && <Failure message={at.failure} />}
          {!answer && !at.failure && (
            <>
              <Loading />
              <div className="sticky bottom-0 order-4 col-span-2 mt-auto bg-sheet lg:hidden">
                {phoneNav}
              </div>
            </>
          )}
          {answer && check !== undefined && (
            <div className="order-1 low:col-start-1 lg:order-none lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
              <CheckPanel
                jobId={job.job.id}
                check={check}
                isProposed={isNext || check === at.begun}
                isWorking={isWorking}
                answer={answer}
                taken={takenSteps.steps}
                onStep={takeStep}
                onChoose={at.choose}
                onLimits={() => setSheet('limits')}
                onTrust={at.trust}
                system={system}
                crop={
                  probes.length > 0 || named?.around ? (
                    <button
                      type="button"
                      className="h-[118px] w-[46%] max-w-[200px] shrink-0 border border-hair low:hidden lg:hidden"
                      onClick={openPicture}
                      aria-label={`Open the whole ${family.drawing.title.toLowerCase()}`}
                    >
                      <Still of={answer}>{picture?.(true)}</Still>
                    </button>
                  ) : undefined
                }
              />
            </div>
          )}
          {answer && check === undefined && (
            <div className="order-1 flex flex-1 flex-col overflow-y-auto low:col-span-2 lg:order-none">
              <VerdictPanel
                job={job}
                answer={answer.answer}
                state={answer.state}
                system={system}
                onOther={() => setSheet('other-check')}
                onChoose={at.choose}
              />
              <div className="sticky bottom-0 mt-auto bg-sheet lg:hidden">
                {suspectLine}
                {phoneNav}
              </div>
            </div>
          )}
          {check !== undefined && (
            <div className="sticky bottom-0 z-10 order-4 mt-auto border-t border-edge bg-sheet low:top-14 low:bottom-auto low:col-start-2 low:row-span-3 low:row-start-1 low:mt-0 low:self-start low:border-t-0 low:border-l short:static lg:static lg:order-none">
              {suspectLine}
              {at.problem && (
                <p role="alert" className="border-b border-edge px-4 py-2 font-medium">
                  {at.problem}
                </p>
              )}
              {quantity && named?.valuesAt ? (
                <ValuesEntry
                  key={check}
                  jobId={job.job.id}
                  check={check}
                  plate={job.unit.plate}
                  quantity={quantity}
                  system={system}
                  good={at.expectation?.good}
                  isReady={at.isFresh}
                  disabledReason={at.refusal}
                  draft={at.several}
                  isBelowSteps
                  onEnter={(values) => {
                    if (at.enter({ kind: 'reading', check, values })) setSheet('prove-dead');
                  }}
                />
              ) : quantity ? (
                <>
                  {isWaiting && (
                    <button
                      type="button"
                      className="button min-h-14 w-full border-x-0 text-lead lg:hidden"
                      data-opens-keypad=""
                      onClick={() => setTyping(check)}
                    >
                      Type what the meter shows
                    </button>
                  )}
                  <FromInstrument
                    key={check}
                    quantity={quantity}
                    check={named!}
                    system={system}
                    onRead={at.drop}
                  />
                  <div
                    data-keypad-place=""
                    className={`h-[224px] low:h-[208px] lg:block lg:h-[min(320px,35dvh)] ${isWaiting ? 'hidden' : ''}`}
                  >
                    <Keypad
                      typesFor={check}
                      text={at.text}
                      onChange={at.change}
                      onEnter={enterReading}
                      entering={enteringText}
                      goesOver={quantityTable[quantity].goesOver}
                      goesBelow={quantityTable[quantity].reach[0] < 0}
                      hasOhms={quantity === 'resistance'}
                    />
                  </div>
                </>
              ) : family.codes?.check === check ? (
                <CodeAnswers
                  job={job}
                  codes={family.codes}
                  disabledReason={at.refusal}
                  onAnswer={(found) => {
                    if (at.enter(found)) setSheet('prove-dead');
                  }}
                />
              ) : (
                <ObservationAnswers
                  check={check}
                  howTaken={howTaken}
                  disabledReason={at.refusal}
                  onAnswer={(found) => {
                    if (at.enter({ kind: 'observation', check, value: found })) {
                      setSheet('prove-dead');
                    }
                  }}
                />
              )}
              <div
                className="grid grid-cols-3 border-t border-edge text-center"
                role="group"
                aria-label="No reading"
              >
                {skips.map(([reason, label]) => (
                  <button
                    key={reason}
                    type="button"
                    className="min-h-11 border-r border-hair underline underline-offset-4 last:border-r-0"
                    onClick={() => at.skip(reason)}
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
          {answer && at.expectation && check !== undefined && quantity && !named?.valuesAt && (
            <div className="order-2 low:col-start-1 lg:order-none lg:border-b lg:border-hair lg:pt-2">
              <ReadingDisplay
                expectation={at.expectation}
                text={at.text}
                typedAt={at.typedAt}
                parsed={at.parsed}
                ranking={answer.answer.suspects.map((each) => each.repair)}
                leadOhm={quantity === 'resistance' ? at.meter.leadOhm : undefined}
                fitsNothing={preview?.fitsNothing ?? false}
                leadingAfter={leading && { repair: leading[0], probability: leading[1] }}
                earlier={earlierNeedle(family, job, check)}
                system={system}
                howTaken={howTaken}
                onChoose={at.change}
              />
            </div>
          )}
          <div className="relative hidden min-h-0 flex-1 bg-[linear-gradient(var(--grid)_1px,transparent_1px),linear-gradient(90deg,var(--grid)_1px,transparent_1px)] bg-size-[24px_24px] p-1 lg:block">
            {isWide && picture?.(false)}
            <button
              type="button"
              className={`button absolute left-2 bg-sheet ${family.drawing.points ? 'top-2' : 'bottom-2'}`}
              onClick={openPicture}
            >
              {family.drawing.points ? 'Touch a point' : 'Touch any two'}
            </button>
          </div>
        </div>

        {answer && isWide && (
          <div className="hidden min-h-0 border-l-2 border-rule lg:flex lg:flex-col">
            {suspectsPanel}
          </div>
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
        {isWide && (
          <Logbook
            job={job}
            judged={answer?.judged}
            system={system}
            direction="sideways"
            onCorrect={setCorrecting}
          />
        )}
      </footer>

      <OtherCheckDialog
        job={job}
        isOpen={sheet === 'other-check'}
        onClose={close}
        onChoose={at.choose}
        limits={{
          liveWork: liveWorkAllowed(job),
          gasWork: gasWorkAllowed(job),
          instruments: job.constraints?.instruments,
        }}
        better={answer?.answer.alternatives ?? []}
      />
      <ProveDeadDialog
        job={job}
        isOpen={sheet === 'prove-dead'}
        onClose={close}
        onTried={(entries) => at.record(...entries)}
      />
      {sheet === 'limits' && <LimitsDialog record={record} onClose={close} />}
      {sheet === 'picture' && (
        <PictureDialog
          job={job}
          answer={answer}
          touched={touched}
          system={system}
          onClose={close}
          onEnter={(entry) => at.record(entry)}
        />
      )}
      <Dialog title="Logbook" isOpen={sheet === 'logbook'} onClose={close}>
        <Logbook
          job={job}
          judged={answer?.judged}
          system={system}
          direction="down"
          onCorrect={setCorrecting}
        />
      </Dialog>
      <Dialog title="Suspects" isOpen={sheet === 'suspects'} onClose={close}>
        {suspectsPanel}
      </Dialog>
      {correcting && (
        <CorrectDialog
          entry={correcting}
          plate={job.unit.plate}
          system={system}
          timeZone={job.job.timeZone}
          onClose={() => setCorrecting(undefined)}
          onCorrect={(correction) => at.record(correction)}
        />
      )}
      {at.pending && (
        <StepsDialog
          steps={steps}
          isLive={at.isLive}
          onClose={at.cancelPending}
          onDone={at.finishWithSteps}
          onAsItIs={at.finishAsItIs}
          onMakeSafe={() => {
            at.cancelPending();
            setSheet('prove-dead');
          }}
        />
      )}
    </div>
  );
}
