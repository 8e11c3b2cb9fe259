import type { ReactNode } from 'react';

/** What a page is told beside its own work, over its lower corner, and under a dialog: nothing lies on its buttons. */
export const Told = ({ children }: { children: ReactNode }) => (
  <p
    role="status"
    className="no-print fixed inset-x-3 bottom-3 z-10 sm:left-auto flex items-center gap-3 border-2 border-rule bg-sheet px-3 py-2 text-small"
  >
    {children}
  </p>
);
