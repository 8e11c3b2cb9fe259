'use client';

import { useState } from 'react';
import { isWorkedDead } from '@/core/appliances';
import {
  belongsOn,
  misplacedWires,
  unconfirmedWires,
  type JobState,
  type LiftedEnd,
  type WireRecord,
} from '@/core/job-file';
import { useFamily, useWords } from '@/features/record/family-context';
import { useDraft } from '@/features/record/use-draft';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { capital, terminalName } from '@/features/record/words';
import { Tick } from '@/ui/marks';
import { PanelMap } from './panel-map';

interface WireMapProps {
  readonly record: JobRecord;
  readonly state: JobState;
  readonly repair: string | undefined;
  readonly does: 'lift' | 'put-back';
  onFinish(): void;
}

/**
 * The map of the wires: each end noted with its colour, number and label before it comes off, and confirmed on its terminal
 * afterwards; on a part with other terminals, old to new side by side.
 */
export function WireMap({ record, state, repair, does, onFinish }: WireMapProps) {
  const family = useFamily();
  const [problem, setProblem] = useState<string>();
  const listed = endsOf(family.repairs[repair ?? '']?.wires ?? [], state);
  const isUnproved = isWorkedDead(family) && !state.provedDeadAt;
  const noted = (each: LiftedEnd) => state.wires[`${each.wire} ${each.end}`];
  const misplaced = misplacedWires(state);

  const finish = () => {
    if (does === 'lift') {
      // One that was confirmed back, in an earlier repair, is on its terminal again.
      const left = listed.filter((each) => noted(each)?.backOn !== undefined || !noted(each));
      if (left.length > 0)
        return setProblem(
          `${left.length} not noted yet: without its note nobody knows where it goes.`,
        );
      return onFinish();
    }
    const open = unconfirmedWires(state);
    if (state.lifted.length > 0)
      return setProblem(`${state.lifted.length} still off. Put each back, then confirm it.`);
    if (open.length > 0)
      return setProblem(`${open.length} not confirmed yet: tug it, and say where it sits.`);
    if (misplaced.length > 0) {
      return setProblem('A wire sits on another terminal than it belongs on. Put it right first.');
    }
    onFinish();
  };

  return (
    <div className="mt-3">
      <h3 className="font-semibold">Wires</h3>
      <PanelMap wires={state.wires} />
      {isUnproved && <p className="font-medium">Wires wait until power is off and proved dead.</p>}
      <ul>
        {listed.map((each) => (
          <WireEnd
            key={`${each.wire} ${each.end}`}
            {...{ record, state, does, isUnproved }}
            end={each}
            noted={noted(each)}
          />
        ))}
      </ul>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <button
        type="button"
        className="button button-act mt-3 min-h-16 w-full text-[22px]"
        onClick={finish}
      >
        {does === 'lift' ? 'All noted and off' : 'All back and confirmed'}
      </button>
    </div>
  );
}

/** Ends of a repair, those that hang free, and those that were noted: each once. */
export function endsOf(wires: readonly LiftedEnd[], state: JobState): LiftedEnd[] {
  const all = new Map<string, LiftedEnd>();
  for (const { wire, end } of [...wires, ...state.lifted, ...Object.values(state.wires)]) {
    all.set(`${wire} ${end}`, { wire, end });
  }
  return [...all.values()];
}

