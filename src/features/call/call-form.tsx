'use client';

import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import {
  elementOhm,
  questions,
  type QuestionId,
} from '@/core/appliances/electric-storage-two-element';
import { parseReading, valueText, type Quantity, type UnitSystem } from '@/core/quantities';
import { answerWords, capital, complaintWords, plateWords } from '@/features/record/words';
import { useDraft } from '@/features/record/use-draft';
import { PageBar } from '@/ui/page-bar';

export interface KnownUnitChoice {
  readonly id: string;
  readonly label: string;
  readonly plate: { readonly volt: number; readonly upper: number; readonly lower: number };
}

/** Everything typed on this screen: one draft, so that a reload loses nothing. */
interface CallDraft {
  readonly kind?: string;
  readonly words: string;
  readonly answers: Readonly<Partial<Record<QuestionId, string>>>;
  readonly knownUnitId?: string;
  readonly customer: string;
  readonly address: string;
  readonly volt: string;
  readonly upperWatt: string;
  readonly lowerWatt: string;
  readonly volume: string;
  readonly make: string;
  readonly model: string;
  readonly serial: string;
  readonly installed: string;
  readonly supply: 'split-phase' | 'single-phase';
}

const emptyCall: CallDraft = {
  words: '',
  answers: {},
  customer: '',
  address: '',
  volt: '240',
  upperWatt: '',
  lowerWatt: '',
  volume: '',
  make: '',
  model: '',
  serial: '',
  installed: '',
  supply: 'split-phase',
};

/** The kinds that this family of heaters can have; the others belong to boilers. */
const askedKinds = [
  'no-hot-water',
  'runs-out',
  'lukewarm',
  'slow',
  'too-hot',
  'trips-breaker',
  'trips-rcd',
  'noise',
  'leak',
  'other',
] as const;

const askedQuestions = ['onset', 'allOutlets', 'breaker', 'reset', 'rumble', 'afterWork'] as const;

type Problems = Readonly<Record<string, string>>;

