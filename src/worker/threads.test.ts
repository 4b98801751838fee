import { createThreads, type Question, type Thread } from './threads';

/** Threads that answer when they are told to. */
function threads() {
  const started: { asked: Question[]; answer(): void; fail(): void; ended: boolean }[] = [];
  const start = (): Thread => {
    let settle: { resolve(): void; reject(): void } | null = null;
    const thread = {
      asked: [] as Question[],
      ended: false,
      answer: () => settle?.resolve(),
      fail: () => settle?.reject(),
    };
    started.push(thread);
    return {
      ask(question, lane) {
        if (lane === 'quick' && question.id === 'money.appraise') return Promise.resolve({ lane: 'long' as const });
        thread.asked.push(question);
        return new Promise((resolve, reject) => {
          settle = {
            resolve: () => resolve({ status: 200, body: question.text }),
            reject: () => reject(new Error('out of memory')),
          };
        });
      },
      end: () => void (thread.ended = true),
    };
  };
  return { started, start };
}
const soon = () => new Promise((resolve) => setTimeout(resolve, 0));

test('a question that takes longer than its deadline is given up, and the next gets a fresh thread', async () => {
  const { started, start } = threads();
  const asked = createThreads(start, 30);
  await expect(asked.ask({ id: 'strip.turn', text: 'endless' })).resolves.toEqual({ kind: 'late' });
  expect(started[0]!.ended).toBe(true);
  const next = asked.ask({ id: 'strip.turn', text: 'short' });
  await soon();
  started[1]!.answer();
  await expect(next).resolves.toEqual({ kind: 'answer', answer: { status: 200, body: 'short' } });
  asked.end();
});

test('waiting counts too: whoever stood behind a long question is late with it', async () => {
  const { start } = threads();
  const asked = createThreads(start, 30);
  const both = await Promise.all(['first', 'second'].map((text) => asked.ask({ id: 'strip.turn', text })));
  expect(both).toEqual([{ kind: 'late' }, { kind: 'late' }]);
});

test('a quick question does not wait behind a long one', async () => {
  const { started, start } = threads();
  const asked = createThreads(start, 5000);
  void asked.ask({ id: 'money.appraise', text: 'long' });
  const quick = asked.ask({ id: 'strip.turn', text: 'quick' });
  await soon();
  started.find((thread) => thread.asked[0]?.text === 'quick')!.answer();
  await expect(quick).resolves.toMatchObject({ kind: 'answer' });
  expect(started.map((thread) => thread.asked.map(({ text }) => text))).toEqual([['quick'], ['long']]);
  asked.end();
});

test('a thread that breaks is told and replaced; too many who wait are sent away', async () => {
  const { started, start } = threads();
  const asked = createThreads(start, 5000);
  const broken = asked.ask({ id: 'strip.turn', text: 'x' });
  await soon();
  started[0]!.fail();
  await expect(broken).resolves.toEqual({ kind: 'broke' });
  expect(started[0]!.ended).toBe(true);
  const many = Array.from({ length: 14 }, () => asked.ask({ id: 'strip.turn', text: 'x' }));
  await expect(Promise.race(many)).resolves.toEqual({ kind: 'busy' });
  asked.end();
});
