import { Link } from '@/ui/link';
import type { ReactNode } from 'react';
import type { Session } from '@/server/session';
import type { JobWithUnit } from '@/database/jobs';
import { stages, type Stage, type Standing } from '@/core/job-diagnosis/standing';
import {
  clockTime,
  complaintWords,
  longDate,
  percent,
  plateWords,
  wiresLifted,
} from '@/features/record/words';
import { dateWords } from '@/features/record/date-words';
import { wordsOf, type FamilyWords } from '@/features/record/family-words';
import { familyOfJob } from '@/core/appliances';
import { Unequal } from '@/ui/marks';
import { WarningSign } from '@/ui/signs';
import { PageBar } from '@/ui/page-bar';
import { PatternDefinitions, SuspectStrip } from '@/ui/patterns';
import { StageTrack } from '@/ui/stage-track';
import { KeptNote } from '@/features/device/kept-note';
import type { DueUnit } from '@/server/service-due';
import { DueUnits } from './due-units';
import { FindJobs } from './find-jobs';
import { HouseRules } from './house-rules';
import { ImportButton } from './import-button';
import { countWords, JobPages } from './job-pages';
import { nextWords } from './next-words';
import { NotChosen } from './not-chosen';
import { TechnicianChoice } from './technician-choice';
import { ThemeChoice } from './theme-choice';

/** One list of Today: a page of it, and how many there are. */
export interface ListedJobs {
  readonly rows: readonly JobWithUnit[];
  readonly count: number;
  /** Counted from 1. */
  readonly page: number;
}

export interface TodayProps {
  readonly session: Session;
  readonly open: ListedJobs;
  readonly closed: ListedJobs;
  /** Of the open ones; undefined where not all of them were counted. */
  readonly waitingCount: number | undefined;
  /** The words that were looked for, as they were typed. */
  readonly find: string;
  readonly now: Date;
  readonly theme: string | undefined;
  /** When the list was last got from the server, where it is not from there now. */
  readonly keptAt?: number;
  /** Units whose service comes due; none where only the server knows. */
  readonly due?: readonly DueUnit[];
  /** Above the lists. */
  readonly before?: ReactNode;
}

/** The open and the closed jobs: what each stands at, how sure, what it waits for. */
export function Today({
  session,
  open,
  closed,
  waitingCount,
  find,
  now,
  theme,
  keptAt,
  due = [],
  before,
}: TodayProps) {
  const { organisation, technicians, technician, isChosen } = session;
  const isKept = keptAt !== undefined;
  const shared = { technicianId: technician.id, timeZone: organisation.timeZone, now, isKept };
  const pages = { find, open: open.page, closed: closed.page };
  return (
    <div className="min-h-dvh bg-sheet">
      <PatternDefinitions />
      <PageBar note={<KeptNote />}>
        <span className="hidden text-small sm:inline">{organisation.name}</span>
        <div className="ml-auto flex items-center gap-2">
          <div className="hidden gap-2 lg:flex">
            <ThemeChoice theme={theme} />
            <HouseRules schools={organisation.schools} />
            <FirmLinks />
          </div>
          <TechnicianChoice
            technicians={technicians.map(({ id, name }) => ({ id, name }))}
            chosen={technician.id}
          />
          <Link href="/call" className="button button-act">
            New call
          </Link>
        </div>
      </PageBar>
      <main className="mx-auto max-w-[1280px]">
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-0.5 px-5 pt-3 pb-2 lg:pt-4 lg:pb-3">
          <h1 className="text-[22px] leading-tight font-semibold lg:text-title-l">
            {longDate(now, organisation.timeZone)}
          </h1>
          <p>
            <Count n={countWords(open.count, find)} word="open" />{' '}
            {waitingCount !== undefined && (
              <>
                <Count n={waitingCount} word="waiting for a part" />{' '}
              </>
            )}
            <Count n={countWords(closed.count, find)} word="closed" />
          </p>
          <FindJobs find={find} />
          <span className="hidden lg:block">
            <ImportButton />
          </span>
        </div>
        {isKept && (
          <p role="status" className="mx-5 mb-2 border-l-4 border-rule pl-3 text-small font-medium">
            No connection. These are the open jobs as they were at{' '}
            {clockTime(new Date(keptAt), organisation.timeZone)}; closed ones are with the server.{' '}
            <Link href="/" className="link">
              Ask the server again
            </Link>
          </p>
        )}
        {!isChosen && technicians.length > 1 && (
          <NotChosen technician={{ id: technician.id, name: technician.name }} />
        )}
        {before}
        {open.count + closed.count === 0 ? (
          find === '' ? (
            <Empty />
          ) : (
            <p className="px-5 py-8 text-lead" role="status">
              No job has all these words: {find}.{' '}
              <Link href="/" className="link">
                All jobs
              </Link>
            </p>
          )
        ) : (
          <>
            <JobList title="Open" jobs={open.rows} {...shared} />
            <JobPages title="Open" list="open" {...open} pages={pages} />
            {find === '' && <DueUnits units={due} timeZone={organisation.timeZone} />}
            {closed.rows.length > 0 && <JobList title="Closed" jobs={closed.rows} {...shared} />}
            <JobPages title="Closed" list="closed" {...closed} pages={pages} />
          </>
        )}
        <div className="flex flex-wrap items-center gap-3 px-5 pb-6 lg:hidden">
          <ImportButton />
          <ThemeChoice theme={theme} />
          <HouseRules schools={organisation.schools} />
          <FirmLinks />
        </div>
      </main>
    </div>
  );
}

