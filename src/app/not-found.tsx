import Link from 'next/link';

export default function NotFoundPage() {
  return (
    <main className="mx-auto max-w-xl p-6">
      <h1 className="text-title-l font-semibold">Nothing here</h1>
      <p className="mt-3 text-lead">
        This firm has no job at this address. It may have been mistyped.
      </p>
      <Link href="/" className="button button-act mt-5">
        All jobs
      </Link>
    </main>
  );
}
