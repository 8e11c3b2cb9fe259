'use client';

import { useEffect } from 'react';
import { askServerAgain, loadStandIn } from '@/features/without-server/server-again';

/**
 * A page that could not be shown: mostly a database that does not answer. The device's own page takes its place where there is
 * one; elsewhere it is asked for until it comes.
 */
export default function ErrorPage({ error }: { error: Error & { digest?: string } }) {
  // What failed at the server has a digest instead of words.
  const isOfServer = error.digest !== undefined;
  useEffect(() => (isOfServer && !loadStandIn() ? askServerAgain() : undefined), [isOfServer]);
  return (
    <main className="mx-auto max-w-xl p-6">
      <h1 className="text-title-l font-semibold">This page could not be read</h1>
      <p className="mt-3 text-lead">
        {isOfServer
          ? 'The server or its database does not answer, or its disk is full. What you entered is kept on this device and is sent by itself when they do. This page comes then.'
          : 'Something in this page failed. What you entered is kept on this device.'}
      </p>
      {isOfServer && (
        <p className="mt-3">At the server, look for room on its disk, and run ./ohmmeter start.</p>
      )}
      <button
        type="button"
        className="button button-act mt-5"
        onClick={() => window.location.reload()}
      >
        Try again
      </button>
    </main>
  );
}
