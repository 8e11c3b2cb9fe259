'use client';

import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import {
  catalogue,
  checkNames,
  plateOf,
  repairs,
  type Repair,
  type RepairId,
} from '@/core/appliances/electric-storage-two-element';
import {
  engineVersion,
  goodOf,
  isRepairId,
  parameterHash,
  proofOf,
  type ProofItem,
} from '@/core/job-diagnosis';
import { walkEntries, type JobFile, type JobState } from '@/core/job-file';
import { heatUp } from '@/core/thermal/heating-time';
import { parseReading, showValue, valueText, type UnitSystem } from '@/core/quantities';
import { useBenchAnswer } from '@/features/bench/use-bench';
import { useJobRecord, type JobRecord } from '@/features/record/use-job-record';
import { useDraft } from '@/features/record/use-draft';
import {
  checkLabel,
  entryResult,
  evidenceWords,
  faultName,
  percent,
  repairOrder,
  suspectName,
  terminalName,
  wireName,
} from '@/features/record/words';
import { StateBar } from '@/features/bench/state-bar';
import { ProveDeadDialog } from '@/features/bench/prove-dead-dialog';
import { MiniRuler } from '@/features/bench/logbook';
import { CrossedBox, StepBox, Tick } from '@/ui/marks';
import { PatternDefinitions } from '@/ui/patterns';
import { ElectricitySign, HotSign, WarningSign } from '@/ui/signs';
import type { BenchAnswer } from '@/workers/diagnosis-client';

/** From the verdict through the repair to its proof, and the closing of the job. */
export function RepairPage({ initial, system }: { initial: JobFile; system: UnitSystem }) {
  const record = useJobRecord(initial);
  const { job, isReady, waitingCount, sending, append } = record;
  const { answer } = useBenchAnswer(job, isReady, undefined);
  const [isProving, setProving] = useState(false);
  return (
    <div className="flex min-h-dvh flex-col">
      <PatternDefinitions />
      <StateBar
        job={job}
        state={answer?.state}
        waitingCount={waitingCount}
        sending={sending}
        onMakeSafe={() => setProving(true)}
      />
      {answer ? (
        <Stages record={record} answer={answer} system={system} />
      ) : (
        <p className="p-5 text-lead" role="status">
          Working out the verdict
        </p>
      )}
      <ProveDeadDialog
        isOpen={isProving}
        onClose={() => setProving(false)}
        onProved={(entries) => {
          setProving(false);
          void append(...entries);
        }}
      />
    </div>
  );
}

interface StageProps {
  readonly record: JobRecord;
  readonly answer: BenchAnswer;
  readonly system: UnitSystem;
}

function Stages(props: StageProps) {
  const { answer, record } = props;
  const { state } = answer;
  const repair = state.repairsDone.at(-1) ?? state.verdict?.repair;
  const isClosed = state.status?.status.startsWith('closed') ?? false;
  return (
    <main className="mx-auto grid w-full max-w-[1280px] flex-1 lg:grid-cols-3">
      <Section number="1" title="Verdict" isNow={!state.verdict}>
        <Verdict {...props} />
      </Section>
      <Section
        number="2"
        title="Repair"
        isNow={state.verdict !== undefined && state.repairsDone.length === 0}
      >
        {isRepairId(repair) ? (
          <RepairSteps {...props} repair={repair} />
        ) : (
          <p className="text-ink-2">
            Act on a verdict first. The repair, its parts and its cautions follow from it.
          </p>
        )}
      </Section>
      <Section
        number="3"
        title="Proof, settings, closing"
        isNow={state.repairsDone.length > 0 && !isClosed}
      >
        {isRepairId(state.repairsDone.at(-1)) && <Proof record={record} system={props.system} />}
        <Settings record={record} state={state} system={props.system} />
        <Closing record={record} state={state} />
      </Section>
    </main>
  );
}

