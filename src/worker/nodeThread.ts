import { Worker } from 'node:worker_threads';
import type { PassedOn, Thread, ThreadAnswer } from './threads';

const MOST_MEMORY_MB = 512;

/** A thread of this machine that runs calculators; one question at a time. */
export function nodeThread(): Thread {
  const worker = new Worker(new URL('./reckon.thread.ts', import.meta.url), {
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
  });
  worker.unref();
  return {
    ask: (question, lane) =>
      new Promise((resolve, reject) => {
        const broke = (error: unknown) => reject(error instanceof Error ? error : new Error('the thread ended'));
        worker.once('error', broke);
        worker.once('exit', broke);
        worker.once('message', (answer: ThreadAnswer | PassedOn) => {
          worker.off('error', broke);
          worker.off('exit', broke);
          resolve(answer);
        });
        worker.postMessage({ question, lane });
      }),
    end: () => void worker.terminate(),
  };
}
