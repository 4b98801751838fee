import * as Comlink from 'comlink';
import { reckonIn, type LaneName } from './subjects';

/** Better answers are passed on no more often than an eye can follow. */
const EVERY_MS = 120;

/** What passes better answers on, now and then. */
function nowAndThen(tell: (output: unknown) => unknown): (output: unknown) => void {
  let last = 0;
  return (output) => {
    const now = performance.now();
    if (now - last < EVERY_MS) return;
    last = now;
    tell(output);
  };
}

const api = {
  reckon: (id: string, input: unknown, lane: LaneName, onBetter?: (output: unknown) => unknown) =>
    reckonIn(id, input, lane, onBetter && nowAndThen(onBetter)),
};
export type ReckonApi = typeof api;

Comlink.expose(api);
