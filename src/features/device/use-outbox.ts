'use client';

import { useSyncExternalStore } from 'react';
import { emptyOutbox, onOutboxChange, presentOutbox, type Outbox } from './outbox-state';

/** What waits on this device; nothing while the server draws the page. */
export const useOutbox = (): Outbox =>
  useSyncExternalStore(onOutboxChange, presentOutbox, emptyOutbox);
