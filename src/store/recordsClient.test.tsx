import { Stopped, SILENT_MS, recordsJob } from './recordsClient';

/** A worker that is started and then says nothing. */
class SilentWorker extends EventTarget {
  static made: SilentWorker[] = [];
  ended = false;
  onerror: ((event: { message: string }) => void) | null = null;
  constructor() {
    super();
    SilentWorker.made.push(this);
  }
  postMessage() {}
  terminate() {
    this.ended = true;
  }
}

jest.mock('comlink', () => ({
  wrap: () => ({ pack: () => new Promise(() => undefined) }),
  proxy: (heard: unknown) => heard,
}));

beforeEach(() => {
  SilentWorker.made = [];
  (globalThis as unknown as { Worker: unknown }).Worker = SilentWorker;
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

const ask = () => new Promise<never>(() => undefined);

test('a worker that says nothing is told after a while, and given up in the end', async () => {
  const job = recordsJob();
  let silent = 0;
  const outcome = job.run(ask, { onSilent: () => silent++ }).catch((error: unknown) => String(error));
  await jest.advanceTimersByTimeAsync(SILENT_MS - 2000);
  expect(silent).toBe(0);
  await jest.advanceTimersByTimeAsync(4000);
  expect(silent).toBe(1);
  await jest.advanceTimersByTimeAsync(200_000);
  expect(await outcome).toContain('does not answer');
  expect(silent).toBe(1);
});

test('one that tells how far it is is not called silent', async () => {
  const job = recordsJob();
  let silent = 0;
  const told: number[] = [];
  void job.run(
    async (_api, onProgress) => {
      for (let done = 1; done <= 10; done++) {
        await new Promise((resolve) => setTimeout(resolve, 10_000));
        onProgress({ done, total: 10 });
      }
      return ask();
    },
    { onSilent: () => silent++, onProgress: ({ done }) => told.push(done) },
  );
  await jest.advanceTimersByTimeAsync(101_000);
  expect(told).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  expect(silent).toBe(0);
});

test('it can be stopped, and one that cannot be started says so', async () => {
  const job = recordsJob();
  const stopped = job.run(ask).catch((error: unknown) => error);
  job.end();
  expect(await stopped).toBeInstanceOf(Stopped);
  expect(SilentWorker.made[0]!.ended).toBe(true);
  const broken = recordsJob();
  const failed = broken.run(ask).catch((error: unknown) => String(error));
  SilentWorker.made[1]!.onerror!({ message: 'blocked by the policy' });
  expect(await failed).toContain('blocked by the policy');
});
