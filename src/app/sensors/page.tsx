import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { SensorsPage } from '@/features/sensors/sensors-page';
import { readSession } from '@/server/session';

export const metadata: Metadata = { title: 'Sensors by their ohms' };

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ type?: string | string[] }>;
}) {
  const session = await readSession();
  if (!session) redirect('/setup');
  const { type } = await searchParams;
  return (
    <SensorsPage
      system={session.organisation.unitSystem}
      type={typeof type === 'string' ? type : undefined}
    />
  );
}