const firmPages = [
  ['/sensors', 'Sensors'],
  ['/codes', 'Codes'],
  ['/service', 'Service'],
  ['/technicians', 'People'],
] as const;

/** Pages of the firm, and of no job. */
const FirmLinks = () =>
  firmPages.map(([address, label]) => (
    <Link key={address} href={address} className="button">
      {label}
    </Link>
  ));

function Count({ n, word }: { n: number | string; word: string }) {
  return (
    <span className="mr-3">
      <strong className="text-[20px] font-semibold">{n}</strong> {word}
    </span>
  );
}

function Empty() {
  return (
    <div className="px-5 py-8">
      <svg viewBox="0 0 600 20" className="w-full max-w-xl" aria-hidden="true">
        <path
          d={`M0 1H600${Array.from({ length: 41 }, (_, k) => `M${0.6 + k * 15} 1v${k % 5 === 0 ? 14 : 8}`).join('')}`}
          stroke="var(--ink)"
          strokeWidth="1.2"
        />
      </svg>
      <p className="my-4 text-lead">
        No jobs yet. Start with the call: a few questions split the field before any cover comes
        off.
      </p>
      <Link href="/call" className="button button-act">
        Take the first call
      </Link>
    </div>
  );
}

const columns =
  'lg:grid lg:grid-cols-[64px_minmax(0,1.1fr)_minmax(0,1.25fr)_200px_minmax(0,1.05fr)_minmax(0,0.95fr)] lg:gap-5';

function JobList({
  title,
  jobs,
  technicianId,
  timeZone,
  now,
  isKept,
}: {
  title: string;
  jobs: readonly JobWithUnit[];
  technicianId: string;
  timeZone: string;
  now: Date;
  isKept: boolean;
}) {
  return (
    <section aria-labelledby={`list-${title}`} className="mb-6">
      <h2 id={`list-${title}`} className="sr-only">
        {title} jobs
      </h2>
      <div
        className={`hidden border-b-[1.5px] border-rule px-5 pb-1.5 text-small text-ink-2 ${columns}`}
        aria-hidden="true"
      >
        <span>opened</span>
        <span>job, who and where</span>
        <span>unit and complaint</span>
        <span>stands at</span>
        <span>suspects</span>
        <span>{title === 'Open' ? 'next' : 'ended'}</span>
      </div>
      <ol>
        {jobs.map((each) => (
          <JobRow
            key={each.job.id}
            row={each}
            isMine={each.technician.id === technicianId}
            timeZone={timeZone}
            now={now}
            isKept={isKept}
          />
        ))}
      </ol>
    </section>
  );
}

