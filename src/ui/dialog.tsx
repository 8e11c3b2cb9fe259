'use client';

import { Dialog as HeadlessDialog, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

/** A sheet over the page: at the thumb on a phone, in the middle at a desk. */
export function Dialog({
  title,
  isOpen,
  onClose,
  isWide = false,
  children,
}: {
  title: string;
  isOpen: boolean;
  onClose(): void;
  /** Nearly the whole screen. */
  isWide?: boolean;
  children: ReactNode;
}) {
  // Not even its machinery while it is closed: a bench has several, and comes to life without them.
  if (!isOpen) return null;
  return (
    <HeadlessDialog open onClose={onClose} className="relative z-20">
      <div className="fixed inset-0 bg-ink/40" aria-hidden="true" />
      <div className="fixed inset-0 flex items-end justify-center sm:items-center sm:p-6">
        <DialogPanel
          className={`max-h-[92dvh] w-full overflow-y-auto border-2 border-rule bg-sheet p-4 sm:p-5 ${isWide ? 'max-w-[1240px]' : 'max-w-xl'}`}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <DialogTitle className="text-title font-semibold leading-tight">{title}</DialogTitle>
            <button type="button" className="button" onClick={onClose}>
              Close
            </button>
          </div>
          {children}
        </DialogPanel>
      </div>
    </HeadlessDialog>
  );
}
