'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { clockTime, longDate } from '@/features/record/words';
import { KeptNote } from '@/features/device/kept-note';
import { Dialog } from '@/ui/dialog';
import { PageBar } from '@/ui/page-bar';
import { UntilAlive } from '@/ui/until-alive';
import { TechnicianForm, type SaidOfTechnician } from './technician-form';

export interface ListedTechnician extends SaidOfTechnician {
  readonly id: string;
}

/** What was said of somebody, when, and by whom. */
export interface ListedChange {
  readonly id: string;
  readonly at: string;
  readonly byName: string;
  readonly said: SaidOfTechnician;
}

const nobody: SaidOfTechnician = {
  name: '',
  licence: '',
  liveWork: false,
  gasWork: false,
  hasLeft: false,
};

/** Who works here, and what they may work on: what a live or a gas check asks for before it is proposed. */
export function TechniciansPage({
  technicians,
  changes,
  timeZone,
}: {
  technicians: readonly ListedTechnician[];
  changes: readonly ListedChange[];
  timeZone: string;
}) {
  const router = useRouter();
  const [open, setOpen] = useState<ListedTechnician | 'new'>();
  const close = () => setOpen(undefined);
  const id = open === 'new' ? undefined : open?.id;
  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar note={<KeptNote />} />
      <main className="mx-auto max-w-2xl px-5 pb-8">
        <UntilAlive>
          <div className="flex items-center justify-between gap-3 pt-4">
            <h1 className="text-title-l font-semibold">Who works here</h1>
            <button type="button" className="button button-act" onClick={() => setOpen('new')}>
              Add somebody
            </button>
          </div>
          <ul className="mt-3 border-t border-hair">
            {technicians.map((each) => (
              <li
                key={each.id}
                className="flex items-center justify-between gap-3 border-b border-hair py-2"
              >
                <div className="min-w-0">
                  <p className={`text-lead font-semibold ${each.hasLeft ? 'text-ink-2' : ''}`}>
                    {each.name}
                  </p>
                  <p className="text-small text-ink-2">{wordsOn(each)}</p>
                </div>
                <button
                  type="button"
                  className="button shrink-0"
                  aria-label={`Change ${each.name}`}
                  onClick={() => setOpen(each)}
                >
                  Change
                </button>
              </li>
            ))}
          </ul>
          {changes.length > 0 && (
            <section className="mt-8">
              <h2 className="text-lead font-semibold">What was said of whom</h2>
              <ol className="mt-1 border-t border-hair">
                {changes.map(({ id: key, at, byName, said }) => (
                  <li key={key} className="border-b border-hair py-2 text-small">
                    <span className="font-semibold">{said.name}</span>: {wordsOn(said)}
                    <span className="block text-ink-2">
                      {longDate(at, timeZone)}, {clockTime(at, timeZone)}, on a device of {byName}
                    </span>
                  </li>
                ))}
              </ol>
            </section>
          )}
        </UntilAlive>
      </main>
      <Dialog
        title={open === 'new' ? 'Somebody new' : (open?.name ?? '')}
        isOpen={open !== undefined}
        onClose={close}
      >
        {open && (
          <TechnicianForm
            said={open === 'new' ? nobody : open}
            id={id}
            onKept={() => {
              close();
              router.refresh();
            }}
          />
        )}
      </Dialog>
    </div>
  );
}

const wordsOn = ({ licence, liveWork, gasWork, hasLeft }: SaidOfTechnician): string =>
  [
    ...(hasLeft ? ['works here no longer'] : []),
    licence ? `licence ${licence}` : 'no licence known',
    liveWork ? 'live parts' : 'no live parts',
    gasWork ? 'gas' : 'no gas',
  ].join(' · ');
