'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { tellTechnician } from '@/features/record/technician-chosen';

/** Who works on this device. */
export function TechnicianChoice({
  technicians,
  chosen,
  isFixed,
}: {
  technicians: readonly { readonly id: string; readonly name: string }[];
  chosen: string;
  /** True without connection: who works here is kept by the server. */
  isFixed: boolean;
}) {
  const router = useRouter();
  const [isLost, setLost] = useState(false);
  const choose = async (id: string) => {
    setLost(false);
    const response = await fetch('/api/technician', {
      method: 'POST',
      body: JSON.stringify({ id }),
    }).catch(() => undefined);
    if (!response?.ok) return setLost(true);
    router.refresh();
    tellTechnician(technicians.find((each) => each.id === id)?.name ?? '');
  };
  return (
    <>
      <select
        className="field w-auto"
        aria-label="Technician"
        value={chosen}
        disabled={isFixed}
        onChange={(event) => void choose(event.target.value)}
      >
        {technicians.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {isLost && (
        <span role="alert" className="text-small font-medium">
          Not changed: the server did not answer.
        </span>
      )}
    </>
  );
}
