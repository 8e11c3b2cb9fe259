import { dateWords } from '@/features/record/date-words';
import type { DueUnit } from '@/server/service-due';

/** Units whose service is due or comes due within a month, the most overdue first. */
export function DueUnits({ units, timeZone }: { units: readonly DueUnit[]; timeZone: string }) {
  if (units.length === 0) return null;
  return (
    <section aria-labelledby="due-units" className="mb-6 px-5">
      <h2
        id="due-units"
        className="flex flex-wrap items-center gap-3 border-b-[1.5px] border-rule pb-1.5 text-lead font-semibold"
      >
        Due for service
        <a href="/api/service/calendar" className="button ml-auto text-small font-medium">
          Dates as a calendar
        </a>
      </h2>
      <ul>
        {units.map((unit) => (
          <li
            key={unit.unitId}
            className="border-b border-hair py-2 lg:grid lg:grid-cols-[minmax(0,1fr)_minmax(0,2fr)] lg:gap-5"
          >
            <span className="block leading-tight">
              <span className="font-semibold">{unit.customer}</span>
              <span className="block text-small text-ink-2">
                {unit.address} · {unit.title}
              </span>
            </span>
            <ul className="mt-1 flex flex-wrap gap-x-5 gap-y-0.5 lg:mt-0">
              {unit.due.map(({ id, title, dueAt, isDue }) => (
                <li key={id} className={isDue ? 'font-medium' : 'text-ink-2'}>
                  {title}{' '}
                  <span className="text-small text-ink-2">
                    {isDue ? 'since' : 'on'} {dateWords('medium', dueAt!, timeZone)}
                  </span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
