'use client';

import { useState } from 'react';
import { wrongVerdictMinutes } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import { repairOrReplace, type FirmPrices, type RepairOrReplace } from '@/core/replacement';
import { dayOf, dueOfJob, type FirmIntervals } from '@/core/service';
import { useFamily, useWords } from '@/features/record/family-context';
import { percent } from '@/features/record/words';
import type { JobRecord } from '@/features/record/use-job-record';
import { Dialog } from '@/ui/dialog';
import { WarningSign } from '@/ui/signs';

/** Minutes of a service that is done with the repair. Common practice. */
const serviceMinutes = 40;

/** Repair or replace, in figures: the firm's prices, the unit's age, what else is due. The decision is the technician's. */
export function ReplaceFigures({
  record,
  repair,
  prices,
  intervals,
}: {
  record: Pick<JobRecord, 'job' | 'append'>;
  repair: string;
  prices: FirmPrices;
  intervals: FirmIntervals;
}) {
  const [isOpen, setOpen] = useState(false);
  const figures = useFigures(record.job, repair, prices, intervals);
  const decide = (reason: string) => {
    setOpen(false);
    void record.append({ kind: 'status', status: 'repairing', reason });
  };
  return (
    <>
      {(figures.isOld || figures.mustReplace) && (
        <p className="mt-3 flex items-center gap-2.5 font-medium">
          <WarningSign />
          {figures.mustReplace
            ? 'A tank that leaks is not repaired: a new heater.'
            : `At ${Math.floor(figures.ageYears!)} years put a new heater beside the repair.`}
        </p>
      )}
      <button type="button" className="button mt-3 w-full" onClick={() => setOpen(true)}>
        Repair or replace, in figures
      </button>
      <Dialog title="Repair or replace" isOpen={isOpen} onClose={() => setOpen(false)}>
        <Figures figures={figures} />
        <div className="mt-3 grid gap-2 sm:grid-cols-2">
          <button
            type="button"
            className="button min-h-14"
            disabled={figures.mustReplace}
            onClick={() => decide(`repair chosen: ${sums(figures)}`)}
          >
            Repair it
          </button>
          <button
            type="button"
            className="button min-h-14"
            onClick={() => decide(`new heater put to the customer: ${sums(figures)}`)}
          >
            Put a new one to the customer
          </button>
        </div>
      </Dialog>
    </>
  );
}

const money = (value: number) => String(Math.round(value));

const sums = ({ keep, replace, years }: RepairOrReplace) =>
  `${money(keep)} to keep it ${years} years, ${money(replace)} for ${years} years of a new one`;

function Figures({ figures }: { figures: RepairOrReplace }) {
  const { years, ageYears, lifeYears } = figures;
  const rows: readonly (readonly [string, number])[] = [
    ['This repair', figures.repairNow],
    ['What else is due, done with it', figures.alsoDue],
    [
      `Failures to be expected in ${years} years (${figures.expectedFailureCount.toFixed(1)})`,
      figures.expectedFailures,
    ],
    [
      `A heater after all: its tank goes in ${percent(figures.tankDies)} of 100`,
      figures.keep - figures.repairNow - figures.alsoDue - figures.expectedFailures,
    ],
  ];
  return (
    <>
      <p className="mb-2">
        {ageYears === undefined
          ? `Nobody knows its age: taken as ${lifeYears / 2} years, the middle of a usual life of ${lifeYears}.`
          : `${ageYears.toFixed(1)} years old; half of such tanks are replaced by ${lifeYears}.`}
      </p>
      <table className="w-full">
        <caption className="sr-only">What keeping it costs</caption>
        <tbody>
          {rows.map(([label, value]) => (
            <tr key={label} className="border-b border-hair">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                {label}
              </th>
              <td className="text-right">{money(value)}</td>
            </tr>
          ))}
          <tr className="border-b-2 border-rule font-semibold">
            <th scope="row" className="py-1 text-left">
              Keeping it {years} years
            </th>
            <td className="text-right">{money(figures.keep)}</td>
          </tr>
          <tr className="font-semibold">
            <th scope="row" className="py-1 text-left">
              {years} years of a new one
            </th>
            <td className="text-right">{money(figures.replace)}</td>
          </tr>
        </tbody>
      </table>
      <p className="mt-2 text-small text-ink-2">
        Next to fail, by how often such heaters do:{' '}
        {figures.nextFailures
          .map(({ words, share }) => `${words} (${percent(share)} %)`)
          .join(', ')}
        . Prices are the firm&apos;s where it has set them; lives and failures are common practice,
        no statistic.
      </p>
    </>
  );
}

function useFigures(
  job: JobFile,
  repair: string,
  prices: FirmPrices,
  intervals: FirmIntervals,
): RepairOrReplace {
  const family = useFamily();
  const words = useWords();
  const { faultWeights, wrongVerdict } = family.parameters;
  const costs = (id: string) => ({
    minutes: wrongVerdict.repairs?.[id]?.minutes ?? wrongVerdictMinutes({ minutes: 30 }, id),
    partPrice: wrongVerdict.repairs?.[id]?.partPrice ?? 0,
  });
  const weights = new Map<string, number>();
  for (const [fault, ends] of Object.entries(family.names.faults)) {
    if (ends === 'none-in-unit' || ends === 'replace-heater') continue;
    weights.set(ends, (weights.get(ends) ?? 0) + (faultWeights[fault] ?? 0));
  }
  const now = new Date();
  const installed = dayOf(job.unit.installed);
  return repairOrReplace({
    burnsGas: family.burnsGas,
    ageYears:
      installed === undefined
        ? undefined
        : Math.max(0, (now.getTime() - Date.parse(installed)) / 31_557_600_000),
    tankLeaks: repair === 'replace-heater',
    repair: { id: repair, ...costs(repair) },
    alsoDue: dueOfJob(job, family, now, intervals)
      .filter(({ isDue, service }) => isDue && !service.isAdvice && service.procedure !== undefined)
      .map(({ service }) => ({ title: service.title, minutes: serviceMinutes })),
    failures: [...weights].map(([id, weight]) => ({
      words: words.suspect(id).toLowerCase(),
      weight,
      ...costs(id),
    })),
    prices,
  });
}
