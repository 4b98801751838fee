const WORDS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];

/** A small count in words, a larger one in figures. Example: 5 → "five", 12 → "12". */
export const countWords = (count: number): string => WORDS[count] ?? String(count);
