import { expect, test, type APIRequestContext } from '@playwright/test';
import { spawn } from 'node:child_process';
import { request as ask } from 'node:http';

const PORT = 4739;
const json = { 'content-type': 'application/json' };
const CHAIN = '{"chain":"9-10-speed","pitches":24,"lengthMm":306.9}';
const reckon = (request: APIRequestContext, id: string, data: string, headers: Record<string, string> = json) =>
  request.post(`/api/reckon/${id}`, { data: Buffer.from(data), headers });

/** Asks as no browser would: any method, any path, any head, a body that is never announced. */
function raw(
  {
    method = 'POST',
    path = '/',
    headers = {},
    port = PORT,
  }: { method?: string; path?: string; headers?: Record<string, string>; port?: number },
  body?: { piece: Buffer; times: number },
): Promise<{ status: number; text: string; sentBytes: number }> {
  return new Promise((resolve, reject) => {
    let sentBytes = 0;
    const asking = ask({ host: '127.0.0.1', port, method, path, headers }, (answer) => {
      let text = '';
      answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
      answer.on('end', () => {
        resolve({ status: answer.statusCode ?? 0, text, sentBytes });
        asking.destroy();
      });
    });
    // A server that has heard enough closes while more is being sent.
    asking.on('error', (error) => sentBytes === 0 && reject(error));
    const send = (left: number) => {
      if (left === 0 || asking.destroyed) return asking.end();
      sentBytes += body!.piece.length;
      asking.write(body!.piece, () => send(left - 1));
    };
    if (body) send(body.times);
    else asking.end();
  });
}

test('a calculator answers, refuses and says why, twenty slips at most and how many more', async ({ request }) => {
  const good = await reckon(request, 'inspect.chainWear', CHAIN);
  expect(good.status()).toBe(200);
  expect(await good.json()).toMatchObject({ verdict: 'near' });
  const bad = await reckon(request, 'inspect.chainWear', '{"chain":"9-10-speed","pitches":20,"lengthMm":304.8}');
  expect(bad.status()).toBe(400);
  expect(await bad.json()).toMatchObject({ errors: [{ path: 'pitches' }] });
  expect((await reckon(request, 'inspect.chainWear', 'not json')).status()).toBe(400);
  expect((await reckon(request, 'no.such', '{}')).status()).toBe(404);
  expect((await reckon(request, 'inspect.chainWear', 'x', { 'content-type': 'text/plain' })).status()).toBe(415);
  const slips = { readingsMm: Array.from({ length: 48 }, () => 'thin') };
  const many = (await (await reckon(request, 'inspect.disc', JSON.stringify(slips))).json()) as {
    errors: unknown[];
    more: number;
  };
  expect([many.errors.length, many.more]).toEqual([20, 28]);
  for (const id of ['constructor', '__proto__', 'toString'])
    expect((await reckon(request, id, '{}')).status()).toBe(404);
});

test('a body is bounded while it is read, also where nobody announced its size', async () => {
  const large = await raw(
    { path: '/api/reckon/inspect.disc', headers: json },
    { piece: Buffer.alloc(65_536, 'x'), times: 400 },
  );
  expect(large.status).toBe(413);
  expect(large.text).toContain('over 1 MB');
  const parcel = await raw({ path: '/api/handover' }, { piece: Buffer.alloc(1_000_000), times: 400 });
  expect(parcel.status).toBe(413);
  expect(parcel.text).toContain('over 60 MB');
  // It is not heard to the end: what is not read is not sent either.
  expect(parcel.sentBytes).toBeLessThan(200_000_000);
});

