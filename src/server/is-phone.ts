/**
 * Whether a page is asked for by a phone, as its browser says: by the header for it (User-Agent Client Hints, W3C draft), or
 * by the word that RFC 9110's User-Agent has on phones by common practice. A tablet and a desk say no. It is a guess at the
 * room on the screen, and the page sets it right once its code is there.
 */
export function isPhone(headers: Pick<Headers, 'get'>): boolean {
  const hint = headers.get('sec-ch-ua-mobile');
  if (hint !== null) return hint === '?1';
  return /\bMobi/.test(headers.get('user-agent') ?? '');
}
