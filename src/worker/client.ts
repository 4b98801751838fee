import * as Comlink from 'comlink';
import { createReckoner, type Reckoner, type Started } from './lanes';
import type { ReckonApi } from './reckon.worker';

function start(): Started {
  const worker = new Worker(new URL('./reckon.worker.ts', import.meta.url), { type: 'module', name: 'reckon' });
  const remote = Comlink.wrap<ReckonApi>(worker);
  return {
    reckon: (id, input, lane, onBetter) =>
      new Promise((resolve, reject) => {
        worker.onerror = (event) => reject(new Error(event.message || 'the worker stopped'));
        remote.reckon(id, input, lane, onBetter && Comlink.proxy(onBetter)).then(resolve, reject);
      }),
    end() {
      remote[Comlink.releaseProxy]();
      worker.terminate();
    },
  };
}

let shared: Reckoner | null = null;

/** The page's reckoner, started when first asked. */
export function reckoner(): Reckoner {
  shared ??= createReckoner(start);
  return shared;
}
