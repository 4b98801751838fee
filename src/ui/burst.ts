/** Faster than this between two keys is an instrument and not a hand. */
const INSTRUMENT_MS = 100;
const FEWEST = 2;

interface Typed {
  key: string;
  atMs: number;
}

/**
 * Gathers digits that come in while no field is open, and gives the whole reading when an instrument has typed it: two
 * digits or more, each within 100 ms of the one before, ended by Enter or by a pause. A single digit typed by hand means
 * nothing. Example: `3 0 6 . 9 Enter`, 10 ms apart, gives "306.9".
 */
export function gatherBurst() {
  let typed: Typed[] = [];
  const whole = (): string | null => {
    const text = typed.map((each) => each.key).join('');
    const fast = typed.every((each, i) => i === 0 || each.atMs - typed[i - 1]!.atMs <= INSTRUMENT_MS);
    const digits = text.replace(/\D/g, '').length;
    typed = [];
    return fast && digits >= FEWEST ? text : null;
  };
  return {
    /** Takes a key; gives a reading when this key ended one. `held` says whether the key was part of a reading. */
    take(key: string, atMs: number): { held: boolean; reading: string | null } {
      const last = typed.at(-1);
      if (key === 'Enter') return { held: typed.length > 0, reading: typed.length > 0 ? whole() : null };
      if (!/^[\d.,/]$/.test(key)) {
        typed = [];
        return { held: false, reading: null };
      }
      if (typed.length === 0 && !/\d/.test(key)) return { held: false, reading: null };
      if (last && atMs - last.atMs > INSTRUMENT_MS) typed = [];
      typed.push({ key, atMs });
      return { held: true, reading: null };
    },
    /** The reading that a pause ended, if there is one. */
    pause: (): string | null => (typed.length > 0 ? whole() : null),
  };
}