/** A new call: the complaint, the questions that split the field, who, where, and the rating plate. */
export function CallForm({
  technicianId,
  knownUnits,
  system,
}: {
  technicianId: string;
  knownUnits: readonly KnownUnitChoice[];
  system: UnitSystem;
}) {
  const router = useRouter();
  const [draftText, setDraftText] = useDraft('new-call');
  const [problems, setProblems] = useState<Problems>({});
  const [isSending, setSending] = useState(false);
  const draft = readDraft(draftText);
  const set = (change: Partial<CallDraft>) => {
    setProblems({});
    setDraftText(JSON.stringify({ ...draft, ...change }));
  };
  const known = knownUnits.find((each) => each.id === draft.knownUnitId);

  const open = async () => {
    const found = problemsOf(draft, known !== undefined, system);
    setProblems(found);
    const first = Object.keys(found)[0];
    if (first) {
      document.getElementById(`field-${first}`)?.focus();
      return;
    }
    setSending(true);
    try {
      const response = await fetch('/api/jobs', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(callOf(draft, technicianId, known !== undefined, system)),
      });
      const answer = (await response.json()) as {
        id?: string;
        message?: string;
        problems?: { pointer: string; message: string }[];
      };
      if (response.ok && answer.id) {
        setDraftText('');
        router.push(`/jobs/${answer.id}`);
        return;
      }
      setProblems({
        form:
          answer.problems?.map((each) => each.message).join(' ') ?? answer.message ?? 'Not taken.',
      });
    } catch {
      setProblems({
        form: 'No connection to the server. The call is kept here: try again when there is signal.',
      });
    }
    setSending(false);
  };

  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar>
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
          <Column title="What is wrong">
            <ChoiceGrid
              id="kind"
              label="Kind of complaint"
              options={askedKinds.map((value) => ({ value, label: complaintWords[value]! }))}
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
            {askedQuestions.map((question) => (
              <ChoiceRow
                key={question}
                label={questions[question].ask}
                options={questions[question].values.map((value) => ({
                  value,
                  label: answerWords[question][value] ?? value,
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
          <Column title="Who, where, which unit">
            <Field id="unit" label="A unit you know">
              <select
                id="field-unit"
                className="field"
                value={draft.knownUnitId ?? ''}
                onChange={(event) => set({ knownUnitId: event.target.value || undefined })}
              >
                <option value="">a new customer or unit</option>
                {knownUnits.map(({ id, label }) => (
                  <option key={id} value={id}>
                    {label}
                  </option>
                ))}
              </select>
            </Field>
            {!known && (
              <NewUnitFields draft={draft} set={set} problems={problems} system={system} />
            )}
            <PlateReadout draft={draft} known={known} system={system} />
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
        </form>
      </main>
    </div>
  );
}

function NewUnitFields({
  draft,
  set,
  problems,
  system,
}: {
  draft: CallDraft;
  set(change: Partial<CallDraft>): void;
  problems: Problems;
  system: UnitSystem;
}) {
  const input = (
    key: TextKey,
    label: string,
    rest: { optional?: boolean; decimal?: boolean; placeholder?: string } = {},
  ) => (
    <Field id={key} label={label} problem={problems[key]} optional={rest.optional}>
      <input
        id={`field-${key}`}
        className="field"
        inputMode={rest.decimal ? 'decimal' : undefined}
        placeholder={rest.placeholder}
        value={draft[key]}
        maxLength={200}
        aria-invalid={problems[key] !== undefined}
        aria-describedby={problems[key] ? `problem-${key}` : undefined}
        onChange={(event) => set({ [key]: event.target.value })}
      />
    </Field>
  );
  return (
    <>
      {input('customer', 'Customer')}
      {input('address', 'Address')}
      <fieldset>
        <legend className="pt-1 text-lead font-semibold">Rating plate</legend>
        <div className="grid grid-cols-3 gap-2">
          {input('volt', 'Volts', { decimal: true })}
          {input('upperWatt', 'Upper watts', { decimal: true })}
          {input('lowerWatt', 'Lower watts', { decimal: true, placeholder: 'the same' })}
        </div>
        <ChoiceRow
          label="Supply"
          options={[
            { value: 'split-phase', label: 'two live legs' },
            { value: 'single-phase', label: 'live and neutral' },
          ]}
          chosen={draft.supply}
          onChoose={(supply) => set({ supply: supply as CallDraft['supply'] })}
        />
        <details className="mt-1">
          <summary className="link min-h-11 cursor-pointer py-2.5">
            Make, model, serial, volume, age
          </summary>
          <div className="grid grid-cols-2 gap-x-2">
            {input('make', 'Make', { optional: true })}
            {input('model', 'Model', { optional: true })}
            {input('serial', 'Serial', { optional: true })}
            {input('volume', system === 'us' ? 'Gallons' : 'Litres', {
              optional: true,
              decimal: true,
            })}
            {input('installed', 'Installed (year or date)', { optional: true })}
          </div>
        </details>
      </fieldset>
    </>
  );
}

type TextKey = Exclude<keyof CallDraft, 'kind' | 'answers' | 'knownUnitId' | 'supply' | 'words'>;

/** What the plate means: expected ohms and amps, as it is typed. */
function PlateReadout({
  draft,
  known,
  system,
}: {
  draft: CallDraft;
  known: KnownUnitChoice | undefined;
  system: UnitSystem;
}) {
  const volt = known?.plate.volt ?? numberOf(draft.volt, 'voltage-ac', system);
  const upper = known?.plate.upper ?? numberOf(draft.upperWatt, 'power', system);
  const lower = known?.plate.lower ?? numberOf(draft.lowerWatt, 'power', system) ?? upper;
  if (!volt || !upper || !lower) {
    return (
      <p className="my-3 border-t border-hair pt-2 text-small text-ink-2">
        Volts and watts from the plate give the ohms and amps to expect.
      </p>
    );
  }
  const rows = [
    { name: 'Upper element', watt: upper },
    { name: 'Lower element', watt: lower },
  ];
  return (
    <div className="my-3 border-t-2 border-rule pt-2" role="status">
      <p className="text-small text-ink-2">
        Expect, from the plate {plateText(volt, upper, lower)}
      </p>
      <table className="w-full">
        <tbody>
          {rows.map(({ name, watt }) => (
            <tr key={name} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-normal">
                {name}
              </th>
              <td className="text-right text-value font-semibold">
                {valueText(elementOhm(volt, watt), 'resistance', system)}
              </td>
              <td className="text-right text-value font-semibold">
                {valueText(watt / volt, 'current-ac', system)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const plateText = (volt: number, upper: number, lower: number) =>
  plateWords({
    unit: {
      family: '',
      plate: { rated: { volt }, elements: { upper: { watt: upper }, lower: { watt: lower } } },
    },
  });

function numberOf(text: string, quantity: Quantity, system: UnitSystem): number | undefined {
  const parsed = parseReading(text, { quantity, system });
  return parsed.kind === 'value' && parsed.value > 0 ? parsed.value : undefined;
}

function problemsOf(draft: CallDraft, isKnown: boolean, system: UnitSystem): Problems {
  const problems: Record<string, string> = {};
  if (!draft.kind) problems.kind = 'Choose what is wrong: it splits the field most.';
  if (isKnown) return problems;
  if (draft.customer.trim() === '') problems.customer = 'Who is it for? A name is enough.';
  if (draft.address.trim() === '') problems.address = 'Where is it? A street is enough.';
  const checkNumber = (
    key: TextKey,
    quantity: Quantity,
    what: string,
    least: number,
    most: number,
  ) => {
    const parsed = parseReading(draft[key], { quantity, system });
    if (parsed.kind === 'problem') problems[key] = parsed.message;
    else if (parsed.kind === 'ask') problems[key] = `${parsed.question} Type it without the comma.`;
    else if (parsed.kind === 'value' && !(parsed.value >= least && parsed.value <= most)) {
      problems[key] = `${what} on a plate are ${least} to ${most}.`;
    }
  };
  checkNumber('volt', 'voltage-ac', 'Volts', 100, 600);
  checkNumber('upperWatt', 'power', 'Watts', 200, 20_000);
  if (draft.lowerWatt.trim() !== '') checkNumber('lowerWatt', 'power', 'Watts', 200, 20_000);
  if (draft.volume.trim() !== '') checkNumber('volume', 'volume', 'Litres', 5, 2000);
  return problems;
}

function callOf(draft: CallDraft, technicianId: string, isKnown: boolean, system: UnitSystem) {
  const complaint = { kind: draft.kind, words: draft.words, answers: draft.answers };
  if (isKnown) return { technicianId, complaint, knownUnitId: draft.knownUnitId };
  const upper = numberOf(draft.upperWatt, 'power', system);
  const litre = numberOf(draft.volume, 'volume', system);
  const { customer, address, make, model, serial, installed, supply } = draft;
  return {
    technicianId,
    complaint,
    newUnit: {
      customer,
      address,
      make,
      model,
      serial,
      installed,
      supplySystem: supply,
      plate: {
        rated: { volt: numberOf(draft.volt, 'voltage-ac', system) },
        elements: {
          upper: { watt: upper },
          lower: { watt: numberOf(draft.lowerWatt, 'power', system) ?? upper },
        },
        ...(litre === undefined ? {} : { volume: { litre } }),
      },
    },
  };
}

function readDraft(text: string): CallDraft {
  if (text === '') return emptyCall;
  try {
    return { ...emptyCall, ...(JSON.parse(text) as Partial<CallDraft>) };
  } catch {
    return emptyCall;
  }
}

function Column({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="border-b border-hair px-5 py-4 lg:border-r lg:border-b-0 lg:last:border-r-0">
      <h2 className="mb-2 border-b-[1.5px] border-rule pb-1 text-lead font-semibold">{title}</h2>
      {children}
    </section>
  );
}

function Field({
  id,
  label,
  problem,
  optional,
  children,
}: {
  id: string;
  label: string;
  problem?: string;
  optional?: boolean;
  children: ReactNode;
}) {
  return (
    <div className="mb-2">
      <label htmlFor={`field-${id}`} className="text-small font-medium">
        {label}
        {optional && <span className="font-normal text-ink-2">, if known</span>}
      </label>
      {children}
      {problem && (
        <p id={`problem-${id}`} role="alert" className="mt-0.5 text-small font-medium">
          {problem}
        </p>
      )}
    </div>
  );
}

interface Option {
  readonly value: string;
  readonly label: string;
}

const chosenClass =
  'aria-pressed:border-2 aria-pressed:border-act aria-pressed:bg-act-wash aria-pressed:font-semibold aria-pressed:text-act';

function ChoiceGrid({
  id,
  label,
  options,
  chosen,
  problem,
  onChoose,
}: {
  id: string;
  label: string;
  options: readonly Option[];
  chosen: string | undefined;
  problem?: string;
  onChoose(value: string): void;
}) {
  return (
    <div role="group" aria-label={label} className="mb-3">
      <div className="grid grid-cols-2 gap-2">
        {options.map(({ value, label: text }, index) => (
          <button
            key={value}
            id={index === 0 ? `field-${id}` : undefined}
            type="button"
            aria-pressed={chosen === value}
            className={`button min-h-12 ${chosenClass}`}
            onClick={() => onChoose(value)}
          >
            {capital(text)}
          </button>
        ))}
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-small font-medium">
          {problem}
        </p>
      )}
    </div>
  );
}

function ChoiceRow({
  label,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  options: readonly Option[];
  chosen: string | undefined;
  onChoose(value: string): void;
}) {
  return (
    <div role="group" aria-label={label} className="mb-2.5">
      <p className="mb-1 text-small font-medium">{label}</p>
      <div className="flex gap-2">
        {options.map(({ value, label: text }) => (
          <button
            key={value}
            type="button"
            aria-pressed={chosen === value}
            className={`button flex-1 ${chosenClass}`}
            onClick={() => onChoose(value)}
          >
            {text}
          </button>
        ))}
      </div>
    </div>
  );
}
