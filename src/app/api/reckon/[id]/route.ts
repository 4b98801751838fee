import { parseJson, reckon } from '@/core/reckon';

const MAX_BYTES = 1_000_000;

function refusal(status: number, message: string, headers: HeadersInit = {}): Response {
  return Response.json({ errors: [{ path: '', message }] }, { status, headers });
}

/** Reads a body up to the limit; null when it is larger, without keeping the rest. */
async function readBody(request: Request): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > MAX_BYTES) return null;
  if (!request.body) return '';
  const reader = request.body.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > MAX_BYTES) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/** `POST /api/reckon/<id>`: any calculator over HTTP. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(json|[\w.+-]+\+json)\s*(;|$)/i.test(type))
    return refusal(415, 'Send JSON with the content type application/json.');
  const text = await readBody(request);
  if (text === null) return refusal(413, 'The body is over 1 MB: send less at once.');
  const parsed = parseJson(text);
  if (!parsed.ok) return Response.json({ errors: parsed.errors }, { status: 400 });
  const result = reckon((await params).id, parsed.value);
  if (result.status === 'ok') return Response.json(result.output);
  if (result.status === 'refused') return Response.json({ errors: result.errors }, { status: 400 });
  return Response.json({ errors: result.errors, ids: result.ids }, { status: 404 });
}

function notAllowed(): Response {
  return refusal(405, 'Only POST is answered here.', { allow: 'POST' });
}

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE };
