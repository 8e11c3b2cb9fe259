'use client';

import { useState } from 'react';
import type { BalancingAdvice, BalancingSession } from '@/core/balancing';
import { clockWords } from '@/core/procedures';
import type { UnitSystem } from '@/core/quantities';
import { endedWords } from '@/features/record/balancing-words';
import { kelvinWords } from '@/features/record/kelvin-words';
import { clearedOf } from '@/features/record/draft-keeper';
import { notEntered } from '@/features/record/not-entered';
import type { JobRecord } from '@/features/record/use-job-record';
import { useDraft } from '@/features/record/use-draft';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import { NumberField, typedNumber } from '@/features/record/number-field';
import type { BalancingStage } from './stage';

const water = [0, 110] as const;

/** What comes next, large, with what it needs; the rest of the page is where it is done. */
export function NextStep({
  record,
  session,
  advice,
  stage,
  now,
  bandKelvin,
  system,
}: {
  record: JobRecord;
  session: BalancingSession;
  advice: BalancingAdvice | undefined;
  stage: BalancingStage;
  now: number;
  bandKelvin: number;
  system: UnitSystem;
}) {
  const rooms = (places: readonly number[]) =>
    places.map((k) => session.radiators[k]!.room).join('; ');
  return (
    <section aria-labelledby="next" className="border-l-4 border-act bg-act-wash p-3">
      <h3 id="next" className="text-title font-semibold" aria-live="polite">
        {titleOf(stage)}
      </h3>
      {stage.kind === 'list' && (
        <p>Every radiator of the circuit in the order in which you walk, the nearest first.</p>
      )}
      {stage.kind === 'open' && <Open record={record} />}
      {stage.kind === 'warm' && (
        <p>
          <strong>{clockWords((stage.until - now) / 1000)}</strong> to go. Metal is hot: children
          and the frail are told. Ten minutes, fifteen in a larger house.
        </p>
      )}
      {stage.kind === 'boiler' && <AtBoiler record={record} session={session} system={system} />}
      {stage.kind === 'read' && (
        <p>
          Top centre and bottom centre, always in the same order: {rooms(stage.left)}. Paint, square
          on, a hand’s breadth away; not chrome, not the valve, not through a towel.
        </p>
      )}
      {stage.kind === 'wait' && <p role="status">Working it out.</p>}
      {stage.kind === 'set' && (
        <p>
          {rooms(stage.left)}. Shut the lockshield gently, then open it so far, counting from shut.
          Never force a spindle; look at pins and glands twice, they may weep.
        </p>
      )}
      {stage.kind === 'settle' && (
        <p>
          <strong>{clockWords((stage.until - now) / 1000)}</strong> to go, then the boiler and
          everything again.
        </p>
      )}
      {stage.kind === 'stop' && (
        <End
          record={record}
          why={stage.why}
          words={
            stage.why === 'even'
              ? `They lie ${kelvinWords(advice?.apartKelvin ?? 0, system)} apart, as fitted: well within ${kelvinWords(bandKelvin, system)}.`
              : `They lie ${kelvinWords(advice?.apartKelvin ?? 0, system)} apart, as fitted, and no valve brings them closer.`
          }
          found={session.found}
        />
      )}
      {stage.kind === 'ended' && (
        <p>
          {endedWords[session.ended!.why]}.{' '}
          {session.isRestored
            ? 'Heads, thermostat and boiler are as they were found.'
            : 'Heads, thermostat and boiler are still to be set back.'}{' '}
          Turns stand on the report. A valve that is set, or a reading, takes it up again.
        </p>
      )}
      {stage.kind !== 'stop' && stage.kind !== 'ended' && session.rounds.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-11 content-center text-small underline underline-offset-4">
            End here, or something else was changed
          </summary>
          <End record={record} why="stopped" found={session.found} />
          <button
            type="button"
            className="button mt-2"
            onClick={() => void record.append({ kind: 'balancing', phase: 'changed' })}
          >
            Pump speed or a radiator changed: what was read is void
          </button>
        </details>
      )}
    </section>
  );
}

function titleOf(stage: BalancingStage): string {
  switch (stage.kind) {
    case 'list':
      return 'List the radiators';
    case 'open':
      return 'Open everything, and heat';
    case 'warm':
      return 'Warming up';
    case 'boiler':
      return 'Flow and return at the boiler';
    case 'read':
      return stage.left.length === 1 ? 'Read one radiator' : `Read ${stage.left.length} radiators`;
    case 'wait':
      return 'A moment';
    case 'set':
      return stage.left.length === 1
        ? 'Set one lockshield'
        : `Set ${stage.left.length} lockshields`;
    case 'settle':
      return 'Settling';
    case 'stop':
      return stage.why === 'even' ? 'Even' : 'As even as it gets';
    case 'ended':
      return 'Balancing ended';
  }
}

