import * as Comlink from 'comlink';
import type { OnProgress } from './archive/progress';
import type { RecordsApi } from './records.worker';

/** After so long without a word it is told; after much longer it is given up. */
export const SILENT_MS = 15_000;
const GIVEN_UP_MS = 180_000;

export class Stopped extends Error {}

export interface RecordsJob {
  /**
   * Asks the worker. `onProgress` is told how far it is; `onSilent` when nothing has been heard for a while.
   *
   * Errors: `Stopped` after `end`; the worker's own; a sentence when it never answers.
   */
  run<Answer>(
    ask: (api: Comlink.Remote<RecordsApi>, onProgress: OnProgress & Comlink.ProxyMarked) => Promise<Answer>,
    told?: { onProgress?: OnProgress; onSilent?: () => void },
  ): Promise<Answer>;
  /** Ends the worker in the middle of what it does. */
  end(): void;
}

/** A worker for records at any size: packing, reading whole, taking in. The page does none of it. */
export function recordsJob(): RecordsJob {
  const worker = new Worker(new URL('./records.worker.ts', import.meta.url), { type: 'module', name: 'records' });
  const api = Comlink.wrap<RecordsApi>(worker);
  const givenUp = new Set<(reason: Error) => void>();
  const fail = (reason: Error) => givenUp.forEach((reject) => reject(reason));
  worker.onerror = (event) => fail(new Error(event.message || 'the worker stopped'));
  worker.onmessageerror = () => fail(new Error('the worker could not be understood'));
  const end = () => {
    worker.terminate();
    fail(new Stopped());
  };
  return {
    end,
    async run(ask, { onProgress, onSilent } = {}) {
      let heardAt = performance.now();
      let told = false;
      let answered = false;
      const heard: OnProgress = (progress) => {
        // Word of how far it is comes by another way than the answer, and may come after it.
        if (answered) return;
        heardAt = performance.now();
        told = false;
        onProgress?.(progress);
      };
      let giveUp: (reason: Error) => void = () => undefined;
      const listening = setInterval(() => {
        const silence = performance.now() - heardAt;
        if (silence > GIVEN_UP_MS) giveUp(new Error('the worker does not answer'));
        else if (silence > SILENT_MS && !told) {
          told = true;
          onSilent?.();
        }
      }, 1000);
      try {
        return await new Promise((resolve, reject) => {
          giveUp = reject;
          givenUp.add(reject);
          ask(api, Comlink.proxy(heard)).then(resolve, reject);
        });
      } finally {
        answered = true;
        givenUp.delete(giveUp);
        clearInterval(listening);
      }
    },
  };
}

/** Asks once, and ends the worker. */
export async function askRecords<Answer>(ask: (api: Comlink.Remote<RecordsApi>) => Promise<Answer>): Promise<Answer> {
  const job = recordsJob();
  try {
    return await job.run((api) => ask(api));
  } finally {
    job.end();
  }
}
