'use client';

import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import { readDraft, writeDraft } from '@/features/device/store';
import { keepDraft, type DraftChange, type DraftKeeper } from './draft-keeper';

const kept = (key: string, tell: (text: string) => void): DraftKeeper =>
  keepDraft({
    // A store that refuses keeps no draft; the page that has it open still does. One that is slow is waited for: what it
    // has would be written over before it was read.
    read: () => readDraft(key).catch(() => ''),
    write: (text) => void writeDraft(key, text).catch(() => undefined),
    tell,
  });

/**
 * Text that survives a reload: kept on this device with every key, cleared when it is entered. A draft of several fields is
 * changed by a function of what it was: it may be typed into before the store has answered.
 */
export function useDraft(key: string): [text: string, setText: (by: DraftChange) => void] {
  const [state, setState] = useState<{ key: string; text: string }>({ key, text: '' });
  const open = useRef<{ readonly key: string; readonly keeper: DraftKeeper }>(undefined);
  // Before anything can be typed: what was typed while the page slept is handed over as soon as it is there.
  useLayoutEffect(() => {
    const keeper = kept(key, (text) => setState({ key, text }));
    open.current = { key, keeper };
    return () => keeper.leave();
  }, [key]);
  const setText = useCallback(
    (by: DraftChange) => {
      // What was entered under one key is often cleared once the next is already shown.
      const keeper = open.current?.key === key ? open.current.keeper : kept(key, () => undefined);
      keeper.change(by);
    },
    [key],
  );
  return [state.key === key ? state.text : '', setText];
}
