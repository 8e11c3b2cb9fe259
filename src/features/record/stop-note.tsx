import type { Stop } from '@/core/appliances';
import { WarningSign } from '@/ui/signs';

/** What ends the diagnosis, above everything else: what it is, and what to do, in order. */
export function StopNote({ stop: { title, steps }, until }: { stop: Stop; until: string }) {
  return (
    <section
      role="alert"
      aria-label={title}
      className="border-b-4 border-rule bg-well px-4 py-3 lg:px-5"
    >
      <h2 className="flex items-center gap-3 text-title font-semibold">
        <WarningSign />
        {title}
      </h2>
      <ol className="mt-1 list-inside list-decimal text-lead">
        {steps.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ol>
      <p className="mt-1 text-small text-ink-2">{until}</p>
    </section>
  );
}
