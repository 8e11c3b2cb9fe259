'use client';

import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CodeSights } from '@/core/codes';
import { readCodePack, type CodePack } from '@/core/codes';
import { useDraft } from '@/features/record/use-draft';
import { capital } from '@/features/record/words';
import { PageBar } from '@/ui/page-bar';
import { chosenClass } from '@/ui/choice';

type Code = CodePack['codes'][number];

interface Problem {
  readonly pointer: string;
  readonly message: string;
}

const idOf = (title: string) =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);

/** What is left empty is not said. */
const said = (code: Code): Code =>
  Object.fromEntries(
    Object.entries(code).filter(([, each]) => each !== '' && each !== false && each !== undefined),
  ) as unknown as Code;

/** A list of codes to be changed: each code with how it shows, what the control saw, and whether it locks out. */
export function PackEditor({
  given,
  revision,
  codes: sights,
  familyTitle,
}: {
  given: CodePack;
  /** Undefined for a list that is not there yet. */
  revision: number | undefined;
  codes: CodeSights;
  familyTitle: string;
}) {
  const router = useRouter();
  const [draft, setDraft] = useDraft(`code-pack:${revision === undefined ? 'new' : given.id}`);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const pack = draftOf(draft) ?? given;
  const put = (change: Partial<CodePack>) => {
    setDraft((before) => JSON.stringify({ ...(draftOf(before) ?? given), ...change }));
    setProblems([]);
  };
  const putCode = (at: number, change: Partial<Code>) =>
    put({ codes: pack.codes.map((each, k) => (k === at ? { ...each, ...change } : each)) });
  const isLight = pack.shownBy === 'light';

  const save = async () => {
    const id = revision === undefined ? idOf(pack.title) || `list-${pack.codes.length}` : given.id;
    const makes = (pack.makes ?? []).map((each) => each.trim()).filter(Boolean);
    const whole: CodePack = {
      ...pack,
      id,
      makes,
      codes: pack.codes.map((each) => said(isLight ? each : { ...each, pattern: undefined })),
    };
    const read = readCodePack(JSON.parse(JSON.stringify(whole)) as unknown, () => sights);
    if (!read.ok) return setProblems(read.problems);
    try {
      const response = await fetch(`/api/code-packs/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ pack: read.pack, revision }),
      });
      const answer = (await response.json()) as { message?: string; problems?: Problem[] };
      if (!response.ok) {
        return setProblems(
          answer.problems ?? [{ pointer: '', message: answer.message ?? 'Not taken.' }],
        );
      }
      setDraft('');
      router.push('/codes');
      router.refresh();
    } catch {
      setProblems([
        {
          pointer: '',
          message: 'No connection to the server. What is typed stands here: try again.',
        },
      ]);
    }
  };
  const remove = async () => {
    try {
      const response = await fetch(`/api/code-packs/${given.id}`, { method: 'DELETE' });
      if (!response.ok) return setProblems([{ pointer: '', message: 'Not taken. Try again.' }]);
      setDraft('');
      router.push('/codes');
      router.refresh();
    } catch {
      setProblems([{ pointer: '', message: 'No connection to the server. Try again.' }]);
    }
  };
  const at = (pointer: string) => problems.find((each) => each.pointer === pointer)?.message;
  const elsewhere = problems.filter(
    ({ pointer }) =>
      !/^\/codes\/\d+\/(code|shows|pattern|saw|note)$/.test(pointer) && pointer !== '/title',
  );

  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar>
        <Link href="/codes" className="link flex min-h-11 items-center">
          Lists of codes
        </Link>
      </PageBar>
      <main className="mx-auto max-w-5xl px-5 py-4">
        <h1 className="text-title-l font-semibold">
          {revision === undefined ? 'A new list of codes' : given.title}
        </h1>
        <p className="text-small text-ink-2">{familyTitle}</p>
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          <Text
            label="Name of the list"
            value={pack.title}
            problem={at('/title')}
            onChange={(title) => put({ title })}
          />
          <Text
            label="For makes or models, with commas"
            value={(pack.makes ?? []).join(', ')}
            onChange={(text) => put({ makes: text.split(',').map((each) => each.trimStart()) })}
          />
        </div>
        <div role="group" aria-label="Shown by" className="mt-3 flex max-w-xs">
          {(['light', 'display'] as const).map((each) => (
            <button
              key={each}
              type="button"
              className={`button flex-1 ${chosenClass}`}
              aria-pressed={pack.shownBy === each}
              onClick={() => put({ shownBy: each })}
            >
              {each === 'light' ? 'A light' : 'A display'}
            </button>
          ))}
        </div>
        {isLight && (
          <p className="mt-2 max-w-prose text-small">
            A pattern is S for short and L for long, with spaces: S S L. After a stroke stand the
            seconds that it is dark, where they matter: S/3.7. Or dark, or steady.
          </p>
        )}
        <ol className="mt-4 border-t-2 border-rule">
          {pack.codes.map((code, k) => (
            <li
              key={k}
              className="grid gap-2 border-b border-hair py-3 md:grid-cols-[110px_1fr_130px_1fr_auto]"
            >
              <Text
                label="Code"
                value={code.code}
                problem={at(`/codes/${k}/code`)}
                onChange={(text) => putCode(k, { code: text })}
              />
              <Text
                label="Shows"
                value={code.shows ?? ''}
                problem={at(`/codes/${k}/shows`)}
                onChange={(shows) => putCode(k, { shows })}
              />
              {isLight ? (
                <Text
                  label="Pattern"
                  value={code.pattern ?? ''}
                  problem={at(`/codes/${k}/pattern`)}
                  onChange={(pattern) => putCode(k, { pattern })}
                />
              ) : (
                <span className="hidden md:block" />
              )}
              <label className="block text-small font-medium">
                The control saw
                <select
                  className="field mt-1"
                  value={code.saw ?? ''}
                  onChange={(event) => putCode(k, { saw: event.target.value || undefined })}
                >
                  <option value="">none of these: written down, no evidence</option>
                  {Object.entries(sights.sights).map(([id, words]) => (
                    <option key={id} value={id}>
                      {capital(words)}
                    </option>
                  ))}
                </select>
                <ProblemNote text={at(`/codes/${k}/saw`)} />
              </label>
              <div className="flex items-end gap-2">
                <label className="flex min-h-11 items-center gap-2 text-small">
                  <input
                    type="checkbox"
                    className="size-6 accent-act"
                    checked={code.lockout ?? false}
                    onChange={(event) => putCode(k, { lockout: event.target.checked })}
                  />
                  locks out
                </label>
                <button
                  type="button"
                  className="button px-3"
                  aria-label={`Take out ${code.code || `line ${k + 1}`}`}
                  onClick={() => put({ codes: pack.codes.filter((_, other) => other !== k) })}
                >
                  Take out
                </button>
              </div>
            </li>
          ))}
        </ol>
        <button
          type="button"
          className="button mt-3"
          onClick={() => put({ codes: [...pack.codes, { code: '' }] })}
        >
          One more code
        </button>
        {elsewhere.length > 0 && (
          <ul role="alert" className="mt-3 border-l-4 border-rule pl-3 font-medium">
            {elsewhere.map(({ pointer, message }) => (
              <li key={`${pointer} ${message}`}>
                {pointer && <span className="text-small text-ink-2">{pointer} </span>}
                {message}
              </li>
            ))}
          </ul>
        )}
        <div className="mt-4 flex flex-wrap gap-2">
          <button type="button" className="button button-act" onClick={() => void save()}>
            Keep this list
          </button>
          {draft !== '' && (
            <button
              type="button"
              className="button"
              onClick={() => {
                setDraft('');
                setProblems([]);
              }}
            >
              Undo what I changed
            </button>
          )}
          {revision !== undefined && (
            <button type="button" className="button" onClick={() => void remove()}>
              Throw the list away
            </button>
          )}
        </div>
      </main>
    </div>
  );
}

function draftOf(text: string): CodePack | undefined {
  try {
    return text === '' ? undefined : (JSON.parse(text) as CodePack);
  } catch {
    return undefined; // a draft of another version: the list as it stands is shown
  }
}

function Text({
  label,
  value,
  problem,
  onChange,
}: {
  label: string;
  value: string;
  problem?: string;
  onChange(text: string): void;
}) {
  return (
    <label className="block text-small font-medium">
      {label}
      <input
        className="field mt-1"
        value={value}
        maxLength={200}
        aria-invalid={problem !== undefined}
        onChange={(event) => onChange(event.target.value)}
      />
      <ProblemNote text={problem} />
    </label>
  );
}

const ProblemNote = ({ text }: { text: string | undefined }) =>
  text && (
    <span role="alert" className="mt-1 block border-l-4 border-rule pl-2 font-medium">
      {text}
    </span>
  );
