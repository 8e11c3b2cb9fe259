import type { ReactNode } from 'react';
import { familyOfJob } from '@/core/appliances';
import { diagnoseJob, goodOf, isGoodResult, proofOf, type GoodReading } from '@/core/job-diagnosis';
import { inOrder, walkEntries, type Entry, type JobFile, type JobState } from '@/core/job-file';
import { showValue, valueText, type UnitSystem } from '@/core/quantities';
import type { Organisation } from '@/database/technicians';
import { MiniRuler } from '@/features/bench/logbook';
import { wordsOf, type FamilyWords } from '@/features/record/family-words';
import {
  capital,
  clockTime,
  complaintWords,
  longDate,
  percent,
  plateWords,
  shownParts,
  takenWords,
} from '@/features/record/words';
import { CrossedBox, Tick } from '@/ui/marks';
import { ElectricitySign, HotSign, NoResetSign } from '@/ui/signs';
import { ReportPicture } from './report-picture';
import { ScaldStrip } from './scald-strip';

/** The report that the customer gets: readings with their bands, verdict, work, settings, cautions, what is next. */
export function Report({ job, organisation }: { job: JobFile; organisation: Organisation }) {
  const system = organisation.unitSystem;
  const open = diagnoseJob(job);
  const { state } = open;
  const zone = job.job.timeZone;
  const last = inOrder(job.entries).at(-1);
  return (
    <article className="mx-auto max-w-[860px] bg-sheet px-6 py-6 print:max-w-none print:p-0 print:[zoom:0.84]">
      <header className="flex items-end justify-between gap-4 border-b-2 border-rule pb-3">
        <div>
          <h1 className="text-title-l leading-tight font-semibold">Test and repair report</h1>
          <p>
            {organisation.name}, {organisation.address}
          </p>
        </div>
        <div className="text-right">
          <p className="text-[40px] leading-none font-semibold">{job.job.number}</p>
          <p className="text-small">
            {longDate(job.job.openedAt ?? new Date(), zone)}
            {job.job.openedAt && `, ${clockTime(job.job.openedAt, zone)}`}
            {last && ` to ${clockTime(last.at, zone)}`}
          </p>
        </div>
      </header>
      <Heading job={job} />
      <VerdictBlock
        job={job}
        state={state}
        suspects={state.verdict?.suspects ?? open.answer.suspects}
        decided={open.answer.decided}
        system={system}
      />
      <ReportPicture
        job={job}
        open={open}
        repair={state.verdict?.repair ?? open.answer.suspects[0]?.repair}
      />
      <Readings job={job} system={system} />
      <Work job={job} state={state} />
      <SettingsBlock job={job} state={state} system={system} />
      <div className="mt-4 grid gap-6 sm:grid-cols-2 print:grid-cols-2">
        <Cautions state={state} />
        <NextSteps job={job} state={state} />
      </div>
      <footer className="mt-5 border-t border-rule pt-2 text-small text-ink-2">
        Local codes and licensed practice decide. Every entry, its time and its corrections are in
        job file {job.job.number}.
      </footer>
    </article>
  );
}

function Heading({ job }: { job: JobFile }) {
  const { site, unit, complaint, people } = job;
  const person = people?.[0];
  return (
    <section
      className="grid gap-4 border-b border-hair py-3 text-small sm:grid-cols-3 print:grid-cols-3"
      aria-label="For, unit, by"
    >
      <div>
        <h2 className="font-semibold">For</h2>
        {site?.customer}, {site?.address}
        <br />
        {complaint?.words
          ? `“${complaint.words}”`
          : capital(complaintWords[complaint?.kind ?? 'other'] ?? '')}
      </div>
      <div>
        <h2 className="font-semibold">Unit</h2>
        {[unit.make, unit.model].filter(Boolean).join(' ') || 'Storage heater'},{' '}
        {familyOfJob(job).title.toLowerCase()}
        <br />
        {plateWords(job)}
        {unit.installed && `, installed ${unit.installed}`}
        {unit.serial && (
          <>
            <br />
            serial {unit.serial}
          </>
        )}
      </div>
      <div>
        <h2 className="font-semibold">By</h2>
        {person?.name}
        {person?.licence && `, licence ${person.licence}`}
        <br />
        {(job.instruments ?? [])
          .map(({ kind, leads }) =>
            leads?.ohm === undefined ? kind : `${kind}, leads ${leads.ohm} Ω`,
          )
          .join('; ')}
      </div>
    </section>
  );
}

