import { Link } from '@/ui/link';
import { useFamily } from '@/features/record/family-context';

export type PhoneSheet = 'picture' | 'logbook' | 'other-check';

/** What a phone has no room for, one tap away. */
export function PhoneNav({
  jobId,
  entryCount,
  onOpen,
}: {
  jobId: string;
  entryCount: number;
  onOpen(sheet: PhoneSheet): void;
}) {
  const { flue } = useFamily();
  const sheets = [
    ['picture', 'Picture'],
    ['logbook', `Logbook ${entryCount}`],
    ['other-check', 'Others'],
  ] as const;
  return (
    <nav
      className="grid grid-cols-[repeat(6,auto)] border-t border-rule bg-paper lg:hidden"
      aria-label="More"
    >
      {sheets.map(([sheet, label]) => (
        <button
          key={sheet}
          type="button"
          className="min-h-11 min-w-11 text-small whitespace-nowrap underline underline-offset-4"
          onClick={() => onOpen(sheet)}
        >
          {label}
        </button>
      ))}
      <Link
        href={`/jobs/${jobId}/procedures`}
        className="flex min-h-11 min-w-11 items-center justify-center text-small underline underline-offset-4"
      >
        Steps
      </Link>
      <Link
        href={`/jobs/${jobId}/${flue ? 'combustion' : 'temperatures'}`}
        className="flex min-h-11 min-w-11 items-center justify-center text-small underline underline-offset-4"
      >
        {flue ? 'Flue gas' : 'Temp.'}
      </Link>
      <Link
        href={`/jobs/${jobId}/repair`}
        className="flex min-h-11 min-w-11 items-center justify-center text-small underline underline-offset-4"
      >
        Repair
      </Link>
    </nav>
  );
}
