import { bicycleKind } from '@/core/bicycle';
import { soldFeed } from '@/features/buy/soldFeed';
import { refusedCaller } from '../callers';
import { otherThan } from '../methods';

/** The stand-in for a feed of sold prices: `?kind=` holds what the bicycle is, as JSON. */
export function GET(request: Request): Response {
  const why = refusedCaller(request.headers);
  if (why) return Response.json({ errors: [{ path: '', message: why }] }, { status: 403 });
  const text = new URL(request.url).searchParams.get('kind') ?? '{}';
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return Response.json({ errors: [{ path: 'kind', message: 'this is not JSON' }] }, { status: 400 });
  }
  const kind = bicycleKind.safeParse(raw);
  if (!kind.success)
    return Response.json(
      { errors: [{ path: 'kind', message: 'no such bicycle: look at the fields' }] },
      { status: 400 },
    );
  return Response.json(soldFeed(kind.data, new Date()));
}

export const { POST, PUT, PATCH, DELETE, OPTIONS } = otherThan('GET');
