'use client';

import { useEffect, useState } from 'react';
import { clockWords } from '@/core/procedures';
import { parseReading, valueText, type UnitSystem } from '@/core/quantities';
import { flowByClock, gasRateByClock, type ByClock } from '@/core/thermal';
import type { JobState } from '@/core/job-file';
import { withState } from '@/features/bench/new-entries';
import { refusalOf } from '@/features/bench/refusal';
import { useFamily } from '@/features/record/family-context';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';

type Tool = 'flow' | 'gas';

/** What one turn of a meter's test dial lets through, as it is printed on it. */
const dials = {
  metric: [
    { label: '0.01 m³', cubicMetre: 0.01 },
    { label: '0.1 m³', cubicMetre: 0.1 },
  ],
  us: [
    { label: '½ ft³', cubicMetre: 0.5 * 0.028316846592 },
    { label: '1 ft³', cubicMetre: 0.028316846592 },
    { label: '2 ft³', cubicMetre: 2 * 0.028316846592 },
  ],
} as const;

const usualContainer = { metric: '5', us: '1' } as const;

/** Measures with the phone's clock: it times, works it out, and writes it down. */
export function ClockTools({
  record,
  state,
  system,
}: {
  record: JobRecord;
  state: JobState;
  system: UnitSystem;
}) {
  const family = useFamily();
  const [tool, setTool] = useState<Tool>();
  const hasGas = family.isCheckId('gas-rate');
  return (
    <section aria-labelledby="by-clock">
      <h3 id="by-clock" className="text-title font-semibold">
        By the clock
      </h3>
      <div className="mt-1 flex gap-2">
        <button
          type="button"
          className="button flex-1"
          aria-expanded={tool === 'flow'}
          onClick={() => setTool(tool === 'flow' ? undefined : 'flow')}
        >
          Flow: bucket
        </button>
        {hasGas && (
          <button
            type="button"
            className="button flex-1"
            aria-expanded={tool === 'gas'}
            onClick={() => setTool(tool === 'gas' ? undefined : 'gas')}
          >
            Gas rate: dial
          </button>
        )}
      </div>
      {tool === 'flow' && <Flow record={record} system={system} />}
      {tool === 'gas' && <Gas record={record} state={state} system={system} />}
    </section>
  );
}

function Flow({ record, system }: { record: JobRecord; system: UnitSystem }) {
  const [text, setText] = useState<string>(usualContainer[system]);
  const watch = useStopwatch();
  const parsed = parseReading(text, { quantity: 'volume', system });
  const litre = parsed.kind === 'value' && parsed.value > 0 ? parsed.value : undefined;
  const found =
    litre !== undefined && watch.seconds > 1 && !watch.isRunning
      ? flowByClock(litre, watch.seconds)
      : undefined;
  return (
    <div className="mt-2 border border-edge p-3">
      <label className="block font-medium">
        Container, {system === 'us' ? 'gal' : 'L'}
        <input
          className="field mt-1"
          inputMode="decimal"
          maxLength={12}
          value={text}
          aria-invalid={litre === undefined}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <Stopwatch watch={watch} begin="Tap open: start" end="Full: stop" />
      {found && (
        <Result
          words={`${valueText(found.value, 'flow', system)}, give or take ${valueText(found.spread, 'flow', system)}`}
          onEnter={() =>
            record.append({
              kind: 'reading',
              point: 'hot-tap',
              quantity: 'flow',
              value: { litrePerMinute: round(found.value) },
              spread: { litrePerMinute: round(found.spread) },
              byClock: {
                elapsed: { second: round(watch.seconds) },
                volume: { litre: litre! },
              },
            } as NewEntry)
          }
          onDone={watch.reset}
        />
      )}
    </div>
  );
}

