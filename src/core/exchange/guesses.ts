/** Wrong codes that one caller may try in a minute before it has to wait. */
const MOST_OF_ONE = 10;
/** Wrong codes of all callers together in a minute; beyond it only those who have guessed wrongly already have to wait. */
const MOST_OF_ALL = 300;
/** Callers that are remembered at once. */
const MOST_CALLERS = 2000;
const WINDOW_MS = 60_000;

export interface Guesses {
  /** Whether this caller may try a code now. */
  mayTry(caller: string): boolean;
  wrong(caller: string): void;
}

/**
 * Counts wrong codes, so that guessing ends soon and the honest one is not shut out: whoever has not guessed wrongly may
 * always try. There are 32⁸ codes, so that even two thousand fresh callers a minute would need years for one.
 *
 * Example: after ten wrong codes of one caller `mayTry` is false for it for a minute, and true for everyone else.
 */
export function createGuesses(nowMs: () => number): Guesses {
  const callers = new Map<string, number[]>();
  function recent(): number {
    const now = nowMs();
    let all = 0;
    for (const [caller, times] of callers) {
      const fresh = times.filter((at) => now - at < WINDOW_MS);
      if (fresh.length === 0) callers.delete(caller);
      else callers.set(caller, fresh);
      all += fresh.length;
    }
    return all;
  }
  return {
    mayTry(caller) {
      const all = recent();
      const own = callers.get(caller)?.length ?? 0;
      return own < MOST_OF_ONE && (own === 0 || all < MOST_OF_ALL);
    },
    wrong(caller) {
      const times = callers.get(caller) ?? [];
      // The oldest is forgotten: whoever comes with many names gains one try a name, and no more.
      if (!callers.has(caller) && callers.size >= MOST_CALLERS) callers.delete(callers.keys().next().value!);
      callers.set(caller, [...times, nowMs()].slice(-MOST_OF_ONE));
    },
  };
}