/** One end: its note, lifted or not, and where it sits again. */
export function WireEnd({
  record,
  state,
  does,
  isUnproved,
  end: { wire, end },
  noted,
}: {
  record: JobRecord;
  state: JobState;
  does: 'lift' | 'put-back' | 'both';
  isUnproved: boolean;
  end: LiftedEnd;
  noted: WireRecord | undefined;
}) {
  const words = useWords();
  const family = useFamily();
  const key = `${record.job.job.id} wire ${wire} ${end}`;
  const [colour, setColour] = useDraft(`${key} colour`);
  const [number, setNumber] = useDraft(`${key} number`);
  const [label, setLabel] = useDraft(`${key} label`);
  const [mapping, setMapping] = useDraft(`${key} map`);
  const [isMapping, setMappingOpen] = useState(false);
  const isOff = state.lifted.some((each) => each.wire === wire && each.end === end);
  const name = `${words.wire(wire)} at ${terminalName(end)}`;
  const notes = [
    { what: 'colour', value: colour, set: setColour, most: 60 },
    { what: 'number', value: number, set: setNumber, most: 20 },
    { what: 'label', value: label, set: setLabel, most: 60 },
  ];
  const text = (value: string) => (value.trim() === '' ? undefined : value.trim());
  const note = (): NewEntry => ({
    kind: 'wire',
    wire,
    from: end,
    stands: 'noted',
    ...(text(colour) ? { colour: text(colour) } : {}),
    ...(text(number) ? { number: text(number) } : {}),
    ...(text(label) ? { label: text(label) } : {}),
  });
  const lift = async () => {
    const isKept = await record.append(note(), {
      kind: 'action',
      action: 'lift-wire',
      wire,
      end,
    });
    if (!isKept) return;
    setColour('');
    setNumber('');
    setLabel('');
  };
  const putBack = (to: string) =>
    record.append(
      ...(isOff ? [{ kind: 'action', action: 'refit-wire', wire, end } as NewEntry] : []),
      { kind: 'wire', wire, from: end, to, stands: 'back' },
      // On a terminal where it does not belong: the wiring has been looked at, and it is wrong.
      ...(noted && to !== belongsOn(noted) && family.catalogue.check('wiring-look')
        ? [{ kind: 'observation', check: 'wiring-look', value: faultSeen(family) } as NewEntry]
        : []),
    );
  const isWrong = noted?.backOn !== undefined && noted.backOn !== belongsOn(noted);
  const others = [...family.catalogue.terminals].filter((each) => each !== end);
  return (
    <li className="border-b border-hair py-2" aria-label={name}>
      <div className="flex flex-wrap items-center gap-2">
        <span className="min-w-0 flex-1 leading-tight">
          <span className="font-medium">{terminalName(end)}</span>
          <span className="block text-small text-ink-2">
            {[words.wire(wire), noted?.colour, noted?.number && `no. ${noted.number}`, noted?.label]
              .filter(Boolean)
              .join(', ')}
          </span>
          {noted?.mappedTo !== undefined && (
            <span className="block text-small">
              goes to <strong>{terminalName(noted.mappedTo)}</strong> on the new part
            </span>
          )}
        </span>
        {noted?.backOn !== undefined && !isOff && (
          <span
            className={`flex items-center gap-1.5 text-small font-semibold ${isWrong ? 'text-heat' : ''}`}
          >
            {!isWrong && <Tick />} {isWrong ? 'WRONG: on' : 'on'} {terminalName(noted.backOn)}
          </span>
        )}
      </div>
      {does !== 'put-back' && !isOff && noted?.backOn !== undefined && !isWrong && (
        <button
          type="button"
          className="button mt-1"
          disabled={isUnproved}
          aria-label={`${name}: lift`}
          onClick={() => void lift()}
        >
          Lift again
        </button>
      )}
      {does !== 'put-back' && !isOff && noted?.backOn === undefined && (
        <div className="mt-1 grid grid-cols-[1fr_1fr_1fr_auto] gap-2">
          {notes.map(({ what, value, set, most }) => (
            <input
              key={what}
              className="field"
              placeholder={what}
              aria-label={`${capital(what)} of the ${name}`}
              value={value}
              maxLength={most}
              onChange={(event) => set(event.target.value)}
            />
          ))}
          <button
            type="button"
            className="button"
            disabled={isUnproved}
            aria-label={`${name}: lift`}
            onClick={() => void lift()}
          >
            Lift
          </button>
        </div>
      )}
      {does !== 'lift' && (isOff || noted?.backOn === undefined || isWrong) && (isOff || noted) && (
        <div className="mt-1 flex flex-wrap gap-2">
          <button
            type="button"
            className="button border-2 border-act font-semibold text-act disabled:border-dashed disabled:border-edge disabled:text-ink-2"
            disabled={isUnproved}
            aria-label={`${name}: back on ${terminalName(noted ? belongsOn(noted) : end)}`}
            onClick={() => void putBack(noted ? belongsOn(noted) : end)}
          >
            Back on {terminalName(noted ? belongsOn(noted) : end)}, tugged
          </button>
          <select
            className="field w-auto"
            aria-label={`${name}: sits on another terminal`}
            value=""
            disabled={isUnproved}
            onChange={(event) => event.target.value && void putBack(event.target.value)}
          >
            <option value="">sits elsewhere</option>
            {others.map((each) => (
              <option key={each} value={each}>
                {terminalName(each)}
              </option>
            ))}
          </select>
          {!isMapping && noted && (
            <button type="button" className="button" onClick={() => setMappingOpen(true)}>
              Other terminals on the new part
            </button>
          )}
        </div>
      )}
      {isMapping && noted && (
        <form
          className="mt-1 grid grid-cols-[1fr_auto_1fr_auto] items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (mapping.trim() === '') return;
            void record
              .append({ kind: 'wire', wire, from: end, to: mapping.trim(), stands: 'mapped' })
              .then((isKept) => {
                if (!isKept) return;
                setMapping('');
                setMappingOpen(false);
              });
          }}
        >
          <span className="border border-edge p-2 text-center font-medium">
            old: {terminalName(end)}
          </span>
          <span aria-hidden="true">→</span>
          <input
            className="field"
            placeholder="new: T2"
            aria-label={`${name}: terminal on the new part`}
            value={mapping}
            maxLength={60}
            onChange={(event) => setMapping(event.target.value)}
          />
          <button type="submit" className="button">
            Map
          </button>
        </form>
      )}
    </li>
  );
}

/** What a family calls wiring that is not as it should be: the value that is not the good one. */
function faultSeen(family: ReturnType<typeof useFamily>): string {
  const values = family.catalogue.check('wiring-look')?.values ?? [];
  return values.find((each) => each.includes('fault')) ?? values.at(-1)!;
}
