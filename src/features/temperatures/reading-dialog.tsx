'use client';

import { useState } from 'react';
import {
  parseReading,
  quantityTable,
  shownUnit,
  valueText,
  type UnitSystem,
} from '@/core/quantities';
import { notEntered } from '@/features/record/not-entered';
import { placeName } from '@/features/record/log-words';
import { clearedOf } from '@/features/record/draft-keeper';
import { TypedEarlier } from '@/features/record/typed-earlier';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import { Dialog } from '@/ui/dialog';
import { Keypad } from '@/ui/keypad';
import { readInstrument, type ReachedInstrument } from '@/features/instruments/use-instruments';

/** What a thermometer shows at a place: typed on the keypad, or dropped in from an instrument. */
export function ReadingDialog({
  place,
  jobId,
  system,
  instruments,
  onClose,
  onRead,
}: {
  place: string | undefined;
  jobId: string;
  system: UnitSystem;
  instruments: readonly ReachedInstrument[];
  onClose(): void;
  /** Gives false where it could not be entered. */
  onRead(celsius: number, instrument: string | undefined): Promise<boolean>;
}) {
  const [text, setText, typedAt] = useReadingDraft(`${jobId} log ${place ?? ''}`);
  const [problem, setProblem] = useState<string>();
  const [from, setFrom] = useState<string>();
  const parsed = text === '' ? undefined : parseReading(text, { quantity: 'temperature', system });
  const { symbol } = shownUnit('temperature', system);
  const close = () => {
    setProblem(undefined);
    setFrom(undefined);
    onClose();
  };
  const enter = async () => {
    if (!parsed || parsed.kind !== 'value') {
      setProblem(parsed?.kind === 'problem' ? parsed.message : 'Type what the thermometer shows.');
      return;
    }
    if (await onRead(parsed.value, from)) {
      setText(clearedOf(text));
      close();
    } else {
      setProblem(notEntered);
    }
  };
  const drop = async (id: string) => {
    const reading = await readInstrument(id, 'temperature');
    if (reading.kind === 'value') {
      setText(valueText(reading.value, 'temperature', system).split(' ')[0]!);
      setFrom(id);
      setProblem(undefined);
    } else setProblem('message' in reading ? reading.message : 'It shows over range.');
  };
  return (
    <Dialog title={placeName(place ?? 'outlet')} isOpen={place !== undefined} onClose={close}>
      <p className="flex items-baseline justify-between gap-3 border-b-2 border-rule pb-1">
        <output className="min-h-[1.2em] text-[64px] leading-none font-semibold text-act">
          {text}
        </output>
        <span className="text-value">{symbol}</span>
      </p>
      <p className="min-h-6 text-small" role="status">
        {problem ?? (from === undefined ? '' : `from the ${from}`)}
      </p>
      <TypedEarlier at={typedAt} />
      {instruments.length > 0 && (
        <p className="mb-2 flex flex-wrap gap-2">
          {instruments
            .filter(({ id }) => id === 'thermometer' || id === 'infrared')
            .map(({ id }) => (
              <button key={id} type="button" className="button" onClick={() => void drop(id)}>
                From the {id}
              </button>
            ))}
        </p>
      )}
      <div className="h-[264px] border-t border-edge">
        <Keypad
          typesFor={`log ${place ?? ''}`}
          text={text}
          onChange={(next) => {
            setText(next);
            setFrom(undefined);
            setProblem(undefined);
          }}
          onEnter={() => void enter()}
          entering={
            parsed?.kind === 'value' ? valueText(parsed.value, 'temperature', system) : undefined
          }
          goesOver={false}
          goesBelow={quantityTable.temperature.reach[0] < 0}
          hasOhms={false}
        />
      </div>
    </Dialog>
  );
}