function Gas({
  record,
  state,
  system,
}: {
  record: JobRecord;
  state: JobState;
  system: UnitSystem;
}) {
  const choices = dials[system];
  const [dial, setDial] = useState(0);
  const [turns, setTurns] = useState(1);
  const watch = useStopwatch();
  const found: ByClock | undefined =
    watch.seconds > 2 && !watch.isRunning
      ? gasRateByClock(choices[dial]!.cubicMetre, turns, watch.seconds)
      : undefined;
  const family = useFamily();
  // It is the bench's check, with its rules: who may, and what is looked at before.
  const refusal = refusalOf(family, record.job, 'gas-rate', family.accessSteps('gas-rate', state));
  const kilowatt = (value: number) => ((value * 39.5) / 3.6).toFixed(1);
  const plated = family
    .plateFacts(family.plateOf(record.job))
    .flatMap(({ values }) => values)
    .find(({ quantity }) => quantity === 'volume-flow')?.value;
  const ofPlate = (value: number) =>
    plated === undefined
      ? ''
      : `; the plate says ${valueText(plated, 'volume-flow', system)}, so it is ${Math.round((value / plated) * 100)} % of it`;
  return (
    <div className="mt-2 border border-edge p-3">
      <p className="text-small">
        Every other gas appliance off, this burner at full. Watch the test dial pass its mark.
      </p>
      <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label="One turn of the dial">
        {choices.map((each, k) => (
          <button
            key={each.label}
            type="button"
            aria-pressed={dial === k}
            className="button flex-1 aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
            onClick={() => setDial(k)}
          >
            {each.label}
          </button>
        ))}
      </div>
      <label className="mt-2 block font-medium">
        Turns
        <select
          className="field mt-1"
          value={turns}
          onChange={(event) => setTurns(Number(event.target.value))}
        >
          {[1, 2, 3, 5].map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      </label>
      {refusal === undefined ? (
        <Stopwatch watch={watch} begin="At the mark: start" end="At the mark again: stop" />
      ) : (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {refusal}
        </p>
      )}
      {found && refusal === undefined && (
        <Result
          words={`${valueText(found.value, 'volume-flow', system)}, give or take ${valueText(found.spread, 'volume-flow', system)}; of natural gas about ${kilowatt(found.value)} kW gross${ofPlate(found.value)}`}
          onEnter={() =>
            record.append(
              withState(
                family,
                {
                  kind: 'reading',
                  check: 'gas-rate',
                  value: { cubicMetrePerHour: round(found.value, 1000) },
                  spread: { cubicMetrePerHour: round(found.spread, 10_000) },
                  byClock: { elapsed: { second: round(watch.seconds) }, turns },
                } as NewEntry,
                'gas-rate',
                state.lifted,
              ),
            )
          }
          onDone={watch.reset}
        />
      )}
    </div>
  );
}

const round = (value: number, to = 100): number => Math.max(1 / to, Math.round(value * to) / to);

interface Watch {
  readonly seconds: number;
  readonly isRunning: boolean;
  press(): void;
  reset(): void;
}

function useStopwatch(): Watch {
  const [from, setFrom] = useState<number>();
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (from === undefined) return;
    const timer = setInterval(() => setSeconds((performance.now() - from) / 1000), 100);
    return () => clearInterval(timer);
  }, [from]);
  return {
    seconds,
    isRunning: from !== undefined,
    press() {
      if (from === undefined) {
        setSeconds(0);
        setFrom(performance.now());
      } else {
        setSeconds((performance.now() - from) / 1000);
        setFrom(undefined);
      }
    },
    reset() {
      setFrom(undefined);
      setSeconds(0);
    },
  };
}

function Stopwatch({ watch, begin, end }: { watch: Watch; begin: string; end: string }) {
  return (
    <div className="mt-2 flex items-center gap-3">
      <span className="min-w-24 text-value font-semibold" role="timer">
        {watch.seconds < 60 ? `${watch.seconds.toFixed(1)} s` : clockWords(watch.seconds)}
      </span>
      <button type="button" className="button button-act flex-1" onClick={watch.press}>
        {watch.isRunning ? end : begin}
      </button>
    </div>
  );
}

function Result({
  words,
  onEnter,
  onDone,
}: {
  words: string;
  onEnter(): Promise<boolean>;
  onDone(): void;
}) {
  return (
    <div className="mt-2">
      <p role="status">{words}</p>
      <button
        type="button"
        className="button mt-1 w-full"
        onClick={() => void onEnter().then((isKept) => isKept && onDone())}
      >
        Into the logbook
      </button>
    </div>
  );
}
