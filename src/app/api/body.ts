/** How long a body may take to arrive. */
const PATIENCE_MS = 30_000;

export type Body = { ok: true; bytes: Uint8Array } | { ok: false; why: 'too-large' | 'too-slow' };

/** Reads a body up to a bound while it arrives; of a larger one nothing is kept, however it is sent. */
export async function readBody(request: Request, mostBytes: number): Promise<Body> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return { ok: false, why: 'too-large' };
  if (!request.body) return { ok: true, bytes: new Uint8Array() };
  const reader = request.body.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  let slow = false;
  const timer = setTimeout(() => {
    slow = true;
    void reader.cancel().catch(() => undefined);
  }, PATIENCE_MS);
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (slow) return { ok: false, why: 'too-slow' };
      if (done) break;
      size += value.byteLength;
      if (size > mostBytes) {
        void reader.cancel().catch(() => undefined);
        return { ok: false, why: 'too-large' };
      }
      chunks.push(value);
    }
  } finally {
    clearTimeout(timer);
  }
  return { ok: true, bytes: Buffer.concat(chunks) };
}
