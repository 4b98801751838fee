import { Cancelled, createReckoner, type Started } from './lanes';
import type { Elsewhere, LaneName } from './subjects';

/** A worker that answers when told to, and passes on what it is told is long. */
function workers() {
  const started: { lane: LaneName | null; answers: ((output: unknown) => void)[]; ended: boolean }[] = [];
  const start = (): Started => {
    const worker = { lane: null as LaneName | null, answers: [] as ((output: unknown) => void)[], ended: false };
    started.push(worker);
    return {
      reckon(id, _input, lane) {
        worker.lane = lane;
        if (lane === 'quick' && id === 'money.appraise') return Promise.resolve<Elsewhere>({ lane: 'long' });
        return new Promise((resolve) => worker.answers.push((output) => resolve({ ok: true, output })));
      },
      end: () => void (worker.ended = true),
    };
  };
  const { reckon, ...rest } = createReckoner(start);
  // What is asked does not matter to the lanes.
  const ask = (caller: string, id: 'money.appraise' | 'strip.turn', input: unknown = {}) =>
    reckon(caller, id, input as never);
  return { started, of: (lane: LaneName) => started.filter((each) => each.lane === lane), ask, ...rest };
}
const soon = () => new Promise((resolve) => setTimeout(resolve, 0));

test('a quick question does not wait behind a long one', async () => {
  const { of, ask } = workers();
  const long = ask('buy', 'money.appraise');
  const quick = ask('strip', 'strip.turn');
  await soon();
  of('quick')[0]!.answers[0]!('turned');
  await expect(quick).resolves.toEqual({ ok: true, output: 'turned' });
  of('long')[0]!.answers[0]!('priced');
  await expect(long).resolves.toEqual({ ok: true, output: 'priced' });
});

test('which are long is learnt once: the next goes straight to its lane', async () => {
  const { of, ask } = workers();
  const first = ask('buy', 'money.appraise');
  await soon();
  of('long')[0]!.answers[0]!('one');
  await first;
  void ask('strip', 'strip.turn');
  const second = ask('buy', 'money.appraise');
  await soon();
  of('long')[0]!.answers[1]!('two');
  await expect(second).resolves.toEqual({ ok: true, output: 'two' });
});

test('a long question that was dropped on the way to its lane is asked nowhere', async () => {
  const { of, ask, cancel } = workers();
  const dropped = ask('buy', 'money.appraise');
  cancel('buy');
  await expect(dropped).rejects.toBeInstanceOf(Cancelled);
  await soon();
  expect(of('long')).toEqual([]);
});

test('the latest question of a caller wins; the earlier is cancelled at once', async () => {
  const { of, ask } = workers();
  const first = ask('buy', 'strip.turn', 1);
  const second = ask('buy', 'strip.turn', 2);
  await expect(first).rejects.toBeInstanceOf(Cancelled);
  of('quick')[0]!.answers[0]!('stale');
  await soon();
  of('quick')[0]!.answers[1]!('fresh');
  await expect(second).resolves.toEqual({ ok: true, output: 'fresh' });
});

test('a reckoning that goes on after it was cancelled loses its worker, and the next gets a new one', async () => {
  const { started, ask, cancel, end } = workers();
  const first = ask('a', 'strip.turn', 1);
  const other = ask('b', 'strip.turn', 2);
  cancel('a');
  await expect(first).rejects.toBeInstanceOf(Cancelled);
  await new Promise((resolve) => setTimeout(resolve, 400));
  expect(started[0]!.ended).toBe(true);
  started[1]!.answers[0]!('done');
  await expect(other).resolves.toEqual({ ok: true, output: 'done' });
  end();
});

test('what is found on the way is heard, and no longer once it was dropped', async () => {
  let tell: (output: unknown) => void = () => undefined;
  const { reckon, cancel } = createReckoner(() => ({
    reckon: (_id, _input, _lane, onBetter) => new Promise(() => (tell = onBetter!)),
    end: () => undefined,
  }));
  const heard: unknown[] = [];
  const asked = reckon('plan', 'strip.ladder', {}, (output) => heard.push(output));
  tell('first');
  cancel('plan');
  await expect(asked).rejects.toBeInstanceOf(Cancelled);
  tell('second');
  expect(heard).toEqual(['first']);
});

test('a worker that breaks is told to its caller and replaced', async () => {
  let breaks = true;
  const reckoner = createReckoner(() => ({
    reckon: () => (breaks ? Promise.reject(new Error('broke')) : Promise.resolve({ ok: true as const, output: 1 })),
    end: () => undefined,
  }));
  const ask = () => reckoner.reckon('a', 'strip.ladder', {});
  await expect(ask()).rejects.toThrow('broke');
  breaks = false;
  await expect(ask()).resolves.toEqual({ ok: true, output: 1 });
});