interface ShownSuspect {
  readonly repair: string;
  readonly probability: number;
  readonly faults?: readonly { readonly id: string; readonly probability: number }[];
  readonly why?: readonly { readonly entry: string; readonly decibans: number }[];
}

function VerdictBlock({
  job,
  state,
  suspects,
  decided,
  system,
}: {
  job: JobFile;
  state: JobState;
  suspects: readonly ShownSuspect[];
  decided: boolean;
  system: UnitSystem;
}) {
  const words = wordsOf(familyOfJob(job));
  const chosen = suspects.find((each) => each.repair === state.verdict?.repair) ?? suspects[0];
  if (!chosen) return null;
  const others = suspects.filter((each) => each !== chosen && each.probability > 0.003).slice(0, 2);
  const telling = [...(chosen.why ?? [])]
    .filter((each) => each.decibans > 1)
    .sort((one, other) => other.decibans - one.decibans)
    .slice(0, 3);
  return (
    <section className="flex gap-6 border-b border-hair py-3" aria-labelledby="report-verdict">
      <div className="min-w-0 flex-1">
        <h2 id="report-verdict" className="text-title leading-tight font-semibold text-balance">
          {headline(words, job, state, chosen, decided)}
        </h2>
        {telling.length > 0 && (
          <p className="mt-1">
            Because: {telling.map((each) => words.evidence(job, each.entry, system)).join('; ')}.
          </p>
        )}
      </div>
      <div className="w-40 shrink-0 border-l border-hair pl-4">
        <p className="text-[52px] leading-none font-semibold">
          {percent(chosen.probability)}
          <span className="text-title"> %</span>
        </p>
        <p className="text-small">
          {state.repairsDone.length > 0 ? 'sure before the repair' : 'sure'}
          {others.length > 0 && (
            <>
              ;{' '}
              {others
                .map(
                  (each) =>
                    `${words.suspect(each.repair).toLowerCase()} ${percent(each.probability)} %`,
                )
                .join(', ')}
            </>
          )}
        </p>
      </div>
    </section>
  );
}

function headline(
  words: FamilyWords,
  job: JobFile,
  state: JobState,
  chosen: ShownSuspect,
  decided: boolean,
): string {
  const fault = chosen.faults?.[0];
  const found = `${words.suspect(chosen.repair)}${fault ? `: ${words.fault(fault.id)}` : ''}.`;
  const status = state.status?.status;
  if (state.repairsDone.length === 0) {
    if (status === 'waiting-for-part') return `${found} Waiting for a part.`;
    if (status === 'closed-not-repaired') return `${found} Not repaired.`;
    return state.verdict || decided
      ? found
      : `Not decided yet. Most likely: ${found.toLowerCase()}`;
  }
  const held = proofOf(job).some((each) => each.good);
  return `${found} ${held ? 'Repaired, and the repair held.' : 'Repaired, not proved by a reading.'}`;
}

interface ReportLine {
  readonly entry: Entry;
  readonly good: GoodReading | undefined;
  readonly isAfterRepair: boolean;
  readonly struck?: Entry;
}

function linesOf(job: JobFile): ReportLine[] {
  const family = familyOfJob(job);
  return walkEntries(job.entries, family.catalogue).flatMap(({ entry, before }): ReportLine[] => {
    const isResult =
      entry.kind === 'reading' ||
      entry.kind === 'observation' ||
      (entry.kind === 'action' && entry.action === 'proved-dead');
    if (!isResult) return [];
    const corrected = job.entries.some(
      (each) => each.kind === 'correction' && each.replaces === entry.id,
    );
    return [
      {
        entry,
        good: goodOf(family, job, entry, before),
        isAfterRepair: before.repairsDone.length > 0,
        struck: corrected ? job.entries.find((each) => each.id === entry.id) : undefined,
      },
    ];
  });
}

