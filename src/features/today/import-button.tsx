'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { Dialog } from '@/ui/dialog';

const mostBytes = 5 * 1024 * 1024;

interface Problem {
  readonly pointer: string;
  readonly message: string;
}

/** Takes a job file in. What is wrong with it is listed by where it stands; nothing is half imported. */
export function ImportButton() {
  const input = useRef<HTMLInputElement>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const router = useRouter();

  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > mostBytes) {
      const megabytes = (file.size / 1024 / 1024).toFixed(1);
      setProblems([
        {
          pointer: '',
          message: `The file has ${megabytes} MB; a job file has at most 5 MB. Photographs go in a bundle.`,
        },
      ]);
      return;
    }
    try {
      const response = await fetch('/api/job-files', { method: 'POST', body: await file.text() });
      const answer = (await response.json()) as {
        id?: string;
        message?: string;
        problems?: Problem[];
      };
      if (response.ok && answer.id) {
        router.push(`/jobs/${answer.id}`);
        router.refresh();
      } else
        setProblems(answer.problems ?? [{ pointer: '', message: answer.message ?? 'Not taken.' }]);
    } catch {
      setProblems([
        {
          pointer: '',
          message: 'No connection to the server. The file is unchanged: try again later.',
        },
      ]);
    }
    if (input.current) input.current.value = '';
  };

  return (
    <>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        className="sr-only"
        tabIndex={-1}
        aria-label="Job file to import"
        onChange={(event) => void take(event.target.files?.[0])}
      />
      <button type="button" className="link min-h-11" onClick={() => input.current?.click()}>
        Import a job file
      </button>
      <Dialog
        title="The file was not imported"
        isOpen={problems.length > 0}
        onClose={() => setProblems([])}
      >
        <p className="mb-3">
          Nothing of it was taken. Put this right in the file, then import it again.
        </p>
        <ul className="divide-y divide-hair border-y border-hair">
          {problems.slice(0, 40).map((each) => (
            <li key={`${each.pointer} ${each.message}`} className="py-2">
              {each.pointer !== '' && (
                <code className="block font-sans text-small break-all text-ink-2">
                  {each.pointer}
                </code>
              )}
              {each.message}
            </li>
          ))}
        </ul>
      </Dialog>
    </>
  );
}
