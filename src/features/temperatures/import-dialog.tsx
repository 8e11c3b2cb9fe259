'use client';

import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { logPlaces } from '@/core/job-file';
import {
  guessColumns,
  readChannels,
  type LoggerChannels,
  type LoggerMapping,
} from '@/core/logger-file';
import { clockWords } from '@/core/procedures';
import type { UnitSystem } from '@/core/quantities';
import { rowsOfFile } from '@/features/files/rows-of-file';
import { notEntered } from '@/features/record/not-entered';
import { useFamily } from '@/features/record/family-context';
import { placeName } from '@/features/record/log-words';
import { useOneAtATime } from '@/features/record/use-one-at-a-time';
import type { NewEntry } from '@/features/record/use-job-record';
import { Dialog } from '@/ui/dialog';
import { placesOf } from './usual-places';

/** A file of more is no logger's. */
const mostMegabytes = 40;

interface Opened {
  readonly name: string;
  readonly rows: readonly (readonly string[])[];
  readonly mapping: LoggerMapping;
}

/** Brings a logger's file in: what its columns are is guessed, shown and changed before anything is entered. */
export function ImportDialog({
  isOpen,
  onClose,
  system,
  onTake,
}: {
  isOpen: boolean;
  onClose(): void;
  system: UnitSystem;
  onTake(entries: readonly NewEntry[]): Promise<boolean>;
}) {
  const [opened, setOpened] = useState<Opened>();
  const [problem, setProblem] = useState<string>();
  const [isReading, setReading] = useState(false);
  const oneAtATime = useOneAtATime();
  const close = () => {
    setOpened(undefined);
    setProblem(undefined);
    onClose();
  };
  const read = async (file: File) => {
    setProblem(undefined);
    if (file.size > mostMegabytes * 1024 * 1024) {
      setProblem(
        `The file has more than ${mostMegabytes} MB: cut the time that is asked about out of it.`,
      );
      return;
    }
    setReading(true);
    const rows = await rowsOfFile(file);
    setReading(false);
    const mapping = guessColumns(rows, system);
    if (mapping) setOpened({ name: file.name, rows, mapping });
    else {
      setProblem(
        'Nothing in this file looks like times with temperatures. It wants a line for each reading: a time and one or more numbers. Nothing was entered.',
      );
    }
  };
  return (
    <Dialog title="A logger's file" isOpen={isOpen} onClose={close}>
      {!opened && (
        <label className="block font-medium">
          CSV or text, as the logger writes it
          <input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            className="field mt-1"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              if (file) void read(file);
            }}
          />
        </label>
      )}
      {isReading && <p role="status">Reading the file</p>}
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      {opened && (
        <Mapping
          opened={opened}
          onChange={(mapping) => setOpened({ ...opened, mapping })}
          onTake={(found) =>
            oneAtATime(opened.name, async () => {
              const isKept = await onTake(entriesOf(opened.name, found));
              if (isKept) close();
              else setProblem(notEntered);
            })
          }
        />
      )}
    </Dialog>
  );
}

function entriesOf(file: string, found: LoggerChannels): NewEntry[] {
  const log = newId();
  return [
    {
      kind: 'log',
      log,
      phase: 'started',
      purpose: 'watch',
      file: file.slice(0, 200),
      ...(found.beganAt === undefined ? {} : { began: found.beganAt }),
    },
    ...found.channels.map(({ place, second, celsius }): NewEntry => ({
      kind: 'log',
      log,
      phase: 'samples',
      place,
      source: 'import',
      file: file.slice(0, 200),
      track: { second: [...second], celsius: [...celsius] },
    })),
    { kind: 'log', log, phase: 'stopped' },
  ];
}

const orders = {
  iso: 'year, month, day',
  'day-first': 'day, month, year',
  'month-first': 'month, day, year',
  clock: 'time of day',
  'elapsed-seconds': 'seconds from the start',
  'elapsed-minutes': 'minutes from the start',
} as const;

