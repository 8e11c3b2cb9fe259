import type { LoggedCourse } from '@/core/job-file';
import { clockWords } from '@/core/procedures';
import { valueText, type UnitSystem } from '@/core/quantities';
import { celsiusAt } from '@/core/thermal';
import { placeName } from '@/features/record/log-words';
import { eventWords } from './chart-options';

/** Rows of the table: more nobody reads, and the chart has them all. */
const mostRows = 13;

/** What the chart shows, for whoever reads and does not look. */
export function LogTable({ course, system }: { course: LoggedCourse; system: UnitSystem }) {
  const last = Math.max(0, ...course.channels.map(({ samples }) => samples.at(-1)!.second));
  const step = Math.max(60, Math.ceil(last / (mostRows - 1) / 60) * 60);
  const seconds = Array.from({ length: Math.floor(last / step) + 1 }, (_, k) => k * step);
  if (last % step > 1) seconds.push(last);
  return (
    <details className="mt-2">
      <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        As a table
      </summary>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Readings of the log">
        <table className="w-full text-left">
          <thead>
            <tr className="border-b-2 border-rule">
              <th scope="col" className="py-1 pr-3 font-semibold">
                Time
              </th>
              {course.channels.map(({ place }) => (
                <th key={place} scope="col" className="py-1 pr-3 font-semibold">
                  {placeName(place)}
                </th>
              ))}
              <th scope="col" className="py-1 font-semibold">
                Done
              </th>
            </tr>
          </thead>
          <tbody>
            {seconds.map((second) => (
              <tr key={second} className="border-b border-hair">
                <th scope="row" className="py-1 pr-3 font-normal">
                  {clockWords(second)}
                </th>
                {course.channels.map(({ place, samples }) => {
                  const celsius = celsiusAt(samples, second, 3600);
                  return (
                    <td key={place} className="py-1 pr-3">
                      {celsius === undefined ? '' : valueText(celsius, 'temperature', system)}
                    </td>
                  );
                })}
                <td className="py-1">
                  {course.events
                    .filter((each) => each.second > second - step && each.second <= second)
                    .map(eventWords)
                    .join(', ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
