import type { ApplianceFamily } from '@/core/appliances';
import type { WalkedEntry } from '@/core/job-file';
import { logsOf } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { placeName } from '@/features/record/log-words';
import { PocketFindings } from '@/features/record/pocket-findings';
import { clockTime, longDate } from '@/features/record/words';
import { ReportLogChart } from './report-log-chart';

/** What was followed, as a chart and in words: the last log before and the last after the repair. */
export function ReportTemperatures({
  family,
  walked,
  system,
  timeZone,
}: {
  family: Pick<ApplianceFamily, 'pockets'>;
  walked: readonly WalkedEntry[];
  system: UnitSystem;
  timeZone: string | undefined;
}) {
  const courses = logsOf(walked).filter(({ channels }) =>
    channels.some(({ samples }) => samples.length > 1),
  );
  const shown = courses.filter(
    (each, k) => courses[k + 1]?.repairsBefore.length !== each.repairsBefore.length,
  );
  if (shown.length === 0) return null;
  return (
    <section className="mt-3" aria-labelledby="report-temperatures">
      <h2 id="report-temperatures" className="text-lead font-semibold">
        Temperatures
      </h2>
      {shown.map((course) => (
        <div key={course.log} className="break-inside-avoid">
          <p className="text-small">
            From {clockTime(course.startedAt, timeZone)}, {longDate(course.startedAt, timeZone)}:{' '}
            {course.channels
              .map(({ place, samples }) => {
                const all = samples.map(({ celsius }) => celsius);
                return `${placeName(place).toLowerCase()} ${valueText(Math.min(...all), 'temperature', system)} to ${valueText(Math.max(...all), 'temperature', system)}`;
              })
              .join('; ')}
            .
          </p>
          <ReportLogChart course={course} system={system} />
          <PocketFindings family={family} course={course} system={system} />
        </div>
      ))}
    </section>
  );
}
