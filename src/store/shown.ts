import { own } from '@/core/own';
import type { HistoryRow } from '@/model/history';
import type { Bicycle } from '@/model/record';
import { summaryOf } from '@/model/summaryOf';
import type { Store } from './state';

export interface Shown {
  /** Shows a record as it was read or written, with what has not been written yet on top. */
  show(bicycle: Bicycle, history?: HistoryRow[]): void;
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
  };
}
