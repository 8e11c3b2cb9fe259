import type { ReactNode } from 'react';

/** What a page is told beside its own work, over its lower corner. */
export const Told = ({ children }: { children: ReactNode }) => (
  <p
    role="status"
    className="no-print fixed right-3 bottom-3 z-30 flex items-center gap-3 border-2 border-rule bg-sheet px-3 py-2 text-small"
  >
    {children}
  </p>
);
