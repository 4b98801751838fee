import { MOST_PARCEL_BYTES } from '@/core/exchange/shelf';
import { shelf } from './shelf';

const REFUSED = {
  'too-large': [413, 'The parcel is over 60 MB: send it as a file.'],
  full: [503, 'Too much is being handed over just now: try again in ten minutes, or send it as a file.'],
} as const;

/** Lays a parcel on the shelf and gives its code. */
export async function POST(request: Request): Promise<Response> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_PARCEL_BYTES)
    return Response.json({ why: REFUSED['too-large'][1] }, { status: 413 });
  const put = shelf.put(new Uint8Array(await request.arrayBuffer()));
  if (!put.ok) return Response.json({ why: REFUSED[put.why][1] }, { status: REFUSED[put.why][0] });
  return Response.json({ code: put.code, until: put.until }, { headers: { 'cache-control': 'no-store' } });
}
