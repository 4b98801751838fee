import type { StoreApi } from 'zustand/vanilla';
import type { HistoryRow } from '@/model/history';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { StockItem } from '@/model/stock/item';
import type { Summary } from '@/model/summary';

/** A file that was being taken in when the page died. */
export interface Unfinished {
  at: string;
  done: number;
  total: number;
}

export interface WorkshopState {
  status: 'loading' | 'ready' | 'failed';
  /** A row a bicycle, for the floor. */
  summaries: Record<string, Summary>;
  /** The bicycles that have been opened, whole. */
  bicycles: Record<string, Bicycle>;
  /** What can be taken back, for each opened bicycle. */
  histories: Record<string, HistoryRow[]>;
  settings: WorkshopSettings;
  /** The drawer: everything that was ever in it, by id; what is used up has a date. */
  stock: Record<string, StockItem>;
  /** Records that could not be opened; they are left untouched. */
  unopened: { id: string; detail: string }[];
  /** The weightiest thing that is wrong, in a sentence; what was entered is kept and tried again. */
  problem: string | null;
  /** A sentence about something that was refused or done, shown for a while. */
  remark: string | null;
  /** Changes since the workshop was last exported. */
  unexported: number;
  /** When it was last exported; null while it never was. */
  exportedAt: string | null;
  unfinished: Unfinished | null;
}

export type Store = StoreApi<WorkshopState>;

/** What may be wrong, the weightiest first. Each is told and withdrawn by whoever noticed it. */
const TROUBLES = ['failed', 'gone', 'silent', 'shut', 'write', 'refused', 'settings', 'stock', 'read', 'new'] as const;
export type Trouble = (typeof TROUBLES)[number];

/** Tells what is wrong, or withdraws it with null; the weightiest is shown. */
export function troubles(store: Store): (kind: Trouble, words: string | null) => void {
  const known = new Map<Trouble, string>();
  return (kind, words) => {
    if (words === null) known.delete(kind);
    else known.set(kind, words);
    const problem = TROUBLES.map((each) => known.get(each)).find((each) => each !== undefined) ?? null;
    if (store.getState().problem !== problem) store.setState({ problem });
  };
}

export function without<Value>(map: Record<string, Value>, id: string): Record<string, Value> {
  const { [id]: _gone, ...rest } = map;
  return rest;
}
