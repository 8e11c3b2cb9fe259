'use client';

import { Link } from '@/ui/link';
import { useState, type ReactNode } from 'react';
import type { AccessStep } from '@/core/appliances';
import type { BenchAnswer, Diagnosis, SelectedCheck } from '@/core/job-diagnosis';
import type { UnitSystem } from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import { percent } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { StepBox } from '@/ui/marks';
import { ElectricitySign, HotSign, NoResetSign, WarningSign } from '@/ui/signs';
import { workingWords } from './bench-states';
import { minutesText, stepWords } from './step-words';
import { savedMinutes, WhyThis } from './why-this';

export interface CheckPanelProps {
  readonly jobId: string;
  readonly check: string;
  readonly isProposed: boolean;
  /** What is done here is on its way: the check that stands here is not the next one any more, or not yet. */
  readonly isWorking: boolean;
  readonly answer: BenchAnswer;
  readonly system: UnitSystem;
  /** Steps that are entered, and that the answer does not know of yet. */
  readonly taken: readonly AccessStep[];
  onStep(step: AccessStep): void;
  onChoose(check: string): void;
  onLimits(): void;
  /** The part is taken without being read on itself. */
  onTrust(): void;
  readonly crop?: ReactNode;
}

/** The check at hand: what to do, what it still needs, its caution, and why it comes now. */
export function CheckPanel(props: CheckPanelProps) {
  const { jobId, check, isProposed, isWorking, answer, taken, onStep, onTrust, crop } = props;
  const [isAsking, setAsking] = useState(false);
  const words = useWords();
  const family = useFamily();
  const { label, doThis, caution } = family.checks[check]!;
  const procedures = family.procedures.filter((each) => each.checks?.includes(check));
  const { next } = answer.answer;
  const isRepeat = check === next?.check && next.repeat;
  const { steps, minutes, dangers } = answer.selected!;
  // On a phone the picture folds first: a caution and the steps need the room.
  const isRoomy = steps.length < 2 && caution === undefined && told(dangers).length === 0;
  const confirms = check === next?.check ? next.confirms : undefined;
  return (
    <div className="px-4 pt-2.5 pb-2" data-check={check}>
      <div className="flex justify-between text-small text-ink-2">
        <span>
          {isWorking
            ? workingWords
            : confirms !== undefined
              ? 'Before it is fitted'
              : isRepeat
                ? 'Take again'
                : isProposed
                  ? 'Next check'
                  : 'Check chosen by you'}
        </span>
        <span>about {minutesText(minutes)}</span>
      </div>
      <div className="flex gap-3">
        <div className="min-w-0 flex-1">
          <h2 className="text-[22px] leading-tight font-semibold text-balance lg:text-title">
            {label}
          </h2>
          <ul className="mt-1.5 space-y-0.5">
            {steps.map((step) => (
              <li key={stepWords(words, step)}>
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-2.5 text-left lg:min-h-8"
                  aria-disabled={taken.includes(step)}
                  onClick={() => onStep(step)}
                >
                  <StepBox done={taken.includes(step)} />
                  <span className={taken.includes(step) ? 'text-ink-2' : 'link decoration-act'}>
                    {stepWords(words, step)}
                  </span>
                </button>
              </li>
            ))}
            <li className="flex items-start gap-2.5 py-1">
              <StepBox done={false} />
              <span>{doThis}</span>
            </li>
          </ul>
        </div>
        {isRoomy && crop}
      </div>
      {procedures.length > 0 && (
        <p className="text-small">
          Step by step, with its clock:{' '}
          <Link
            href={`/jobs/${jobId}/procedures?check=${check}`}
            className="link inline-flex min-h-11 items-center lg:min-h-8"
          >
            {procedures.map((each) => each.title).join(', ')}
          </Link>
        </p>
      )}
      <Caution check={check} />
      <Dangers dangers={dangers} />
      {confirms !== undefined && (
        <p className="mt-1.5 border-l-4 border-act pl-3 text-small">
          {words.suspect(confirms)} was found by what other parts read.{' '}
          <button type="button" className="link min-h-11" onClick={onTrust}>
            Take it without reading it
          </button>
        </p>
      )}
      <button
        type="button"
        className="mt-1 flex min-h-11 w-full items-center justify-between gap-3 text-left text-small text-ink-2 lg:min-h-8"
        onClick={() => setAsking(true)}
      >
        <span className="line-clamp-2">{whyLine(answer.answer, check)}</span>
        <span className="link shrink-0">Why this one</span>
      </button>
      <Dialog title={label} isOpen={isAsking} onClose={() => setAsking(false)}>
        <WhyThis
          check={check}
          answer={answer}
          system={props.system}
          onChoose={(other) => {
            setAsking(false);
            props.onChoose(other);
          }}
          onLimits={() => {
            setAsking(false);
            props.onLimits();
          }}
        />
      </Dialog>
    </div>
  );
}

/** The shortest word on why: what it saves, or how it splits the field. */
function whyLine(answer: Diagnosis, check: string): string {
  const { next } = answer;
  if (next?.check !== check) return 'Chosen by you: any check counts, at any time.';
  if (next.repeat || next.opensTheWay) return next.why;
  const saved = savedMinutes(answer);
  const toVerdict = next.toVerdict && `${Math.round(next.toVerdict.minutes)} min to a verdict`;
  if (!toVerdict) return next.why;
  return saved === undefined
    ? `About ${toVerdict}.`
    : `About ${toVerdict}, ${saved} less than in the usual order.`;
}

/** What may happen when the power goes on, as far as the readings have not ruled it out. */
function Dangers({ dangers }: { dangers: SelectedCheck['dangers'] }) {
  const likely = told(dangers);
  if (likely.length === 0) return null;
  return (
    <Sign sign={<WarningSign />}>
      {likely
        .map(
          (each) => `${dangerWords[each.danger] ?? each.danger} (${percent(each.probability)} %)`,
        )
        .join('; ')}
      . A dead check first can rule it out.
    </Sign>
  );
}

const leastToldDanger = 0.1;

const told = (dangers: SelectedCheck['dangers']) =>
  dangers.filter((each) => each.probability >= leastToldDanger);

const dangerWords: Readonly<Record<string, string>> = {
  'trips-again': 'It may trip again',
  'current-to-earth': 'Current may go to the tank',
  'shell-live': 'The tank itself may be live',
};

function Caution({ check }: { check: string }) {
  const { caution } = useFamily().checks[check]!;
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
  if (caution === 'gas') {
    return (
      <Sign sign={<WarningSign />}>
        Gas: smell first, no flame while anything is open. Local codes and your licence decide.
      </Sign>
    );
  }
  if (caution === 'flame') {
    return (
      <Sign sign={<HotSign />}>
        Face beside the glass, never before it. Smelled gas ends it: cock shut, out.
      </Sign>
    );
  }
  if (caution === 'carbon-monoxide') {
    return (
      <Sign sign={<WarningSign />}>
        Carbon monoxide has no smell. Headache or alarm: off, doors open, out.
      </Sign>
    );
  }
  if (caution === 'hot-metal') return <Sign sign={<HotSign />}>Hot metal: wait, or gloves.</Sign>;
  if (caution === 'reclose') {
    return (
      <Sign sign={<WarningSign />}>
        Not if it is wet, scorched, or the tank may be empty. If it goes again, leave it off.
      </Sign>
    );
  }
  if (caution === 'test-voltage') {
    return (
      <Sign sign={<WarningSign />}>
        The tester puts up to 500 V on the wires: power off, leads off the element, hands clear.
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
