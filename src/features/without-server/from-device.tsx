'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/ui/link';
import { useEffect, useState, type ReactNode } from 'react';
import type { JobFile } from '@/core/job-file';
import { keptFirm, type KeptFirm } from '@/features/device/kept-firm';
import { keptJob } from '@/features/device/kept-jobs';
import { watchStore, type StoreTrouble } from '@/features/device/store';
import { Present } from '@/features/record/technician-context';
import { presentAmong } from '@/features/record/technician-here';
import { placeOf, type Place } from './place';
import { askServerAgain } from './server-again';

/** Each with the code of its screen alone. */
const KeptToday = dynamic(() => import('./kept-today').then((each) => each.KeptToday));
const KeptJobPage = dynamic(() => import('./kept-job-page').then((each) => each.KeptJobPage));
const Waiting = dynamic(() => import('@/features/waiting/waiting').then((each) => each.Waiting));
const SensorsPage = dynamic(() =>
  import('@/features/sensors/sensors-page').then((each) => each.SensorsPage),
);
const CallForm = dynamic(() => import('@/features/call/call-form').then((each) => each.CallForm));

type Found =
  | { readonly kind: 'looking' }
  | { readonly kind: 'silent' }
  | { readonly kind: 'nothing' }
  | {
      readonly kind: 'found';
      readonly place: Place;
      readonly firm: KeptFirm;
      readonly job?: JobFile;
    };

/**
 * The page of this address from what the device keeps, where the server does not give it.
 * @param otherwise what is shown where the device has nothing for the address either.
 */
export function FromDevice({ otherwise }: { otherwise?: ReactNode }) {
  const found = useFound();
  useTheme();
  if (found.kind === 'looking') {
    return otherwise ?? <p className="p-6 text-lead">Looking on this device</p>;
  }
  if (found.kind === 'silent') return otherwise ?? <SilentDevice />;
  if (found.kind === 'nothing') return otherwise ?? <NotOnDevice />;
  const { place, firm, job } = found;
  const { organisation, technicians, technicianId } = firm.content;
  const technician = presentAmong(technicians, technicianId);
  return (
    <Present technician={technician}>
      {place.kind === 'today' && <KeptToday firm={firm} find={place.find} />}
      {place.kind === 'call' && (
        <CallForm system={organisation.unitSystem} timeZone={organisation.timeZone} />
      )}
      {place.kind === 'waiting' && <Waiting system={organisation.unitSystem} />}
      {place.kind === 'sensors' && (
        <SensorsPage system={organisation.unitSystem} type={place.type} />
      )}
      {place.kind === 'job' && job && (
        <KeptJobPage job={job} page={place.page} organisation={organisation} />
      )}
    </Present>
  );
}

const withoutStore: Readonly<Record<StoreTrouble, Found>> = {
  refused: { kind: 'nothing' },
  silent: { kind: 'silent' },
};

function useFound(): Found {
  const [found, setFound] = useState<Found>({ kind: 'looking' });
  useEffect(() => {
    const place = placeOf(new URL(window.location.href));
    return watchStore(
      async (): Promise<Found> => {
        const firm = await keptFirm();
        const job = place.kind === 'job' ? await keptJob(place.id) : undefined;
        const isThere = place.kind === 'job' ? job !== undefined : place.kind !== 'none';
        return firm && isThere ? { kind: 'found', place, firm, job } : { kind: 'nothing' };
      },
      setFound,
      (trouble) => setFound(withoutStore[trouble]),
    );
  }, []);
  return found;
}

/** The page was drawn for every device alike. */
function useTheme(): void {
  useEffect(() => {
    const theme = /(?:^|; )ohmmeter-theme=(dark|light)/.exec(document.cookie)?.[1];
    if (theme) document.documentElement.dataset.theme = theme;
    else delete document.documentElement.dataset.theme;
  }, []);
}

function SilentDevice() {
  return (
    <main className="mx-auto max-w-xl p-6">
      <div role="alert">
        <h1 className="text-title-l font-semibold">This device’s own store does not answer</h1>
        <p className="mt-3 text-lead">
          Nor does the server. The page comes as soon as one of them does. What was entered is kept;
          closing other tabs of Ohmmeter may help.
        </p>
      </div>
    </main>
  );
}

function NotOnDevice() {
  useEffect(askServerAgain, []);
  return (
    <main className="mx-auto max-w-xl p-6">
      <h1 className="text-title-l font-semibold">Not on this device</h1>
      <p className="mt-3 text-lead">
        The server has not answered, and this device has not kept what is at this address. The page
        comes as soon as the server gives it. What you entered is kept, and goes by itself.
      </p>
      <p className="mt-4 flex flex-wrap gap-3">
        <button
          type="button"
          className="button button-act"
          onClick={() => window.location.reload()}
        >
          Try again
        </button>
        <Link href="/" className="button">
          All jobs
        </Link>
      </p>
    </main>
  );
}
