import { Cancelled, createReckoner } from '@/worker/lanes';
import { askOnce, keyOf } from './askOnce';

interface Waiting {
  id: string;
  input: unknown;
  answer(): void;
}
const waiting: Waiting[] = [];
const mockReckoner = createReckoner(() => ({
  reckon: (id, input) =>
    new Promise((resolve) => {
      waiting.push({ id, input, answer: () => resolve({ ok: true, output: input }) });
    }),
  end: () => undefined,
}));
jest.mock('@/worker/client', () => ({ reckoner: () => mockReckoner }));

const key = (n: number) => keyOf('decide.jobs', { n });
const soon = () => new Promise((resolve) => setTimeout(resolve, 5));
/** Answers whatever the worker is asked, until nothing more is. */
async function answerAll(): Promise<void> {
  // A dropped question is left to finish for a quarter of a second.
  for (let quiet = 0; quiet < 3;) {
    await soon();
    const next = waiting.shift();
    next?.answer();
    quiet = next ? 0 : quiet + 1;
  }
}
const heard = (promise: Promise<unknown>) =>
  promise.then(
    (result) => result,
    (error: unknown) => (error instanceof Cancelled ? 'cancelled' : error),
  );

test('two that ask the same are answered by one reckoning', async () => {
  const both = Promise.all([askOnce('a', key(1)), askOnce('b', key(1))]);
  await soon();
  expect(waiting).toHaveLength(1);
  await answerAll();
  expect(await both).toEqual([
    { ok: true, output: { n: 1 } },
    { ok: true, output: { n: 1 } },
  ]);
});

test('whoever waited for another’s question asks it itself when that other turns away', async () => {
  const first = heard(askOnce('a', key(2)));
  const second = heard(askOnce('b', key(2)));
  await soon();
  const turned = heard(askOnce('a', key(3)));
  await answerAll();
  expect(await Promise.all([first, second, turned])).toEqual([
    'cancelled',
    { ok: true, output: { n: 2 } },
    { ok: true, output: { n: 3 } },
  ]);
});

test('two that turn to other questions one after the other both have their last answer', async () => {
  const left = [heard(askOnce('a', key(4))), heard(askOnce('b', key(4)))];
  await soon();
  // The second turns first, so that it has already turned when what it waited for is dropped.
  const other = heard(askOnce('b', key(5)));
  const turned = heard(askOnce('a', key(6)));
  await answerAll();
  expect(await Promise.all([other, turned])).toEqual([
    { ok: true, output: { n: 5 } },
    { ok: true, output: { n: 6 } },
  ]);
  expect(await Promise.all(left)).toEqual(['cancelled', 'cancelled']);
});
