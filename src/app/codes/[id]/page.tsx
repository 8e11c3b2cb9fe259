import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { PackEditor } from '@/features/codes/pack-editor';
import { packToChange } from '@/server/code-packs';
import { inFirm } from '@/server/in-firm';

export const metadata: Metadata = { title: 'List of codes' };

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { id } = await params;
  const { from } = await searchParams;
  const found = await inFirm((transaction) =>
    packToChange(transaction, id, typeof from === 'string' ? from : undefined),
  );
  if (found === undefined) redirect('/setup');
  if (found === 'none') notFound();
  return <PackEditor {...found} />;
}
