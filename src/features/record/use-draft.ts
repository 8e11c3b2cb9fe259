'use client';

import { useCallback, useEffect, useState } from 'react';
import { readDraft, writeDraft } from '@/features/device/store';

/** Text that survives a reload: kept on this device with every key, cleared when it is entered. */
export function useDraft(key: string): [text: string, setText: (text: string) => void] {
  const [state, setState] = useState<{ key: string; text: string }>({ key, text: '' });
  useEffect(() => {
    let isGone = false;
    // A store that refuses keeps no draft; the page that has it open still does.
    void readDraft(key)
      .catch(() => '')
      .then((text) => {
        if (!isGone)
          setState((before) => (before.key === key && before.text !== '' ? before : { key, text }));
      });
    return () => {
      isGone = true;
    };
  }, [key]);
  const setText = useCallback(
    (text: string) => {
      setState({ key, text });
      void writeDraft(key, text).catch(() => undefined);
    },
    [key],
  );
  return [state.key === key ? state.text : '', setText];
}
