'use client';

import Link from 'next/link';
import { useState } from 'react';
import { engineVersion, parameterHash } from '@/core/job-diagnosis';
import {
  evidenceWords,
  faultName,
  percent,
  repairOrder,
  suspectName,
} from '@/features/record/words';
import type { StageProps } from './stage-props';

/** The verdict with its reasons, and the decision to act on it: stored with what it was worked out by. */
export function VerdictSection({ record, answer, system }: StageProps) {
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
