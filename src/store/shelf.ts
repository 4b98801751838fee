import { own } from '@/core/own';
import type { Bicycle } from '@/model/record';
import type { Parts } from './parts';
import type { Reading } from './reading';
import type { ReadRecord } from './records';
import { lockOf } from './surroundings';

/** Bicycles that come, are opened, travel and go. */
export interface Shelf {
  /** Reads a bicycle whole and keeps it open; null where there is none or it cannot be opened. */
  open(id: string): Promise<Bicycle | null>;
  /** Reads a bicycle whole and keeps nothing of it; null as above. */
  peek(id: string): Promise<Bicycle | null>;
  addBicycle(bicycle: Bicycle): Promise<void>;
  /** Notes that bicycles were sent to or taken from another device. */
  markShared(ids: string[], at: string): Promise<void>;
  removeBicycle(id: string): Promise<void>;
}

export function createShelf({ around, whole, exported, hidden }: Parts, { refresh }: Reading): Shelf {
  const { store, database, channel, locked, tell } = around;
  async function readWhole(id: string, glance?: 'glance'): Promise<Extract<ReadRecord, { ok: true }> | null> {
    try {
      const { records } = await whole.get();
      const read = await records.read(id, glance);
      if (read.ok) return read;
      hidden.leaveClosed(id, read);
    } catch {
      tell('read', 'This bicycle could not be read from the browser. Reload the page.');
    }
    return null;
  }
  return {
    async open(id) {
      const opened = own(store.getState().bicycles, id);
      if (opened) return opened;
      const read = await readWhole(id);
      if (!read) return null;
      (await whole.get()).show(read.bicycle, read.history);
      return own(store.getState().bicycles, id)!;
    },
    async peek(id) {
      const opened = own(store.getState().bicycles, id);
      return opened ?? (await readWhole(id, 'glance'))?.bicycle ?? null;
    },
    async addBicycle(bicycle) {
      try {
        const { records, summaryOf, show } = await whole.get();
        await locked(lockOf(bicycle.id), async () => {
          await records.write(bicycle, [], { old: null, checked: false });
          await database.writeSummary(bicycle.id, summaryOf(bicycle)).catch(() => undefined);
        });
        show(bicycle, []);
        channel.post({ kind: 'bicycle', id: bicycle.id });
        await exported.countChange();
        tell('new', null);
      } catch (error) {
        tell('new', 'The browser would not write the new bicycle. Free some space, then try again.');
        throw error;
      }
    },
    async markShared(ids, at) {
      const { records } = await whole.get();
      for (const id of ids) {
        await locked(lockOf(id), async () => {
          const read = await records.read(id);
          if (!read.ok) return;
          await records.write({ ...read.bicycle, sharedAt: at }, read.history, { old: read.old, checked: false });
        });
        await refresh(id);
      }
    },
    async removeBicycle(id) {
      await locked(lockOf(id), async () => {
        await database.removeBicycle(id);
        await database.removeSummary(id);
      });
      hidden.forget(id);
      channel.post({ kind: 'bicycle', id });
    },
  };
}
