import { NextResponse, type NextRequest } from 'next/server';

/**
 * Before every request: only this machine's own names are answered, only its own pages may change anything, and each
 * page gets a content-security policy with a nonce of its own.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host') ?? '';
  if (!isOwnHost(host)) {
    return new NextResponse('This address is not answered. Use http://127.0.0.1.', { status: 421 });
  }
  const origin = request.headers.get('origin');
  const changes = !['GET', 'HEAD'].includes(request.method);
  if (changes && (origin === null || !isOwnOrigin(origin, host))) {
    return new NextResponse('Changes are taken from pages of Ohmmeter only.', { status: 403 });
  }

  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  return response;
}

const isOwnHost = (host: string) => /^(127\.0\.0\.1|localhost)(:\d+)?$/.test(host);

const isOwnOrigin = (origin: string, host: string) => origin === `http://${host}`;

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

export const config = { matcher: ['/((?!_next/static|_next/image|icon.svg).*)'] };
