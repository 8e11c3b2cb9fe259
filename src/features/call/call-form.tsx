'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { familyList, type ApplianceFamily } from '@/core/appliances';
import type { UnitSystem } from '@/core/quantities';
import { complaintWords } from '@/features/record/words';
import { wordsOf } from '@/features/record/family-words';
import { KeptNote } from '@/features/device/kept-note';
import { JobFamily, useFamily, useFamilyNamed } from '@/features/record/family-context';
import { usePresentTechnician } from '@/features/record/technician-context';
import { useDraft } from '@/features/record/use-draft';
import { openTucked } from '@/ui/open-tucked';
import { PageBar } from '@/ui/page-bar';
import {
  problemsOf,
  readDraft,
  withFamily,
  type CallDraft,
  type Problems,
  type TextKey,
} from './call-draft';
import { ChoiceGrid, ChoiceRow, Column, Field } from './call-fields';
import { KnownUnitField } from './known-unit-field';
import { openCall } from './open-call';
import { PlateInputs } from './plate-inputs';
import { PlateReadout } from './plate-readout';
import { UntilAlive } from '@/ui/until-alive';

interface CallFormProps {
  readonly system: UnitSystem;
  readonly timeZone: string;
}

/** As much as is kept of each. */
const mostCharacters: Readonly<Record<TextKey, number>> = {
  customer: 200,
  address: 400,
  make: 100,
  model: 100,
  serial: 100,
  installed: 20,
};

const usualUnit = { unit: { family: familyList[0]!.id, plate: {} } };

/** A new call: the complaint, the questions that split the field, who, where, and the rating plate. */
export function CallForm(props: CallFormProps) {
  return (
    <JobFamily job={usualUnit}>
      <OpenCallForm {...props} />
    </JobFamily>
  );
}

function OpenCallForm({ system, timeZone }: CallFormProps) {
  const router = useRouter();
  const technician = usePresentTechnician();
  const [draftText, setDraftText] = useDraft('new-call');
  const [problems, setProblems] = useState<Problems>({});
  const [isSending, setSending] = useState(false);
  const draft = readDraft(draftText);
  const set = (change: Partial<CallDraft>) => {
    setProblems({});
    setDraftText((before) => JSON.stringify({ ...readDraft(before), ...change }));
  };
  const known = draft.knownUnit;
  const wanted = known?.unit.family ?? draft.family;
  const { family: found, isMissing } = useFamilyNamed(wanted);
  const first = useFamily();
  const family = found ?? first;
  const words = wordsOf(family);
  const asked = family.questionIds.filter((each) => each !== 'complaint');

  const open = async () => {
    if (family.id !== wanted) return;
    const found = problemsOf(family, draft, known !== undefined, system);
    setProblems(found);
    const first = Object.keys(found)[0];
    if (first) {
      const field = document.getElementById(`field-${first}`);
      openTucked(field);
      field?.focus();
      return;
    }
    setSending(true);
    const opened = await openCall(family, draft, technician, { system, timeZone });
    if (opened.kind === 'open') {
      setDraftText('');
      router.push(`/jobs/${opened.id}`);
      return;
    }
    setProblems({ form: opened.message });
    setSending(false);
  };

  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar note={<KeptNote />}>
        <h1 className="text-title font-semibold">New call</h1>
      </PageBar>
      <main>
        <form
          className="mx-auto grid max-w-[1280px] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,0.9fr)]"
          onSubmit={(event) => {
            event.preventDefault();
            void open();
          }}
          noValidate
        >
          <UntilAlive>
            {/* Another kind is asked other things: what stands here until its code has come would change under a finger. */}
            <div className="contents" inert={family.id !== wanted}>
              <Column title="What is wrong">
                <ChoiceGrid
                  id="kind"
                  label="Kind of complaint"
                  options={family.askedComplaints.map((value) => ({
                    value,
                    label: complaintWords[value]!,
                  }))}
                  chosen={draft.kind}
                  problem={problems.kind}
                  onChoose={(kind) => set({ kind })}
                />
                <Field id="words" label="In the customer's words" optional>
                  <textarea
                    id="field-words"
                    className="field min-h-20"
                    value={draft.words}
                    maxLength={4000}
                    onChange={(event) => set({ words: event.target.value })}
                  />
                </Field>
              </Column>
              <Column title="What splits the field">
                {asked.map((question) => (
                  <ChoiceRow
                    key={question}
                    label={family.questions[question]!.ask}
                    options={family.questions[question]!.values.map((value) => ({
                      value,
                      label: words.answer(question, value),
                    }))}
                    chosen={draft.answers[question]}
                    onChoose={(value) =>
                      set({
                        answers: {
                          ...draft.answers,
                          [question]: draft.answers[question] === value ? undefined : value,
                        },
                      })
                    }
                  />
                ))}
                <p className="text-small text-ink-2">
                  Leave open what nobody knows. Every answer moves the suspects.
                </p>
              </Column>
            </div>
            <Column title="Who, where, which unit">
              <KnownUnitField chosen={known} onChoose={(knownUnit) => set({ knownUnit })} />
              {!known && (
                <NewUnitFields
                  family={family}
                  draft={draft}
                  set={set}
                  problems={problems}
                  system={system}
                />
              )}
              <PlateReadout family={family} draft={draft} known={known} system={system} />
              {isMissing && (
                <p role="alert" className="mb-3 border-l-4 border-rule pl-3 font-medium">
                  This kind of unit is not on this device, and there is no connection. Choose
                  another kind, or load this page again with a signal.
                </p>
              )}
              {problems.form && (
                <p role="alert" className="my-3 border-l-4 border-rule pl-3 font-medium">
                  {problems.form}
                </p>
              )}
              <button
                type="submit"
                className="button button-act mt-2 min-h-14 w-full text-lead"
                disabled={isSending}
              >
                {isSending ? 'Opening the job' : 'Open the job'}
              </button>
            </Column>
          </UntilAlive>
        </form>
      </main>
    </div>
  );
}

