import { Link } from '@/ui/link';
import { FromDevice } from '@/features/without-server/from-device';

/** No such address at the server; a job that was opened without signal is still on its way there. */
export default function NotFoundPage() {
  return <FromDevice otherwise={<Nothing />} />;
}

function Nothing() {
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
