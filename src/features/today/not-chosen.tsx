'use client';

import { useChooseTechnician } from './use-choose-technician';

/** On a device where nobody has said who works with it: entries go by the first name of the list until somebody does. */
export function NotChosen({
  technician,
}: {
  technician: { readonly id: string; readonly name: string };
}) {
  const { problem, choose } = useChooseTechnician();
  const { name } = technician;
  return (
    <div className="mx-5 mb-2 flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-rule pl-3">
      <p className="text-small font-medium">
        Nobody has said yet who works on this device: entries are written down as those of {name}.
        {problem && <span role="alert"> {problem}</span>}
      </p>
      <button type="button" className="button" onClick={() => void choose(technician, technician)}>
        I am {name}
      </button>
      <p className="text-small">Somebody else chooses a name above.</p>
    </div>
  );
}
