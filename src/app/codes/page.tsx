import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { CodeLists } from '@/features/codes/code-lists';
import { listedPacks } from '@/server/code-packs';
import { inFirm } from '@/server/in-firm';

export const metadata: Metadata = { title: 'Lists of codes' };

export default async function Page() {
  const listed = await inFirm(listedPacks);
  if (!listed) redirect('/setup');
  return <CodeLists listed={listed} />;
}
