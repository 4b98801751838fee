import { Cancelled, createReckoner, type Started } from './lanes';

/** A worker that answers when told to. */
function workers() {
  const started: { answers: ((output: unknown) => void)[]; ended: boolean }[] = [];
  const start = (): Started => {
    const worker = { answers: [] as ((output: unknown) => void)[], ended: false };
    started.push(worker);
    return {
      reckon: () => new Promise((resolve) => worker.answers.push((output) => resolve({ ok: true, output }))),
      end: () => void (worker.ended = true),
    };
  };
  return { started, start };
}

test('a quick question does not wait behind a long one', async () => {
  const { started, start } = workers();
  const reckoner = createReckoner(start);
  const long = reckoner.reckon('buy', 'money.appraise', {});
  const quick = reckoner.reckon('strip', 'strip.turn', {});
  started[1]!.answers[0]!('turned');
  await expect(quick).resolves.toEqual({ ok: true, output: 'turned' });
  started[0]!.answers[0]!('priced');
  await expect(long).resolves.toEqual({ ok: true, output: 'priced' });
});

test('the latest question of a caller wins; the earlier is cancelled at once', async () => {
  const { started, start } = workers();
  const reckoner = createReckoner(start);
  const first = reckoner.reckon('buy', 'money.appraise', 1);
  const second = reckoner.reckon('buy', 'money.appraise', 2);
  await expect(first).rejects.toBeInstanceOf(Cancelled);
  started[0]!.answers[0]!('stale');
  await new Promise((resolve) => setTimeout(resolve, 0));
  started[0]!.answers[1]!('fresh');
  await expect(second).resolves.toEqual({ ok: true, output: 'fresh' });
});

test('a reckoning that goes on after it was cancelled loses its worker, and the next gets a new one', async () => {
  const { started, start } = workers();
  const reckoner = createReckoner(start);
  const first = reckoner.reckon('a', 'money.appraise', 1);
  const other = reckoner.reckon('b', 'money.appraise', 2);
  reckoner.cancel('a');
  await expect(first).rejects.toBeInstanceOf(Cancelled);
  await new Promise((resolve) => setTimeout(resolve, 400));
  expect(started[0]!.ended).toBe(true);
  started[1]!.answers[0]!('done');
  await expect(other).resolves.toEqual({ ok: true, output: 'done' });
  reckoner.end();
});

test('a worker that breaks is told to its caller and replaced', async () => {
  let breaks = true;
  const reckoner = createReckoner(() => ({
    reckon: () => (breaks ? Promise.reject(new Error('broke')) : Promise.resolve({ ok: true as const, output: 1 })),
    end: () => undefined,
  }));
  await expect(reckoner.reckon('a', 'strip.turn', {})).rejects.toThrow('broke');
  breaks = false;
  await expect(reckoner.reckon('a', 'strip.turn', {})).resolves.toEqual({ ok: true, output: 1 });
});
