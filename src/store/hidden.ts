import type { ReadRecord } from './records';
import { without, type Store } from './state';

export interface Hidden {
  forget(id: string): void;
  leaveClosed(id: string, read: Extract<ReadRecord, { ok: false }>): void;
}

/** What a tab no longer shows, or cannot. */
export function createHidden(store: Store): Hidden {
  return {
    forget(id) {
      store.setState(({ bicycles, summaries, histories }) => ({
        bicycles: without(bicycles, id),
        summaries: without(summaries, id),
        histories: without(histories, id),
      }));
    },
    leaveClosed(id, { why, detail }) {
      if (why === 'absent') return;
      const words = why === 'newer' ? 'It was written by a newer Ergasto.' : `It is damaged, at “${detail}”.`;
      store.setState(({ unopened }) => ({
        unopened: [...unopened.filter((entry) => entry.id !== id), { id, detail: words }],
      }));
    },
  };
}
