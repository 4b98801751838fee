import { createThreads, type Threads } from '@/worker/threads';
import { nodeThread } from '@/worker/nodeThread';
import { readBody } from '../../body';
import { refusedCaller } from '../../callers';
import { otherThan } from '../../methods';

const MAX_BYTES = 1_000_000;

const held = globalThis as { ergastoThreads?: Threads };
/** Threads for as long as this Ergasto runs: a long question never holds up the pages. */
const threads = (held.ergastoThreads ??= createThreads(nodeThread));

function refusal(status: number, message: string, headers: HeadersInit = {}): Response {
  return Response.json({ errors: [{ path: '', message }] }, { status, headers });
}

const TROUBLE: Record<'busy' | 'late' | 'broke', [status: number, message: string]> = {
  busy: [429, 'Too many questions wait already: ask again in a moment.'],
  late: [503, 'That took over ten seconds and was given up: ask for less at once.'],
  broke: [503, 'The reckoning broke, which is a fault of ours: ask again.'],
};

/** `POST /api/reckon/<id>`: any calculator over HTTP. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const why = refusedCaller(request.headers);
  if (why) return refusal(403, why);
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(json|[\w.+-]+\+json)\s*(;|$)/i.test(type))
    return refusal(415, 'Send JSON with the content type application/json.');
  const body = await readBody(request, MAX_BYTES);
  if (!body.ok)
    return body.why === 'too-large'
      ? refusal(413, 'The body is over 1 MB: send less at once.')
      : refusal(408, 'The body did not arrive within half a minute.');
  const told = await threads.ask({ id: (await params).id, text: Buffer.from(body.bytes).toString('utf8') });
  if (told.kind !== 'answer') return refusal(...TROUBLE[told.kind]);
  return new Response(told.answer.body, {
    status: told.answer.status,
    headers: { 'content-type': 'application/json' },
  });
}

export const { GET, HEAD, PUT, PATCH, DELETE, OPTIONS } = otherThan('POST');
