import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { SetupForm } from '@/features/setup/setup-form';
import { readSession } from '@/server/session';

export const metadata: Metadata = { title: 'Set up' };

export default async function Page() {
  if (await readSession()) redirect('/');
  return <SetupForm />;
}