function Mapping({
  opened: { name, rows, mapping },
  onChange,
  onTake,
}: {
  opened: Opened;
  onChange(mapping: LoggerMapping): void;
  onTake(found: LoggerChannels): void;
}) {
  const found = readChannels(rows, mapping);
  const { usual, others } = placesOf(useFamily());
  const readouts = [...usual, ...others].filter((each) => each.startsWith('readout-'));
  const column = (index: number, change: Partial<LoggerMapping['columns'][number]>) =>
    onChange({
      ...mapping,
      columns: mapping.columns.map((each) =>
        each.index === index ? { ...each, ...change } : each,
      ),
    });
  return (
    <>
      <p>
        {name}: {found.rows.toLocaleString('en')} readings over {clockWords(found.seconds)}
        {found.thinnedFrom !== undefined &&
          `, of which about every ${Math.ceil(found.thinnedFrom / 5000)}th is kept; the file stays with you`}
        .
      </p>
      <div className="mt-3 grid grid-cols-2 gap-3">
        <label className="font-medium">
          Times are
          <select
            className="field mt-1"
            value={mapping.order}
            onChange={(event) =>
              onChange({ ...mapping, order: event.target.value as LoggerMapping['order'] })
            }
          >
            {Object.entries(orders).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <label className="font-medium">
          Decimals after a
          <select
            className="field mt-1"
            value={mapping.decimal}
            onChange={(event) =>
              onChange({ ...mapping, decimal: event.target.value as LoggerMapping['decimal'] })
            }
          >
            <option value="point">point</option>
            <option value="comma">comma</option>
          </select>
        </label>
      </div>
      <ul className="mt-3">
        {mapping.columns.map(({ index, title, unit, place }) => (
          <li
            key={index}
            className="grid grid-cols-[1fr_auto_auto] items-end gap-2 border-b border-hair py-2"
          >
            <label className="min-w-0 font-medium">
              <span className="block truncate">{title || `Column ${index + 1}`}</span>
              <select
                className="field mt-1"
                value={place ?? ''}
                onChange={(event) =>
                  column(index, {
                    place: event.target.value === '' ? undefined : event.target.value,
                  })
                }
              >
                <option value="">leave out</option>
                {[...logPlaces, ...readouts].map((each) => (
                  <option key={each} value={each}>
                    {placeName(each)}
                  </option>
                ))}
              </select>
            </label>
            <label>
              <span className="sr-only">Unit of {title || `column ${index + 1}`}</span>
              <select
                className="field"
                value={unit}
                onChange={(event) =>
                  column(index, { unit: event.target.value as 'celsius' | 'fahrenheit' })
                }
              >
                <option value="celsius">°C</option>
                <option value="fahrenheit">°F</option>
              </select>
            </label>
            <span className="min-w-16 pb-3 text-right text-small">
              {rows[mapping.firstRow]?.[index]}
            </span>
          </li>
        ))}
      </ul>
      {found.problems.length > 0 && (
        <details className="mt-2" open={found.problems.length < 6}>
          <summary className="flex min-h-11 cursor-pointer items-center">
            {found.problems.length.toLocaleString('en')}{' '}
            {found.problems.length === 1 ? 'line' : 'lines'} left out
          </summary>
          <ul className="text-small">
            {found.problems.slice(0, 50).map(({ line, message }, k) => (
              <li key={k}>
                Line {line}: {message}
              </li>
            ))}
            {found.problems.length > 50 && <li>and more of the same.</li>}
          </ul>
        </details>
      )}
      <button
        type="button"
        className="button button-act mt-4 w-full"
        disabled={found.channels.length === 0 || twice(mapping)}
        onClick={() => onTake(found)}
      >
        {twice(mapping) ? 'Two columns at one place: choose' : 'Take it into the job'}
      </button>
    </>
  );
}

const twice = ({ columns }: LoggerMapping): boolean => {
  const places = columns.flatMap(({ place }) => (place === undefined ? [] : [place]));
  return new Set(places).size < places.length;
};
