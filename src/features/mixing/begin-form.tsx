'use client';

import { useState } from 'react';
import {
  mostOwnCelsius,
  outletLimit,
  type LimitRule,
  type MixingSession,
  type Outlet,
} from '@/core/mixing-valve';
import { valueText, type UnitSystem } from '@/core/quantities';
import { notEntered } from '@/features/record/not-entered';
import { outletWords, ruleWords } from '@/features/record/mixing-words';
import { NumberField, typedNumber } from '@/features/record/number-field';
import { useDraft } from '@/features/record/use-draft';
import type { JobRecord } from '@/features/record/use-job-record';
import { Choice } from '@/ui/choice';
import { HotSign } from '@/ui/signs';

const wantedRange = [30, 65] as const;
const ownRange = [35, mostOwnCelsius] as const;

/** Who lives here, which outlet, which limit, what is wanted: before the cap comes off. */
export function BeginForm({
  record,
  system,
  before,
  onDone,
}: {
  record: JobRecord;
  system: UnitSystem;
  /** What was begun before, to be begun anew. */
  before: MixingSession['begun'];
  onDone(): void;
}) {
  const jobId = record.job.job.id;
  const [isFrail, setFrail] = useState<boolean | undefined>(before?.isFrail);
  const [outlet, setOutlet] = useState<Outlet>(before?.outlet ?? 'kitchen');
  const [rule, setRule] = useState<LimitRule>(before?.rule ?? 'own');
  const own = useDraft(`${jobId} mixing own`);
  const wanted = useDraft(`${jobId} mixing wanted`);
  const [problem, setProblem] = useState<string>();
  const typedOwn = typedNumber(own[0], 'temperature', system, ownRange);
  const ownCelsius =
    typedOwn.kind === 'number'
      ? typedOwn.value
      : before?.rule === 'own'
        ? before.limit.celsius
        : 48;
  const limit = outletLimit(outlet, rule, { ownCelsius, isFrail: isFrail ?? true });
  const begin = async () => {
    const typed = typedNumber(wanted[0], 'temperature', system, wantedRange);
    const wantedCelsius = typed.kind === 'none' ? before?.wantedCelsius : undefined;
    const celsius = typed.kind === 'number' ? typed.value : wantedCelsius;
    if (isFrail === undefined)
      return setProblem('Say whether anyone small, old or frail lives here.');
    if (celsius === undefined) return setProblem('Say what is wanted at the tap.');
    if (rule === 'own' && typedOwn.kind === 'problem') {
      return setProblem('The firm’s own limit cannot be that.');
    }
    setProblem(undefined);
    const isKept = await record.append({
      kind: 'mixing',
      phase: 'begun',
      outlet,
      rule,
      isFrail,
      wanted: { celsius },
      ...(rule === 'own' ? { limit: { celsius: ownCelsius } } : {}),
    });
    if (!isKept) return setProblem(notEntered);
    for (const [, setText] of [own, wanted]) setText('');
    onDone();
  };
  return (
    <form
      className="max-w-[640px]"
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <p className="mb-3 flex items-start gap-2">
        <HotSign />
        <span>
          Hotter water scalds sooner, a child or the frail before anyone else. Try it in a basin,
          never on a hand.
        </span>
      </p>
      <Choice
        label="Anyone small, old or frail in the house?"
        why="Then the strictest limit that is written of the outlet holds, whatever is wanted."
        options={[true, false].map((each) => ({
          label: each ? 'yes' : 'nobody',
          isChosen: isFrail === each,
          onChoose: () => setFrail(each),
        }))}
      />
      <Choice
        label="Which outlet"
        why="The hottest that anybody stands under."
        options={(Object.keys(outletWords) as Outlet[]).map((each) => ({
          label: outletWords[each],
          isChosen: outlet === each,
          onChoose: () => setOutlet(each),
        }))}
      />
      <Choice
        label="Which limit"
        why="Local codes decide. Where a rule says nothing of an outlet, the firm’s own."
        options={(Object.keys(ruleWords) as LimitRule[]).map((each) => ({
          label: ruleWords[each],
          isChosen: rule === each,
          onChoose: () => setRule(each),
        }))}
      />
      <div className="flex gap-2">
        {rule === 'own' && (
          <NumberField
            label="the firm’s own limit"
            name="The firm’s own limit"
            draft={own}
            quantity="temperature"
            system={system}
            range={ownRange}
            last={ownCelsius}
            onLeave={() => undefined}
          />
        )}
        <NumberField
          label="wanted at the tap"
          name="Wanted at the tap"
          draft={wanted}
          quantity="temperature"
          system={system}
          range={wantedRange}
          last={before?.wantedCelsius}
          onLeave={() => undefined}
        />
      </div>
      <p className="mt-2" role="status">
        {isFrail === undefined
          ? 'The limit follows from who lives here.'
          : `Limit: ${valueText(limit.celsius, 'temperature', system)}, ${limit.source}.`}
      </p>
      {problem && (
        <p role="alert" className="font-medium">
          {problem}
        </p>
      )}
      <button type="submit" className="button button-act mt-2">
        Begin
      </button>
    </form>
  );
}
