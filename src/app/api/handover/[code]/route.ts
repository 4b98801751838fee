import { shelf } from '../shelf';

/** Gives a parcel out, once. */
export async function POST(_request: Request, { params }: { params: Promise<{ code: string }> }): Promise<Response> {
  const taken = shelf.take((await params).code);
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
