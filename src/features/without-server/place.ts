/** The pages that a device can show by itself, by the address that the server would show them at. */
export type Place =
  | { readonly kind: 'today'; readonly find: string }
  | { readonly kind: 'call' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'sensors'; readonly type: string | undefined }
  | { readonly kind: 'job'; readonly id: string; readonly page: JobPage }
  | { readonly kind: 'none' };

export type JobPage =
  | 'bench'
  | 'repair'
  | 'report'
  | 'procedures'
  | 'temperatures'
  | 'settings'
  | 'combustion'
  | 'balancing'
  | 'mixing';

const jobAddress =
  /^\/jobs\/([0-9a-f-]{36})(?:\/(repair|report|procedures|temperatures|settings|combustion|balancing|mixing))?\/?$/i;

export function placeOf({ pathname, search }: Pick<URL, 'pathname' | 'search'>): Place {
  if (pathname === '/')
    return { kind: 'today', find: new URLSearchParams(search).get('find') ?? '' };
  if (pathname === '/call') return { kind: 'call' };
  if (pathname === '/waiting') return { kind: 'waiting' };
  if (pathname === '/sensors')
    return { kind: 'sensors', type: new URLSearchParams(search).get('type') ?? undefined };
  const [, id, page] = jobAddress.exec(pathname) ?? [];
  if (id === undefined) return { kind: 'none' };
  return {
    kind: 'job',
    id: id.toLowerCase(),
    page: (page?.toLowerCase() as JobPage | undefined) ?? 'bench',
  };
}
