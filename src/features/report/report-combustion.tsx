import { familyOfJob } from '@/core/appliances';
import { flueSheet, type FlueReading } from '@/core/flue-sheet';
import type { JobFile, WalkedEntry } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { burnerLookWords, outcomeWords, percentText } from '@/features/combustion/combustion-words';
import { clockTime } from '@/features/record/words';

/** Analyses of a job side by side: as found and after the repair, at high fire and at low. */
export function ReportCombustion({
  job,
  walked,
  system,
}: {
  job: JobFile;
  walked: readonly WalkedEntry[];
  system: UnitSystem;
}) {
  const sheet = flueSheet(familyOfJob(job), job, walked);
  const burners = walked.flatMap(({ entry }) =>
    entry.kind === 'observation' && entry.burners ? [{ entry, rows: entry.burners }] : [],
  );
  if (!sheet || sheet.readings.length + burners.length === 0) return null;
  return (
    <section className="mt-3 border-b border-hair pb-3" aria-labelledby="report-combustion">
      <h2 id="report-combustion" className="text-lead font-semibold">
        Combustion
      </h2>
      {burners.map(({ entry, rows }) => (
        <p key={entry.id} className="text-small">
          {clockTime(entry.at, job.job.timeZone)}, {rows.map(burnerLookWords).join('; ')}.
        </p>
      ))}
      <div className={sheet.readings.length === 0 ? 'hidden' : 'overflow-x-auto'}>
        <table className="w-full text-left text-small">
          <thead>
            <tr>
              {['', 'O2', 'CO', 'CO free of air', 'flue', 'loss', 'net', ''].map((title, k) => (
                <th key={k} scope="col" className="pr-3 font-medium">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.readings.map((reading) => (
              <Row key={reading.entryId} job={job} reading={reading} system={system} />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Row({
  job,
  reading: { at, fire, isAfterRepair, worked, problem, isStop, read },
  system,
}: {
  job: JobFile;
  reading: FlueReading;
  system: UnitSystem;
}) {
  const ppm = (value: number) => valueText(value, 'ppm', system);
  return (
    <tr className="border-t border-hair align-baseline">
      <th scope="row" className="py-1 pr-3 font-medium">
        {isAfterRepair ? 'after' : 'as found'}, {fire} fire, {clockTime(at, job.job.timeZone)}
      </th>
      {worked?.outcome === 'no-flame' ? (
        <td colSpan={6} className="pr-3">
          O2 {percentText(worked.result.oxygenPercent)}: air, of which nothing follows; CO{' '}
          {ppm(worked.analysis.carbonMonoxidePpm)} in it
        </td>
      ) : worked ? (
        <>
          <td className="pr-3">{percentText(worked.result.oxygenPercent)}</td>
          <td className="pr-3">{ppm(worked.analysis.carbonMonoxidePpm)}</td>
          <td className="pr-3">{ppm(worked.result.carbonMonoxideAirFreePpm)}</td>
          <td className="pr-3">{valueText(worked.analysis.flueCelsius, 'temperature', system)}</td>
          <td className="pr-3">{percentText(worked.result.flueLossPercent)}</td>
          <td className="pr-3">{percentText(worked.result.netPercent)}</td>
        </>
      ) : (
        <td colSpan={6} className="pr-3">
          {read.carbonMonoxidePpm !== undefined && `CO ${ppm(read.carbonMonoxidePpm)}. `}
          {problem}
        </td>
      )}
      <td className="font-semibold">
        {isStop ? 'stopped' : worked && outcomeWords[worked.outcome].toLowerCase()}
      </td>
    </tr>
  );
}
