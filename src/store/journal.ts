import { envelope, type Envelope } from '@/model/commands';

/** The part of localStorage that the journal uses. */
export type JournalStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

export interface Journal {
  /** Synchronous, so that a tab that closes in the next instant has still written it. */
  add(sent: Envelope): void;
  clear(id: string): void;
  pending(): Envelope[];
}

/** Changes that have not reached the database yet, oldest first. A damaged entry is left where it is and passed over. */
export function createJournal(storage: JournalStorage, workshop: string): Journal {
  const prefix = `ergasto:${workshop}:journal:`;
  return {
    add: (sent) => storage.setItem(prefix + sent.id, JSON.stringify(sent)),
    clear: (id) => storage.removeItem(prefix + id),
    pending() {
      const found: Envelope[] = [];
      for (let i = 0; i < storage.length; i++) {
        const key = storage.key(i);
        if (!key?.startsWith(prefix)) continue;
        try {
          const parsed = envelope.safeParse(JSON.parse(storage.getItem(key) ?? ''));
          if (parsed.success) found.push(parsed.data);
        } catch {
          continue;
        }
      }
      return found.sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
    },
  };
}
