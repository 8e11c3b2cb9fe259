import type { CodePack } from '@/core/codes';
import type { KeptCodePack } from '@/database/code-packs';
import { deviceStore } from './store';

const pageName = 'code-packs';

/** The firm's packs of codes as this device last saw them; none where its store does not answer. */
export async function keptCodePacks(): Promise<readonly CodePack[]> {
  try {
    return ((await deviceStore().pages.get(pageName))?.content ?? []) as readonly CodePack[];
  } catch {
    return [];
  }
}

/** Asks the server for them and keeps what it says; undefined without a connection. */
export async function keepCodePacks(): Promise<readonly CodePack[] | undefined> {
  try {
    const response = await fetch('/api/code-packs');
    if (!response.ok) return undefined;
    const content = ((await response.json()) as KeptCodePack[]).map(({ pack }) => pack);
    await deviceStore()
      .pages.put({ name: pageName, keptAt: Date.now(), content })
      .catch(() => undefined); // a store that refuses: what the server said counts all the same
    return content;
  } catch {
    return undefined;
  }
}