function Readings({ job, system }: { job: JobFile; system: UnitSystem }) {
  const lines = linesOf(job);
  if (lines.length === 0) return null;
  const groups = [
    { title: undefined, lines: lines.filter((each) => !each.isAfterRepair) },
    { title: 'Proving, after the repair', lines: lines.filter((each) => each.isAfterRepair) },
  ].filter((each) => each.lines.length > 0);
  return (
    <section className="mt-3" aria-labelledby="report-readings">
      <h2 id="report-readings" className="text-lead font-semibold">
        Readings
      </h2>
      <div
        className="overflow-x-auto print:overflow-visible"
        tabIndex={0}
        role="group"
        aria-label="Table of readings"
      >
        <table className="w-full min-w-[620px] border-collapse print:min-w-0">
          <thead>
            <tr className="border-b-[1.5px] border-rule text-left text-small text-ink-2">
              <th className="pr-3 font-normal">time</th>
              <th className="font-normal">what was touched</th>
              <th className="pr-5 text-right font-normal">reading</th>
              <th className="w-40 font-normal">on its ruler</th>
              <th className="pl-4 font-normal">good from, to</th>
              <th className="font-normal">so</th>
            </tr>
          </thead>
          {groups.map(({ title, lines: own }) => (
            <tbody key={title ?? 'before'}>
              {title && (
                <tr className="border-y border-rule">
                  <th colSpan={6} className="py-1 text-left text-small font-semibold">
                    {title}
                  </th>
                </tr>
              )}
              {own.map((line) => (
                <ReadingRow key={line.entry.id} job={job} line={line} system={system} />
              ))}
            </tbody>
          ))}
        </table>
      </div>
    </section>
  );
}

function ReadingRow({ job, line, system }: { job: JobFile; line: ReportLine; system: UnitSystem }) {
  const { entry, good, struck } = line;
  const words = wordsOf(familyOfJob(job));
  const judged = good && isGoodResult(good, entry);
  const taken = takenWords(entry, job);
  const shown =
    entry.kind === 'reading' && entry.value ? shownParts(entry.value, system) : undefined;
  return (
    <tr className="border-b border-hair align-middle">
      <td className="py-1 pr-3 text-small">{clockTime(entry.at, job.job.timeZone)}</td>
      <td className="py-1 leading-tight">
        {words.title(entry)}
        {taken && <span className="text-small text-ink-2"> ({taken})</span>}
        {struck && (
          <span className="block text-small text-ink-2">
            corrected, was <s>{words.result(struck, system)}</s>
          </span>
        )}
      </td>
      <td className="py-1 pr-5 text-right text-[20px] leading-tight font-semibold text-act">
        {shown ? (
          <>
            {shown.number} <span className="text-body">{shown.symbol}</span>
          </>
        ) : (
          <span className="text-body">{words.result(entry, system)}</span>
        )}
      </td>
      <td className="py-1">
        <MiniRuler job={job} entry={entry} system={system} />
      </td>
      <td className="py-1 pl-4 text-small">{goodText(job, entry, good, system)}</td>
      <td className="py-1 text-small">
        {judged !== undefined && (
          <span className="inline-flex items-center gap-1.5">
            {judged ? <Tick /> : entry.kind === 'reading' && <CrossedBox />}
            {judged ? (
              'good'
            ) : (
              <strong className="font-semibold">
                {entry.kind === 'reading' ? 'outside' : 'telling'}
              </strong>
            )}
          </span>
        )}
      </td>
    </tr>
  );
}

function goodText(
  job: JobFile,
  entry: Entry,
  good: GoodReading | undefined,
  system: UnitSystem,
): ReactNode {
  const family = familyOfJob(job);
  if (!good || entry.kind === 'action') return null;
  if (good.kind === 'over-range') return 'over range';
  if (good.kind === 'outcome')
    return entry.kind === 'observation'
      ? wordsOf(family).result({ ...entry, value: good.outcome }, system)
      : null;
  if (entry.kind !== 'reading') return null;
  const quantity =
    (family.isCheckId(entry.check) && family.check(entry.check).quantity) || entry.quantity;
  if (!quantity) return null;
  return `${showValue(good.from, quantity, system).number} to ${valueText(good.to, quantity, system)}`;
}

function Work({ job, state }: { job: JobFile; state: JobState }) {
  const words = wordsOf(familyOfJob(job));
  const fitted = [...state.parts].map(([part, action]) => `${part}: ${action}`);
  const wires = job.entries.filter((each) => each.kind === 'wire').length;
  if (state.repairsDone.length === 0 && fitted.length === 0) return null;
  return (
    <section className="mt-3 border-b border-hair pb-3" aria-labelledby="report-work">
      <h2 id="report-work" className="text-lead font-semibold">
        Work
      </h2>
      {state.repairsDone.map((each) => (
        <p key={each}>{words.order(each)}: done.</p>
      ))}
      {fitted.length > 0 && <p>Parts. {capital(fitted.join('; '))}.</p>}
      <p>
        {state.lifted.length === 0
          ? wires > 0
            ? `${wires} wires noted before lifting; all back on their terminals.`
            : 'All wires on their terminals.'
          : `Still lifted: ${state.lifted.map((each) => words.wire(each.wire)).join(', ')}.`}
      </p>
    </section>
  );
}

