'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';

/** Of a longer table so many rows are drawn at its beginning and at its end: ten thousand take a device ten seconds. */
const drawnAtEachEnd = 200;

/** The rows of a table. Of a very long one the middle is left out until it is asked for; what is printed has all of it. */
export function ReportRows({
  rows,
  columnCount,
}: {
  rows: readonly ReactNode[];
  columnCount: number;
}) {
  const [isWhole, setIsWhole] = useState(false);
  const leftOut = rows.length - 2 * drawnAtEachEnd;
  const isCut = leftOut > 0 && !isWhole;
  useEffect(() => {
    if (!isCut) return;
    // Before the browser looks at what it prints.
    const drawAll = () => flushSync(() => setIsWhole(true));
    window.addEventListener('beforeprint', drawAll);
    return () => window.removeEventListener('beforeprint', drawAll);
  }, [isCut]);
  if (!isCut) return rows;
  return (
    <>
      {rows.slice(0, drawnAtEachEnd)}
      <tr className="border-b border-hair">
        <td colSpan={columnCount} className="py-3 text-center">
          <button type="button" className="button" onClick={() => setIsWhole(true)}>
            Show the {leftOut.toLocaleString('en')} readings between
          </button>
          <p className="mt-1 text-small text-ink-2">What is printed has all of them.</p>
        </td>
      </tr>
      {rows.slice(-drawnAtEachEnd)}
    </>
  );
}
