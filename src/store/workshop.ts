import type { Command } from '@/model/commands';
import type { StockItem } from '@/model/stock/item';
import type { Summary } from '@/model/summary';
import type { Database } from './database';
import type { SettingsChange } from './house';
import { createParts } from './parts';
import { createReading } from './reading';
import type { Seed } from './seeded';
import { createShelf, type Shelf } from './shelf';
import type { Store } from './state';
import type { Surroundings } from './surroundings';

export type { Seed } from './seeded';
export type { WorkshopState } from './state';
export type { StoreMessage, Surroundings } from './surroundings';

export interface Workshop extends Shelf {
  store: Store;
  database: Database;
  load(seed?: () => Seed | Promise<Seed>): Promise<void>;
  /** Reads everything that is shown anew, after many records were written at once. */
  reload(): Promise<void>;
  send(bicycleId: string, command: Command): void;
  undo(bicycleId: string): void;
  redo(bicycleId: string): void;
  noteDrawn(id: string, revision: number, drawn: Summary['drawn']): void;
  /** A change is told by what is kept when it is written, so that what another tab changed within the same field stays. */
  changeSettings(changes: SettingsChange): Promise<void>;
  /** Puts rows into the drawer, or newer versions of them. Resolves to whether they were written. */
  putStock(items: StockItem[]): Promise<boolean>;
  markExported(): Promise<void>;
  say(remark: string | null): void;
  /** Resolves when every change sent so far has been written or has failed. */
  settled(): Promise<void>;
  retry(): Promise<void>;
  close(): void;
}

/** The records of one workshop, as one tab sees them. How a change goes its way stands in `changes.ts`. */
export function createWorkshop(surroundings: Surroundings, patienceMs?: number): Workshop {
  const parts = createParts(surroundings, patienceMs);
  const { around, whole, birth, exported, rows, house, drawer } = parts;
  /** Nothing can be changed, or wait to be written, before a bicycle was read. */
  const changes = () => whole.now()?.changes;
  const { store, database, channel, tell } = around;
  const reading = createReading(parts);
  const heard = { settings: house.read, stock: drawer.read, count: exported.read, all: reading.reload };
  const stopListening = channel.listen((message) => {
    void around.enqueue(() => (message.kind === 'bicycle' ? reading.refresh(message.id) : heard[message.kind]()));
  });
  return {
    store,
    database,
    ...createShelf(parts, reading),
    async load(seed) {
      try {
        await reading.load(seed);
      } catch {
        store.setState({ status: 'failed' });
        tell('failed', 'The records of this browser could not be opened. Private windows and full disks refuse them.');
      }
    },
    reload: reading.reload,
    send: (id, command) => changes()?.send(id, command),
    undo: (id) => changes()?.amend(id, 'undo'),
    redo: (id) => changes()?.amend(id, 'redo'),
    noteDrawn: rows.noteDrawn,
    changeSettings: house.change,
    putStock: drawer.put,
    markExported: exported.mark,
    say: (remark) => store.setState({ remark }),
    settled: parts.settled,
    async retry() {
      void around.enqueue(reading.restore);
      changes()?.writeAll();
      await parts.settled();
    },
    close() {
      stopListening();
      birth.stop();
      parts.leave();
    },
  };
}
