import { familyOfJob } from '@/core/appliances';
import { walkedOf, type ReportAnswer } from '@/core/job-diagnosis';
import {
  effectiveEntries,
  lastByHand,
  lastVerdict,
  type JobFile,
  type JobState,
  unconfirmedWires,
} from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { settingsSheet } from '@/core/settings';
import type { Organisation } from '@/database/technicians';
import { wordsOf, type FamilyWords } from '@/features/record/family-words';
import { StopNote } from '@/features/record/stop-note';
import { capital, clockTime, complaintWords, longDate, plateWords } from '@/features/record/words';
import { CautionSign, HotSign } from '@/ui/signs';
import { ReportBalancing } from './report-balancing';
import { ReportMixing } from './report-mixing';
import { ReportCombustion } from './report-combustion';
import { ReportTemperatures } from './report-temperatures';
import { ReportReadings } from './report-readings';
import { ReportProcedures } from './report-procedures';
import { ReportVerdict } from './report-verdict';
import { ScaldStrip } from './scald-strip';

/** The report that the customer gets: readings with their bands, verdict, work, settings, cautions, what is next. */
export function Report({
  job,
  answer,
  organisation,
}: {
  job: JobFile;
  /** Worked out in a thread: see `reportAnswer`. */
  answer: ReportAnswer;
  organisation: Organisation;
}) {
  const system = organisation.unitSystem;
  const { walked, state } = walkedOf(job);
  const zone = job.job.timeZone;
  const last = lastByHand(job.entries);
  return (
    <article className="mx-auto max-w-[860px] bg-sheet px-6 py-6 print:max-w-none print:p-0 print:[zoom:0.8]">
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
      {answer.stop && (
        <StopNote
          stop={answer.stop}
          until="It stays so until it is found, put right, and checked again."
        />
      )}
      <ReportVerdict job={job} state={state} answer={answer} system={system} />
      <ReportReadings job={job} walked={walked} judged={answer.judged} system={system} />
      <ReportTemperatures
        family={familyOfJob(job)}
        walked={walked}
        system={system}
        timeZone={zone}
      />
      <ReportCombustion job={job} walked={walked} system={system} />
      <ReportBalancing job={job} system={system} />
      <ReportMixing job={job} system={system} />
      <Work job={job} state={state} />
      <ReportProcedures job={job} state={state} />
      <SettingsBlock job={job} state={state} system={system} />
      <div className="mt-4 grid gap-6 sm:grid-cols-2 print:grid-cols-2">
        <Cautions job={job} state={state} />
        <NextSteps job={job} state={state} />
      </div>
      <footer className="mt-5 print:mt-2 border-t border-rule pt-2 text-small text-ink-2">
        Local codes and licensed practice decide. Every entry, its time and its corrections are in
        job file {job.job.number}.
      </footer>
    </article>
  );
}

