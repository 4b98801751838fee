/** A moment as it is promised: weekday, day and hour on the wall. Example: "Sat 6 Dec, 12:00". */
export function momentWords(ms: number): string {
  const at = new Date(ms);
  const day = at.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
  return `${day}, ${at.toTimeString().slice(0, 5)}`;
}

/** Hours on the wall of a session. Example: "18:30 to 20:00". */
export const spanWords = (fromMs: number, toMs: number): string =>
  `${new Date(fromMs).toTimeString().slice(0, 5)} to ${new Date(toMs).toTimeString().slice(0, 5)}`;

/** The day of a session. Example: "Tue 2 Dec". */
export const dayWords = (ms: number): string =>
  new Date(ms).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

const HALF_HOUR_MS = 30 * 60_000;

/** A promise is said by the half hour, and never earlier than it was reckoned. Example: 10:05 is said as 10:30. */
export const promisedMs = (zeroMs: number, byMin: number): number =>
  Math.ceil((zeroMs + byMin * 60_000) / HALF_HOUR_MS) * HALF_HOUR_MS;
