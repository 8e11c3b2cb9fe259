'use client';

import { useState } from 'react';

export interface SaidOfTechnician {
  readonly name: string;
  readonly licence: string;
  readonly liveWork: boolean;
  readonly gasWork: boolean;
  readonly hasLeft: boolean;
}

const permissions = [
  ['liveWork', 'May work on live parts, by local codes and licence'],
  ['gasWork', 'May work on gas, by local codes and licence'],
] as const;
const leaving = [
  'hasLeft',
  'Works here no longer: not to be chosen; what was entered stays',
] as const;

/** What is said of somebody; kept by the server, or it stands here with the reason why not. */
export function TechnicianForm({
  said: before,
  id,
  onKept,
}: {
  said: SaidOfTechnician;
  /** Undefined for somebody new. */
  id: string | undefined;
  onKept(): void;
}) {
  const [said, setSaid] = useState(before);
  const [problem, setProblem] = useState<string>();
  const [isKeeping, setKeeping] = useState(false);
  const change = (part: Partial<SaidOfTechnician>) => {
    setSaid({ ...said, ...part });
    setProblem(undefined);
  };
  const keep = async () => {
    // A glove that taps twice adds nobody twice.
    if (isKeeping) return;
    setKeeping(true);
    try {
      const response = await fetch(
        id === undefined ? '/api/technicians' : `/api/technicians/${id}`,
        {
          method: id === undefined ? 'POST' : 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(said),
        },
      );
      if (response.ok) return onKept();
      setProblem(((await response.json()) as { message?: string }).message ?? 'Not taken.');
    } catch {
      setProblem('No connection to the server: not kept. What is typed stands here.');
    }
    setKeeping(false);
  };
  return (
    <form
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <label className="block font-medium">
        Name
        <input
          className="field mt-1"
          value={said.name}
          maxLength={200}
          onChange={(event) => change({ name: event.target.value })}
        />
      </label>
      <label className="block font-medium">
        Licence, if any
        <input
          className="field mt-1"
          value={said.licence}
          maxLength={200}
          onChange={(event) => change({ licence: event.target.value })}
        />
      </label>
      {(id === undefined ? permissions : [...permissions, leaving]).map(([key, words]) => (
        <label key={key} className="flex min-h-11 items-center gap-3 font-medium">
          <input
            type="checkbox"
            className="size-5 accent-(--act)"
            checked={said[key]}
            onChange={(event) => change({ [key]: event.target.checked })}
          />
          {words}
        </label>
      ))}
      {problem && (
        <p role="alert" className="border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <button type="submit" className="button button-act min-h-14 w-full text-lead">
        Keep
      </button>
    </form>
  );
}
