'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { chooseTechnician } from './choose-technician';

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
    const found = technicians.find((each) => each.id === id);
    const isTaken = found !== undefined && (await chooseTechnician(found));
    setLost(!isTaken);
    if (isTaken) router.refresh();
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
