import { NextResponse, type NextRequest } from 'next/server';
import { everywhere, knockOf, refusedAtTheDoor } from './door';

/**
 * Before every request: only this machine's own names are answered, only its own pages may change anything, and each
 * page gets a content-security policy with a nonce of its own.
 */
export function proxy(request: NextRequest): NextResponse {
  const refused = refusedAtTheDoor(knockOf(request));
  if (refused) {
    return new NextResponse(refused.message, { status: refused.status, headers: everywhere });
  }
  if (!isReadable(request.nextUrl.pathname)) {
    return new NextResponse('This address cannot be read.', { status: 400, headers: everywhere });
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(everywhere)) response.headers.set(name, value);
  return response;
}

function isReadable(pathname: string): boolean {
  try {
    return decodeURIComponent(pathname) !== '';
  } catch {
    return false;
  }
}

function contentSecurityPolicy(nonce: string): string {
  // Reloading while one edits evaluates code; a build does not.
  const development = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : '';
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development}`,
    `style-src 'self' 'nonce-${nonce}'`,
    // Positions of dialogs and drawings are set on elements by scripts that the line above has let in.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/**
 * Everything, files of the build too, but the one route that is written to with every reading: passing a body through here
 * costs as much as all else about it. That route asks at the door itself, as does the short way to it (server/short-way.ts).
 */
export const config = { matcher: ['/((?!api/jobs/[^/]+/entries).*)'] };
