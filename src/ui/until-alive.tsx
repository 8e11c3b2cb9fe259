'use client';

import { useSyncExternalStore, type ReactNode } from 'react';

const never = () => () => undefined;

/** Whether the page listens yet: what a server drew is seen before anybody takes what is typed into it. */
export const useIsAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/** Fields that take nothing before the page listens: what was typed too soon would be lost. */
export function UntilAlive({ children }: { children: ReactNode }) {
  return (
    <fieldset disabled={!useIsAlive()} className="contents">
      {children}
    </fieldset>
  );
}
