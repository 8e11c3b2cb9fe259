import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { listKnownUnits } from '@/database/customers';
import { CallForm } from '@/features/call/call-form';
import { inFirm, readSession } from '@/server/session';

export const metadata: Metadata = { title: 'New call' };

export default async function Page() {
  const session = await readSession();
  const known = await inFirm((transaction) => listKnownUnits(transaction));
  if (!session || !known) redirect('/setup');
  return (
    <CallForm
      technicianId={session.technician.id}
      system={session.organisation.unitSystem}
      knownUnits={known.map(({ customer, site, unit }) => ({
        id: unit.id,
        label: `${customer.name}, ${site.address.split(',')[0]}: ${[unit.make, unit.model, unit.serial].filter(Boolean).join(' ') || 'unit'}`,
        family: unit.family,
        volt: unit.plate.rated.volt,
        nominalVolt: site.nominalVolt,
        watts: Object.fromEntries(
          Object.entries(unit.plate.elements).map(([id, element]) => [id, element?.watt ?? 0]),
        ),
      }))}
    />
  );
}
