'use client';

import { useRouter } from 'next/navigation';

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
  return (
    <select
      className="field w-auto"
      aria-label="Technician"
      value={chosen}
      disabled={isFixed}
      onChange={(event) => {
        void fetch('/api/technician', {
          method: 'POST',
          body: JSON.stringify({ id: event.target.value }),
        }).then(() => router.refresh());
      }}
    >
      {technicians.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
