'use client';

import { useEffect } from 'react';

/** A hardware keyboard at a desk: digits, point, O for over range, k, Backspace, Enter. */
export function useDeskKeys({
  isActive,
  goesOver,
  hasOhms,
  text,
  change,
  enterReading,
}: {
  isActive: boolean;
  goesOver: boolean;
  hasOhms: boolean;
  text: string;
  change(text: string): void;
  enterReading(): void;
}) {
  useEffect(() => {
    if (!isActive) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const target = event.target as HTMLElement;
      if (target.closest('input, textarea, select, [role=dialog]')) return;
      if (event.key === 'Enter') {
        // A key that is held down would enter what stands at the next check as well.
        if (event.repeat || target.closest('button, a')) return;
        enterReading();
      } else if (/^[\d.,\-]$/.test(event.key)) change(text === 'OL' ? event.key : text + event.key);
      else if (event.key === 'Backspace') change(text === 'OL' ? '' : text.slice(0, -1));
      else if (goesOver && /^o$/i.test(event.key)) change('OL');
      else if (hasOhms && /^[kM]$/.test(event.key) && text !== '') change(text + event.key);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [isActive, goesOver, hasOhms, text, change, enterReading]);
}
