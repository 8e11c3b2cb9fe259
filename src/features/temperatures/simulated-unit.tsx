'use client';

import { useCallback, useEffect, useState } from 'react';
import type { JobFile } from '@/core/job-file';
import { useFamily, useWords } from '@/features/record/family-context';
import type { LogHands } from './use-log';

interface Standing {
  readonly family: string;
  readonly second: number;
  readonly speed: number;
  readonly isPowered: boolean;
  readonly litrePerMinute: number;
  readonly repairsNeeded: readonly string[];
}

/** A tank takes hours, a tap two minutes. */
const speeds = { tank: [1, 60, 240], tap: [1, 4, 30] } as const;
const tapLitrePerMinute = 8;

/** Hands on the simulated unit of the demo: what they do to it stands in the log as well. */
export function SimulatedUnit({ log, job }: { log: LogHands; job: JobFile }) {
  const family = useFamily();
  const words = useWords();
  const [standing, setStanding] = useState<Standing>();
  const [said, setSaid] = useState<string>();
  const order = useCallback(async (what: object | undefined) => {
    try {
      const response = await fetch(
        '/api/simulated-unit',
        what === undefined
          ? { cache: 'no-store' }
          : {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: JSON.stringify(what),
            },
      );
      const answer = (await response.json()) as Standing & { message?: string; felt?: string };
      if (!response.ok) return setSaid(answer.message);
      setStanding(answer);
      setSaid(answer.felt);
    } catch {
      setSaid('The server does not answer.');
    }
  }, []);
  useEffect(() => {
    // The unit goes on by itself: how it stands is asked for now and then.
    const first = setTimeout(() => void order(undefined), 0);
    const timer = setInterval(() => void order(undefined), 5000);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [order]);
  if (!standing) return null;
  const isDrawn = standing.litrePerMinute > 0;
  const act = (action: object) => order({ do: 'act', action });
  const repairs = Object.keys(family.repairs).filter((each) => !/none|look|call/.test(each));
  return (
    <section aria-labelledby="simulated" className="border-2 border-dashed border-edge p-3">
      <h3 id="simulated" className="font-semibold">
        Simulated unit
      </h3>
      <p className="text-small text-ink-2">
        Nothing real: an invented heater with a hidden fault, for the instruments above to read.
        {standing.family !== family.id && ' It is of another family than this job.'}
      </p>
      {standing.family !== family.id && (
        <button
          type="button"
          className="button mt-2 w-full"
          onClick={() =>
            void order({ do: 'another', family: family.id, plate: family.plateOf(job) })
          }
        >
          Put one of this job&apos;s kind there
        </button>
      )}
      <div className="mt-2 grid grid-cols-2 gap-2">
        <button
          type="button"
          className="button"
          onClick={() => {
            const litrePerMinute = isDrawn ? 0 : tapLitrePerMinute;
            void act({ kind: 'tap', litrePerMinute }).then(() => log.tap(litrePerMinute));
          }}
        >
          {isDrawn ? 'Shut its tap' : 'Open its tap'}
        </button>
        <button
          type="button"
          className="button"
          onClick={() => void act({ kind: 'breaker', isOn: !standing.isPowered })}
        >
          {standing.isPowered ? 'Switch it off' : 'Switch it on'}
        </button>
        <button type="button" className="button" onClick={() => void act({ kind: 'press-reset' })}>
          Press its reset
        </button>
        <label className="sr-only" htmlFor="simulated-repair">
          Repair it
        </label>
        <select
          id="simulated-repair"
          className="field"
          value=""
          onChange={(event) => void act({ kind: 'repair', repair: event.target.value })}
        >
          <option value="">Repair it…</option>
          {repairs.map((each) => (
            <option key={each} value={each}>
              {words.order(each)}
            </option>
          ))}
        </select>
      </div>
      <div className="mt-2 flex items-center gap-2" role="group" aria-label="Its time goes">
        <span className="text-small">Time ×</span>
        {speeds[family.tap ? 'tap' : 'tank'].map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={standing.speed === each}
            className="button flex-1 aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
            onClick={() => void order({ do: 'speed', times: each })}
          >
            {each}
          </button>
        ))}
      </div>
      <p className="min-h-5 text-small" role="status">
        {said ?? ''}
      </p>
    </section>
  );
}
