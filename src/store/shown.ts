import { own } from '@/core/own';
import type { HistoryRow } from '@/model/history';
import type { Bicycle } from '@/model/record';
import { summaryOf } from '@/model/summary';
import type { ReadRecord } from './records';
import { without, type Store } from './state';

export interface Shown {
  /** Shows a record as it was read or written, with what has not been written yet on top. */
  show(bicycle: Bicycle, history?: HistoryRow[]): void;
  forget(id: string): void;
  leaveClosed(id: string, read: Extract<ReadRecord, { ok: false }>): void;
}

/** What of the bicycles a tab shows. `withWaiting` lays on a record what has not been written of it yet. */
export function createShown(store: Store, withWaiting: (bicycle: Bicycle) => Bicycle): Shown {
  return {
    show(bicycle, history) {
      const whole = withWaiting(bicycle);
      store.setState(({ bicycles, summaries, histories }) => ({
        bicycles: own(bicycles, bicycle.id) || history ? { ...bicycles, [bicycle.id]: whole } : bicycles,
        summaries: { ...summaries, [bicycle.id]: summaryOf(whole, own(summaries, bicycle.id)) },
        histories: history ? { ...histories, [bicycle.id]: history } : histories,
      }));
    },
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
