'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { inTime, readDraft, writeDraft } from '@/features/device/store';
import { keepDraft, type DraftChange, type DraftKeeper } from './draft-keeper';

/**
 * Text that survives a reload: kept on this device with every key, cleared when it is entered. A draft of several fields is
 * changed by a function of what it was: it may be typed into before the store has answered.
 */
export function useDraft(key: string): [text: string, setText: (by: DraftChange) => void] {
  const [state, setState] = useState<{ key: string; text: string }>({ key, text: '' });
  const keeper = useRef<DraftKeeper>(undefined);
  useEffect(() => {
    const own = keepDraft({
      // A store that refuses keeps no draft; the page that has it open still does.
      read: () => inTime(readDraft(key)).catch(() => ''),
      write: (text) => void writeDraft(key, text).catch(() => undefined),
      tell: (text) => setState({ key, text }),
    });
    keeper.current = own;
    return () => own.leave();
  }, [key]);
  const setText = useCallback((by: DraftChange) => keeper.current?.change(by), []);
  return [state.key === key ? state.text : '', setText];
}