function JobRow({
  row,
  isMine,
  timeZone,
  now,
  isKept,
}: {
  row: JobWithUnit;
  isMine: boolean;
  timeZone: string;
  now: Date;
  /** By the device, which works nothing out for a list. */
  isKept: boolean;
}) {
  const { job, unit, site, customer, technician } = row;
  const { standing } = job;
  const family = familyOfJob({ unit });
  const words = wordsOf(family);
  const isEarly = ['call', 'diagnose', 'verdict'].includes(standing.stage);
  const page = standing.stage === 'closed' ? '/report' : isEarly ? '' : '/repair';
  const complaint = complaintWords[job.complaint.kind ?? 'other'];
  return (
    <li className="border-b border-hair">
      <Link
        href={`/jobs/${job.id}${page}`}
        className={`grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 px-5 py-2.5 hover:bg-act-wash active:bg-act-wash lg:items-center lg:py-3 ${columns}`}
      >
        <Cell className="text-[20px] leading-tight font-semibold lg:text-[22px]">
          {clockTime(job.openedAt, timeZone)}
          <span className="block text-small font-normal text-ink-2">
            {dayWord(job.openedAt, now, timeZone)}
          </span>
        </Cell>
        <Cell>
          <span className="block truncate font-semibold">
            {job.number} {customer.name}
          </span>
          <span className="hidden truncate text-small text-ink-2 lg:block">
            {site.address.split(',')[0]} · {isMine ? 'you' : technician.name.split(' ')[0]}
          </span>
          <span className="block truncate text-small text-ink-2 lg:hidden">
            {stageNames[standing.stage]} · {complaint} ·{' '}
            {isMine ? 'you' : technician.name.split(' ')[0]}
          </span>
        </Cell>
        <Cell className="hidden lg:block">
          <span className="block truncate">
            {[unit.make, unit.model].filter(Boolean).join(' ') || family.title},{' '}
            {plateWords({ unit })}
          </span>
          <span className="block truncate text-small text-ink-2">{complaint}</span>
        </Cell>
        <Cell className="hidden lg:block">
          <StageTrack
            steps={stages.length}
            at={stages.indexOf(standing.stage)}
            label={stageWords(standing)}
          />
          <span className="block text-small">{stageText(standing)}</span>
        </Cell>
        <Cell className="col-span-2 mt-1 lg:col-span-1 lg:mt-0">
          <SuspectStrip
            suspects={
              standing.stage === 'call' && standing.suspects.length === 0
                ? undefined
                : standing.suspects
            }
            decided={standing.decided}
            label={suspectWords(words, standing) || 'no suspects worked out yet'}
          />
          <span className="mt-1 hidden text-small lg:line-clamp-2">
            {suspectWords(words, standing)}
          </span>
        </Cell>
        <Cell className="col-span-2 text-small lg:col-span-1 lg:text-body">
          {/* A job that is closed over a danger is told with it, and with why it was closed. */}
          {standing.stop && (
            <span className="flex items-center gap-1.5 font-semibold">
              <WarningSign size={18} /> {standing.stop}
            </span>
          )}
          {(!standing.stop || standing.stage === 'closed') && (
            <span className="block truncate lg:whitespace-normal">
              {nextWords(words, standing, timeZone)}
            </span>
          )}
          {standing.isSettled === false && standing.stage !== 'closed' && (
            <span className="block text-small">
              {isKept ? 'worked out on its page' : 'being worked out'}
            </span>
          )}
          {(standing.parts?.length ?? 0) > 0 && standing.stage !== 'closed' && (
            <span className="block text-small">Waits for: {standing.parts!.join(', ')}</span>
          )}
          {standing.liftedWires > 0 && (
            <span className="mr-3 text-small font-medium lg:block">
              {wiresLifted(standing.liftedWires)}
            </span>
          )}
          {standing.warning && (
            <span className="inline-flex items-center gap-1.5 text-small font-medium lg:flex">
              <Unequal size={15} /> fits nothing yet
            </span>
          )}
        </Cell>
      </Link>
    </li>
  );
}

/** Nothing for today; the weekday for the days before. */
function dayWord(at: Date, now: Date, timeZone: string): string {
  const day = (date: Date) => longDate(date, timeZone);
  if (day(at) === day(now)) return '';
  return dateWords('short', at, timeZone);
}

function Cell({ children, className = '' }: { children: ReactNode; className?: string }) {
  return <div className={`min-w-0 ${className}`}>{children}</div>;
}

const stageNames: Readonly<Record<Stage, string>> = {
  call: 'Call',
  diagnose: 'Diagnose',
  verdict: 'Verdict',
  repair: 'Repair',
  waiting: 'Waiting for a part',
  proof: 'Proof',
  closed: 'Closed',
};

export function stageText(standing: Standing): ReactNode {
  return (
    <>
      <strong className="font-semibold">{stageNames[standing.stage]}</strong>
      {standing.entryCount > 0 ? `, ${standing.entryCount} entries` : ', questions answered'}
    </>
  );
}

const stageWords = (standing: Standing) => `stands at ${stageNames[standing.stage].toLowerCase()}`;

function suspectWords(words: FamilyWords, { suspects }: Standing): string {
  return suspects
    .slice(0, 2)
    .map((each) => `${words.suspect(each.repair)} ${percent(each.probability)} %`)
    .join(', ');
}