function NewUnitFields({
  family,
  draft,
  set,
  problems,
  system,
}: {
  family: ApplianceFamily;
  draft: CallDraft;
  set(change: Partial<CallDraft>): void;
  problems: Problems;
  system: UnitSystem;
}) {
  const input = (key: TextKey, label: string, rest: { optional?: boolean } = {}) => (
    <Field id={key} label={label} problem={problems[key]} optional={rest.optional}>
      <input
        id={`field-${key}`}
        className="field"
        value={draft[key]}
        maxLength={mostCharacters[key]}
        aria-invalid={problems[key] !== undefined}
        aria-describedby={problems[key] ? `problem-${key}` : undefined}
        onChange={(event) => set({ [key]: event.target.value })}
      />
    </Field>
  );
  return (
    <>
      {familyList.length > 1 && (
        <ChoiceRow
          label="Kind of heater"
          options={familyList.map(({ id, title }) => ({ value: id, label: title }))}
          chosen={family.id}
          onChoose={(id) => set(withFamily(draft, id))}
        />
      )}
      {input('customer', 'Customer')}
      {input('address', 'Address')}
      <fieldset>
        <legend className="pt-1 text-lead font-semibold">Rating plate</legend>
        <PlateInputs {...{ family, draft, set, problems, system }} isAside={false} />
        <details className="mt-1">
          <summary className="link min-h-11 cursor-pointer py-2.5">
            Make, model, serial, age and more
          </summary>
          <div className="grid grid-cols-2 gap-x-2">
            {input('make', 'Make', { optional: true })}
            {input('model', 'Model', { optional: true })}
            {input('serial', 'Serial', { optional: true })}
            {input('installed', 'Installed (year or date)', { optional: true })}
          </div>
          <PlateInputs {...{ family, draft, set, problems, system }} isAside />
        </details>
      </fieldset>
    </>
  );
}
