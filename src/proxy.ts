import { NextResponse, type NextRequest } from 'next/server';

const DEV = process.env.NODE_ENV === 'development';

/** What a page of Dulvet may load and run: its own files, nothing else, and in no other site's frame. */
const policy = (nonce: string): string =>
  [
    `default-src 'self'`,
    // the solver is WebAssembly; styles stand in attributes (bars, charts), scripts never do
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${DEV ? ` 'unsafe-eval'` : ''}`,
    `style-src 'self' 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'${DEV ? ' ws:' : ''}`,
    `worker-src 'self' blob:`,
    `object-src 'none'`,
    `base-uri 'self'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ');

const HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Permissions-Policy': 'camera=(), microphone=(), geolocation=(), payment=(), usb=()',
} as const;

/** True for a request that a page of another site made: browsers say so themselves. */
export function fromElsewhere(headers: Headers): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return true;
  const origin = headers.get('origin');
  if (origin === null) return false;
  const host = headers.get('x-forwarded-host') ?? headers.get('host');
  try {
    return new URL(origin).host !== host;
  } catch {
    return true;
  }
}

/** Security headers on every answer; what another site's page posts is refused. */
export function proxy(request: NextRequest): NextResponse {
  if (request.method !== 'GET' && request.method !== 'HEAD' && fromElsewhere(request.headers))
    return NextResponse.json(
      {
        error: {
          code: 'other-origin',
          message: 'Only this app’s own pages and programs may ask.',
          path: null,
        },
      },
      { status: 403, headers: HEADERS },
    );
  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('Content-Security-Policy', policy(nonce));
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy(nonce));
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  return response;
}

export const config = {
  matcher: [{ source: '/((?!_next/static|_next/image).*)' }],
};
