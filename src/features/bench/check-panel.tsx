'use client';

import type { ReactNode } from 'react';
import {
  checkWords,
  type AccessStep,
  type CheckId,
} from '@/core/appliances/electric-storage-two-element';
import { coverName, terminalName, wireName } from '@/features/record/words';
import { StepBox } from '@/ui/marks';
import { ElectricitySign, HotSign, NoResetSign, WarningSign } from '@/ui/signs';

export interface CheckPanelProps {
  readonly check: CheckId;
  readonly isProposed: boolean;
  readonly isRepeat: boolean;
  readonly minutes: number;
  readonly why?: string;
  readonly steps: readonly AccessStep[];
  onStep(step: AccessStep): void;
  readonly crop?: ReactNode;
}

/** The check at hand: what to do, what it still needs, its caution, and why it comes now. */
export function CheckPanel(props: CheckPanelProps) {
  const { check, isProposed, isRepeat, minutes, why, steps, onStep, crop } = props;
  const words = checkWords[check];
  return (
    <div className="px-4 pt-2.5 pb-2" data-check={check}>
      <div className="flex justify-between text-small text-ink-2">
        <span>{isRepeat ? 'Take again' : isProposed ? 'Next check' : 'Check chosen by you'}</span>
        <span>about {minutesText(minutes)}</span>
      </div>
      <div className="flex gap-3">
        <div className="min-w-0 flex-1">
          <h2 className="text-[22px] leading-tight font-semibold text-balance lg:text-title">
            {words.label}
          </h2>
          <ul className="mt-1.5 space-y-0.5">
            {steps.map((step) => (
              <li key={stepWords(step)}>
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-2.5 text-left lg:min-h-8"
                  onClick={() => onStep(step)}
                >
                  <StepBox done={false} />
                  <span className="link decoration-act">{stepWords(step)}</span>
                </button>
              </li>
            ))}
            <li className="flex items-start gap-2.5 py-1">
              <StepBox done={false} />
              <span>{words.doThis}</span>
            </li>
          </ul>
        </div>
        {crop}
      </div>
      <Caution check={check} />
      {why && (
        <p className="mt-1 hidden text-small text-ink-2 lg:block">
          <span className="font-semibold text-ink">Why this one.</span> {why}
        </p>
      )}
    </div>
  );
}

export const minutesText = (minutes: number): string => {
  const halves = Math.round(minutes * 2) / 2;
  const whole = Math.floor(halves);
  const half = halves > whole ? '½' : '';
  return halves < 1 ? '½ min' : `${whole}${half} min`;
};

export function stepWords(step: AccessStep): string {
  switch (step.kind) {
    case 'power-off-and-prove':
      return 'Power off and prove dead';
    case 'power-on':
      return 'Power on, tank full, hands clear';
    case 'open-cover':
      return step.cover === 'junction-box'
        ? 'Open the junction box'
        : `Take the ${coverName(step.cover)} off`;
    case 'lift-wire':
      return `Lift the ${wireName(step.lifted.wire)} off ${terminalName(step.lifted.end)}`;
    case 'refit-wire':
      return `Put the ${wireName(step.lifted.wire)} back on ${terminalName(step.lifted.end)}`;
  }
}

function Caution({ check }: { check: CheckId }) {
  const { caution } = checkWords[check];
  if (caution === 'live') {
    return (
      <Sign sign={<ElectricitySign />}>
        Live work: rated meter and leads, one hand.{' '}
        <span className="hidden lg:inline">One conductor at a time. </span>Local codes and your
        licence decide.
      </Sign>
    );
  }
  if (caution === 'hot-water')
    return <Sign sign={<HotSign />}>The water may scald. Test before you touch.</Sign>;
  if (caution === 'press-once')
    return <Sign sign={<NoResetSign />}>Once only. If it trips again it stays off.</Sign>;
  if (caution === 'reclose') {
    return (
      <Sign sign={<WarningSign />}>
        Not if it is wet, scorched, or the tank may be empty. If it goes again, leave it off.
      </Sign>
    );
  }
  return null;
}

function Sign({ sign, children }: { sign: ReactNode; children: ReactNode }) {
  return (
    <p className="mt-1.5 flex items-center gap-2.5 text-small leading-tight">
      {sign}
      <span>{children}</span>
    </p>
  );
}
