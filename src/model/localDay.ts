/**
 * The day on the wall of the workshop at a moment, as year, month and day: the calendar of the machine that asks,
 * never that of Greenwich. Example: half past midnight in Berlin on 2 June is `2026-06-02`, while UTC says the first.
 */
export function localDay(at: Date): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${String(at.getFullYear()).padStart(4, '0')}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}
