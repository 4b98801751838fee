/** One line of a calculation laid open: the symbol used in the formula, what it stands for, its value and unit. */
export interface WorkingRow {
  symbol: string;
  meaning: string;
  value: number | string;
  unit: string;
}

/** What every judging calculator returns beside its numbers. Reasons are plain words, weightiest first. */
export interface Judged<Verdict extends string> {
  verdict: Verdict;
  reasons: string[];
  working: WorkingRow[];
}

/** Shorthand for a working row. Example: `row('p', 'pitches measured', 24, '')`. */
export function row(symbol: string, meaning: string, value: number | string, unit = ''): WorkingRow {
  return { symbol, meaning, value, unit };
}

const MINOR_UNIT_WORDS = 'minor units of ';

/** The unit of money in a working row. Example: `minorUnit('EUR')` is "minor units of EUR". */
export function minorUnit(currency: string): string {
  return `${MINOR_UNIT_WORDS}${currency}`;
}

/** The currency of a working row that holds money, else null. */
export function currencyOfUnit(unit: string): string | null {
  return unit.startsWith(MINOR_UNIT_WORDS) ? unit.slice(MINOR_UNIT_WORDS.length) : null;
}