function Section({
  number,
  title,
  isNow,
  children,
}: {
  number: string;
  title: string;
  isNow: boolean;
  children: ReactNode;
}) {
  return (
    <section
      className="border-b border-hair px-5 py-4 lg:border-r lg:border-b-0 lg:last:border-r-0"
      aria-current={isNow ? 'step' : undefined}
    >
      <h2 className="mb-3 flex items-baseline gap-3 border-b-2 border-rule pb-1 text-title font-semibold">
        <span className={isNow ? 'text-act' : 'text-ink-2'}>{number}</span>
        {title}
      </h2>
      {children}
    </section>
  );
}

function Verdict({ record, answer, system }: StageProps) {
  const { suspects, decided } = answer.answer;
  const { verdict } = answer.state;
  const [other, setOther] = useState<string>();
  const stored = verdict?.suspects;
  const shown = (stored ?? suspects).filter((each, index) => index < 3 && each.probability > 0.003);
  const first = shown[0];
  const chosen = other ?? first?.repair;

  const act = () => {
    if (!chosen) return;
    void record.append({
      kind: 'verdict',
      engine: engineVersion,
      parameters: parameterHash,
      repair: chosen,
      decided,
      suspects: suspects.slice(0, 6).map((each) => ({
        repair: each.repair,
        repairs: [...each.repairs],
        probability: each.probability,
        faults: each.faults.slice(0, 12).map((fault) => ({ ...fault })),
        why: each.why.map((reason) => ({ ...reason })),
      })),
    });
  };

  if (!first) return null;
  return (
    <>
      <p className="text-small text-ink-2">
        {verdict ? 'Acted on' : decided ? 'Enough to repair on' : 'Not yet enough to repair on'}
      </p>
      <p className="flex items-end justify-between gap-3">
        <span className="text-title leading-tight font-semibold">
          {repairOrder(verdict?.repair ?? first.repair)}
        </span>
        <span className="leading-none whitespace-nowrap">
          <span className="text-[52px] font-semibold">{percent(first.probability)}</span>
          <span className="text-title font-semibold"> %</span>
        </span>
      </p>
      {first.faults?.[0] && (
        <p>
          {suspectName(first.repair)}, {faultName(first.faults[0].id)}.
        </p>
      )}
      <h3 className="mt-3 font-semibold">Why</h3>
      <ul>
        {[...(first.why ?? [])]
          .filter((each) => each.decibans > 0.5)
          .sort((one, another) => another.decibans - one.decibans)
          .slice(0, 5)
          .map((each) => (
            <li key={each.entry} className="flex gap-3 border-b border-hair py-1">
              <span className="w-8 shrink-0 text-right font-semibold">
                +{Math.round(each.decibans)}
              </span>
              {evidenceWords(record.job, each.entry, system)}
            </li>
          ))}
      </ul>
      <p className="mt-1 text-small text-ink-2">Weight of evidence: +10 is ten times likelier.</p>
      {shown.length > 1 && (
        <>
          <h3 className="mt-3 font-semibold">What else it could be</h3>
          <ul>
            {shown.slice(1).map((each) => (
              <li key={each.repair} className="flex justify-between border-b border-hair py-1">
                {suspectName(each.repair)}{' '}
                <span className="font-semibold">{percent(each.probability)} %</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {!verdict && (
        <div className="mt-4 space-y-3">
          <label className="block text-small font-medium">
            Repair to do
            <select
              className="field mt-1"
              value={chosen}
              onChange={(event) => setOther(event.target.value)}
            >
              {suspects.map((each) => (
                <option key={each.repair} value={each.repair}>
                  {repairOrder(each.repair)} ({percent(each.probability)} %)
                </option>
              ))}
            </select>
          </label>
          <button
            type="button"
            className="button button-act min-h-14 w-full text-lead"
            onClick={act}
          >
            Act on this verdict
          </button>
          {!decided && (
            <Link href={`/jobs/${record.job.job.id}`} className="button w-full">
              Back to the checks: it is not sure yet
            </Link>
          )}
        </div>
      )}
    </>
  );
}

function RepairSteps({ record, answer, repair }: StageProps & { repair: RepairId }) {
  const { append } = record;
  const { state } = answer;
  const details: Repair = repairs[repair];
  const isDone = state.repairsDone.includes(repair);
  const needsDead = details.wires.length > 0;
  const isBlocked = needsDead && !state.provedDeadAt && !isDone;
  const stillLifted = state.lifted;
  const [problem, setProblem] = useState<string>();

  const finish = () => {
    if (stillLifted.length > 0) {
      setProblem(
        `Still lifted: ${stillLifted.map((each) => wireName(each.wire)).join(', ')}. Put every wire back first.`,
      );
      return;
    }
    setProblem(undefined);
    void append({ kind: 'action', action: 'replace', repair });
  };

  return (
    <>
      <p className="text-lead font-semibold">{details.order}</p>
      <ul className="my-2 space-y-1.5">
        {details.cautions.map((each) => (
          <li key={each} className="flex items-center gap-2.5 text-small">
            {/scald|water/i.test(each) ? (
              <HotSign />
            ) : /dead|live/i.test(each) ? (
              <ElectricitySign />
            ) : (
              <WarningSign />
            )}
            {each}
          </li>
        ))}
      </ul>
      {details.parts.length > 0 && (
        <>
          <h3 className="mt-3 font-semibold">Parts</h3>
          <ul>
            {details.parts.map((part) => (
              <li key={part} className="border-b border-hair py-1.5">
                <span className="block">{part}</span>
                <span className="flex flex-wrap gap-2 pt-1">
                  {(['needed', 'ordered', 'fitted'] as const).map((action) => (
                    <button
                      key={action}
                      type="button"
                      aria-pressed={state.parts.get(part) === action}
                      aria-label={`${part}: ${action}`}
                      className="button aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
                      onClick={() => void append({ kind: 'part', part, action, repair })}
                    >
                      {action}
                    </button>
                  ))}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {details.wires.length > 0 && (
        <WireList record={record} state={state} repair={details} isBlocked={isBlocked} />
      )}
      <h3 className="mt-3 font-semibold">Steps</h3>
      <ol className="list-decimal space-y-1 pl-5">
        {details.steps.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ol>
      {isBlocked && (
        <p className="mt-3 font-medium">Wires wait until power is off and proved dead.</p>
      )}
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      {isDone ? (
        <p className="mt-4 flex items-center gap-2 font-semibold">
          <Tick /> Done
        </p>
      ) : (
        <button
          type="button"
          className="button button-act mt-4 min-h-14 w-full text-lead"
          disabled={isBlocked}
          onClick={finish}
        >
          {repair === 'none-in-unit' ? 'Nothing to repair: go on' : 'Repair is done'}
        </button>
      )}
    </>
  );
}

/** Wires are noted before they are lifted, and ticked when they are back where they were. */
function WireList({
  record,
  state,
  repair,
  isBlocked,
}: {
  record: JobRecord;
  state: JobState;
  repair: Repair;
  isBlocked: boolean;
}) {
  const listed = [
    ...repair.wires,
    ...state.lifted.filter(
      (each) => !repair.wires.some((wire) => wire.wire === each.wire && wire.end === each.end),
    ),
  ];
  return (
    <>
      <h3 className="mt-3 font-semibold">Wires: note, lift, put back</h3>
      <ul>
        {listed.map((each) => (
          <WireRow
            key={`${each.wire} ${each.end}`}
            record={record}
            state={state}
            lifted={each}
            isBlocked={isBlocked}
          />
        ))}
      </ul>
    </>
  );
}

function WireRow({
  record,
  state,
  lifted,
  isBlocked,
}: {
  record: JobRecord;
  state: JobState;
  lifted: { readonly wire: string; readonly end: string };
  isBlocked: boolean;
}) {
  const noted = record.job.entries.findLast(
    (each) => each.kind === 'wire' && each.wire === lifted.wire,
  );
  const [colour, setColour] = useDraft(`${record.job.job.id} wire ${lifted.wire} ${lifted.end}`);
  const isLifted = state.lifted.some(
    (each) => each.wire === lifted.wire && each.end === lifted.end,
  );
  const shownColour = noted?.kind === 'wire' ? noted.colour : undefined;
  const lift = () => {
    void record.append(
      {
        kind: 'wire',
        wire: lifted.wire,
        from: lifted.end,
        ...(colour.trim() ? { colour: colour.trim() } : {}),
      },
      { kind: 'action', action: 'lift-wire', ...lifted },
    );
    setColour('');
  };
  return (
    <li className="flex flex-wrap items-center gap-2 border-b border-hair py-1.5">
      <span className="min-w-0 flex-1 leading-tight">
        {terminalName(lifted.end)}
        <span className="block text-small text-ink-2">
          {wireName(lifted.wire)}
          {shownColour && `, ${shownColour}`}
        </span>
      </span>
      {!isLifted && !shownColour && (
        <input
          className="field w-28"
          placeholder="colour"
          aria-label={`Colour of the ${wireName(lifted.wire)}`}
          value={colour}
          maxLength={60}
          onChange={(event) => setColour(event.target.value)}
        />
      )}
      <button
        type="button"
        className="button"
        disabled={isBlocked}
        aria-label={`${wireName(lifted.wire)} at ${terminalName(lifted.end)}: ${isLifted ? 'put back' : 'lift'}`}
        onClick={() =>
          isLifted
            ? void record.append({ kind: 'action', action: 'refit-wire', ...lifted })
            : lift()
        }
      >
        {isLifted ? 'Put back' : 'Lift'}
      </button>
    </li>
  );
}

function Proof({ record, system }: { record: JobRecord; system: UnitSystem }) {
  const { job } = record;
  const items = proofOf(job);
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
                <span className="link">{checkLabel(item.check)}</span>
                <ProofBand job={job} item={item} system={system} />
              </span>
              {item.entry && (
                <>
                  <span className="w-24 shrink-0">
                    <MiniRuler job={job} entry={item.entry} />
                  </span>
                  <span className="text-lead font-semibold text-act">
                    {entryResult(item.entry, system)}
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
  const { quantity } = checkNames[item.check];
  const walked =
    item.entry &&
    walkEntries(job.entries, catalogue).find((each) => each.entry.id === item.entry!.id);
  const good = walked && goodOf({ plate: plateOf(job) }, walked.entry, walked.before);
  if (!quantity || good?.kind !== 'range') return null;
  return (
    <span className="block text-small text-ink-2">
      good from {showValue(good.from, quantity, system).number} to{' '}
      {valueText(good.to, quantity, system)}
    </span>
  );
}

const dials = [
  { id: 'upper-dial', label: 'Upper dial' },
  { id: 'lower-dial', label: 'Lower dial' },
] as const;

function Settings({
  record,
  state,
  system,
}: {
  record: JobRecord;
  state: JobState;
  system: UnitSystem;
}) {
  return (
    <>
      <h3 className="mt-4 font-semibold">Settings, as found and as left</h3>
      <p className="text-small text-ink-2">
        Both equal, about {valueText(49, 'temperature', system)} to{' '}
        {valueText(52, 'temperature', system)}. Hotter scalds sooner; stored cooler than{' '}
        {valueText(60, 'temperature', system)}, bacteria can grow.
      </p>
      {dials.map(({ id, label }) => (
        <div
          key={id}
          className="grid grid-cols-[1fr_1fr_1fr] items-end gap-2 border-b border-hair py-1.5"
        >
          <span className="self-center">{label}</span>
          {(['found', 'left'] as const).map((as) => (
            <SettingField
              key={as}
              record={record}
              setting={id}
              as={as}
              label={label}
              value={state.settings.get(id)?.[as]}
              system={system}
            />
          ))}
        </div>
      ))}
    </>
  );
}

function SettingField({
  record,
  setting,
  as,
  label,
  value,
  system,
}: {
  record: JobRecord;
  setting: string;
  as: 'found' | 'left';
  label: string;
  value: unknown;
  system: UnitSystem;
}) {
  const [text, setText] = useDraft(`${record.job.job.id} ${setting} ${as}`);
  const [problem, setProblem] = useState<string>();
  const stored = (value as { celsius?: number } | undefined)?.celsius;
  const keep = () => {
    if (text.trim() === '') return;
    const parsed = parseReading(text, { quantity: 'temperature', system });
    if (parsed.kind !== 'value') {
      setProblem(parsed.kind === 'problem' ? parsed.message : 'Type one temperature.');
      return;
    }
    if (parsed.value < 10 || parsed.value > 95) {
      setProblem('A dial stands between 10 and 95 °C.');
      return;
    }
    setProblem(undefined);
    void record.append({ kind: 'setting', setting, as, value: { celsius: parsed.value } });
    setText('');
  };
  return (
    <label className="text-small">
      as {as}
      <input
        className="field text-lead font-semibold text-act placeholder:text-ink"
        inputMode="decimal"
        aria-label={`${label} as ${as}`}
        aria-invalid={problem !== undefined}
        placeholder={
          stored === undefined
            ? showValue(50, 'temperature', system).symbol
            : valueText(stored, 'temperature', system)
        }
        value={text}
        onChange={(event) => {
          setProblem(undefined);
          setText(event.target.value);
        }}
        onBlur={keep}
        onKeyDown={(event) => event.key === 'Enter' && keep()}
      />
      {problem && (
        <span role="alert" className="block font-medium">
          {problem}
        </span>
      )}
    </label>
  );
}

/** The proof that is still to come, with the times that this plate and tank need from cold. */
function nextProof(job: JobFile): string {
  const { changeoverMinutes, shutOffMinutes } = heatUp(plateOf(job), 15, 50);
  const hours = Math.round(shutOffMinutes / 15) / 4;
  return `See it change over, about ${Math.round(changeoverMinutes / 5) * 5} min from cold, and shut off, about ${hours} h: leave a logger, or call back.`;
}

/** Closed as repaired takes a proving reading that is right, or a stated reason why there is none. */
function Closing({ record, state }: { record: JobRecord; state: JobState }) {
  const { job, append } = record;
  const [reason, setReason] = useDraft(`${job.job.id} closing reason`);
  const [problem, setProblem] = useState<string>();
  const isClosed = state.status?.status.startsWith('closed') ?? false;
  const isRepaired = state.repairsDone.length > 0;
  const isProved = isRepaired && proofOf(job).some((each) => each.good);

  const close = (status: 'closed-repaired' | 'closed-not-repaired' | 'waiting-for-part') => {
    const needsReason = status !== 'closed-repaired' || !isProved;
    if (state.lifted.length > 0 && status !== 'waiting-for-part') {
      setProblem(
        `${state.lifted.length} wires are still lifted. Put them back, or note why, before closing.`,
      );
      return;
    }
    if (needsReason && reason.trim() === '') {
      setProblem(
        status === 'closed-repaired'
          ? 'No proving reading is right yet. Take one, or say here why the job is closed without it.'
          : 'Say why, in a few words: the next one to come reads it.',
      );
      return;
    }
    setProblem(undefined);
    void append({
      kind: 'status',
      status,
      ...(reason.trim() ? { reason: reason.trim() } : {}),
      ...(status === 'closed-repaired' ? { next: nextProof(job) } : {}),
    });
    setReason('');
  };

  if (isClosed) {
    return (
      <div className="mt-5 border-t-2 border-rule pt-3">
        <p className="flex items-center gap-2 text-lead font-semibold">
          <Tick />{' '}
          {state.status?.status === 'closed-repaired' ? 'Closed, repaired' : 'Closed, not repaired'}
        </p>
        {state.status?.reason && <p>{state.status.reason}</p>}
        <Link
          href={`/jobs/${job.job.id}/report`}
          className="button button-act mt-3 min-h-14 w-full text-lead"
        >
          To the report
        </Link>
      </div>
    );
  }
  return (
    <div className="mt-5 border-t-2 border-rule pt-3">
      <label className="block text-small font-medium">
        Reason, where there is no proof or no repair
        <input
          className="field mt-1"
          value={reason}
          maxLength={1000}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <div className="mt-3 grid gap-2">
        {isRepaired && (
          <button
            type="button"
            className="button button-act min-h-14 text-lead"
            onClick={() => close('closed-repaired')}
          >
            {isProved ? 'Close: repaired and proved' : 'Close as repaired'}
          </button>
        )}
        <div className="grid grid-cols-2 gap-2">
          <button type="button" className="button" onClick={() => close('waiting-for-part')}>
            Waiting for a part
          </button>
          <button type="button" className="button" onClick={() => close('closed-not-repaired')}>
            Close, not repaired
          </button>
        </div>
      </div>
    </div>
  );
}
