'use client';

import { useState } from 'react';
import type { Meter } from '@/features/record/use-meter';
import { Choice } from '@/ui/choice';
import { Dialog } from '@/ui/dialog';
import { takenNow, type Load, type TakenAspect } from './taken';

export interface HowTakenProps {
  readonly aspect: TakenAspect;
  readonly meter: Meter;
  readonly load: Load;
  onMeter(change: Meter): void;
  onLoad(load: Load): void;
}

/** What the meter is asked for, by what the result is. */
const ofMeter = {
  leads: {
    key: 'leadOhm',
    label: 'Leads',
    why: 'What the meter shows with its probes pinched together. It is kept beside each reading, and counted off what it means; the reading itself stays as the meter showed it. 0 where the meter was zeroed.',
    ohms: [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.8, 1],
  },
  beep: {
    key: 'beepBelowOhm',
    label: 'The meter beeps below',
    why: 'A beep is weaker evidence than a reading: it only says that there is less than this. Its manual gives the value.',
    ohms: [10, 20, 30, 50, 100, 200],
  },
} as const;

const loads = [
  [undefined, 'as wired'],
  ['loaded', 'under load'],
  ['open-circuit', 'no load, wires off'],
] as const;

/** What belongs to the result beside its number, in a few words; touched, it is set. */
export function HowTaken(props: HowTakenProps) {
  const [isOpen, setOpen] = useState(false);
  const { aspect, meter, load } = props;
  return (
    <>
      <button
        type="button"
        className="link -my-2.5 min-h-11 text-small text-ink-2"
        onClick={() => setOpen(true)}
      >
        {takenNow(aspect, meter, load)}
      </button>
      <Dialog title="How it is taken" isOpen={isOpen} onClose={() => setOpen(false)}>
        <Aspect {...props} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

function Aspect({
  aspect,
  meter,
  load,
  onMeter,
  onLoad,
  onDone,
}: HowTakenProps & { onDone(): void }) {
  if (aspect === 'load') {
    return (
      <Choice
        label="Load"
        why="A burnt joint shows its full voltage until current runs through it. Say so where the elements were off their wires, or seen to draw."
        options={loads.map(([each, label]) => ({
          label,
          isChosen: load === each,
          onChoose: () => {
            onLoad(each);
            onDone();
          },
        }))}
      />
    );
  }
  const { key, label, why, ohms } = ofMeter[aspect];
  return (
    <Choice
      label={label}
      why={why}
      options={ohms.map((ohm) => ({
        label: `${ohm} Ω`,
        isChosen: meter[key] === ohm,
        onChoose: () => {
          onMeter({ [key]: ohm });
          onDone();
        },
      }))}
    />
  );
}
