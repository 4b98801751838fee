import type { Around } from './around';

const GONE =
  'The browser has taken this workshop’s records away, perhaps because its data were cleared. What is open in this tab is still here: try again to write it back.';

export interface Birth {
  /** Reads what marks this very database, and marks one that is new. */
  begin(): Promise<void>;
  /** Whether the browser has taken the whole database away; then it is told. */
  isGone(): Promise<boolean>;
  /** Where the database was taken away: puts its mark back once `write` has written what this tab still has. */
  again(write: () => Promise<void>): Promise<void>;
  stop(): void;
}

/** The mark of a database, by which an empty one in its place is told from it. */
export function createBirth({ database, locked, newId, tell }: Around): Birth {
  let mark: unknown = null;
  async function isGone(): Promise<boolean> {
    const gone = mark !== null && (await database.readSetting('born')) !== mark;
    if (gone) tell('gone', GONE);
    return gone;
  }
  return {
    begin: () =>
      locked('born', async () => {
        mark = (await database.readSetting('born')) ?? null;
        if (mark === null) await database.writeSetting('born', (mark = newId()));
      }),
    isGone,
    again: (write) =>
      locked('born', async () => {
        if (!(await isGone())) return;
        await write();
        await database.writeSetting('born', mark);
      }),
    stop: database.watch(() => tell('gone', GONE)),
  };
}
