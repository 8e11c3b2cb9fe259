import { Link } from './link';
import type { ReactNode } from 'react';
import { Wordmark } from './marks';

/** The bar of a page that is not the bench; `note` is what every page says on its right. */
export function PageBar({ children, note }: { children?: ReactNode; note?: ReactNode }) {
  return (
    <header className="no-print relative flex min-h-14 flex-wrap items-center gap-3 border-b-2 border-rule bg-paper px-4 py-1.5">
      <Link href="/" className="flex min-h-11 items-center pr-2" aria-label="Ohmmeter, all jobs">
        <Wordmark />
      </Link>
      {children}
      {note}
    </header>
  );
}