function SettingsBlock({
  job,
  state,
  system,
}: {
  job: JobFile;
  state: JobState;
  system: UnitSystem;
}) {
  const celsius = (setting: string, as: 'found' | 'left') => {
    const value = state.settings.get(setting)?.[as];
    return typeof value === 'object' ? value.celsius : undefined;
  };
  const dials = familyOfJob(job).thermostats.map(({ setting, label }) => ({
    label,
    found: celsius(setting, 'found'),
    left: celsius(setting, 'left'),
  }));
  if (dials.every((each) => each.found === undefined && each.left === undefined)) return null;
  const show = (value: number) => valueText(value, 'temperature', system);
  return (
    <section className="mt-3" aria-labelledby="report-settings">
      <h2 id="report-settings" className="text-lead font-semibold">
        Settings
      </h2>
      <p className="flex flex-wrap gap-x-8">
        {dials.map(({ label, found, left }) => (
          <span key={label}>
            {label}{' '}
            {found !== undefined && (left === undefined || left !== found) && (
              <span className={left === undefined ? '' : 'line-through'}>{show(found)}</span>
            )}{' '}
            {left !== undefined && (
              <strong className="text-[20px] font-semibold text-act">{show(left)}</strong>
            )}
          </span>
        ))}
        <span className="text-small text-ink-2">Struck: as found.</span>
      </p>
      <ScaldStrip
        system={system}
        found={dials.flatMap((each) => (each.found === undefined ? [] : [each.found]))}
        left={dials.flatMap((each) => (each.left === undefined ? [] : [each.left]))}
      />
    </section>
  );
}

function Cautions({ state }: { state: JobState }) {
  return (
    <section aria-labelledby="report-cautions" className="break-inside-avoid">
      <h2 id="report-cautions" className="text-lead font-semibold">
        Take care
      </h2>
      <ul className="space-y-2 text-small">
        <li className="flex items-center gap-3">
          <HotSign />
          <span>
            <strong className="font-semibold">Hot water can scald.</strong> Test with a hand before
            a child or an old person bathes.
          </span>
        </li>
        <li className="flex items-center gap-3">
          <NoResetSign />
          <span>
            <strong className="font-semibold">Do not press reset again and again.</strong> If it
            trips, call: something else has failed.
          </span>
        </li>
        <li className="flex items-center gap-3">
          <ElectricitySign />
          <span>
            <strong className="font-semibold">Live parts behind the covers.</strong> Breaker off and
            proved dead before they come off.
            {state.lifted.length > 0 && ' Wires are lifted: leave the breaker off.'}
          </span>
        </li>
      </ul>
    </section>
  );
}

function NextSteps({ job, state }: { job: JobFile; state: JobState }) {
  const family = familyOfJob(job);
  const words = wordsOf(family);
  const repair = family.repairs[state.verdict?.repair ?? ''];
  const open = [...state.parts].filter(([, action]) => action === 'needed' || action === 'ordered');
  const rows: { when: string; what: string }[] = [
    ...open.map(([part, action]) => ({ when: action, what: capital(part) })),
    ...(state.repairsDone.length === 0 && repair ? [{ when: 'next', what: repair.order }] : []),
    ...(state.status?.reason ? [{ when: 'note', what: state.status.reason }] : []),
    ...(state.status?.next ? [{ when: 'next', what: state.status.next }] : []),
    ...proofOf(job)
      .filter((each) => !each.entry)
      .slice(0, 2)
      .map((each) => ({ when: 'could follow', what: words.check(each.check) })),
  ];
  return (
    <section aria-labelledby="report-next" className="break-inside-avoid">
      <h2 id="report-next" className="text-lead font-semibold">
        What is next
      </h2>
      {rows.length === 0 ? (
        <p className="text-small">The diagnosis goes on.</p>
      ) : (
        <table className="w-full text-small">
          <tbody>
            {rows.map(({ when, what }) => (
              <tr key={`${when} ${what}`} className="border-b border-hair">
                <th scope="row" className="w-24 py-1 pr-2 text-left align-top font-semibold">
                  {when}
                </th>
                <td className="py-1">{what}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
