'use client';

import { startTransition, useOptimistic } from 'react';
import { useChooseTechnician } from './use-choose-technician';

/** Who works on this device. */
export function TechnicianChoice({
  technicians,
  chosen,
}: {
  technicians: readonly { readonly id: string; readonly name: string }[];
  chosen: string;
}) {
  const { problem, choose } = useChooseTechnician();
  const [shown, show] = useOptimistic(chosen);
  return (
    <>
      <select
        className="field w-auto"
        aria-label="Technician"
        value={shown}
        onChange={(event) => {
          const [found, before] = [event.target.value, chosen].map((id) =>
            technicians.find((each) => each.id === id),
          );
          if (!found || !before) return;
          startTransition(async () => {
            show(found.id);
            await choose(found, before);
          });
        }}
      >
        {technicians.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {problem && (
        <span role="alert" className="text-small font-medium">
          {problem}
        </span>
      )}
    </>
  );
}
