'use client';

import { useCallback, useMemo } from 'react';
import type { DraftChange } from './draft-keeper';
import { keptReading, readingDraft } from './reading-draft';
import { usePresentTechnician } from './technician-context';
import { useDraft } from './use-draft';

/** What is typed into a field of a reading, how it is changed, and when it was typed. */
export type TypedReading = readonly [text: string, setText: (by: DraftChange) => void, at?: number];

/** A draft of a reading: it survives a reload as any draft, and is shown to who typed it alone. */
export function useReadingDraft(key: string): TypedReading {
  const { id: by } = usePresentTechnician();
  const [kept, keep] = useDraft(key);
  const { text, at } = useMemo(() => readingDraft(kept, by), [kept, by]);
  const setText = useCallback(
    (change: DraftChange) => keep(keptReading(change, by, Date.now())),
    [keep, by],
  );
  return [text, setText, at];
}
