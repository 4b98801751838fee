import { MOST_PARCEL_BYTES } from '@/core/exchange/shelf';
import { readBody } from '../body';
import { refusedCaller } from '../callers';
import { otherThan } from '../methods';
import { shelf } from './shelf';

const REFUSED = {
  'too-large': [413, 'The parcel is over 60 MB: send it as a file.'],
  'too-slow': [408, 'The parcel did not arrive within half a minute: send it as a file.'],
  full: [503, 'Too much is being handed over just now: try again in ten minutes, or send it as a file.'],
} as const;

/** Parcels that may be arriving at once: each is held in memory while it comes. */
const MOST_ARRIVING = 3;
let arriving = 0;

function refused(why: keyof typeof REFUSED): Response {
  return Response.json({ why: REFUSED[why][1] }, { status: REFUSED[why][0] });
}

/** Lays a parcel on the shelf and gives its code. */
export async function POST(request: Request): Promise<Response> {
  const why = refusedCaller(request.headers);
  if (why) return Response.json({ why }, { status: 403 });
  if (arriving >= MOST_ARRIVING) return refused('full');
  arriving++;
  try {
    const body = await readBody(request, MOST_PARCEL_BYTES);
    if (!body.ok) return refused(body.why);
    const put = shelf.put(body.bytes);
    if (!put.ok) return refused(put.why);
    return Response.json({ code: put.code, until: put.until }, { headers: { 'cache-control': 'no-store' } });
  } finally {
    arriving--;
  }
}

export const { GET, HEAD, PUT, PATCH, DELETE, OPTIONS } = otherThan('POST');
