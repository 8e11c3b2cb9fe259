'use client';

import { useState } from 'react';
import type { FlueAnalysis } from '@/core/appliances';
import { judgeAnalysis, type Fuel } from '@/core/combustion';
import {
  printedKeys,
  printedValues,
  readPrintout,
  type PrintedFigure,
  type PrintedKey,
} from '@/core/flue-sheet';
import type { UnitSystem } from '@/core/quantities';
import { rowsOfFile } from '@/features/files/rows-of-file';
import { notEntered } from '@/features/record/not-entered';
import { useFamily } from '@/features/record/family-context';
import type { NewEntry } from '@/features/record/use-job-record';
import { capital } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { AnalysisFigures } from './analysis-figures';

const mostMegabytes = 2;

interface Opened {
  readonly name: string;
  readonly rows: readonly (readonly string[])[];
  readonly row: number;
  readonly rowCount: number;
  readonly figures: readonly PrintedFigure[];
  readonly fire: 'high' | 'low';
}

/** Reads an analyser's file in: what each figure is is guessed, shown and changed before anything is entered. */
export function PrintoutDialog({
  flue,
  fuel,
  isOpen,
  onClose,
  system,
  onTake,
}: {
  flue: FlueAnalysis;
  fuel: Fuel;
  isOpen: boolean;
  onClose(): void;
  system: UnitSystem;
  onTake(entry: NewEntry): Promise<boolean>;
}) {
  const [opened, setOpened] = useState<Opened>();
  const [problem, setProblem] = useState<string>();
  const close = () => {
    setOpened(undefined);
    setProblem(undefined);
    onClose();
  };
  const read = async (file: File) => {
    setProblem(undefined);
    if (file.size > mostMegabytes * 1024 * 1024) {
      return setProblem(
        `The file has more than ${mostMegabytes} MB: an analysis is a page. Nothing was entered.`,
      );
    }
    const rows = await rowsOfFile(file);
    const found = readPrintout(rows, system);
    if (found.figures.length === 0) {
      return setProblem(
        'No figures were found: it wants O2, CO and temperatures, one a line or under titles. Nothing was entered.',
      );
    }
    setOpened({ name: file.name, rows, row: 0, fire: 'high', ...found });
  };
  return (
    <Dialog title="An analyser’s printout" isOpen={isOpen} onClose={close}>
      {!opened && (
        <label className="block font-medium">
          CSV or text, as the analyser saves it
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
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      {opened && (
        <Mapping
          {...{ flue, fuel, opened, system }}
          onChange={setOpened}
          onTake={async (entry) => {
            if (await onTake(entry)) close();
            else setProblem(notEntered);
          }}
        />
      )}
    </Dialog>
  );
}

function Mapping({
  flue,
  fuel,
  opened,
  system,
  onChange,
  onTake,
}: {
  flue: FlueAnalysis;
  fuel: Fuel;
  opened: Opened;
  system: UnitSystem;
  onChange(opened: Opened): void;
  onTake(entry: NewEntry): Promise<void>;
}) {
  const family = useFamily();
  const { name, rows, row, rowCount, figures, fire } = opened;
  const check = flue.checks[fire];
  const words = family.check(check).valueWords ?? {};
  const values = printedValues(figures);
  const judged = judgeAnalysis(flue.burner, fuel, flue.read({ check, values }));
  const keys = figures.flatMap(({ key }) => (key === undefined ? [] : [key]));
  const isTwice = new Set(keys).size < keys.length;
  const change = (index: number, to: Partial<PrintedFigure>) =>
    onChange({
      ...opened,
      figures: figures.map((each, k) => (k === index ? { ...each, ...to } : each)),
    });
  const say = (index: number, key: PrintedKey | undefined) => {
    const isBare = key && printedKeys[key] === 'temperature' && !isDegrees(figures[index]!);
    change(index, {
      key,
      ...(isBare ? { unit: system === 'us' ? 'fahrenheit' : ('celsius' as const) } : {}),
    });
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <label className="font-medium">
          Taken at
          <select
            className="field mt-1"
            value={fire}
            onChange={(event) =>
              onChange({ ...opened, fire: event.target.value as Opened['fire'] })
            }
          >
            <option value="high">high fire</option>
            <option value="low">low fire</option>
          </select>
        </label>
        {rowCount > 1 && (
          <label className="font-medium">
            Analysis
            <select
              className="field mt-1"
              value={row}
              onChange={(event) => {
                const chosen = Number(event.target.value);
                onChange({ ...opened, row: chosen, ...readPrintout(rows, system, chosen) });
              }}
            >
              {Array.from({ length: rowCount }, (_, k) => (
                <option key={k} value={k}>
                  {k === 0 ? 'the last' : `${k + 1}. from the end`}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <p className="mt-2 truncate text-small text-ink-2">{name}</p>
      <ul aria-label="Figures in the file">
        {figures.map((figure, k) => (
          <li
            key={k}
            className="grid grid-cols-[1fr_1.2fr] items-center gap-2 border-b border-hair py-1"
          >
            <span className="min-w-0 text-small">
              <span className="block truncate">{figure.label}</span>
              <strong className="text-lead font-semibold">
                {figure.text}{' '}
                {figure.unit === undefined || isDegrees(figure) ? '' : unitSymbols[figure.unit]}
              </strong>
              {isDegrees(figure) && (
                <select
                  className="field ml-2 inline w-auto"
                  aria-label={`Degrees of "${figure.label}"`}
                  value={figure.unit}
                  onChange={(event) =>
                    change(k, { unit: event.target.value as PrintedFigure['unit'] })
                  }
                >
                  <option value="celsius">°C</option>
                  <option value="fahrenheit">°F</option>
                </select>
              )}
            </span>
            <select
              className="field"
              aria-label={`What "${figure.label}" is`}
              value={figure.key ?? ''}
              onChange={(event) =>
                say(k, event.target.value === '' ? undefined : (event.target.value as PrintedKey))
              }
            >
              <option value="">leave out</option>
              {Object.keys(printedKeys).map((key) => (
                <option key={key} value={key}>
                  {capital(words[key] ?? key)}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
      <div className="mt-3">
        <AnalysisFigures judged={judged} system={system} />
      </div>
      <button
        type="button"
        className="button button-act mt-3 w-full"
        disabled={isTwice || (judged.worked === undefined && !judged.isStop)}
        onClick={() => void onTake({ kind: 'reading', check, values } as NewEntry)}
      >
        {isTwice ? 'Two figures are said to be one thing: choose' : 'Take it into the job'}
      </button>
    </>
  );
}

const isDegrees = ({ unit }: PrintedFigure) => unit === 'celsius' || unit === 'fahrenheit';

const unitSymbols = { percent: '%', ppm: 'ppm', celsius: '°C', fahrenheit: '°F' } as const;
