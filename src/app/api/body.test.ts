import { readBody } from './body';

/** A body that comes in pieces and is never announced; tells how much of it was asked for. */
function pieces(count: number, bytes: number) {
  let given = 0;
  const stream = new ReadableStream<Uint8Array>({
    pull(controller) {
      if (given === count) return controller.close();
      given++;
      controller.enqueue(new Uint8Array(bytes).fill(7));
    },
  });
  const request = new Request('http://127.0.0.1/', { method: 'POST', body: stream, duplex: 'half' } as RequestInit);
  return { request, given: () => given };
}

test('what fits is read whole, however it comes', async () => {
  const read = await readBody(pieces(10, 100).request, 1000);
  expect(read.ok && read.bytes.length).toBe(1000);
  expect(await readBody(new Request('http://127.0.0.1/', { method: 'POST' }), 10)).toEqual({
    ok: true,
    bytes: new Uint8Array(),
  });
});

test('of what is too large no more is heard than it takes to know', async () => {
  const { request, given } = pieces(1000, 100);
  expect(await readBody(request, 1000)).toEqual({ ok: false, why: 'too-large' });
  expect(given()).toBeLessThan(20);
});

test('what is announced as too large is not heard at all', async () => {
  const request = new Request('http://127.0.0.1/', {
    method: 'POST',
    body: 'x',
    headers: { 'content-length': '5000' },
  });
  expect(await readBody(request, 1000)).toEqual({ ok: false, why: 'too-large' });
});

test('what does not come is not waited for', async () => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'setImmediate', 'nextTick'] });
  const request = new Request('http://127.0.0.1/', {
    method: 'POST',
    body: new ReadableStream({ pull: () => new Promise(() => undefined) }),
    duplex: 'half',
  } as RequestInit);
  const reading = readBody(request, 1000);
  await jest.advanceTimersByTimeAsync(31_000);
  expect(await reading).toEqual({ ok: false, why: 'too-slow' });
  jest.useRealTimers();
});
