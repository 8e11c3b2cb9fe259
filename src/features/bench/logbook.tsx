'use client';

import {
  memo,
  startTransition,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { familyOfJob } from '@/core/appliances';
import { judgedQuantity, type JudgedLogbook, JudgedResult } from '@/core/job-diagnosis';
import {
  entryFinder,
  inOrder,
  isCorrectable,
  quantityOf,
  type Entry,
  type JobFile,
} from '@/core/job-file';
import type { Quantity, UnitSystem } from '@/core/quantities';
import { clockTime, complaintWords, shownParts, takenWords } from '@/features/record/words';
import { wordsOf } from '@/features/record/family-words';
import { ReadingRuler } from '@/ui/reading-ruler';
import { rulerScale } from '@/ui/ruler-scale';
import { bandOf } from './reading-display';

export interface LogbookProps {
  readonly job: JobFile;
  /** Each result beside what a good unit shows, as far as it has been worked out. */
  readonly judged: JudgedLogbook | undefined;
  readonly system: UnitSystem;
  /** Sideways with the newest right at a desk, downwards on a phone. */
  readonly direction: 'sideways' | 'down';
  onCorrect(entry: Entry): void;
}

interface Line {
  readonly entry: Entry;
  /** The value it had before it was corrected. */
  readonly struck?: Entry;
  readonly reason?: string;
  readonly removed: boolean;
}

/** Of a long logbook the last are drawn; those before them when they are asked for. */
const linesAtOnce = 100;
/** More than are in sight at a desk. */
const linesAtFirst = 16;
/** What stands beside the logbook comes before those of its lines that are out of sight; where it does not come, they do. */
const restAfterMilliseconds = { answered: 400, unanswered: 4000 };

/** How many lines are drawn: at a desk those in sight until the bench has its answer, then as many as are drawn at once. */
function useMost(isAnswered: boolean, direction: LogbookProps['direction']) {
  // A phone's list is opened to be read.
  const [most, setMost] = useState(direction === 'down' ? linesAtOnce : linesAtFirst);
  const isFilled = most >= linesAtOnce;
  useEffect(() => {
    if (isFilled) return;
    const fill = () => startTransition(() => setMost(linesAtOnce));
    const after = restAfterMilliseconds[isAnswered ? 'answered' : 'unanswered'];
    const timer = setTimeout(fill, after);
    return () => clearTimeout(timer);
  }, [isAnswered, isFilled]);
  return { most, isFilled, more: () => setMost((before) => before + linesAtOnce) };
}

/** Every entry with its time, as it counts now; a corrected one keeps its old value, struck. */
export const Logbook = memo(function Logbook({
  job,
  judged,
  system,
  direction,
  onCorrect,
}: LogbookProps) {
  const end = useRef<HTMLLIElement>(null);
  const lines = useMemo(() => linesOf(job.entries), [job.entries]);
  const { most, isFilled, more } = useMost(judged !== undefined, direction);
  const hidden = Math.max(0, lines.length - most);
  /** How far the list is scrolled away from its end, where the newest is. */
  const fromEnd = useRef(0);
  useEffect(() => {
    const list = end.current?.parentElement;
    if (direction === 'sideways') list?.scrollTo({ left: list.scrollWidth });
  }, [lines.length, direction]);
  // Lines that come before those that are seen leave these where they are.
  useLayoutEffect(() => {
    const list = end.current?.parentElement;
    if (direction === 'sideways')
      list?.scrollTo({ left: list.scrollWidth - list.clientWidth - fromEnd.current });
  }, [direction, isFilled]);
  return (
    <ol
      onScroll={({ currentTarget: list }) => {
        fromEnd.current = list.scrollWidth - list.clientWidth - list.scrollLeft;
      }}
      className={
        direction === 'sideways'
          ? 'flex h-full min-w-0 flex-1 overflow-x-auto'
          : 'divide-y divide-hair'
      }
      aria-label="Logbook, oldest first"
      tabIndex={0}
    >
      <li
        className={`shrink-0 ${direction === 'sideways' ? 'w-44 border-r border-hair px-2 py-1.5' : 'py-2'}`}
      >
        <div className="text-small text-ink-2">
          {job.job.openedAt && clockTime(job.job.openedAt, job.job.timeZone)}
        </div>
        <div className="font-semibold">Call: {complaintWords[job.complaint?.kind ?? 'other']}</div>
        <p className="line-clamp-3 text-small">
          {job.complaint?.words && `“${job.complaint.words}”`}
        </p>
      </li>
      {hidden > 0 && isFilled && (
        <li className="shrink-0 px-2 py-1.5">
          <button type="button" className="button" onClick={more}>
            {hidden} earlier
          </button>
        </li>
      )}
      {lines.slice(hidden).map((line) => (
        <LogbookLine
          key={line.entry.id}
          job={job}
          judged={judged}
          line={line}
          system={system}
          direction={direction}
          onCorrect={onCorrect}
        />
      ))}
      <li ref={end} aria-hidden="true" className="w-px shrink-0" />
    </ol>
  );
});

function linesOf(entries: readonly Entry[]): Line[] {
  const find = entryFinder(entries);
  const ordered = inOrder(entries);
  /** Of what an instrument goes on reading at a place, the last batch stands for all of it. */
  const lastBatch = new Map(
    ordered.flatMap((each) => {
      const key = batchKey(each);
      return key === undefined ? [] : [[key, each.id] as const];
    }),
  );
  return ordered.flatMap((each): Line[] => {
    if (each.kind === 'correction') return [];
    const { now, by } = find(each.id)!;
    const key = batchKey(each);
    if (key !== undefined && lastBatch.get(key) !== each.id && !by) return [];
    if (!by) return [{ entry: each, removed: false }];
    // It stands where the first one stood.
    const entry = now ? { ...now, id: each.id, at: each.at } : each;
    return [{ entry, struck: each, reason: by.reason, removed: now === null }];
  });
}

const batchKey = (entry: Entry): string | undefined =>
  entry.kind === 'log' && entry.phase === 'samples' && entry.source === 'live'
    ? `${entry.log} ${entry.place}`
    : undefined;

function LogbookLine({
  job,
  judged,
  line,
  system,
  direction,
  onCorrect,
}: Omit<LogbookProps, 'onCorrect'> & { line: Line; onCorrect(entry: Entry): void }) {
  const { entry, struck, reason, removed } = line;
  const isReading = entry.kind === 'reading' && entry.value !== undefined;
  const shown = isReading
    ? shownParts(entry.value!, system, quantityOf(entry, familyOfJob(job).catalogue))
    : undefined;
  const words = wordsOf(familyOfJob(job));
  const taken = takenWords(entry, job);
  const place = `flex w-full flex-col text-left ${direction === 'sideways' ? 'h-full px-2 py-1.5' : 'min-h-11 py-2'}`;
  const content = (
    <>
      <span className="shrink-0 text-small text-ink-2">
        {clockTime(entry.at, job.job.timeZone)}
      </span>
      <span
        className={`shrink-0 leading-tight font-semibold ${struck ? 'line-clamp-1' : 'line-clamp-2'}`}
      >
        {words.title(entry)}
        {taken && <span className="font-normal"> ({taken})</span>}
      </span>
      {struck && (
        <span className="line-clamp-1 text-small text-ink-2">
          <s>{words.result(struck, system) || 'entered'}</s> {reason}
        </span>
      )}
      {!removed &&
        (shown ? (
          <span className="text-value leading-tight font-semibold text-act">
            {shown.number} <span className="text-lead">{shown.symbol}</span>
          </span>
        ) : (
          <span
            className={`leading-tight ${direction === 'sideways' ? 'line-clamp-3' : ''} ${entry.kind === 'skip' ? 'text-ink-2' : 'text-lead font-medium text-act'}`}
          >
            {words.result(entry, system)}
          </span>
        ))}
      {!removed && isReading && (
        <span className="mt-auto block w-[118px] pt-1">
          <MiniRuler
            quantity={judgedQuantity(entry, familyOfJob(job))}
            judged={judged?.[entry.id]}
            system={system}
          />
        </span>
      )}
    </>
  );
  return (
    <li
      className={`relative shrink-0 ${direction === 'sideways' ? `border-r border-hair ${isReading ? 'w-40' : 'w-36'}` : ''}`}
    >
      {isCorrectable(entry) ? (
        <button
          type="button"
          className={`${place} active:bg-well focus-visible:outline-offset-[-3px]`}
          onClick={() => onCorrect(struck ?? entry)}
          aria-label={`${clockTime(entry.at, job.job.timeZone)} ${words.title(entry)} ${removed ? 'struck out' : words.result(entry, system)}. Correct it`}
        >
          {content}
        </button>
      ) : (
        <div className={place}>{content}</div>
      )}
    </li>
  );
}

/** A reading on its ruler, small: the good band and the needle, in the state it was taken in. */
export function MiniRuler({
  quantity,
  judged,
  system,
}: {
  /** Undefined for what is no reading. */
  quantity: Quantity | undefined;
  judged: JudgedResult | undefined;
  system: UnitSystem;
}) {
  if (!quantity || !judged) return null;
  const { good, needle } = judged;
  return (
    <ReadingRuler
      scale={rulerScale(quantity, good.kind === 'range' ? good.nominal : undefined, system)}
      good={bandOf(good)}
      needle={needle}
      label="on its ruler"
      size="mini"
    />
  );
}
