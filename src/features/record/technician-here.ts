import { technicianCookie, technicianCookieSeconds, technicianIn } from '@/technician-cookie';

/** Who was chosen on this device, whether the server has heard of it or not. */
export const technicianHere = (): string | undefined =>
  technicianIn((name) => new RegExp(`(?:^|; )${name}=([^;]+)`).exec(document.cookie)?.[1]);

let written: string | undefined;

/** Writes down on this device who works with it: the server hears of it with whatever it is asked next. */
export function writeTechnicianHere(id: string): void {
  written = id;
  document.cookie = `${technicianCookie}=${id}; Path=/; Max-Age=${technicianCookieSeconds}; SameSite=Strict`;
}

/** Tells, when asked, whether somebody else was chosen since, and not on this page. */
export function watchTechnicianHere(): () => boolean {
  let known = technicianHere();
  return () => {
    const before = known;
    known = technicianHere();
    if (known === before) return false;
    const isByThisPage = known === written;
    // Once somebody else was chosen, to choose the former one again elsewhere is news too.
    written = undefined;
    return !isByThisPage;
  };
}

/** Who works here, of those that this device knows; the server's word counts where nobody said so here. */
export function presentAmong<Each extends { readonly id: string }>(
  technicians: readonly Each[],
  asServed: string,
): Each {
  const here = technicianHere();
  const find = (id: string | undefined) => technicians.find((each) => each.id === id);
  return find(here) ?? find(asServed) ?? technicians[0]!;
}
