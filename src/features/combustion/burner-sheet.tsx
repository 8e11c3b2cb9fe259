'use client';

import { Plus } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { findingOf, type BurnerLook } from '@/core/combustion';
import type { JobState } from '@/core/job-file';
import { withState } from '@/features/bench/new-entries';
import { refusalOf } from '@/features/bench/refusal';
import { stepWords } from '@/features/bench/step-words';
import { notEntered } from '@/features/record/not-entered';
import { useFamily, useWords } from '@/features/record/family-context';
import type { JobRecord } from '@/features/record/use-job-record';
import { useDraft } from '@/features/record/use-draft';
import { capital } from '@/features/record/words';
import { burnerPartWords } from './combustion-words';

const mostBurners = 12;
const sound: Omit<BurnerLook, 'burner'> = { ports: 'open', crack: 'none', rust: 'none' };

/** Burners out, looked at one by one: the worst of them is the finding, which is entered with its rows. */
export function BurnerSheet({
  record,
  state,
  check,
}: {
  record: JobRecord;
  state: JobState;
  /** What the finding is entered under. */
  check: string;
}) {
  const family = useFamily();
  const words = useWords();
  const [draft, setDraft] = useDraft(`${record.job.job.id} burners`);
  const [problem, setProblem] = useState<string>();
  const rows = rowsOf(draft);
  const keep = (next: (rows: readonly BurnerLook[]) => readonly BurnerLook[]) =>
    setDraft((before) => JSON.stringify(next(rowsOf(before))));
  const change = (k: number, to: Partial<BurnerLook>) =>
    keep((all) => all.map((each, index) => (index === k ? { ...each, ...to } : each)));
  const finding = findingOf(rows);
  const steps = family.accessSteps(check, state);
  const refusal = refusalOf(family, record.job, check, steps);
  const isOpen = steps.length === 0 && refusal === undefined;
  const enter = async () => {
    const burners = rows.map(({ where, ...each }) =>
      where?.trim() ? { ...each, where: where.trim() } : each,
    );
    const isKept = await record.append(
      withState(
        family,
        { kind: 'observation', check, value: finding, burners: [...burners] },
        check,
        state.lifted,
      ),
    );
    if (isKept) setDraft('');
    else setProblem(notEntered);
  };
  return (
    <section aria-labelledby="burners" className="mt-8 border-t-2 border-rule pt-2">
      <h3 id="burners" className="text-title font-semibold">
        Burners out
      </h3>
      <p className="max-w-prose text-small">
        Gas closed, power off, cooled; for whoever is licensed, and a leak check after. Any crack,
        or ports grown together: replaced, burners of one age as a set.
      </p>
      <ul className="mt-2">
        {rows.map((row, k) => (
          <li key={row.burner} className="border-b border-hair py-2">
            <fieldset>
              <legend className="font-semibold">Burner {row.burner}</legend>
              <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
                {(['ports', 'crack', 'rust', 'gasket'] as const).map((part) => (
                  <label key={part} className="text-small">
                    {capital(part)}
                    <select
                      className="field"
                      aria-label={`Burner ${row.burner}: ${part}`}
                      value={row[part] ?? ''}
                      onChange={(event) => change(k, changeOf(part, event.target.value))}
                    >
                      {part === 'gasket' && <option value="">not said</option>}
                      {Object.entries(burnerPartWords[part]).map(([id, words]) => (
                        <option key={id} value={id}>
                          {words}
                        </option>
                      ))}
                    </select>
                  </label>
                ))}
              </div>
              <div className="mt-1 grid grid-cols-[auto_1fr_auto] items-center gap-3">
                <label className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-6"
                    checked={row.isLoose ?? false}
                    onChange={(event) => change(k, { isLoose: event.target.checked })}
                  />
                  loose
                </label>
                <input
                  className="field"
                  placeholder="where: 4 o’clock, far end"
                  aria-label={`Burner ${row.burner}: where the crack is`}
                  maxLength={200}
                  value={row.where ?? ''}
                  onChange={(event) => change(k, { where: event.target.value })}
                />
                <button
                  type="button"
                  className="button"
                  aria-label={`Take burner ${row.burner} off the sheet`}
                  onClick={() => keep((all) => all.filter((_, index) => index !== k))}
                >
                  Off
                </button>
              </div>
            </fieldset>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="button flex items-center gap-2"
          disabled={rows.length >= mostBurners}
          onClick={() =>
            keep((all) => [
              ...all,
              { burner: Math.max(0, ...all.map((each) => each.burner)) + 1, ...sound },
            ])
          }
        >
          <Plus aria-hidden="true" /> Burner
        </button>
        {rows.length > 0 && isOpen && (
          <button type="button" className="button button-act" onClick={() => void enter()}>
            Enter: {family.checks[check]?.answers?.[finding] ?? finding}
          </button>
        )}
      </div>
      {!isOpen && (
        <div className="mt-2 max-w-prose border-l-4 border-rule pl-3">
          <p className="font-medium">
            {refusal ?? 'The finding is entered once the way to the burners is open.'}
          </p>
          {steps.length > 0 && (
            <p>
              Still to do: {steps.map((step) => stepWords(words, step).toLowerCase()).join('; ')}.
            </p>
          )}
          <Link
            className="link inline-flex min-h-11 items-center"
            href={`/jobs/${record.job.job.id}?check=${check}`}
          >
            Do it on the bench; the rows stay
          </Link>
        </div>
      )}
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
    </section>
  );
}

/** A part that nobody says anything of is left out. */
const changeOf = (part: string, value: string): Partial<BurnerLook> =>
  ({ [part]: value === '' ? undefined : value }) as Partial<BurnerLook>;

function rowsOf(draft: string): readonly BurnerLook[] {
  try {
    return draft === '' ? [] : (JSON.parse(draft) as BurnerLook[]).slice(0, mostBurners);
  } catch {
    return []; // a draft of another version
  }
}
