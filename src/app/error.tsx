'use client';

/** A page that could not be shown: mostly a database that does not answer. */
export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl p-6">
      <h1 className="text-title-l font-semibold">This page could not be read</h1>
      <p className="mt-3 text-lead">
        The server or its database does not answer. What you entered is kept on this device and is
        sent by itself when they do.
      </p>
      <p className="mt-3">At the server, run ./ohmmeter start, then try again.</p>
      <button type="button" className="button button-act mt-5" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
