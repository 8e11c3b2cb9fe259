'use client';

import { useState } from 'react';
import type { Diagnosis } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { useWords } from '@/features/record/family-context';
import { JointFindingsOfJob } from '@/features/record/joint-findings';
import { percent } from '@/features/record/words';
import { Tick, Unequal } from '@/ui/marks';
import { patternFill, patternOf } from '@/ui/patterns';
import { WeighedReasons } from './weighed-reasons';

export interface SuspectsPanelProps {
  readonly job: JobFile;
  readonly answer: Diagnosis;
  /** What each would be if the entry at hand were made. */
  readonly after?: Readonly<Record<string, number>>;
  readonly enteringText?: string;
  readonly system: UnitSystem;
}

/** Suspects with their chances and reasons; the whole row opens its reasons. */
export function SuspectsPanel({ job, answer, after, enteringText, system }: SuspectsPanelProps) {
  const words = useWords();
  const [opened, setOpened] = useState<string | undefined>();
  const shown = answer.suspects
    .filter((each, index) => index < 2 || each.probability >= 0.01)
    .slice(0, 6);
  const first = opened ?? shown[0]?.repair;
  return (
    <section aria-labelledby="suspects-title" className="flex min-h-0 flex-col px-4 pt-2.5">
      <div className="mb-1 flex items-baseline justify-between border-b border-hair pb-1">
        <h2 id="suspects-title" className="text-lead font-semibold">
          Suspects
        </h2>
        {after && enteringText && (
          <span className="text-small font-medium text-act">if you enter {enteringText}</span>
        )}
      </div>
      <ol
        className="min-h-0 flex-1 overflow-y-auto"
        tabIndex={0}
        aria-label="Suspects, most likely first"
      >
        {shown.map((suspect, index) => {
          const isOpen = first === suspect.repair;
          const fault = suspect.faults[0];
          const then = after?.[suspect.repair];
          return (
            <li key={suspect.repair} className="border-b border-hair last:border-b-0">
              <button
                type="button"
                aria-expanded={isOpen}
                className="block min-h-11 w-full py-1.5 text-left"
                onClick={() => setOpened(isOpen ? '' : suspect.repair)}
              >
                <span className="flex items-end justify-between gap-2">
                  <span className="min-w-0 leading-tight">
                    <span
                      className={`block font-semibold ${index === 0 ? 'text-[19px]' : 'text-lead'}`}
                    >
                      {words.suspect(suspect.repair)}
                    </span>
                    {fault && (
                      <span className="block text-small text-ink-2">{words.fault(fault.id)}</span>
                    )}
                  </span>
                  <span className="shrink-0 text-right leading-none">
                    <span className={`font-semibold ${index === 0 ? 'text-[44px]' : 'text-value'}`}>
                      {percent(suspect.probability)}
                    </span>
                    <span className="ml-1 text-lead font-semibold">%</span>
                    {then !== undefined && (
                      <span className="block pt-1 text-small font-medium text-act">
                        then {percent(then)} %
                      </span>
                    )}
                  </span>
                </span>
                <SuspectBar
                  rank={index}
                  probability={suspect.probability}
                  then={then}
                  isSolid={answer.decided && index === 0}
                />
              </button>
              {isOpen && <WeighedReasons job={job} why={suspect.why} system={system} most={4} />}
            </li>
          );
        })}
      </ol>
      <div className="text-small">
        <JointFindingsOfJob job={job} system={system} />
      </div>
      <p className="flex items-center gap-2 border-t border-rule py-2 text-small">
        {answer.warnings.length === 0 ? (
          <>
            <Tick /> All readings fit one unit
          </>
        ) : (
          <>
            <Unequal /> <span className="font-medium">{answer.warnings[0]!.text}</span>
          </>
        )}
      </p>
    </section>
  );
}

function SuspectBar({
  rank,
  probability,
  then,
  isSolid,
}: {
  rank: number;
  probability: number;
  then: number | undefined;
  isSolid: boolean;
}) {
  return (
    <svg viewBox="0 0 300 30" className="mt-0.5 block w-full" aria-hidden="true">
      <rect x="1" y="9" width="298" height="11" fill="var(--well)" />
      <rect
        x="1"
        y="9"
        width={Math.max(0, 298 * probability)}
        height="11"
        fill={patternFill(isSolid ? 'solid' : patternOf(rank))}
        stroke="var(--ink)"
      />
      <path
        d={`M1 20.5H299${Array.from({ length: 11 }, (_, k) => `M${1 + k * 29.8} 20v${k % 5 === 0 ? 8 : 5}`).join('')}`}
        stroke="var(--ink)"
        strokeWidth="1.2"
        fill="none"
      />
      {then !== undefined && (
        <path
          d={`M${1 + 298 * then - 6} 0h12l-6 9zM${1 + 298 * then} 8V21`}
          fill="var(--act)"
          stroke="var(--act)"
          strokeWidth="1.6"
        />
      )}
    </svg>
  );
}
