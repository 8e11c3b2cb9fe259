'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';

/** The first page of an empty installation: the firm and its first technician. */
export function SetupForm() {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();

  const setUp = async (form: FormData) => {
    const text = (key: string) => String(form.get(key) ?? '');
    try {
      const response = await fetch('/api/firm', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          name: text('name'),
          address: text('address'),
          technician: text('technician'),
          licence: text('licence'),
          unitSystem: text('unitSystem'),
          liveWork: form.get('liveWork') === 'on',
          gasWork: form.get('gasWork') === 'on',
          timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
        }),
      });
      if (response.ok) {
        router.push('/');
        router.refresh();
      } else setProblem(((await response.json()) as { message?: string }).message ?? 'Not taken.');
    } catch {
      setProblem('No connection to the server. Try again.');
    }
  };

  return (
    <main className="mx-auto max-w-lg p-5">
      <h1 className="text-title-l font-semibold">Set up Ohmmeter</h1>
      <p className="mt-2 mb-4 text-lead">One firm lives here. Who works in it?</p>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          void setUp(new FormData(event.currentTarget));
        }}
      >
        {(
          [
            ['name', 'Firm'],
            ['address', 'Address'],
            ['technician', 'Technician'],
            ['licence', 'Licence, if any'],
          ] as const
        ).map(([name, label]) => (
          <label key={name} className="block font-medium">
            {label}
            <input name={name} className="field mt-1" maxLength={200} />
          </label>
        ))}
        <label className="block font-medium">
          Units
          <select name="unitSystem" className="field mt-1" defaultValue="us">
            <option value="us">°F, gallons, psi</option>
            <option value="metric">°C, litres, bar</option>
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-3 font-medium">
          <input type="checkbox" name="liveWork" className="size-5 accent-(--act)" />
          May work on live parts, by local codes and licence
        </label>
        <label className="flex min-h-11 items-center gap-3 font-medium">
          <input type="checkbox" name="gasWork" className="size-5 accent-(--act)" />
          May work on gas, by local codes and licence
        </label>
        {problem && (
          <p role="alert" className="border-l-4 border-rule pl-3 font-medium">
            {problem}
          </p>
        )}
        <button type="submit" className="button button-act min-h-14 w-full text-lead">
          Start
        </button>
      </form>
    </main>
  );
}
