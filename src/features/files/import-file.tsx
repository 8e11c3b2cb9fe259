'use client';

import { useRef, useState } from 'react';
import { sameAgain } from '@/features/device/same-again';
import { capital } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';

interface Problem {
  readonly pointer: string;
  readonly message: string;
}

/** Takes a file in. What is wrong with it is listed by where it stands; nothing is half imported. */
export function ImportFile<Answer extends object>({
  label,
  what,
  url,
  mostMegabytes,
  className = 'link min-h-11',
  onTaken,
}: {
  label: string;
  /** What the file is: "job file". */
  what: string;
  url: string;
  mostMegabytes: number;
  className?: string;
  onTaken(answer: Answer): void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [isUnanswered, setUnanswered] = useState(false);
  const [files] = useState(sameAgain);

  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > mostMegabytes * 1024 * 1024) {
      const megabytes = (file.size / 1024 / 1024).toFixed(1);
      setProblems([
        {
          pointer: '',
          message: `The file has ${megabytes} MB; a ${what} has at most ${mostMegabytes} MB.`,
        },
      ]);
      return;
    }
    try {
      const body = await file.text();
      const headers = { 'idempotency-key': files.idFor(body) };
      const response = await fetch(url, { method: 'POST', headers, body });
      const answer = (await response.json()) as Answer & { message?: string; problems?: Problem[] };
      if (response.status < 500) files.ended();
      if (response.ok) onTaken(answer);
      else
        setProblems(answer.problems ?? [{ pointer: '', message: answer.message ?? 'Not taken.' }]);
    } catch {
      setUnanswered(true);
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
        aria-label={`${capital(what)} to import`}
        onChange={(event) => void take(event.target.files?.[0])}
      />
      <button type="button" className={className} onClick={() => input.current?.click()}>
        {label}
      </button>
      <Dialog
        title="No answer from the server"
        isOpen={isUnanswered}
        onClose={() => setUnanswered(false)}
      >
        <p>
          Whether the {what} was taken is not known. Import it again when there is a connection: it
          will not be there twice.
        </p>
      </Dialog>
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
