import { createGuesses } from './guesses';

/** Letters and digits that are not mistaken for one another when they are read out. */
const ALPHABET = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
const CODE_LENGTH = 8;
export const KEPT_MS = 10 * 60_000;
export const MOST_PARCEL_BYTES = 60_000_000;
const MOST_BYTES = 200_000_000;

export type Shelved = { ok: true; code: string; until: number } | { ok: false; why: 'too-large' | 'full' };
export type Fetched = { ok: true; data: Uint8Array } | { ok: false; why: 'unknown' | 'too-many-tries' };

export interface Shelf {
  put(data: Uint8Array): Shelved;
  /** `caller`: by what one who tries codes is told from the others. */
  take(code: string, caller: string): Fetched;
}

/** A code as it is compared: capitals, without spaces and dashes. */
export function plainCode(code: string): string {
  return code.toUpperCase().replace(/[\s-]/g, '');
}

/**
 * Where a parcel lies between two devices: in memory, for ten minutes, bounded in size, gone when it is fetched. Clock and
 * dice come in.
 *
 * Example: `shelf.take(shelf.put(data).code, caller)` gives the data once, and "unknown" the second time.
 */
export function createShelf(around: { nowMs(): number; randomBytes(count: number): Uint8Array }): Shelf {
  const parcels = new Map<string, { data: Uint8Array; until: number }>();
  const guesses = createGuesses(around.nowMs);
  function sweep(): void {
    const now = around.nowMs();
    for (const [code, parcel] of parcels) if (parcel.until <= now) parcels.delete(code);
  }
  return {
    put(data) {
      sweep();
      if (data.byteLength > MOST_PARCEL_BYTES) return { ok: false, why: 'too-large' };
      const held = [...parcels.values()].reduce((sum, parcel) => sum + parcel.data.byteLength, 0);
      if (held + data.byteLength > MOST_BYTES) return { ok: false, why: 'full' };
      let code: string;
      do code = [...around.randomBytes(CODE_LENGTH)].map((byte) => ALPHABET[byte % ALPHABET.length]).join('');
      while (parcels.has(code));
      const until = around.nowMs() + KEPT_MS;
      parcels.set(code, { data, until });
      return { ok: true, code, until };
    },
    take(code, caller) {
      sweep();
      if (!guesses.mayTry(caller)) return { ok: false, why: 'too-many-tries' };
      const plain = plainCode(code);
      const parcel = parcels.get(plain);
      if (!parcel) {
        guesses.wrong(caller);
        return { ok: false, why: 'unknown' };
      }
      parcels.delete(plain);
      return { ok: true, data: parcel.data };
    },
  };
}
