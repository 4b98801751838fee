import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { NextResponse, type NextRequest } from 'next/server';
import { isOwnHost } from './app/api/callers';
import { policyFor } from './app/policy';

let hashes: Record<string, string[]> | null = null;

/** Hashes of each page's own inline scripts, written after the build; none while developing. */
function scriptHashes(): Record<string, string[]> {
  if (hashes) return hashes;
  try {
    hashes = JSON.parse(readFileSync(join(process.cwd(), '.next', 'script-hashes.json'), 'utf8')) as Record<
      string,
      string[]
    >;
  } catch {
    hashes = {};
  }
  return hashes;
}

/** Lays the content security policy over every page, and gives none under a name that is not ours. */
export function proxy(request: NextRequest): NextResponse {
  if (!isOwnHost(request.headers.get('host')))
    return new NextResponse('Ergasto does not answer under that name. ERGASTO_HOSTS names more of them.\n', {
      status: 403,
      headers: { 'content-type': 'text/plain; charset=utf-8' },
    });
  const response = NextResponse.next();
  if (process.env.NODE_ENV === 'production') {
    const known = scriptHashes();
    response.headers.set(
      'Content-Security-Policy',
      policyFor(known[request.nextUrl.pathname] ?? known['/_not-found'] ?? []),
    );
  }
  return response;
}

export const config = { matcher: '/((?!_next/static|api/).*)' };
