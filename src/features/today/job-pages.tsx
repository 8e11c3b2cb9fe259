import { Link } from '@/ui/link';

/** Which page of each list is shown, and by which words it was found: what the address of Today says. */
export interface ShownPages {
  readonly find: string;
  readonly open: number;
  readonly closed: number;
}

/** The way to the other pages of a list that is longer than one. */
export function JobPages({
  title,
  list,
  page,
  count,
  rows,
  pages,
}: {
  title: string;
  list: 'open' | 'closed';
  page: number;
  count: number;
  rows: readonly unknown[];
  pages: ShownPages;
}) {
  const before = (page - 1) * jobsOnPage;
  if (count <= jobsOnPage && page === 1) return null;
  const last = Math.ceil(count / jobsOnPage);
  const to = (wanted: number) => addressOf({ ...pages, [list]: wanted });
  return (
    <nav
      aria-label={`Pages of ${title.toLowerCase()} jobs`}
      className="mb-8 flex items-center gap-4 px-5"
    >
      {page > 1 && (
        <Link className="button" href={to(page - 1)} rel="prev">
          Newer
        </Link>
      )}
      <span>
        {rows.length === 0 ? 'none here' : `${before + 1} to ${before + rows.length}`} of{' '}
        {countWords(count, pages.find)}
      </span>
      {(page < last || rows.length === jobsOnPage) && (
        <Link className="button" href={to(page + 1)} rel="next">
          Older
        </Link>
      )}
    </nav>
  );
}

/** What words find is counted up to a thousand. */
export const countWords = (count: number, find: string): string =>
  find !== '' && count > 1000 ? 'more than 1000' : String(count);

/** How many jobs a page of a list has. */
export const jobsOnPage = 50;

function addressOf({ find, open, closed }: ShownPages): string {
  const said = new URLSearchParams();
  if (find !== '') said.set('find', find);
  if (open > 1) said.set('open', String(open));
  if (closed > 1) said.set('closed', String(closed));
  return said.size === 0 ? '/' : `/?${said}`;
}
