import { callerOf, refusedCaller } from '../../callers';
import { otherThan } from '../../methods';
import { shelf } from '../shelf';

/** Gives a parcel out, once. */
export async function POST(request: Request, { params }: { params: Promise<{ code: string }> }): Promise<Response> {
  const why = refusedCaller(request.headers);
  if (why) return Response.json({ why }, { status: 403 });
  const taken = shelf.take((await params).code.slice(0, 100), callerOf(request.headers));
  if (taken.ok)
    return new Response(taken.data as Uint8Array<ArrayBuffer>, {
      headers: { 'content-type': 'application/zip', 'cache-control': 'no-store' },
    });
  return taken.why === 'unknown'
    ? Response.json(
        { why: 'No parcel lies under that code: it was fetched, is over ten minutes old, or was typed wrongly.' },
        { status: 404 },
      )
    : Response.json({ why: 'Too many wrong codes: wait a minute.' }, { status: 429 });
}

export const { GET, HEAD, PUT, PATCH, DELETE, OPTIONS } = otherThan('POST');