function Heading({ job }: { job: JobFile }) {
  const { site, unit, complaint, people = [], entries } = job;
  const wrote = new Set(entries.map((each) => each.by));
  const present = people.filter((each, index) => index === 0 || wrote.has(each.id));
  return (
    <section
      className="grid grid-cols-1 gap-4 border-b border-hair py-3 text-small sm:grid-cols-3 print:grid-cols-3"
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
        {present
          .map(({ name, licence }) => (licence ? `${name}, licence ${licence}` : name))
          .join('; ')}
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

function Work({ job, state }: { job: JobFile; state: JobState }) {
  const words = wordsOf(familyOfJob(job));
  const fitted = [...state.parts].map(([part, action]) => `${part}: ${action}`);
  if (state.repairsDone.length === 0 && fitted.length === 0) return null;
  return (
    <section className="mt-3 border-b border-hair pb-3" aria-labelledby="report-work">
      <h2 id="report-work" className="text-lead font-semibold">
        Work
      </h2>
      <p>
        {state.repairsDone.map((each) => `${words.order(each)}: done. `)}
        {fitted.length > 0 && `Parts. ${capital(fitted.join('; '))}. `}
        {wiresWords(job, state, words)}
      </p>
    </section>
  );
}

function wiresWords(job: JobFile, { lifted, wires }: JobState, words: FamilyWords): string {
  if (lifted.length > 0) {
    return `Still lifted: ${lifted.map((each) => words.wire(each.wire)).join(', ')}.`;
  }
  const open = unconfirmedWires({ wires }).length;
  if (open > 0)
    return `${open} put back, and not confirmed on ${open === 1 ? 'its terminal' : 'their terminals'}.`;
  const noted = new Set(
    effectiveEntries(job.entries).flatMap((each) =>
      each.kind === 'wire' && each.stands !== 'mapped' ? [`${each.wire} ${each.from}`] : [],
    ),
  ).size;
  return noted > 0
    ? `${noted} ${noted === 1 ? 'wire' : 'wires'} noted before lifting; all back on their terminals.`
    : 'All wires on their terminals.';
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
  const { settings, tap } = familyOfJob(job);
  const dials = settings.map(({ id, label, isSealed = false }) => ({
    label,
    isSealed,
    found: celsius(id, 'found'),
    left: celsius(id, 'left'),
  }));
  if (dials.every((each) => each.found === undefined && each.left === undefined)) return null;
  const show = (value: number) => valueText(value, 'temperature', system);
  const drawn = dials.filter(({ isSealed }) => !isSealed);
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
      <SheetWords job={job} state={state} system={system} />
      <ScaldStrip
        system={system}
        found={drawn.flatMap(({ found }) => (found === undefined ? [] : [found]))}
        left={drawn.flatMap(({ left }) => (left === undefined ? [] : [left]))}
        stores={tap === undefined}
      />
    </section>
  );
}

/** What else stands on the sheet, in a line. */
function SheetWords({ job, state, system }: { job: JobFile; state: JobState; system: UnitSystem }) {
  const family = familyOfJob(job);
  const sheet = settingsSheet(family, family.plateOf(job), state, job.constraints?.schools);
  const lines = (sheet?.lines ?? []).filter(
    ({ parameter, found, left }) =>
      !family.settings.some(({ id }) => id === parameter.id) &&
      (found !== undefined || left !== undefined),
  );
  if (lines.length === 0) return null;
  return (
    <p className="text-small">
      {lines
        .map(({ parameter, found, left }) => {
          const value = left ?? found!;
          const words =
            typeof value === 'string'
              ? (parameter.values?.[value] ?? value)
              : parameter.quantity === 'time'
                ? `${Math.round((value / 3600) * 10) / 10} h`
                : valueText(value, parameter.quantity!, system);
          return `${parameter.words}: ${words}`;
        })
        .join('; ')}
      .
    </p>
  );
}

function Cautions({ job, state }: { job: JobFile; state: JobState }) {
  const { ownerCautions } = familyOfJob(job).words;
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
        {ownerCautions.map(({ sign, lead, rest, whileLifted }) => {
          return (
            <li key={lead} className="flex items-center gap-3">
              <CautionSign sign={sign} />
              <span>
                <strong className="font-semibold">{lead}</strong> {rest}
                {state.lifted.length > 0 && whileLifted !== undefined && ` ${whileLifted}`}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function NextSteps({ job, state }: { job: JobFile; state: JobState }) {
  const family = familyOfJob(job);
  const repair = family.repairs[lastVerdict(state)?.repair ?? ''];
  const zone = job.job.timeZone;
  const by = state.status?.recheckBy;
  const open = [...state.parts].filter(([, action]) => action === 'needed' || action === 'ordered');
  const rows: { when: string; what: string }[] = [
    ...open.map(([part, action]) => ({ when: action, what: capital(part) })),
    ...((state.repairsDone.length === 0 || state.verdict) && repair
      ? [{ when: 'next', what: repair.order }]
      : []),
    ...(state.status?.reason ? [{ when: 'note', what: state.status.reason }] : []),
    ...(state.status?.next ? [{ when: 'next', what: state.status.next }] : []),
    ...(by
      ? [{ when: 'look again', what: `By ${longDate(by, zone)}: the cause was not found.` }]
      : []),
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