test('no page of another site asks in its visitor’s name, and no foreign name is answered to', async () => {
  const routes = [
    ['POST', '/api/reckon/inspect.chainWear'],
    ['POST', '/api/handover'],
    ['POST', '/api/handover/ABCDEFGH'],
    ['GET', '/api/sold'],
  ] as const;
  for (const [method, path] of routes)
    for (const headers of <Record<string, string>[]>[
      { origin: 'http://elsewhere.example' },
      { origin: `http://127.0.0.1:${PORT + 1}` },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
      { host: 'elsewhere.example' },
      { host: '127.0.0.1.elsewhere.example' },
    ])
      expect([path, headers, (await raw({ method, path, headers: { ...json, ...headers } })).status]).toEqual([
        path,
        headers,
        403,
      ]);
  expect((await raw({ method: 'GET', headers: { host: 'elsewhere.example' } })).status).toBe(403);
  const own = { origin: `http://127.0.0.1:${PORT}`, 'sec-fetch-site': 'same-origin' };
  expect((await raw({ path: routes[0][1], headers: { ...json, ...own } })).status).toBe(400);
});

test('an address that cannot be read is 400, a way of asking that is not known 405', async () => {
  for (const path of ['/%E0%A4%A', '/api/reckon/%', '/api/handover/%E0%A4%A'])
    expect([path, (await raw({ path })).status]).toEqual([path, 400]);
  for (const path of ['/api/reckon/inspect.disc', '/api/handover', '/api/handover/ABCDEFGH'])
    for (const method of ['GET', 'HEAD', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'TRACE'])
      expect([method, path, (await raw({ method, path })).status]).toEqual([method, path, 405]);
  for (const method of ['POST', 'DELETE', 'TRACE'])
    expect([method, (await raw({ method, path: '/api/sold' })).status]).toEqual([method, 405]);
});

test('pages and quick questions are answered while a long one is being reckoned', async ({ request }) => {
  const costs = Array.from({ length: 30 }, (_, i) => ({
    label: `line ${i}`,
    parts: { low: 1, likely: 50, high: 900 },
    minutes: { low: 1, likely: 50, high: 900 },
  }));
  const heavy = {
    currency: 'EUR',
    asking: 1,
    resale: { low: 1, likely: 2, high: 3 },
    costs,
    target: { kind: 'profit', amount: 1 },
    trials: 200_000,
  };
  await reckon(request, 'inspect.chainWear', CHAIN);
  let ended = false;
  const long = reckon(request, 'money.appraise', JSON.stringify(heavy)).then((answer) => {
    ended = true;
    return answer.status();
  });
  let answered = 0;
  while (!ended && answered < 200) {
    const from = Date.now();
    expect((await request.get('/')).status()).toBe(200);
    expect((await reckon(request, 'inspect.chainWear', CHAIN)).status()).toBe(200);
    expect(Date.now() - from).toBeLessThan(2000);
    answered++;
  }
  expect(answered).toBeGreaterThan(2);
  expect([200, 503]).toContain(await long);
});

test('who guesses codes waits, and the parcel is there for the honest one', async () => {
  // A server of its own, behind a proxy that says who is asking.
  const port = PORT + 3;
  const server = spawn(process.execPath, ['scripts/server.mjs', String(port)], {
    env: { ...process.env, ERGASTO_HOSTS: 'hall.example' },
    stdio: 'ignore',
  });
  const post = (path: string, caller: string, body?: string) =>
    raw(
      { port, path, headers: { host: 'hall.example', 'x-forwarded-for': caller } },
      body ? { piece: Buffer.from(body), times: 1 } : undefined,
    );
  try {
    await expect(async () => expect((await post('/api/handover/FIRST', 'early')).status).toBe(404)).toPass();
    const { code } = JSON.parse((await post('/api/handover', 'phone', 'parcel')).text) as { code: string };
    const statuses = [];
    for (let i = 0; i < 12; i++) statuses.push((await post(`/api/handover/WRONG${i}`, 'guesser')).status);
    expect(statuses).toEqual([...Array<number>(10).fill(404), 429, 429]);
    expect((await post(`/api/handover/${code}`, 'guesser')).status).toBe(429);
    expect(await post(`/api/handover/${code}`, 'laptop')).toMatchObject({ status: 200, text: 'parcel' });
    expect((await post(`/api/handover/${code}`, 'laptop')).status).toBe(404);
  } finally {
    server.kill('SIGKILL');
  }
});
