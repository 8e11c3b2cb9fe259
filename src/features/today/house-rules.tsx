'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { SchoolChoices } from '@/features/record/school-choice';
import { Dialog } from '@/ui/dialog';

/** Which way the firm goes where good practitioners disagree; a job may still say otherwise. */
export function HouseRules({ schools }: { schools: Readonly<Record<string, string>> }) {
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const [problem, setProblem] = useState<string>();
  const choose = async (school: string, way: string) => {
    try {
      const response = await fetch('/api/firm/schools', {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...schools, [school]: way }),
      });
      const answer = (await response.json()) as { message?: string };
      setProblem(response.ok ? undefined : (answer.message ?? 'Not taken.'));
      if (response.ok) router.refresh();
    } catch {
      setProblem('No connection to the server. Try again.');
    }
  };
  return (
    <>
      <button type="button" className="button" onClick={() => setOpen(true)}>
        House rules
      </button>
      <Dialog title="House rules" isOpen={isOpen} onClose={() => setOpen(false)}>
        <p className="mb-3">
          Where good practitioners disagree, the firm goes one way. A job may say otherwise.
        </p>
        <SchoolChoices chosen={schools} onChoose={(school, way) => void choose(school, way)} />
        {problem && (
          <p role="alert" className="border-l-4 border-rule pl-3 font-medium">
            {problem}
          </p>
        )}
      </Dialog>
    </>
  );
}