function Open({ record }: { record: JobRecord }) {
  const [found, setFound] = useDraft(`${record.job.job.id} balancing found`);
  const start = async () => {
    const isKept = await record.append({
      kind: 'balancing',
      phase: 'warming',
      ...(found.trim() ? { found: found.trim() } : {}),
    });
    if (isKept) setFound('');
  };
  return (
    <>
      <ol className="ml-5 list-decimal">
        <li>Thermostatic heads off or at their most; every valve and lockshield fully open.</li>
        <li>
          Room thermostat and boiler flow at their most, hot water not called. Write down how they
          stood: they go back at the end.
        </li>
        <li>
          Floor circuits shut or behind a limit of their own. A heat pump stays on its own flow.
          Radiators burn at 75 °C: children and the frail are told.
        </li>
      </ol>
      <label className="mt-2 block text-small">
        as found
        <input
          className="field"
          maxLength={400}
          aria-label="As found before it was turned up"
          placeholder="flow 60, thermostat 19, heads at 3"
          value={found}
          onChange={(event) => setFound(event.target.value)}
        />
      </label>
      <button type="button" className="button button-act mt-2" onClick={() => void start()}>
        All open, it heats: start the clock
      </button>
    </>
  );
}

function AtBoiler({
  record,
  session,
  system,
}: {
  record: JobRecord;
  session: BalancingSession;
  system: UnitSystem;
}) {
  const jobId = record.job.job.id;
  const flow = useReadingDraft(`${jobId} balancing flow`);
  const back = useReadingDraft(`${jobId} balancing return`);
  const [problem, setProblem] = useState<string>();
  const enter = async () => {
    const warm = typedNumber(flow[0], 'temperature', system, water);
    const cool = typedNumber(back[0], 'temperature', system, water);
    if (warm.kind !== 'number') return setProblem('The flow is needed: its display, or a probe.');
    if (cool.kind === 'problem') return setProblem('The return cannot be that.');
    if (cool.kind === 'number' && cool.value >= warm.value) {
      return setProblem('The return is not warmer than the flow: are they exchanged?');
    }
    const isKept = await record.append({
      kind: 'balancing',
      phase: 'boiler',
      flow: { celsius: warm.value },
      ...(cool.kind === 'number' ? { return: { celsius: cool.value } } : {}),
    });
    setProblem(isKept ? undefined : notEntered);
    if (!isKept) return;
    flow[1](clearedOf(flow[0]));
    back[1](clearedOf(back[0]));
  };
  const last = session.rounds.at(-1);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void enter();
      }}
    >
      <p>By its display or a contact probe, before the radiators are read.</p>
      <div className="mt-1 flex gap-2">
        <NumberField
          label="flow"
          name="Flow at the boiler"
          draft={flow}
          quantity="temperature"
          system={system}
          range={water}
          last={last?.flowCelsius}
          onLeave={() => undefined}
        />
        <NumberField
          label="return, where it can be had"
          name="Return at the boiler"
          draft={back}
          quantity="temperature"
          system={system}
          range={water}
          last={last?.returnCelsius}
          onLeave={() => undefined}
        />
      </div>
      {problem && (
        <p role="alert" className="font-medium">
          {problem}
        </p>
      )}
      <button type="submit" className="button button-act mt-2">
        Enter
      </button>
    </form>
  );
}

function End({
  record,
  why,
  words,
  found,
}: {
  record: JobRecord;
  why: 'even' | 'nothing-gains' | 'stopped';
  words?: string;
  found: string | undefined;
}) {
  const [isRestored, setRestored] = useState(false);
  return (
    <>
      {words && <p>{words}</p>}
      <label className="mt-1 flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-6 shrink-0"
          checked={isRestored}
          onChange={(event) => setRestored(event.target.checked)}
        />
        <span>
          Flow, thermostat and heads are back as found{found ? ` (${found})` : ''}, caps on
        </span>
      </label>
      <button
        type="button"
        className="button mt-2"
        onClick={() =>
          void record.append({ kind: 'balancing', phase: 'ended', ended: why, isRestored })
        }
      >
        End the balancing
      </button>
    </>
  );
}
